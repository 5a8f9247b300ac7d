package yellowrail.web.glossary;

import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * What the two tubes of a push-pull stage draw while a sine is played, as paths: one full wave across 200 by 90.
 *
 * @param push the one
 * @param pull the other, half a wave later
 * @param sum what the speaker gets of both
 */
record Waves(String push, String pull, String sum) {

    private static final int POINTS = 80;
    private static final double WIDTH = 200;
    /** Where nothing is drawn, and how high the most is. */
    private static final double FLOOR = 80;

    private static final double HEIGHT = 70;
    private static final double MIDDLE = 45;
    private static final double SWING = 38;

    /** @param idle grid volts above those where a tube stops drawing, where the swing is 1: 1 in class A */
    static Waves of(double idle) {
        DoubleUnaryOperator push = turn -> drawn(idle + Math.sin(turn));
        DoubleUnaryOperator pull = turn -> drawn(idle - Math.sin(turn));
        double most = drawn(idle + 1);
        double loudest = most - drawn(idle - 1);
        return new Waves(
                path(turn -> FLOOR - HEIGHT * push.applyAsDouble(turn) / most),
                path(turn -> FLOOR - HEIGHT * pull.applyAsDouble(turn) / most),
                path(turn -> MIDDLE - SWING * (push.applyAsDouble(turn) - pull.applyAsDouble(turn)) / loudest));
    }

    /** Biased past the point where it stops drawing: neither tube plays while the wave is small. */
    static Waves tooCold() {
        return of(-0.3);
    }

    /** The square of what a tube is opened by. */
    private static double drawn(double opened) {
        return Math.pow(Math.max(0, opened), 2);
    }

    private static String path(DoubleUnaryOperator height) {
        StringBuilder path = new StringBuilder();
        IntStream.rangeClosed(0, POINTS)
                .forEach(i -> path.append(String.format(
                        Locale.ROOT,
                        "%s%.1f %.1f",
                        i == 0 ? "M" : "L",
                        WIDTH * i / POINTS,
                        height.applyAsDouble(2 * Math.PI * i / POINTS))));
        return path.toString();
    }
}
