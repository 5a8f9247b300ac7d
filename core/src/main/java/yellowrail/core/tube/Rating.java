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
        OptionalDouble gridLeakFixed,
        OptionalDouble gridLeakCathode,
        boolean sure,
        TubeFinding source) {

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
                gridLeakFixed,
                gridLeakCathode,
                sure,
                source);
    }

    /** Which system it belongs to, and where it is from. */
    public TubeFinding provenance() {
        return sure ? new TubeFinding.Provenance(system, source) : new TubeFinding.ProvenanceToVerify(system, source);
    }
}
