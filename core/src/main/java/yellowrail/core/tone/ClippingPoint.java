package yellowrail.core.tone;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The level at which an amp clips, found between the steps of a signal that goes louder.
 *
 * <p>By distortion: where it passes a mark on its way up, was below and then stays above; what distorts small signals
 * more than large ones, as crossover does, is no clipping. Between the two steps that part at the mark both are taken
 * to go along a straight line in logarithms.
 *
 * <p>By the eye: where the tops first are as flat as {@link Tops#FLAT}, taken along a straight line between two steps.
 */
public final class ClippingPoint {

    private ClippingPoint() {}

    /**
     * A step.
     *
     * @param level in any unit, &gt; 0
     * @param value distortion of the fundamental, or the roundness of its tops
     */
    public record Point(double level, double value) {}

    /**
     * @param distortions in any order
     * @param mark distortion, &gt; 0
     * @return the level; empty where it never passes
     */
    public static OptionalDouble of(List<Point> distortions, double mark) {
        List<Point> rising = rising(distortions);
        for (int i = rising.size() - 1; i > 0; i--) {
            Point above = rising.get(i);
            Point below = rising.get(i - 1);
            if (above.value() <= mark) {
                return OptionalDouble.empty();
            }
            if (below.value() <= mark) {
                return between(below, above, Math.log(mark / below.value()) / Math.log(above.value() / below.value()));
            }
        }
        return OptionalDouble.empty();
    }

    /**
     * @param roundness of each step, in any order
     * @return the level; empty where the tops stay round, or never were
     */
    public static OptionalDouble flat(List<Point> roundness) {
        List<Point> rising = rising(roundness);
        for (int i = 0; i < rising.size(); i++) {
            Point above = rising.get(i);
            if (above.value() < Tops.FLAT) {
                return i == 0
                        ? OptionalDouble.empty()
                        : between(
                                rising.get(i - 1),
                                above,
                                (rising.get(i - 1).value() - Tops.FLAT)
                                        / (rising.get(i - 1).value() - above.value()));
            }
        }
        return OptionalDouble.empty();
    }

    private static List<Point> rising(List<Point> points) {
        return points.stream().sorted(Comparator.comparingDouble(Point::level)).toList();
    }

    private static OptionalDouble between(Point below, Point above, double part) {
        return OptionalDouble.of(below.level() * Math.pow(above.level() / below.level(), part));
    }
}
