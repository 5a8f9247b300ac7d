package yellowrail.core.tone;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.chart.Point;

/**
 * A spectrum as it is drawn: Hz across, decibels up, of a line's power to that of a reference. Where several bins fall
 * into a column the strongest stands, so that no line is lost.
 *
 * @param points by their frequency
 * @param resolution between two bins, Hz
 */
public record SpectrumTrace(List<Point> points, double resolution) {

    /** Below it nothing is drawn, dB. */
    public static final double FLOOR = -160;

    public SpectrumTrace {
        points = List.copyOf(points);
    }

    /**
     * @param reference mean square that is 0 dB, &gt; 0
     * @param shown what is drawn, its low end more than 0
     * @param columns about so many points
     * @param logarithmic whether columns are in equal ratios
     */
    public static SpectrumTrace of(
            PowerSpectrum spectrum, double reference, Band shown, int columns, boolean logarithmic) {
        List<Point> points = new ArrayList<>();
        int last = -1;
        Point highest = null;
        for (int k = Math.max(1, spectrum.bin(shown.low())); k < spectrum.bins(); k++) {
            double hertz = spectrum.hertz(k);
            if (hertz > shown.high()) {
                break;
            }
            double part = logarithmic
                    ? Math.log(hertz / shown.low()) / Math.log(shown.high() / shown.low())
                    : (hertz - shown.low()) / (shown.high() - shown.low());
            int column = (int) (part * columns);
            Point point = new Point(hertz, decibels(NuttallWindow.NOISE_BINS * spectrum.power(k) / reference));
            if (column != last && highest != null) {
                points.add(highest);
                highest = null;
            }
            highest = highest == null || point.y() > highest.y() ? point : highest;
            last = column;
        }
        if (highest != null) {
            points.add(highest);
        }
        return new SpectrumTrace(points, spectrum.hertz(1) - spectrum.hertz(0));
    }

    /** Of a ratio of powers, no less than the floor. */
    public static double decibels(double ratio) {
        return Math.max(FLOOR, 10 * Math.log10(ratio));
    }
}
