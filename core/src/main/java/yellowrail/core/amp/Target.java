package yellowrail.core.amp;

import java.util.Comparator;
import java.util.List;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;

/**
 * Where the idle should land: a window and a point inside it.
 *
 * @param school the school it follows, which says what the figures are in
 * @param low below this it is cold; ratio, A, or SI of the test point
 * @param aim where to set it
 * @param high above this it is hot
 * @param bands a current window as a table by plate voltage, rising; empty where one window holds for all voltages
 */
public record Target(School school, double low, double aim, double high, List<Band> bands) {

    /** Push-pull AB with fixed bias: 50-70 %, the middle of custom at 62 %, 70 % a customary ceiling. */
    public static final Target FIXED_BIAS = new Target(School.SHARE_OF_RATING, 0.50, 0.62, 0.70);
    /** Cathode bias: idle is the hottest the tube gets, so 85-100 %. */
    public static final Target CATHODE_BIAS = new Target(School.SHARE_OF_RATING, 0.85, 0.92, 1.00);
    /** Single-ended class A: up to 95 %; 80 % is what cautious hi-fi makers ask for. */
    public static final Target SINGLE_ENDED = new Target(School.SHARE_OF_RATING, 0.70, 0.85, 0.95);
    /** Beyond this share of a rating no school goes. */
    public static final double MOST_BY_CHOICE = 1.15;

    /**
     * A line of the table: the window at one plate voltage.
     *
     * @param volts plate to cathode, V
     */
    public record Band(double volts, double low, double aim, double high) {

        public Band {
            check(low, aim, high);
        }

        private Band toward(Band other, double at) {
            double part = (at - volts) / (other.volts - volts);
            return new Band(
                    at,
                    low + part * (other.low - low),
                    aim + part * (other.aim - aim),
                    high + part * (other.high - high));
        }
    }

    public Target {
        check(low, aim, high);
        bands = bands.stream().sorted(Comparator.comparingDouble(Band::volts)).toList();
    }

    public Target(School school, double low, double aim, double high) {
        this(school, low, aim, high, List.of());
    }

    private static void check(double low, double aim, double high) {
        if (!(low >= 0 && low <= aim && aim <= high && low < high && Double.isFinite(high))) {
            throw new IllegalArgumentException(
                    "a window needs low <= aim <= high, was %s, %s, %s".formatted(low, aim, high));
        }
    }

    /** The window at a plate voltage: read between the lines of the table, its ends hold beyond them. */
    public Band at(double volts) {
        if (bands.isEmpty()) {
            return new Band(volts, low, aim, high);
        }
        Band before = bands.get(0);
        for (Band band : bands) {
            if (band.volts >= volts) {
                return band == before ? band : before.toward(band, volts);
            }
            before = band;
        }
        return before;
    }

    /** The same school with every figure made smaller or larger. */
    public Target times(double factor) {
        return new Target(school, factor * low, factor * aim, factor * high);
    }

    /** School and window in one line, where the meter at the test point shows {@code shows}. */
    public AmpFinding told(Unit shows) {
        Unit unit = school.unit(shows);
        return new AmpFinding.Window(school, Shown.of(unit, low), Shown.of(unit, high), Shown.of(unit, aim));
    }

    /** The customary share of the rating for a bias kind and topology. */
    public static Target customary(BiasKind bias, Topology topology) {
        if (topology == Topology.SINGLE_ENDED) {
            return SINGLE_ENDED;
        }
        return bias.isCathode() ? CATHODE_BIAS : FIXED_BIAS;
    }
}
