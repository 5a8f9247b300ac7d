package yellowrail.core.tube;

import java.util.OptionalDouble;

/**
 * The limits of one tube type in one rating system, SI. What was not published is empty, not zero.
 *
 * @param system the rating system
 * @param plateVolts greatest plate voltage, V
 * @param screenVolts greatest screen voltage, V
 * @param plateWatts greatest plate dissipation, W, &gt; 0
 * @param screenWatts greatest screen dissipation, W
 * @param cathodeAmps greatest mean cathode current, A
 * @param further limits that only some types have
 * @param gridLeakFixed greatest grid leak under fixed bias, ohm
 * @param gridLeakCathode greatest grid leak under cathode bias, ohm
 * @param sure false when the figure should be verified with the maker's sheet
 * @param source where the figures come from
 */
public record Rating(
        RatingSystem system,
        OptionalDouble plateVolts,
        OptionalDouble screenVolts,
        double plateWatts,
        OptionalDouble screenWatts,
        OptionalDouble cathodeAmps,
        Further further,
        OptionalDouble gridLeakFixed,
        OptionalDouble gridLeakCathode,
        boolean sure,
        TubeFinding source) {

    /**
     * Limits that are published of some types only.
     *
     * @param togetherWatts of plate and screen together, W
     * @param triodeVolts of the plate with the screen tied to it, V
     * @param fixedCathodeAmps mean cathode current under fixed bias where it is less than under cathode bias, A
     */
    public record Further(OptionalDouble togetherWatts, OptionalDouble triodeVolts, OptionalDouble fixedCathodeAmps) {

        public static final Further NONE =
                new Further(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

        private Further times(double sections) {
            return new Further(
                    Rating.times(togetherWatts, sections), triodeVolts, Rating.times(fixedCathodeAmps, sections));
        }
    }

    /** Without further limits. */
    public Rating(
            RatingSystem system,
            OptionalDouble plateVolts,
            OptionalDouble screenVolts,
            double plateWatts,
            OptionalDouble screenWatts,
            OptionalDouble cathodeAmps,
            OptionalDouble gridLeakFixed,
            OptionalDouble gridLeakCathode,
            boolean sure,
            TubeFinding source) {
        this(
                system,
                plateVolts,
                screenVolts,
                plateWatts,
                screenWatts,
                cathodeAmps,
                Further.NONE,
                gridLeakFixed,
                gridLeakCathode,
                sure,
                source);
    }

    public Rating {
        if (!(plateWatts > 0 && Double.isFinite(plateWatts))) {
            throw new IllegalArgumentException("plate dissipation limit must be more than 0 W, was " + plateWatts);
        }
    }

    /** The same limits with another plate dissipation, as entered for the maker's own tube. */
    public Rating withPlateWatts(double watts, TubeFinding source) {
        return new Rating(
                RatingSystem.OWN,
                plateVolts,
                screenVolts,
                watts,
                screenWatts,
                cathodeAmps,
                further,
                gridLeakFixed,
                gridLeakCathode,
                sure,
                source);
    }

    /** The limits as they hold under a kind of bias and with the screen as it is wired. */
    public Rating under(boolean cathodeBias, boolean triodeConnected) {
        boolean less = !cathodeBias && further.fixedCathodeAmps().isPresent();
        boolean tied = triodeConnected && further.triodeVolts().isPresent();
        return new Rating(
                system,
                tied ? further.triodeVolts() : plateVolts,
                tied ? further.triodeVolts() : screenVolts,
                plateWatts,
                screenWatts,
                less ? further.fixedCathodeAmps() : cathodeAmps,
                further,
                gridLeakFixed,
                gridLeakCathode,
                sure,
                source);
    }

    /** Of so many tubes side by side: the volts stay, a common grid leak has that many grids on it. */
    Rating times(double sections) {
        return new Rating(
                system,
                plateVolts,
                screenVolts,
                plateWatts * sections,
                times(screenWatts, sections),
                times(cathodeAmps, sections),
                further.times(sections),
                times(gridLeakFixed, 1 / sections),
                times(gridLeakCathode, 1 / sections),
                sure,
                source);
    }

    private static OptionalDouble times(OptionalDouble value, double factor) {
        return value.isPresent() ? OptionalDouble.of(value.getAsDouble() * factor) : value;
    }

    /** Which system it belongs to, and where it is from. */
    public TubeFinding provenance() {
        return sure ? new TubeFinding.Provenance(system, source) : new TubeFinding.ProvenanceToVerify(system, source);
    }
}
