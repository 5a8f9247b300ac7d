/**
 * An amp that soaks: what each test point has done since the setting, whether a tube creeps, and whose fault that is.
 * {@link yellowrail.core.soak.Soak} reads it off the timeline; what a curve does is judged by
 * {@link yellowrail.core.drift}. A tube that crept keeps that until it has been cleared, though a pot was turned since.
 */
package yellowrail.core.soak;
