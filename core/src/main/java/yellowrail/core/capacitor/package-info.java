/**
 * Electrolytic capacitors of a supply: how those in series share the voltage, by their leakage and by bleeders, what
 * they store, and how long they stay dangerous. {@link yellowrail.core.capacitor.SeriesStack} is the entry.
 */
package yellowrail.core.capacitor;
