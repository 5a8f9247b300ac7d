/**
 * What an amp does at its output, as it was measured: {@link yellowrail.core.proof.ByHand} makes figures of what was
 * typed, {@link yellowrail.core.proof.ProofSettings} parts them by what was turned or exchanged between them, and
 * {@link yellowrail.core.proof.SideBySide} compares the settings: figure by figure, with what forbids it.
 */
package yellowrail.core.proof;
