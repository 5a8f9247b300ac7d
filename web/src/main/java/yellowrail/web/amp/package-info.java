/**
 * The amp sheet: what an amp is, created and edited in the browser. {@link yellowrail.web.amp.AmpService} keeps every
 * saved version; {@link yellowrail.web.amp.Amp} is what other features see.
 */
package yellowrail.web.amp;
