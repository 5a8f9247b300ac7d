/**
 * The end of a run: {@link yellowrail.core.closing.Closing} says what is still open, which never forbids to close, and
 * what was found in the amp, in tiers: what must be done, what should, what could.
 */
package yellowrail.core.closing;
