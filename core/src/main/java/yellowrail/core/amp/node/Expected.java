package yellowrail.core.amp.node;

import java.util.OptionalDouble;

/**
 * What a node should read.
 *
 * @param low V; the same as {@code high} where one value was given
 * @param high V, no lower
 * @param source where that comes from
 * @param mains at what mains it was given, V; empty where nobody wrote it down
 * @param tolerance what it may be off either way, as a ratio, from 0 to below 1
 */
public record Expected(double low, double high, Source source, OptionalDouble mains, double tolerance) {

    /** Where an expected value comes from, with the tolerance that such a one is given by custom. */
    public enum Source {
        /** Schematics of the time were drawn from one amp, read with a meter that loaded what it read. */
        SCHEMATIC(0.20),
        /** The builder's own, of this amp, as it was left. */
        EARLIER_RUN(0.10),
        /** From the parts around it. */
        COMPUTED(0.15);

        private final double tolerance;

        Source(double tolerance) {
            this.tolerance = tolerance;
        }

        public double tolerance() {
            return tolerance;
        }
    }

    /**
     * The same at the mains that was read.
     *
     * @param low V
     * @param middle what it should be, V
     * @param high V
     */
    public record Window(double low, double middle, double high) {

        public boolean holds(double volts) {
            return volts >= low && volts <= high;
        }
    }

    public Expected {
        if (!(low <= high) || !Double.isFinite(low) || !Double.isFinite(high)) {
            throw new IllegalArgumentException(
                    "a node is expected from low to high, was %s to %s".formatted(low, high));
        }
        if (!(tolerance >= 0 && tolerance < 1) || !(mains.orElse(1) > 0)) {
            throw new IllegalArgumentException(
                    "a tolerance is from 0 to below 1 and mains above 0, was %s, %s".formatted(tolerance, mains));
        }
    }

    /** One value as its source is trusted by custom. */
    public static Expected of(double volts, Source source, OptionalDouble mains) {
        return new Expected(volts, volts, source, mains, source.tolerance());
    }

    public double middle() {
        return (low + high) / 2;
    }

    /**
     * @param ratio the mains that was read over the one it was given at
     * @param exponent of the mains by which the node follows it
     */
    public Window at(double ratio, double exponent) {
        double by = Math.pow(ratio, exponent);
        double bottom = low - tolerance * Math.abs(low);
        double top = high + tolerance * Math.abs(high);
        return new Window(by * bottom, by * middle(), by * top);
    }
}
