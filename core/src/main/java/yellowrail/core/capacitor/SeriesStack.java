package yellowrail.core.capacitor;

import java.util.OptionalDouble;

/**
 * Like capacitors in series, each with a bleeder across it or none. In the steady state no capacitor carries current,
 * so they share the voltage as their leakage resistances do, {@code Vi = V Ri / sum(R)}, {@code Ri} the bleeder beside
 * {@code Vrated / Ileak}.
 *
 * <p>Leakage differs from one to the next by a factor: the worst case is one that leaks least, which takes most, among
 * others that leak most.
 *
 * @param count how many, at least 2
 * @param farads of each, F, &gt; 0
 * @param rating of each, V, &gt; 0
 * @param leastLeak leakage of the tightest at its rating, A, &gt; 0
 * @param mostLeak of the leakiest, A, at least that
 * @param bleeder across each, ohm; empty for none
 */
public record SeriesStack(
        int count, double farads, double rating, double leastLeak, double mostLeak, OptionalDouble bleeder) {

    /** What rounding can hide, as a part of what is computed. */
    private static final double LAST_DIGITS = 1e-12;

    /** Below this nobody is hurt, V. */
    public static final double SAFE = 5;

    public SeriesStack {
        if (count < 2
                || !(farads > 0)
                || !(rating > 0)
                || !(leastLeak > 0)
                || !(mostLeak >= leastLeak)
                || !(bleeder.orElse(1) > 0)) {
            throw new IllegalArgumentException(
                    "a stack is of 2 or more, all above 0, was %d x %s F %s V, leaking %s to %s A"
                            .formatted(count, farads, rating, leastLeak, mostLeak));
        }
    }

    /** The same with another bleeder across each. */
    public SeriesStack with(double ohms) {
        return new SeriesStack(count, farads, rating, leastLeak, mostLeak, OptionalDouble.of(ohms));
    }

    /** What the worst placed of them takes of a voltage, V. */
    public double worst(double volts) {
        double tight = beside(rating / leastLeak);
        double leaky = beside(rating / mostLeak);
        return volts * tight / (tight + (count - 1) * leaky);
    }

    private double beside(double leak) {
        return bleeder.isPresent() ? 1 / (1 / leak + 1 / bleeder.getAsDouble()) : leak;
    }

    /** What the bleeders take from the supply, A; 0 without them. */
    public double amps(double volts) {
        return bleeder.isPresent() ? volts / (count * bleeder.getAsDouble()) : 0;
    }

    /** What each bleeder burns where they share alike, W; 0 without them. */
    public double watts(double volts) {
        return amps(volts) * volts / count;
    }

    /** What the one across the worst placed burns, W: its rating is to be at least twice that. */
    public double worstWatts(double volts) {
        return bleeder.isPresent() ? worst(volts) * worst(volts) / bleeder.getAsDouble() : 0;
    }

    /**
     * The largest bleeders with which even the worst placed stays within its rating, ohm: from {@code tight / (tight +
     * (n-1) leaky) = Vrated / V} with {@code g = 1/bleeder}.
     *
     * @return empty where none are needed, or where no bleeders could do it: the ratings of all do not add up to it
     */
    public OptionalDouble largestBleeder(double volts) {
        SeriesStack bare = new SeriesStack(count, farads, rating, leastLeak, mostLeak, OptionalDouble.empty());
        if (bare.worst(volts) <= rating || volts >= count * rating) {
            return OptionalDouble.empty();
        }
        double tight = leastLeak / rating;
        double leaky = mostLeak / rating;
        double others = (count - 1) * rating / (volts - rating);
        // Where the worst is over its rating by the last digit only, that digit may be lost here: any bleeder will do.
        double conductance = Math.max((others * tight - leaky) / (1 - others), LAST_DIGITS * tight);
        return OptionalDouble.of(1 / conductance);
    }

    /** What is stored, J. */
    public double joules(double volts) {
        return farads / count * volts * volts / 2;
    }

    /** How long the bleeders alone take it from a voltage to under {@value #SAFE} V, s; infinite without them. */
    public double seconds(double volts) {
        double ohms = bleeder.isPresent() ? count * bleeder.getAsDouble() : Double.POSITIVE_INFINITY;
        return Discharge.seconds(farads / count, ohms, volts, SAFE);
    }
}
