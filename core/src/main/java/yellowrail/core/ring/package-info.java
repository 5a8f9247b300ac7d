/**
 * Microphony: what a tube answers a tap with. {@link yellowrail.core.ring.TapAnalysis} finds the taps of a recording
 * and fits the ring after each; {@link yellowrail.core.ring.Ringing} puts the taps of one tube together and
 * {@link yellowrail.core.ring.TubeByTube} tube against tube, each by the gain it was heard through.
 */
package yellowrail.core.ring;
