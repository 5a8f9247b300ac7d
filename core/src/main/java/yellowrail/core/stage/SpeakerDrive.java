package yellowrail.core.stage;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import yellowrail.core.chart.Point;
import yellowrail.core.iron.Impedance;
import yellowrail.core.root.UnsettledException;

/**
 * A stage driven into a speaker\u2019s impedance at one frequency, whose current does not keep step with its voltage:
 * the tube does not run along a line but round a loop. All moments of the cycle are found together, as what the tubes
 * give and what the load takes must agree at each, by Newton\u2019s method.
 *
 * <p>The load is a resistor with a coil or a capacitor beside it that make the impedance at that frequency. Supplies
 * and cathodes stand as the nominal load leaves them.
 *
 * @param speaker the impedance
 * @param path volts and amperes of a tube of the upper side, closed
 * @param watts of the fundamental into the load
 * @param plateWatts mean dissipation of the plate that takes most
 * @param peakPlateVolts V
 */
public record SpeakerDrive(
        Impedance speaker, List<Point> path, double watts, double plateWatts, double peakPlateVolts) {

    private static final int STEPS = 64;
    private static final int MOST_ROUNDS = 60;
    /** Of the currents, A. */
    private static final double TOLERANCE = 1e-7;

    private static final double VOLT_TOLERANCE = 1e-7;
    /** Step of the numerical slopes, V. */
    private static final double STEP = 1e-2;

    private static final double LEAST_PART = 1e-4;

    /**
     * @param found the stage on its nominal load
     * @param nominalOhms the speaker that this load is meant for
     * @return empty where the impedance is none that a speaker can have, or nothing settles
     */
    public static Optional<SpeakerDrive> of(Performance found, Impedance speaker, double nominalOhms) {
        OutputStage stage = found.stage();
        double ohms = stage.loadOhms() * speaker.ohms() / nominalOhms;
        double behind = Math.toRadians(speaker.degrees());
        if (Math.abs(speaker.degrees()) >= 90) {
            return Optional.empty();
        }
        double perSide = stage.perSideOhm();
        Load load = new Load(
                (ohms * Math.cos(behind) + stage.losses().secondary()) / perSide, ohms * Math.sin(behind) / perSide);
        try {
            Search search = new Search(found, load);
            double[] windings = search.find();
            return Optional.of(of(found, speaker, load, search, windings));
        } catch (UnsettledException | MathIllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static SpeakerDrive of(Performance found, Impedance speaker, Load load, Search search, double[] windings) {
        Sample[] upper = new Sample[STEPS];
        Sample[] lower = new Sample[STEPS];
        for (int j = 0; j < STEPS; j++) {
            upper[j] = search.upper(j, windings[j]);
            lower[j] = found.stage().isPushPull() ? search.lower(j, windings[j]) : upper[j];
        }
        double sine = 0;
        double cosine = 0;
        for (int j = 0; j < STEPS; j++) {
            sine += windings[j] * Math.sin(2 * Math.PI * j / STEPS) * 2 / STEPS;
            cosine += windings[j] * Math.cos(2 * Math.PI * j / STEPS) * 2 / STEPS;
        }
        OutputStage stage = found.stage();
        double part = 1 - stage.losses().secondary() / stage.perSideOhm() / load.ohms();
        return new SpeakerDrive(
                speaker,
                IntStream.rangeClosed(0, STEPS)
                        .mapToObj(j -> upper[j % STEPS])
                        .map(at -> new Point(at.plateVolts(), at.plateAmps()))
                        .toList(),
                part * load.conductance() * (sine * sine + cosine * cosine) / 2,
                Math.max(mean(upper), mean(lower)),
                Math.max(peak(upper), peak(lower)));
    }

    private static double mean(Sample[] samples) {
        return Arrays.stream(samples).mapToDouble(Sample::plateWatts).average().orElseThrow();
    }

    private static double peak(Sample[] samples) {
        return Arrays.stream(samples).mapToDouble(Sample::plateVolts).max().orElseThrow();
    }

    /** The load as half the primary sees it, single-ended the primary: resistance and reactance, ohm. */
    private record Load(double ohms, double reactance) {

        double conductance() {
            return ohms / (ohms * ohms + reactance * reactance);
        }

        /** What a coil or a capacitor beside the resistor lets through at a harmonic, A/V. */
        double susceptance(int harmonic) {
            double first = -reactance / (ohms * ohms + reactance * reactance);
            return first < 0 ? first / harmonic : first * harmonic;
        }

        /** Current at a moment that a volt makes which lasts one step, so many steps earlier, A/V. */
        double[] response() {
            double[] response = new double[STEPS];
            for (int n = 0; n < STEPS; n++) {
                double sum = conductance() * (1 + Math.cos(Math.PI * n));
                for (int k = 1; k < STEPS / 2; k++) {
                    double angle = 2 * Math.PI * k * n / STEPS;
                    sum += 2 * (conductance() * Math.cos(angle) - susceptance(k) * Math.sin(angle));
                }
                response[n] = sum / STEPS;
            }
            return response;
        }
    }

    /** The search for the winding\u2019s voltage at all moments of the cycle. */
    private static final class Search {

        private final Performance found;
        private final Signal.Slow slow;
        private final Side upper;
        private final Side lower;
        private final double[] response;

        Search(Performance found, Load load) {
            this.found = found;
            this.slow = found.slow();
            this.upper = Side.upper(found.stage(), VOLT_TOLERANCE);
            this.lower = Side.lower(found.stage(), VOLT_TOLERANCE);
            this.response = load.response();
        }

        private double drive(int j) {
            return found.peakDrive() * Math.sin(2 * Math.PI * j / STEPS);
        }

        Sample upper(int j, double winding) {
            return upper.at(slow, drive(j), winding);
        }

        Sample lower(int j, double winding) {
            return lower.at(slow, -drive(j), -winding);
        }

        private double magnetising(int j, double winding) {
            double amps = found.stage().magnetising(upper(j, winding));
            return found.stage().isPushPull() ? amps - found.stage().magnetising(lower(j, winding)) : amps;
        }

        double[] find() {
            double[] x = onNominalLoad();
            double[] off = off(x);
            for (int round = 0; round < MOST_ROUNDS; round++) {
                if (new ArrayRealVector(off, false).getLInfNorm() < TOLERANCE) {
                    return x;
                }
                double[] step = new LUDecomposition(slopes(x))
                        .getSolver()
                        .solve(new ArrayRealVector(off, false))
                        .toArray();
                double part = 1;
                double[] tried = moved(x, step, part);
                double[] left = off(tried);
                while (norm(left) > norm(off) && part > LEAST_PART) {
                    part /= 2;
                    tried = moved(x, step, part);
                    left = off(tried);
                }
                x = tried;
                off = left;
            }
            throw new UnsettledException(MOST_ROUNDS);
        }

        /** The winding as the nominal load has it: half a cycle, there and back. */
        private double[] onNominalLoad() {
            List<Sample> half = found.samples();
            int last = half.size() - 1;
            return IntStream.range(0, STEPS)
                    .mapToDouble(j -> {
                        double quarters = 4.0 * j / STEPS;
                        double from = quarters <= 1 ? quarters : quarters <= 3 ? 2 - quarters : quarters - 4;
                        return half.get((int) Math.round((from + 1) / 2 * last)).winding();
                    })
                    .toArray();
        }

        /** What the tubes give less what the load takes, at each moment, A. */
        private double[] off(double[] windings) {
            double[] amps = IntStream.range(0, STEPS)
                    .mapToDouble(j -> magnetising(j, windings[j]))
                    .toArray();
            double mean = Arrays.stream(amps).average().orElseThrow();
            double[] off = new double[STEPS];
            for (int j = 0; j < STEPS; j++) {
                off[j] = amps[j] - mean;
                for (int k = 0; k < STEPS; k++) {
                    off[j] -= response[Math.floorMod(j - k, STEPS)] * windings[k];
                }
            }
            return off;
        }

        private RealMatrix slopes(double[] windings) {
            RealMatrix slopes = MatrixUtils.createRealMatrix(STEPS, STEPS);
            for (int k = 0; k < STEPS; k++) {
                double slope = (magnetising(k, windings[k] + STEP) - magnetising(k, windings[k] - STEP)) / (2 * STEP);
                for (int j = 0; j < STEPS; j++) {
                    slopes.setEntry(j, k, (j == k ? slope : 0) - slope / STEPS - response[Math.floorMod(j - k, STEPS)]);
                }
            }
            return slopes;
        }

        private static double[] moved(double[] x, double[] step, double part) {
            return IntStream.range(0, x.length)
                    .mapToDouble(i -> x[i] - part * step[i])
                    .toArray();
        }

        private static double norm(double[] values) {
            return new ArrayRealVector(values, false).getNorm();
        }
    }
}
