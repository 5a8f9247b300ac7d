package yellowrail.core.bias.wiring;

import java.util.OptionalDouble;

/**
 * What divides the supply for the grids.
 *
 * @param kind how it is wired
 * @param upper between supply and pot, with a rheostat between supply and grids, with a balance pot to each side, ohm
 * @param pot the pot that sets the range, ohm; not used without one
 * @param lower from the pot to ground, ohm
 * @param wiperToCold from the wiper to the cold end of its pot, ohm; with a rheostat or without a pot from the grids to
 *     the supply
 * @param balance the balance pot, ohm; only with one
 * @param pots how many pots, each for its own grids; only with one each
 * @param tied whether the free end of a rheostat is tied to its wiper
 * @param tremolo depth pot of a tremolo that hangs from the grids' node to ground, ohm
 */
public record BiasNetwork(
        Kind kind,
        double upper,
        double pot,
        double lower,
        OptionalDouble wiperToCold,
        double balance,
        int pots,
        boolean tied,
        OptionalDouble tremolo) {

    /** How the grids are fed. */
    public enum Kind {
        /** Upper, pot and lower in a chain, the wiper feeds the grids. */
        DIVIDER_POT,
        /** The grids hang on a node with a variable resistor to ground. */
        RHEOSTAT_SHUNT,
        /** Two resistors. */
        FIXED,
        /** A balance pot between the two sides, its wiper through the range rheostat to ground. */
        RANGE_AND_BALANCE,
        /** A divider with its own pot for each tube or pair. */
        POT_EACH;

        public boolean hasPot() {
            return this != FIXED;
        }
    }

    public static BiasNetwork of(Kind kind, double upper, double pot, double lower) {
        return new BiasNetwork(kind, upper, pot, lower, OptionalDouble.empty(), pot, 2, false, OptionalDouble.empty());
    }

    public BiasNetwork with(double otherUpper, double otherPot, double otherLower) {
        return new BiasNetwork(kind, otherUpper, otherPot, otherLower, wiperToCold, balance, pots, tied, tremolo);
    }

    public BiasNetwork withWiperToCold(OptionalDouble ohms) {
        return new BiasNetwork(kind, upper, pot, lower, ohms, balance, pots, tied, tremolo);
    }

    /** With the free end of the rheostat tied to the wiper. */
    public BiasNetwork asTied() {
        return new BiasNetwork(kind, upper, pot, lower, wiperToCold, balance, pots, true, tremolo);
    }
}
