/** Curve tracing by hand: which point to read next, what was read, and the curves of the one tube. */
package yellowrail.web.trace;
