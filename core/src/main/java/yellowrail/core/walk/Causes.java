package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Resistor;

/**
 * What usually makes a node read what it does, by what its neighbours read: the supply above it, the plate and the
 * cathode of its stage, whatever else hangs on its branch.
 */
final class Causes {

    /** A plate whose resistor drops less than this part of what it should carries no current. */
    private static final double NO_DROP = 0.15;
    /** Where nobody knows what it should drop, less than this part of the supply. */
    private static final double NO_DROP_OF_SUPPLY = 0.03;

    private static final double NOTHING = 0.3;
    /** A grid that should stand at ground and does not, V. */
    private static final double DC = 0.5;

    private final ChartCheck check;

    Causes(ChartCheck check) {
        this.check = check;
    }

    List<WalkFinding> of(NodeStanding standing) {
        List<WalkFinding> says = new ArrayList<>(standing.says());
        String label = standing.node().label();
        switch (standing.verdict()) {
            case OVER_RATING ->
                says.add(new WalkFinding.PastItsCapacitor(
                        label,
                        standing.volts(),
                        standing.node().bank().orElseThrow().ratedVolts()));
            case PULSING -> says.add(new WalkFinding.ReadOscillatorOff(label));
            case HIGH, LOW, OUT_OF_FAMILY -> says.add(cause(standing));
            default -> noCurrent(standing).ifPresent(says::add);
        }
        return says;
    }

    private WalkFinding cause(NodeStanding standing) {
        return switch (standing.node().kind()) {
            case PLATE -> noCurrent(standing).or(() -> supply(standing)).orElseGet(() -> plate(standing));
            case CATHODE -> cathode(standing);
            case SUPPLY -> supply(standing).orElseGet(() -> branch(standing));
            case GRID -> grid(standing);
            case HEATER -> new WalkFinding.HeaterOff(standing.node().label());
            case OTHER -> new WalkFinding.SomethingElse(standing.node().label());
        };
    }

    /** Whether it is off, and which way, by what it should read or by what it is unlike. */
    private static boolean isLow(NodeStanding standing) {
        return standing.verdict() == NodeVerdict.LOW
                || standing.verdict() == NodeVerdict.OUT_OF_FAMILY && low(standing);
    }

    private static boolean isHigh(NodeStanding standing) {
        return standing.verdict() == NodeVerdict.HIGH
                || standing.verdict() == NodeVerdict.OUT_OF_FAMILY && !low(standing);
    }

    private static boolean low(NodeStanding standing) {
        if (standing.window().isPresent()) {
            return standing.off() < 0;
        }
        WalkFinding unlike = standing.says().get(0);
        return unlike instanceof WalkFinding.UnlikeItsTwin twin
                ? twin.volts() < twin.twinVolts()
                : unlike instanceof WalkFinding.UnlikeLastRun last && last.volts() < last.scaled();
    }

    /** A plate that stands at its supply. */
    private Optional<WalkFinding> noCurrent(NodeStanding standing) {
        Optional<NodeStanding> feeder = check.feeder(standing.node()).filter(NodeStanding::isRead);
        if (standing.node().kind() != NodeKind.PLATE || !standing.isRead() || feeder.isEmpty()) {
            return Optional.empty();
        }
        double drop = feeder.get().volts() - standing.volts();
        OptionalDouble should = shouldDrop(standing, feeder.get());
        boolean none = drop < NO_DROP_OF_SUPPLY * feeder.get().volts()
                && (should.isEmpty() || drop < NO_DROP * should.getAsDouble());
        if (!none || standing.verdict() == NodeVerdict.INSIDE) {
            return Optional.empty();
        }
        String label = standing.node().label();
        Optional<NodeStanding> cathode = mate(standing.node(), NodeKind.CATHODE);
        if (cathode.isPresent() && isHigh(cathode.get())) {
            return Optional.of(new WalkFinding.CathodeOpen(
                    label, cathode.get().node().label(), cathode.get().volts()));
        }
        if (cathode.isPresent() && isNothing(cathode.get())) {
            return Optional.of(
                    new WalkFinding.DeadTube(label, cathode.get().node().label()));
        }
        return Optional.of(new WalkFinding.NoCurrent(
                label, standing.volts(), feeder.get().node().label()));
    }

