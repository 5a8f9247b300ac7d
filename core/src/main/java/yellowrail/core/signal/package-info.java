/**
 * Tones to be played through an amp: {@link yellowrail.core.signal.TestSignal} is what is heard one after the other,
 * written as a sound file by {@link yellowrail.core.wav.WavWriter}.
 */
package yellowrail.core.signal;
