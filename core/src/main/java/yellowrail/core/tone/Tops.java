package yellowrail.core.tone;

import java.util.OptionalDouble;

/**
 * How round a tone's tops still are, as an eye on a scope sees it: of a wave that some curve made of a sine,
 * {@code w(x) = F(A sin x)}, the bend at the top over the steepness in the middle, {@code -w''(pi/2) / w'(0)}, is the
 * slope of the curve there over that at its middle, whatever the drive was: 1 for a sine, 0 for a top cut flat. The
 * flatter of both tops counts. The bend is the mean over a tenth of a radian to both sides, so that few harmonics do.
 */
public final class Tops {

    /** As far as this the output has bent over: the same that a load line counts as clipping. */
    public static final double FLAT = 0.5;

    private static final double AROUND = 0.1;
    /** Fewer draw no flat top. */
    public static final int FEWEST = 7;

    private Tops() {}

    /** @return empty where too few of its harmonics lie in the recording */
    public static OptionalDouble roundness(Tone tone) {
        if (tone.harmonics().size() < FEWEST) {
            return OptionalDouble.empty();
        }
        double middle = (slope(tone, 0) - slope(tone, Math.PI)) / 2;
        double up = bend(tone, Math.PI / 2);
        double down = -bend(tone, 3 * Math.PI / 2);
        return OptionalDouble.of(Math.min(up, down) / middle);
    }

    private static double bend(Tone tone, double at) {
        return (slope(tone, at - AROUND) - slope(tone, at + AROUND)) / (2 * Math.sin(AROUND));
    }

    /** By the turn of the fundamental, radians, which passes upwards through nothing at 0. */
    private static double slope(Tone tone, double at) {
        double begin = tone.fundamental().phase() - Math.PI / 2;
        double slope = 0;
        for (int order = 1; order <= tone.harmonics().size(); order++) {
            Line line = tone.harmonics().get(order - 1);
            slope -= order * line.peak() * Math.sin(order * (at + begin) - line.phase());
        }
        return slope;
    }
}
