/**
 * Sound files: {@link yellowrail.core.wav.WavReader} reads what sound cards and recorders write, and says what it
 * cannot read; {@link yellowrail.core.wav.Sound} is what was in it.
 */
package yellowrail.core.wav;
