package yellowrail.core.ring;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.chart.Point;
import yellowrail.core.tone.SpectrumTrace;

/**
 * A recording of taps as it is drawn: seconds across, the crest of what is heard up, decibels of full scale, low tones
 * held back. Each ring is a straight line in it.
 *
 * @param heard the whole of it
 * @param fitted for each ring its line, from the tap until it is as low as the recording gets or another tap comes
 */
public record RingTrace(List<Point> heard, List<List<Point>> fitted) {

    /** How far a ring falls in one, dB. */
    private static final double A_TIME_CONSTANT = 20 / Math.log(10);

    public RingTrace {
        heard = List.copyOf(heard);
        fitted = List.copyOf(fitted);
    }

    /** @param columns about so many points */
    public static RingTrace of(double[] samples, double perSecond, Taps taps, int columns) {
        double[] held = HeldBack.of(samples, perSecond);
        int width = Math.max(1, held.length / columns);
        List<Point> heard = new ArrayList<>();
        for (int from = 0; from + width <= held.length; from += width) {
            double squares = 0;
            for (int i = from; i < from + width; i++) {
                squares += held[i] * held[i];
            }
            heard.add(new Point((from + width / 2.0) / perSecond, SpectrumTrace.decibels(2 * squares / width)));
        }
        double lowest = heard.stream().mapToDouble(Point::y).min().orElse(SpectrumTrace.FLOOR);
        double end = held.length / perSecond;
        return new RingTrace(
                heard,
                taps.rings().stream()
                        .map(ring -> line(ring, next(taps, ring, end), lowest))
                        .toList());
    }

    private static double next(Taps taps, Ring ring, double end) {
        return taps.struck().stream().filter(at -> at > ring.at()).findFirst().orElse(end);
    }

    private static List<Point> line(Ring ring, double next, double lowest) {
        double top = SpectrumTrace.decibels(Math.pow(HeldBack.part(ring.hertz()) * ring.level(), 2));
        double drop = ring.fall() * A_TIME_CONSTANT;
        double lasts = drop > 0 ? Math.max(0, (top - lowest) / drop) : Double.POSITIVE_INFINITY;
        double to = Math.min(next - ring.at(), lasts);
        return List.of(new Point(ring.at(), top), new Point(ring.at() + to, top - drop * to));
    }
}
