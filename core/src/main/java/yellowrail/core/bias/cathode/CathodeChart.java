package yellowrail.core.bias.cathode;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;

/**
 * What the tubes draw over the volts of their cathodes, what the resistor drops, and where both agree; V across, A up.
 *
 * @param tubes current of all tubes
 * @param resistor from zero on
 * @param idle the crossing
 */
public record CathodeChart(List<Point> tubes, List<Point> resistor, Point idle) {

    private static final int PARTS = 40;
    /** The chart ends so much behind the crossing. */
    private static final double ROOM = 1.8;

    private static final double UP = 2.2;

    public static CathodeChart of(CathodeGroup group, CathodeIdle idle) {
        double volts = ROOM * idle.cathodeVolts();
        Point crossing = new Point(idle.cathodeVolts(), idle.cathodeVolts() / idle.ohms());
        return new CathodeChart(
                IntStream.rangeClosed(0, PARTS)
                        .mapToDouble(i -> volts * i / PARTS)
                        .mapToObj(at -> new Point(at, group.amps(at)))
                        .filter(point -> point.y() <= UP * crossing.y())
                        .toList(),
                List.of(new Point(0, 0), new Point(volts, volts / idle.ohms())),
                crossing);
    }

    /** V. */
    public double mostVolts() {
        return resistor.get(1).x();
    }

    /** A. */
    public double mostAmps() {
        return UP * idle.y();
    }
}
