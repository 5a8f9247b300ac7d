package yellowrail.core.audit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Accounts for the currents of a supply. A part between two nodes carries {@code I = (Vfrom - Vto) / R}; at a node the
 * sum of what flows in, less what flows out and what is drawn there, is its residue (Kirchhoff's first law).
 *
 * <p>A residue is linear in everything that was read, so its uncertainty is the root of the squares of what each source
 * alone would do to it: the node's own volts move the currents of all its parts together, the meter's gain moves all in
 * proportion, each resistor by its own tolerance, each draw by its own plus-minus.
 *
 * <p>Told are the residues of nodes that a current flows into and that let it go on, through a part or into a draw. A
 * node that nothing flows into is a source; one that lets nothing go on has not been read far enough.
 */
public final class Audit {

    private final AuditProblem problem;
    private final Map<String, NodeVolts> nodes;
    private final Map<String, List<Part>> partsAt = new HashMap<>();
    private final Map<String, List<Draw>> drawsAt = new HashMap<>();

    public Audit(AuditProblem problem) {
        this.problem = problem;
        this.nodes = problem.known();
        for (Part part : problem.parts()) {
            partsAt.computeIfAbsent(part.from(), node -> new ArrayList<>()).add(part);
            partsAt.computeIfAbsent(part.to(), node -> new ArrayList<>()).add(part);
        }
        problem.draws()
                .forEach(draw -> drawsAt.computeIfAbsent(draw.node(), node -> new ArrayList<>())
                        .add(draw));
    }

    /** What each part carries, in their order. */
    public List<PartCurrent> currents() {
        return problem.parts().stream().map(this::current).toList();
    }

    private PartCurrent current(Part part) {
        NodeVolts from = nodes.get(part.from());
        NodeVolts to = nodes.get(part.to());
        double across = from.volts() - to.volts();
        double amps = across / part.ohms();
        double read = Math.hypot(from.plusMinus(), to.plusMinus()) / part.ohms();
        double inProportion = amps * Math.hypot(part.tolerance(), problem.gain());
        return new PartCurrent(part, amps, Math.hypot(read, inProportion), across * amps);
    }

    /** What is left over at each node that a current flows through, in the order of the nodes. */
    public List<Residue> residues() {
        return problem.nodes().stream()
                .filter(node -> flowsThrough(node.label()))
                .map(node -> residue(node.label()))
                .toList();
    }

    private boolean flowsThrough(String node) {
        boolean in = false;
        boolean on = drawsAt.containsKey(node);
        for (Part part : partsAt.getOrDefault(node, List.of())) {
            double into = into(node, part);
            in |= into > 0;
            on |= into < 0;
        }
        return in && on;
    }

    /** What a part lets into a node, A. */
    private double into(String node, Part part) {
        return (nodes.get(part.otherEnd(node)).volts() - nodes.get(node).volts()) / part.ohms();
    }

    private Residue residue(String node) {
        double throughParts = 0;
        double squares = 0;
        Map<String, Double> siemens = new HashMap<>();
        for (Part part : partsAt.getOrDefault(node, List.of())) {
            double into = into(node, part);
            throughParts += into;
            squares += square(into * part.tolerance());
            siemens.merge(part.otherEnd(node), 1 / part.ohms(), Double::sum);
            siemens.merge(node, -1 / part.ohms(), Double::sum);
        }
        for (Map.Entry<String, Double> each : siemens.entrySet()) {
            squares += square(each.getValue() * nodes.get(each.getKey()).plusMinus());
        }
        squares += square(throughParts * problem.gain());
        double drawn = 0;
        for (Draw draw : drawsAt.getOrDefault(node, List.of())) {
            drawn += draw.amps();
            squares += square(draw.plusMinus());
        }
        return new Residue(node, throughParts - drawn, Math.sqrt(squares));
    }

    private static double square(double value) {
        return value * value;
    }
}
