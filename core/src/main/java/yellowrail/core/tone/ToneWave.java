package yellowrail.core.tone;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.chart.Point;

/**
 * One turn of a tone, put together from its harmonics, so that noise and hum are not in it: the wave, its fundamental,
 * and what is left of the wave without that, enlarged. Across in turns of the fundamental, up in parts of the
 * fundamental's crest.
 *
 * @param times the residual is enlarged, a power of ten
 */
public record ToneWave(List<Point> wave, List<Point> fundamental, List<Point> residual, double times) {

    private static final int STEPS = 240;

    public ToneWave {
        wave = List.copyOf(wave);
        fundamental = List.copyOf(fundamental);
        residual = List.copyOf(residual);
    }

    public static ToneWave of(Tone tone) {
        double crest = tone.fundamental().peak();
        List<Point> fundamental = new ArrayList<>();
        List<Point> rest = new ArrayList<>();
        List<Point> wave = new ArrayList<>();
        double most = 0;
        for (int i = 0; i <= STEPS; i++) {
            double turn = (double) i / STEPS;
            // It begins where the fundamental passes upwards through nothing.
            double pure = Math.sin(2 * Math.PI * turn);
            double left = 0;
            for (int order = 2; order <= tone.harmonics().size(); order++) {
                Line line = tone.harmonics().get(order - 1);
                double begin = order * (tone.fundamental().phase() - Math.PI / 2);
                left += line.peak() / crest * Math.cos(2 * Math.PI * order * turn + begin - line.phase());
            }
            most = Math.max(most, Math.abs(left));
            fundamental.add(new Point(turn, pure));
            rest.add(new Point(turn, left));
            wave.add(new Point(turn, pure + left));
        }
        double times = most > 0 ? Math.max(1, Math.pow(10, Math.floor(-Math.log10(most)))) : 1;
        return new ToneWave(
                wave,
                fundamental,
                rest.stream()
                        .map(point -> new Point(point.x(), times * point.y()))
                        .toList(),
                times);
    }
}
