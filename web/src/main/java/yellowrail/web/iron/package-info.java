/**
 * The iron of an amp: {@link yellowrail.web.iron.LoadLineController} draws its load line, sweeps it and keeps settings
 * to compare, {@link yellowrail.web.iron.IronController} has the ratio bench, taps against speakers, and the speaker
 * over frequency.
 */
package yellowrail.web.iron;
