package yellowrail.core.work;

import yellowrail.core.quantity.Unit;

/**
 * A figure of a part.
 *
 * @param unit it is written in
 * @param si the figure
 */
public record Amount(Unit unit, double si) {}
