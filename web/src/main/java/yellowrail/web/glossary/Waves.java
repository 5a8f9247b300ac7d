package yellowrail.web.glossary;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;
import yellowrail.web.chart.Plot;

/**
 * What the two tubes of a push-pull stage draw while a sine is played, as paths: one full wave across 200 by 90.
 *
 * @param push the one
 * @param pull the other, half a wave later
 * @param sum what the speaker gets of both
 */
record Waves(String push, String pull, String sum) {

    private static final int POINTS = 80;
    private static final double WAVE = 2 * Math.PI;
    private static final Plot DRAWN = new Plot(200, 90, 0, 0, 10, 10, 0, WAVE, 0, 1, false);
    private static final Plot HEARD = new Plot(200, 90, 0, 0, 7, 7, 0, WAVE, -1, 1, false);

    /** @param idle grid volts above those where a tube stops drawing, where the swing is 1: 1 in class A */
    static Waves of(double idle) {
        DoubleUnaryOperator push = turn -> drawn(idle + Math.sin(turn));
        DoubleUnaryOperator pull = turn -> drawn(idle - Math.sin(turn));
        double most = drawn(idle + 1);
        double loudest = most - drawn(idle - 1);
        return new Waves(
                DRAWN.line(points(turn -> push.applyAsDouble(turn) / most)),
                DRAWN.line(points(turn -> pull.applyAsDouble(turn) / most)),
                HEARD.line(points(turn -> (push.applyAsDouble(turn) - pull.applyAsDouble(turn)) / loudest)));
    }

    /** Biased past the point where it stops drawing: neither tube plays while the wave is small. */
    static Waves tooCold() {
        return of(-0.3);
    }

    /** The square of what a tube is opened by. */
    private static double drawn(double opened) {
        return Math.pow(Math.max(0, opened), 2);
    }

    private static List<Point> points(DoubleUnaryOperator height) {
        return IntStream.rangeClosed(0, POINTS)
                .mapToDouble(i -> WAVE * i / POINTS)
                .mapToObj(turn -> new Point(turn, height.applyAsDouble(turn)))
                .toList();
    }
}
