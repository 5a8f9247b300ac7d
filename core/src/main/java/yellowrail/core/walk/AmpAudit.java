package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.audit.Audit;
import yellowrail.core.audit.AuditProblem;
import yellowrail.core.audit.Draw;
import yellowrail.core.audit.NodeVolts;
import yellowrail.core.audit.Part;
import yellowrail.core.audit.PartCurrent;
import yellowrail.core.audit.Residue;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Estimate;

/**
 * Accounts for every milliamp of an amp as it was read: each resistor of its chart is a meter, the output stage draws
 * what its own readings tell, a stage draws at its plates what its cathode resistor carries.
 */
public final class AmpAudit {

    private final ChartCheck check;
    private final List<TubeIdle> tubes;
    private final List<NodeVolts> nodes = new ArrayList<>();
    private final List<Part> parts = new ArrayList<>();
    private final List<Draw> draws = new ArrayList<>();
    private final Map<String, List<String>> missing = new HashMap<>();
    private final Map<Part, ChartNode> partOf = new HashMap<>();
    private final List<String> coarse = new ArrayList<>();
    private final List<PartCurrent> currents;
    private final List<Residue> residues;
    private final Map<String, Double> idle = new HashMap<>();

    public AmpAudit(ChartCheck check, AmpSheet sheet, List<TubeIdle> tubes) {
        this.check = check;
        this.tubes = tubes;
        for (NodeStanding each : check.standings()) {
            if (isMetered(each)) {
                double last = each.reading().orElseThrow().entry().lastDigit();
                nodes.add(new NodeVolts(
                        each.node().label(), each.volts(), sheet.meter().countsOfVolts(last)));
                if (last > sheet.meter().lastOfVolts()) {
                    coarse.add(each.node().label());
                }
            }
        }
        check.standings().forEach(this::parts);
        check.standings().forEach(this::draws);
        Audit audit =
                new Audit(new AuditProblem(nodes, parts, draws, sheet.meter().ofReading()));
        currents = audit.currents();
        residues = audit.residues();
    }

    private static boolean isMetered(NodeStanding standing) {
        return standing.isRead() && !standing.node().ac();
    }

    private void parts(NodeStanding standing) {
        ChartNode node = standing.node();
        Optional<Resistor> through = node.feed().flatMap(Feed::through);
        if (through.isPresent() && !node.ac()) {
            Optional<NodeStanding> feeder = check.feeder(node);
            if (isMetered(standing) && feeder.filter(AmpAudit::isMetered).isPresent()) {
                add(feeder.get().node().label(), node.label(), through.get(), node);
            } else {
                feeder.ifPresent(from -> missing(from.node(), node.label()));
            }
        }
        if (isMetered(standing)) {
            node.toGround().ifPresent(resistor -> add(node.label(), Part.GROUND, resistor, node));
            node.bank()
                    .ifPresent(bank -> bank.wholeBleeder()
                            .ifPresent(ohms -> add(node.label(), Part.GROUND, Resistor.of(ohms), node)));
        }
    }

    private void add(String from, String to, Resistor resistor, ChartNode node) {
        Part part = new Part(from, to, resistor.ohms(), resistor.tolerance(), resistor.watts());
        parts.add(part);
        partOf.put(part, node);
    }

    private void missing(ChartNode at, String what) {
        missing.computeIfAbsent(ChartNode.key(at.label()), label -> new ArrayList<>())
                .add(what);
    }

    private void draws(NodeStanding standing) {
        ChartNode node = standing.node();
        if (node.kind() == NodeKind.CATHODE) {
            follower(standing);
        }
        if (node.kind() == NodeKind.PLATE && isMetered(standing)) {
            tube(standing);
        }
        if (isMetered(standing) && (node.hangs().plates() || node.hangs().screens())) {
            output(node);
        }
    }

    /** A tube whose plate stands on a supply itself draws there what its cathode resistor carries. */
    private void follower(NodeStanding cathode) {
        Optional<NodeStanding> feeder = check.feeder(cathode.node())
                .filter(from -> cathode.node().feed().flatMap(Feed::through).isEmpty());
        if (feeder.filter(AmpAudit::isMetered).isEmpty()) {
            return;
        }
        Optional<StageCurrent.Amps> amps = cathodeAmps(List.of(cathode.node()));
        if (amps.isPresent()) {
            draws.add(new Draw(
                    feeder.get().node().label(), amps.get().value(), amps.get().plusMinus()));
        } else {
            missing(feeder.get().node(), cathode.node().label());
        }
    }

    /** What flows into a plate flows on into its cathode resistor, each plate of a stage its part. */
    private void tube(NodeStanding plate) {
        String stage = plate.node().stage();
        if (!stage.isBlank() && check.chart().ofStage(stage, NodeKind.PLATE).size() == 1) {
            cathodeAmps(check.chart().ofStage(stage, NodeKind.CATHODE))
                    .ifPresent(amps -> draws.add(new Draw(plate.node().label(), amps.value(), amps.plusMinus())));
        }
    }

    private Optional<StageCurrent.Amps> cathodeAmps(List<ChartNode> cathodes) {
        StageCurrent.Amps sum = StageCurrent.Amps.NONE;
        for (ChartNode node : cathodes) {
            NodeStanding standing = check.of(node);
            if (!isMetered(standing) || node.toGround().isEmpty()) {
                return Optional.empty();
            }
            double amps = node.ampsToGround(standing.volts());
            sum = sum.plus(new StageCurrent.Amps(
                    amps,
                    Math.abs(amps)
                            * Math.hypot(
                                    node.toGround().get().tolerance(),
                                    standing.plusMinus() / Math.max(1e-9, Math.abs(standing.volts())))));
        }
        return cathodes.isEmpty() ? Optional.empty() : Optional.of(sum);
    }