    private static OptionalDouble shouldDrop(NodeStanding plate, NodeStanding feeder) {
        return plate.window().isPresent() && feeder.window().isPresent()
                ? OptionalDouble.of(
                        feeder.window().get().middle() - plate.window().get().middle())
                : OptionalDouble.empty();
    }

    private static boolean isNothing(NodeStanding cathode) {
        return cathode.window()
                .map(window -> cathode.volts() < NOTHING * window.middle())
                .orElse(Math.abs(cathode.volts()) < NOTHING);
    }

    /** The read node of another kind in the same stage. */
    private Optional<NodeStanding> mate(ChartNode node, NodeKind kind) {
        return node.stage().isBlank()
                ? Optional.empty()
                : check.chart().ofStage(node.stage(), kind).stream()
                        .map(check::of)
                        .filter(NodeStanding::isRead)
                        .findFirst();
    }

    /** What its supply is off by, the same way. */
    private Optional<WalkFinding> supply(NodeStanding standing) {
        return check.feeder(standing.node())
                .filter(NodeStanding::isRead)
                .filter(feeder -> isLow(feeder) && isLow(standing) || isHigh(feeder) && isHigh(standing))
                .map(feeder -> new WalkFinding.FollowsItsSupply(
                        standing.node().label(), feeder.node().label()));
    }

    private WalkFinding plate(NodeStanding standing) {
        String label = standing.node().label();
        Optional<NodeStanding> cathode = mate(standing.node(), NodeKind.CATHODE);
        if (isLow(standing)) {
            if (cathode.filter(Causes::isHigh).isPresent()) {
                return new WalkFinding.GridPulledUp(label, cathode.get().node().label());
            }
            return cathode.isPresent()
                            && standing.node().feed().flatMap(Feed::through).isPresent()
                    ? new WalkFinding.PlateResistorRisen(
                            label,
                            standing.node()
                                    .feed()
                                    .flatMap(Feed::through)
                                    .map(Resistor::ohms)
                                    .orElseThrow())
                    : new WalkFinding.DrawsTooMuch(label);
        }
        return cathode.filter(Causes::isHigh)
                .<WalkFinding>map(high ->
                        new WalkFinding.CathodeResistorRisen(label, high.node().label()))
                .orElseGet(() -> new WalkFinding.DrawsTooLittle(label));
    }

    private WalkFinding cathode(NodeStanding standing) {
        String label = standing.node().label();
        Optional<NodeStanding> plate = mate(standing.node(), NodeKind.PLATE);
        if (isLow(standing)) {
            return isNothing(standing)
                    ? plate.flatMap(this::noCurrent).orElseGet(() -> new WalkFinding.CathodeDead(label))
                    : new WalkFinding.CathodeLow(label);
        }
        if (plate.filter(Causes::isHigh).isPresent()) {
            return new WalkFinding.CathodeResistorRisen(plate.get().node().label(), label);
        }
        if (plate.filter(Causes::isLow).isPresent()) {
            return new WalkFinding.GridPulledUp(plate.get().node().label(), label);
        }
        return new WalkFinding.CathodeHigh(label);
    }

    private static WalkFinding grid(NodeStanding standing) {
        String label = standing.node().label();
        double should = standing.window().map(window -> window.middle()).orElse(0.0);
        return standing.volts() > should && Math.abs(should) < DC
                ? new WalkFinding.GridHasDc(label, standing.volts())
                : new WalkFinding.GridBiasOff(label);
    }

    /** A supply whose own supply is right. */
    private WalkFinding branch(NodeStanding standing) {
        String label = standing.node().label();
        if (isHigh(standing)) {
            return new WalkFinding.SupplyHigh(label);
        }
        return standing.node()
                .feed()
                .filter(feed -> feed.through().isPresent())
                .<WalkFinding>map(feed -> new WalkFinding.BranchLow(
                        label, feed.from(), feed.through().get().ohms()))
                .orElseGet(() -> new WalkFinding.SourceLow(label));
    }
}
