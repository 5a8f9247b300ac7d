package yellowrail.core.rectifier;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;
import yellowrail.core.tube.RectifierType;

/**
 * One rectifier for another on the same winding: where the first capacitor then stands, with how far that may lie off.
 * What is not known is the copper before the plates, taken as usual, and how far either tube lies from its sheet.
 *
 * @param before with the present one
 * @param after with the other, the same winding
 * @param rise of the volts while so much is drawn, V
 * @param plusMinus of that, V
 * @param amps drawn, A
 */
public record Exchange(CapacitorInput before, CapacitorInput after, double rise, double plusMinus, double amps) {

    /** Copper before each plate where nobody measured it, ohm, and how far it may be from that, as a factor. */
    public static final double USUAL_OHMS = 80;

    private static final double OHMS_SPREAD = 2;
    private static final int POINTS = 24;
    /** Drops of one type scatter by so much around the published one. */
    private static final double DROP_SPREAD = 0.15;

    /**
     * @param dcVolts of the first capacitor as read, V
     * @param amps drawn meanwhile, A
     */
    public static Optional<Exchange> of(RectifierType in, RectifierType wants, double dcVolts, double amps) {
        Optional<CapacitorInput> before = CapacitorInput.through(dcVolts, amps, USUAL_OHMS, in, 1);
        return before.map(present -> {
            CapacitorInput after = present.with(wants, 1);
            double rise = after.volts(amps) - dcVolts;
            double squares = 0;
            for (double ohms : new double[] {USUAL_OHMS / OHMS_SPREAD, USUAL_OHMS * OHMS_SPREAD}) {
                squares += Math.pow(rise(in, 1, wants, 1, dcVolts, amps, ohms) - rise, 2) / 2;
            }
            if (!in.isSilicon()) {
                squares += Math.pow(rise(in, 1 + DROP_SPREAD, wants, 1, dcVolts, amps, USUAL_OHMS) - rise, 2);
            }
            if (!wants.isSilicon()) {
                squares += Math.pow(rise(in, 1, wants, 1 + DROP_SPREAD, dcVolts, amps, USUAL_OHMS) - rise, 2);
            }
            return new Exchange(present, after, rise, Math.sqrt(squares), amps);
        });
    }

    /** Volts over current of either, from little to twice what is drawn now. */
    public static List<Point> curve(CapacitorInput input, double amps) {
        return IntStream.rangeClosed(1, POINTS)
                .mapToDouble(i -> 2 * amps * i / POINTS)
                .mapToObj(drawn -> new Point(drawn, input.volts(drawn)))
                .toList();
    }

    private static double rise(
            RectifierType in,
            double inScale,
            RectifierType wants,
            double wantsScale,
            double dcVolts,
            double amps,
            double ohms) {
        return CapacitorInput.through(dcVolts, amps, ohms, in, inScale)
                .map(present -> present.with(wants, wantsScale).volts(amps) - dcVolts)
                .orElse(0.0);
    }
}
