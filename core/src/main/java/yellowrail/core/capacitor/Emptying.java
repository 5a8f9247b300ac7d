package yellowrail.core.capacitor;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Capacitors that empty through bleeders and through the resistors between them, nothing else drawing.
 *
 * <pre>C dV/dt = -G V,  V(t) = C^-1/2 Q exp(-L t) Q' C^1/2 V(0)</pre>
 *
 * with {@code L} and {@code Q} the eigenvalues and eigenvectors of {@code C^-1/2 G C^-1/2}, which is symmetric: exact
 * at any time. A supply whose bleeder sits at one node empties the others through the dropping resistors, slowly.
 */
public final class Emptying {

    /** Longer nobody waits: as good as never, s. */
    public static final double NEVER = 24 * 3600;

    private static final double FIRST = 1e-3;
    private static final int STEPS_PER_DECADE = 40;
    private static final double ENOUGH = 1e-6;

    private final List<Vessel> vessels;
    private final RealMatrix modes;
    private final double[] rates;
    private final double[] amounts;

    /**
     * A capacitor, or a stack as a whole.
     *
     * @param label its node
     * @param farads F, &gt; 0
     * @param volts it stands at when the plug comes out, V
     * @param groundOhms from it to ground; empty for none
     */
    public record Vessel(String label, double farads, double volts, OptionalDouble groundOhms) {

        public Vessel {
            if (!(farads > 0) || !Double.isFinite(volts) || !(groundOhms.orElse(1) > 0)) {
                throw new IllegalArgumentException(
                        "a capacitor has farads and volts, was %s F at %s V".formatted(farads, volts));
            }
        }
    }

    /** A resistor between two of them, ohm, &gt; 0. */
    public record Link(String one, String other, double ohms) {}

    public Emptying(List<Vessel> vessels, List<Link> links) {
        this.vessels = List.copyOf(vessels);
        int size = vessels.size();
        double[][] conductance = new double[size][size];
        for (int i = 0; i < size; i++) {
            OptionalDouble ohms = vessels.get(i).groundOhms();
            conductance[i][i] = ohms.isPresent() ? 1 / ohms.getAsDouble() : 0;
        }
        for (Link link : links) {
            int one = index(link.one());
            int other = index(link.other());
            conductance[one][one] += 1 / link.ohms();
            conductance[other][other] += 1 / link.ohms();
            conductance[one][other] -= 1 / link.ohms();
            conductance[other][one] -= 1 / link.ohms();
        }
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < size; j++) {
                conductance[i][j] /=
                        Math.sqrt(vessels.get(i).farads() * vessels.get(j).farads());
            }
        }
        EigenDecompositionSymmetric solved = new EigenDecompositionSymmetric(new Array2DRowRealMatrix(conductance));
        this.modes = solved.getV();
        this.rates = solved.getEigenvalues();
        double[] start = vessels.stream()
                .mapToDouble(vessel -> Math.sqrt(vessel.farads()) * vessel.volts())
                .toArray();
        this.amounts = modes.transpose().operate(start);
    }

    private int index(String label) {
        for (int i = 0; i < vessels.size(); i++) {
            if (vessels.get(i).label().equals(label)) {
                return i;
            }
        }
        throw new IllegalArgumentException("no capacitor at " + label);
    }

    public List<Vessel> vessels() {
        return vessels;
    }

    /** What a node stands at, so many seconds after the plug came out, V. */
    public double volts(String label, double seconds) {
        int node = index(label);
        RealVector row = modes.getRowVector(node);
        double sum = 0;
        for (int mode = 0; mode < rates.length; mode++) {
            sum += row.getEntry(mode) * amounts[mode] * Math.exp(-Math.max(0, rates[mode]) * seconds);
        }
        return sum / Math.sqrt(vessels.get(node).farads());
    }

    /** When a node is under so many volts for good, s; empty where that takes longer than {@link #NEVER}. */
    public OptionalDouble seconds(String label, double safe) {
        if (Math.abs(volts(label, NEVER)) >= safe) {
            return OptionalDouble.empty();
        }
        double under = NEVER;
        double factor = Math.pow(10, -1.0 / STEPS_PER_DECADE);
        while (under > FIRST && Math.abs(volts(label, under * factor)) < safe) {
            under *= factor;
        }
        if (under <= FIRST) {
            return OptionalDouble.of(0);
        }
        double over = under * factor;
        while (under - over > ENOUGH * under) {
            double middle = (under + over) / 2;
            if (Math.abs(volts(label, middle)) < safe) {
                under = middle;
            } else {
                over = middle;
            }
        }
        return OptionalDouble.of(under);
    }

    /** The longest of them, s; empty where one takes longer than anybody waits. */
    public OptionalDouble longest(double safe) {
        List<Double> all = new ArrayList<>();
        for (Vessel vessel : vessels) {
            OptionalDouble seconds = seconds(vessel.label(), safe);
            if (seconds.isEmpty()) {
                return seconds;
            }
            all.add(seconds.getAsDouble());
        }
        return all.stream().mapToDouble(each -> each).max();
    }
}
