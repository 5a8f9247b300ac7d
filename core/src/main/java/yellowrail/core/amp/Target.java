package yellowrail.core.amp;

import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/**
 * Where the idle should land: a window and a point inside it.
 *
 * @param school the school it follows, which says what the figures are in
 * @param low    below this it is cold; ratio, A, or SI of the test point
 * @param aim    where to set it
 * @param high   above this it is hot
 */
public record Target(School school, double low, double aim, double high) {

    /** Push-pull AB with fixed bias: 50-70 %, the middle of custom at 62 %, 70 % a customary ceiling. */
    public static final Target FIXED_BIAS = new Target(School.SHARE_OF_RATING, 0.50, 0.62, 0.70);
    /** Cathode bias: idle is the hottest the tube gets, so 85-100 %. */
    public static final Target CATHODE_BIAS = new Target(School.SHARE_OF_RATING, 0.85, 0.92, 1.00);
    /** Single-ended class A: up to 95 %; 80 % is what cautious hi-fi makers ask for. */
    public static final Target SINGLE_ENDED = new Target(School.SHARE_OF_RATING, 0.70, 0.85, 0.95);

    public Target {
        if (!(low >= 0 && low <= aim && aim <= high && low < high && Double.isFinite(high))) {
            throw new IllegalArgumentException("a window needs low <= aim <= high, was %s, %s, %s".formatted(low, aim, high));
        }
    }

    /** School and window in one line, where the meter at the test point shows {@code shows}. */
    public String inWords(Unit shows) {
        Unit unit = school.unit(shows);
        return "%s: %s to %s, aim %s".formatted(school.inWords(), Figures.in(unit, low), Figures.in(unit, high), Figures.in(unit, aim));
    }

    /** The customary share of the rating for a bias kind and topology. */
    public static Target customary(BiasKind bias, Topology topology) {
        if (topology == Topology.SINGLE_ENDED) {
            return SINGLE_ENDED;
        }
        return bias.isCathode() ? CATHODE_BIAS : FIXED_BIAS;
    }
}
