/**
 * The mistakes practitioners make, caught as they are typed. {@link yellowrail.core.mistake.Mistakes} goes through the
 * rules, which stand by what they are about: {@link yellowrail.core.mistake.Plausibility} for what cannot be meant, a
 * class each for currents, plates, grids, pots, tubes and the power switch. Each looks at one reading in its
 * {@link yellowrail.core.mistake.Situation} and asks with the likely corrections, first what it means if it is real.
 */
package yellowrail.core.mistake;
