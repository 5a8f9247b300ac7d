package yellowrail.core.amp;

import java.util.OptionalDouble;

/**
 * The core of an output transformer, by what DC it stands: what two sides leave in it, or, gapped, how much more than
 * it is made for.
 *
 * @param amps that may be left between two sides, A; empty where the builder set none
 * @param ratio the same as a part of a side\u2019s current; single-ended of what may be more than the rated DC; empty
 *     likewise
 */
public record Core(Kind kind, OptionalDouble amps, OptionalDouble ratio) {

    public static final Core UNKNOWN = new Core(Kind.UNKNOWN, OptionalDouble.empty(), OptionalDouble.empty());

    /** What it is wound on. */
    public enum Kind {
        UNKNOWN(0.10),
        EI(0.10),
        TOROID(0.02);

        private final double usual;

        Kind(double usual) {
            this.usual = usual;
        }

        /** DC that it usually stands, as a part of a side\u2019s current. */
        public double usual() {
            return usual;
        }
    }

    /** DC that two sides may leave in it, A: the least of what was set, else what its kind usually stands. */
    public double tolerates(double sideAmps) {
        if (amps.isPresent()) {
            return Math.min(amps.getAsDouble(), ratio.orElse(Double.POSITIVE_INFINITY) * sideAmps);
        }
        return ratio.orElse(kind.usual()) * sideAmps;
    }

    /** DC that a gap for so much stands, A. */
    public double gapTolerates(double ratedAmps) {
        return ratedAmps * (1 + ratio.orElse(0));
    }
}
