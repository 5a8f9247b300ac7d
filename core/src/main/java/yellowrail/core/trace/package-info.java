/**
 * Curve tracing by hand: which points of a tube's curves to read, in which order and how far one may go, and the points
 * that were read, typed or from a file. What is made of them is {@link yellowrail.core.tube.model.TracedTube}.
 */
package yellowrail.core.trace;
