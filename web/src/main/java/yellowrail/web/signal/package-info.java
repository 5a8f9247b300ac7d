/**
 * Tones to play through an amp: {@link yellowrail.web.signal.SignalController} draws them, plays them, gives them as
 * files.
 */
package yellowrail.web.signal;
