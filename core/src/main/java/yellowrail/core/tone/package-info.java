/**
 * What a recorded tone tells of an amp: {@link yellowrail.core.tone.ToneAnalysis} finds the fundamental, fits its
 * harmonics and what the mains add, and reckons distortion, hum and noise from them. All fits are our own least squares
 * under a {@link yellowrail.core.tone.NuttallWindow}; only transforms and linear algebra come from a library.
 */
package yellowrail.core.tone;
