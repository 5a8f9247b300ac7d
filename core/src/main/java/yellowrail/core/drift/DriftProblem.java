package yellowrail.core.drift;

import java.util.List;
import java.util.OptionalDouble;

/**
 * The test points of an amp since one setting, judged together because they stand under the same mains.
 *
 * @param points at least one
 * @param mains as it was logged, V; empty where it was not
 * @param exponent current goes as this power of the mains
 * @param plates as they were logged, V; empty where they were not
 * @param noise standard deviation of a reading, %; empty where only the readings tell
 */
public record DriftProblem(
        List<Series> points, List<Sample> mains, double exponent, List<Sample> plates, OptionalDouble noise) {

    /** By custom, with fixed bias. */
    public static final double USUAL_EXPONENT = 1.5;

    public DriftProblem {
        points = List.copyOf(points);
        mains = List.copyOf(mains);
        plates = List.copyOf(plates);
    }
}
