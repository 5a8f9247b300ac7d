package yellowrail.core.iron;

import java.util.List;

/**
 * A speaker as it was measured. Between two points the size is straight over the logarithm of the frequency in its own
 * logarithm, the phase straight; outside, the nearest point stands.
 *
 * @param points in rising order of frequency, at least two
 */
public record MeasuredSpeaker(List<Impedance> points) implements Speaker {

    public MeasuredSpeaker {
        points = List.copyOf(points);
        if (points.size() < 2) {
            throw new IllegalArgumentException("a measured impedance takes two points or more, was " + points.size());
        }
    }

    @Override
    public Impedance at(double hertz) {
        int low = 0;
        int high = points.size() - 1;
        if (hertz <= points.get(low).hertz() || hertz >= points.get(high).hertz()) {
            Impedance end = points.get(hertz <= points.get(low).hertz() ? low : high);
            return new Impedance(hertz, end.ohms(), end.degrees());
        }
        while (high - low > 1) {
            int middle = (low + high) / 2;
            if (points.get(middle).hertz() <= hertz) {
                low = middle;
            } else {
                high = middle;
            }
        }
        Impedance from = points.get(low);
        Impedance to = points.get(high);
        double part = Math.log(hertz / from.hertz()) / Math.log(to.hertz() / from.hertz());
        return new Impedance(
                hertz,
                from.ohms() * Math.pow(to.ohms() / from.ohms(), part),
                from.degrees() + part * (to.degrees() - from.degrees()));
    }
}
