package yellowrail.core.rectifier;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import yellowrail.core.root.Root;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.tube.RectifierType;

/**
 * Full-wave rectification into a first capacitor so large that it stands still: while the winding is above it, current
 * flows through the winding’s copper and the rectifier, and the mean over a half cycle is what is drawn.
 *
 * <pre>
 * V cos(x) - Vdc = R i + D (i / I)^(2/3)      a tube, by its published drop D at I
 * V cos(x) - Vdc = R i + D                     silicon
 * Idc = 1/pi integral of i over the half cycle
 * </pre>
 *
 * The space-charge law between two electrodes, {@code i ~ v^(3/2)}, makes one published drop tell all others.
 *
 * @param peakVolts of the winding, each half of one with a centre tap, V
 * @param ohms in series with each plate: the half winding’s copper and the primary’s as it is seen there, ohm
 * @param scale of the rectifier’s published drop, for one that is weaker or stronger
 */
public record CapacitorInput(double peakVolts, double ohms, RectifierType type, double scale) {

    private static final int STEPS = 400;
    private static final int ROUNDS = 40;
    private static final double CLOSE = 1e-9;
    private static final double CLOSE_VOLTS = 1e-6;
    /** A winding that makes the volts nearer than this makes them. */
    private static final double FITS = 0.001;

    /** @return the one that stands at so many volts while so much is drawn; empty where none does */
    public static Optional<CapacitorInput> through(
            double dcVolts, double amps, double ohms, RectifierType type, double scale) {
        try {
            double peak = Root.between(
                    volts -> new CapacitorInput(volts, ohms, type, scale).meanAmps(dcVolts) - amps,
                    dcVolts,
                    3 * dcVolts + 300,
                    CLOSE_VOLTS);
            CapacitorInput found = new CapacitorInput(peak, ohms, type, scale);
            return amps > 0 && Math.abs(found.volts(amps) - dcVolts) < FITS * dcVolts
                    ? Optional.of(found)
                    : Optional.empty();
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }

    /** The same winding with another rectifier. */
    public CapacitorInput with(RectifierType other, double otherScale) {
        return new CapacitorInput(peakVolts, ohms, other, otherScale);
    }

    /** What the capacitor stands at while so much is drawn, V. */
    public double volts(double amps) {
        DoubleUnaryOperator excess = dc -> meanAmps(dc) - amps;
        return Root.between(excess, 0, peakVolts, CLOSE_VOLTS);
    }

    /** How far that falls with what is drawn, ohm. */
    public double slopeOhms(double amps) {
        return (volts(0.9 * amps) - volts(1.1 * amps)) / (0.2 * amps);
    }

    /** The greatest current of a cycle through one plate, A. */
    public double peakAmps(double amps) {
        return current(peakVolts - volts(amps));
    }

    private double meanAmps(double dcVolts) {
        if (dcVolts >= peakVolts) {
            return 0;
        }
        double end = Math.acos(dcVolts / peakVolts);
        double sum = 0;
        for (int i = 0; i < STEPS; i++) {
            sum += current(peakVolts * Math.cos(end * (i + 0.5) / STEPS) - dcVolts);
        }
        return 2 * sum * end / STEPS / Math.PI;
    }

    /**
     * What flows at so many volts across copper and rectifier, A; by the cube root of it, which Newton finds at once.
     */
    private double current(double volts) {
        if (type.isSilicon()) {
            return Math.max(0, (volts - type.dropVolts()) / ohms);
        }
        if (volts <= 0) {
            return 0;
        }
        double perRoot = scale * type.dropVolts() / Math.pow(type.dropAmps(), 2.0 / 3);
        double root = Math.min(Math.cbrt(volts / ohms), Math.sqrt(volts / perRoot));
        for (int i = 0; i < ROUNDS; i++) {
            double step = (ohms * root * root * root + perRoot * root * root - volts)
                    / (3 * ohms * root * root + 2 * perRoot * root);
            root -= step;
            if (Math.abs(step) < CLOSE * root) {
                break;
            }
        }
        return root * root * root;
    }
}
