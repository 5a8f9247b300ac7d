package yellowrail.core.bias.circuit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * The resistances of a circuit as the capacitors see them: a conductance between the reservoir, the supply node and
 * ground, and what every other node makes of the volts of those two. Kirchhoff's current law at each node, the inner
 * ones eliminated: {@code G' = Gkk - Gki Gii^-1 Gik}.
 */
final class Nodes {

    /** Every node leaks that much to ground, S: what hangs in the air stands at zero. */
    static final double AIR = 1e-12;

    private static final int KEPT = 2;
    /** A node in the air is no singular matrix. */
    private static final double LEAST_PIVOT = 1e-15;

    private final Map<String, Integer> index = new LinkedHashMap<>();
    /** Of reservoir and supply, S. */
    private final double[][] conductance;
    /** What of the reservoir's and the supply's volts arrives at each node. */
    private final double[][] share;

    Nodes(List<Leg> legs) {
        index.put(Circuit.RESERVOIR, 0);
        index.put(Circuit.SUPPLY, 1);
        legs.stream()
                .flatMap(leg -> Stream.of(leg.from(), leg.to()))
                .filter(node -> !node.equals(Circuit.GROUND))
                .forEach(node -> index.putIfAbsent(node, index.size()));
        double[][] all = all(legs);
        int inner = all.length - KEPT;
        RealMatrix kept = new Array2DRowRealMatrix(all).getSubMatrix(0, 1, 0, 1);
        share = new double[all.length][KEPT];
        share[0][0] = 1;
        share[1][1] = 1;
        if (inner > 0) {
            RealMatrix whole = new Array2DRowRealMatrix(all);
            RealMatrix innerToKept = whole.getSubMatrix(KEPT, all.length - 1, 0, 1);
            RealMatrix follow = new LUDecomposition(
                            whole.getSubMatrix(KEPT, all.length - 1, KEPT, all.length - 1), LEAST_PIVOT)
                    .getSolver()
                    .solve(innerToKept)
                    .scalarMultiply(-1);
            kept = kept.add(innerToKept.transpose().multiply(follow));
            for (int i = 0; i < inner; i++) {
                share[KEPT + i] = follow.getRow(i);
            }
        }
        conductance = kept.getData();
    }

    private double[][] all(List<Leg> legs) {
        double[][] all = new double[index.size()][index.size()];
        for (int i = 0; i < all.length; i++) {
            all[i][i] = AIR;
        }
        for (Leg leg : legs) {
            int from = index.getOrDefault(leg.from(), -1);
            int to = index.getOrDefault(leg.to(), -1);
            double siemens = 1 / leg.ohms();
            if (from >= 0) {
                all[from][from] += siemens;
            }
            if (to >= 0) {
                all[to][to] += siemens;
            }
            if (from >= 0 && to >= 0) {
                all[from][to] -= siemens;
                all[to][from] -= siemens;
            }
        }
        return all;
    }

    /** Between reservoir and supply, with the sign of a nodal matrix, S. */
    double[][] conductance() {
        return conductance;
    }

    /** What hangs on the reservoir once the supply node has settled, S. */
    double load() {
        return conductance[0][0] + conductance[0][1] * settled();
    }

    /** The supply node's volts over the reservoir's, in rest. */
    double settled() {
        return -conductance[1][0] / conductance[1][1];
    }

    /** What a meter reads from a node to ground with the power off, the reservoir's and all other volts gone, ohm. */
    static double ohmsToGround(List<Leg> legs, String node) {
        Nodes nodes = new Nodes(legs);
        Integer at = nodes.index.get(node);
        if (at == null) {
            return 0;
        }
        double[] probe = new double[nodes.index.size()];
        probe[at] = 1;
        return new LUDecomposition(new Array2DRowRealMatrix(nodes.all(legs)), LEAST_PIVOT)
                .getSolver()
                .solve(new ArrayRealVector(probe))
                .getEntry(at);
    }

    /** Volts of a node, V; 0 of ground and of what is nowhere. */
    double volts(String node, double reservoir, double supply) {
        Integer at = index.get(node);
        return at == null ? 0 : share[at][0] * reservoir + share[at][1] * supply;
    }
}
