package yellowrail.core.proof;

import java.time.Instant;
import java.util.OptionalDouble;
import yellowrail.core.quantity.Estimate;

/**
 * One figure of the output, and what it was measured at.
 *
 * @param kind what of
 * @param value SI
 * @param at its conditions
 * @param taken when
 * @param recorded whether a sound card heard it; else it was typed
 */
public record Measured(ProofKind kind, Estimate value, Conditions at, Instant taken, boolean recorded) {

    /**
     * What a figure depends on; each empty where it was not told or says nothing.
     *
     * @param loadOhms its true value
     * @param hertz of the tone
     * @param watts played
     * @param bandHertz the upper edge of what was counted
     * @param decibels at an edge of the band
     * @param mark distortion at which a power was reached
     */
    public record Conditions(
            OptionalDouble loadOhms,
            OptionalDouble hertz,
            OptionalDouble watts,
            OptionalDouble bandHertz,
            OptionalDouble decibels,
            OptionalDouble mark) {

        /** Tones that differ by less are one. */
        private static final double SAME_TONE = 0.03;
        /** Half a decibel. */
        private static final double SAME_POWER = 0.12;

        public Conditions {
            if (!(loadOhms.orElse(1) > 0)) {
                throw new IllegalArgumentException("a load of %s ohm".formatted(loadOhms));
            }
        }

        public Conditions(
                OptionalDouble loadOhms,
                OptionalDouble hertz,
                OptionalDouble watts,
                OptionalDouble bandHertz,
                OptionalDouble decibels) {
            this(loadOhms, hertz, watts, bandHertz, decibels, OptionalDouble.empty());
        }

        /** The same at a mark of distortion. */
        Conditions at(double distortion) {
            return new Conditions(loadOhms, hertz, watts, bandHertz, decibels, OptionalDouble.of(distortion));
        }

        /** Whether a figure there is asked the same question: tone, power, and where a band ends. */
        boolean asks(Conditions other) {
            return same(hertz, other.hertz, SAME_TONE)
                    && same(watts, other.watts, SAME_POWER)
                    && same(decibels, other.decibels, 0.01)
                    && same(mark, other.mark, 0.01);
        }

        static boolean same(OptionalDouble one, OptionalDouble other, double within) {
            return one.isPresent() == other.isPresent()
                    && (one.isEmpty()
                            || Math.abs(one.getAsDouble() - other.getAsDouble())
                                    <= within * Math.abs(other.getAsDouble()));
        }
    }

    /** Whether both answer one question. */
    boolean asks(Measured other) {
        return kind == other.kind && at.asks(other.at);
    }
}