    private void output(ChartNode node) {
        for (TubeIdle tube : tubes) {
            boolean here = node.channel() == Channel.MONO
                    || node.channel() == tube.socket().channel();
            if (here && tube.figures().isPresent()) {
                Estimate amps = amps(node, tube.figures().get());
                draws.add(new Draw(node.label(), amps.value(), amps.plusMinus()));
                idle.merge(ChartNode.key(node.label()), amps.value(), Double::sum);
            } else if (here) {
                missing(node, tube.socket().label());
            }
        }
    }

    private static Estimate amps(ChartNode node, IdleFigures figures) {
        if (node.hangs().plates() && node.hangs().screens()) {
            return figures.cathode();
        }
        return node.hangs().plates() ? figures.plateCurrent() : figures.screen();
    }

    /** Whether there is anything to account for. */
    public boolean isEmpty() {
        return currents.isEmpty();
    }

    public List<PartCurrent> currents() {
        return currents;
    }

    /** The node a part belongs to: the one it feeds, or the one it leads to ground from. */
    public ChartNode nodeOf(PartCurrent current) {
        return partOf.get(current.part());
    }

    /** What is left over at each node that was read on both sides. */
    public List<Residue> residues() {
        return residues;
    }

    /** What hangs on a node and was not read: stages, tubes. */
    public List<String> missingAt(String node) {
        return missing.getOrDefault(ChartNode.key(node), List.of());
    }

    /** The node and its neighbours, as far as they were typed without the last digits that the meter has. */
    public List<String> coarseAt(String node) {
        Set<String> near = new HashSet<>(Set.of(node));
        parts.stream().filter(part -> part.to().equals(node)).map(Part::from).forEach(near::add);
        parts.stream().filter(part -> part.from().equals(node)).map(Part::to).forEach(near::add);
        return coarse.stream().filter(near::contains).toList();
    }

    /** The currents of the stages that have a name, in the order of the chart. */
    public List<StageCurrent> stages() {
        List<StageCurrent> stages = new ArrayList<>();
        for (String name : check.chart().stages()) {
            StageCurrent stage = new StageCurrent(
                    name,
                    plateAmps(check.chart().ofStage(name, NodeKind.PLATE)),
                    cathodeAmps(check.chart().ofStage(name, NodeKind.CATHODE)));
            if (stage.draws().isPresent()) {
                stages.add(stage);
            }
        }
        return stages;
    }

    private Optional<StageCurrent.Amps> plateAmps(List<ChartNode> plates) {
        StageCurrent.Amps sum = StageCurrent.Amps.NONE;
        for (ChartNode plate : plates) {
            Optional<PartCurrent> feed = current(part -> part.to().equals(plate.label()));
            if (feed.isEmpty()) {
                return Optional.empty();
            }
            sum = sum.plus(new StageCurrent.Amps(feed.get().amps(), feed.get().plusMinus()));
        }
        return plates.isEmpty() ? Optional.empty() : Optional.of(sum);
    }

    /** What all sources give, A: what leaves the nodes that nothing feeds. */
    public OptionalDouble fromSources() {
        List<String> sources = check.standings().stream()
                .filter(standing -> standing.node().kind() == NodeKind.SUPPLY
                        && standing.node().feed().isEmpty()
                        && isMetered(standing))
                .map(standing -> standing.node().label())
                .toList();
        double amps = currents.stream()
                        .filter(current -> sources.contains(current.part().from()))
                        .mapToDouble(PartCurrent::amps)
                        .sum()
                + draws.stream()
                        .filter(draw -> sources.contains(draw.node()))
                        .mapToDouble(Draw::amps)
                        .sum();
        return sources.isEmpty() || amps == 0 ? OptionalDouble.empty() : OptionalDouble.of(amps);
    }

    /** What the output stage draws of the nodes it hangs on, A. */
    public double stageAmps() {
        return idle.values().stream().mapToDouble(amps -> amps).sum();
    }

    /** The same of one node. */
    double idleAt(ChartNode node) {
        return idle.getOrDefault(ChartNode.key(node.label()), 0.0);
    }

    /**
     * A branch that ends in a divider.
     *
     * @param label of the node between its resistors
     * @param alone what they would make of it with nothing else there, V
     * @param read V
     * @param taken what is drawn from it, A; negative where something feeds it besides
     * @param plusMinus of what is drawn, A
     */
    public record Divider(String label, double alone, double read, double taken, double plusMinus) {}

    /** Nodes fed through one resistor and led to ground through another. */
    public List<Divider> dividers() {
        List<Divider> dividers = new ArrayList<>();
        for (NodeStanding each : check.standings()) {
            String label = each.node().label();
            Optional<NodeStanding> feeder = check.feeder(each.node());
            Optional<PartCurrent> upper = current(part -> part.to().equals(label));
            Optional<PartCurrent> lower =
                    current(part -> part.from().equals(label) && part.to().equals(Part.GROUND));
            if (feeder.isPresent() && upper.isPresent() && lower.isPresent()) {
                double below = lower.get().part().ohms();
                dividers.add(new Divider(
                        label,
                        feeder.get().volts() * below / (upper.get().part().ohms() + below),
                        each.volts(),
                        upper.get().amps() - lower.get().amps(),
                        Math.hypot(upper.get().plusMinus(), lower.get().plusMinus())));
            }
        }
        return dividers;
    }

    private Optional<PartCurrent> current(Predicate<Part> which) {
        return currents.stream().filter(each -> which.test(each.part())).findFirst();
    }
}
