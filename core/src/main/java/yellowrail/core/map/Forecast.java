package yellowrail.core.map;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import yellowrail.core.chart.Point;
import yellowrail.core.move.Landing;
import yellowrail.core.move.NextMove;

/**
 * What the map shows of the future: the supply line as a tube of middling share sees it, and where each tube will land.
 *
 * @param line two ends, V and A; empty where nothing is known
 * @param landings predicted, one for each tube that will stand elsewhere than another
 */
public record Forecast(List<Point> line, List<Point> landings) {

    public static final Forecast NONE = new Forecast(List.of(), List.of());
    private static final double APART = 0.0004;

    public Forecast {
        line = List.copyOf(line);
        landings = List.copyOf(landings);
    }

    /** @param fromVolts and {@code toVolts} the edges of the map */
    static Forecast of(NextMove move, double fromVolts, double toVolts) {
        if (move.landing().isEmpty()) {
            return NONE;
        }
        boolean drawn = move.line().refused().isEmpty();
        Landing landing = move.landing().get();
        Landing.Tube middle = landing.tubes().get(0);
        int tubes = landing.tubes().size();
        double cathodes =
                landing.tubes().stream().mapToDouble(Landing.Tube::cathode).sum();
        double other = landing.totalAmps() - cathodes;
        double lift = landing.plateVolts() - middle.plateVolts();
        double share = 1 - middle.plateAmps() / middle.cathode();
        double idle = move.line().voltsAt(other, landing.mainsRatio()) - lift;
        List<Point> line = DoubleStream.of(fromVolts, Math.min(toVolts, idle))
                .mapToObj(volts -> new Point(volts, (idle - volts) / move.line().resistance() / tubes * (1 - share)))
                .toList();
        List<Point> landings = new ArrayList<>();
        for (Landing.Tube tube : landing.tubes()) {
            if (landings.stream().noneMatch(point -> Math.abs(point.y() - tube.plateAmps()) < APART)) {
                landings.add(new Point(tube.plateVolts(), tube.plateAmps()));
            }
        }
        return new Forecast(drawn ? line : List.of(), landings);
    }
}
