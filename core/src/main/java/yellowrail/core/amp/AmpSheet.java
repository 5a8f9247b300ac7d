package yellowrail.core.amp;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeType;

/**
 * An amp as far as its idle is concerned. What is asked most is asked of the sheet itself; the rest of its groups.
 *
 * @param identity what it is to its builder
 * @param stage the power tubes and what they are judged by
 * @param measuring how it is measured
 * @param target where the idle should land
 * @param supply what feeds the stage, as far as it is known
 * @param fittings what another tube would meet
 * @param chart the nodes of the rest of the amp and what they should read
 * @param biasSupply what holds the grids negative, part by part, where the builder has drawn it on the bias bench
 */
public record AmpSheet(
        Identity identity,
        PowerStage stage,
        Measuring measuring,
        Target target,
        Supply supply,
        Fittings fittings,
        VoltageChart chart,
        Optional<BiasSupply> biasSupply) {

    public static final int MOST_SOCKETS = 8;

    /** Mains of more volts have 50 Hz, V. */
    private static final double LOW_MAINS = 180;

    public String name() {
        return identity.name();
    }

    /** The same amp under another name. */
    public AmpSheet called(String name) {
        return new AmpSheet(
                new Identity(name, identity.notes(), identity.quirks()),
                stage,
                measuring,
                target,
                supply,
                fittings,
                chart,
                biasSupply);
    }

    public Topology topology() {
        return stage.topology();
    }

    public String tubeType() {
        return stage.tubeType();
    }

    public List<Socket> sockets() {
        return stage.sockets();
    }

    public BiasKind bias() {
        return stage.bias();
    }

    public List<Pot> pots() {
        return stage.pots();
    }

    public Accepted accepted() {
        return stage.accepted();
    }

    public CurrentSense current() {
        return measuring.current();
    }

    public PlateSense plate() {
        return measuring.plate();
    }

    public ScreenSense screen() {
        return measuring.screen();
    }

    public MeterAccuracy meter() {
        return measuring.meter();
    }

    public double mainsVolts() {
        return measuring.mainsVolts();
    }

    /** Of the mains, taken from their volts, Hz. */
    public double mainsHertz() {
        return mainsVolts() > LOW_MAINS ? 50 : 60;
    }

    public double settleMinutes() {
        return measuring.settleMinutes();
    }

    public AmpSheet with(Identity other) {
        return new AmpSheet(other, stage, measuring, target, supply, fittings, chart, biasSupply);
    }

    public AmpSheet with(PowerStage other) {
        return new AmpSheet(identity, other, measuring, target, supply, fittings, chart, biasSupply);
    }

    public AmpSheet with(Measuring other) {
        return new AmpSheet(identity, stage, other, target, supply, fittings, chart, biasSupply);
    }

    public AmpSheet with(Target other) {
        return new AmpSheet(identity, stage, measuring, other, supply, fittings, chart, biasSupply);
    }

    /** The same amp on another supply. */
    public AmpSheet with(Supply other) {
        return new AmpSheet(identity, stage, measuring, target, other, fittings, chart, biasSupply);
    }

    public AmpSheet with(Fittings other) {
        return new AmpSheet(identity, stage, measuring, target, supply, other, chart, biasSupply);
    }

    public AmpSheet with(VoltageChart other) {
        return new AmpSheet(identity, stage, measuring, target, supply, fittings, other, biasSupply);
    }

    /** The same with another bias supply. */
    public AmpSheet with(Optional<BiasSupply> other) {
        return new AmpSheet(identity, stage, measuring, target, supply, fittings, chart, other);
    }

    public AmpSheet withSockets(List<Socket> others) {
        return with(stage.withSockets(others));
    }

    public AmpSheet withPots(List<Pot> others) {
        return with(stage.withPots(others));
    }

    /** The same amp with other volts taken on. */
    public AmpSheet with(Accepted other) {
        return with(stage.with(other));
    }

    /** The same amp with its current read another way, by a meter on the range for it. */
    public AmpSheet with(CurrentSense other) {
        return with(measuring.with(other));
    }

    /** The same resistors and meter, read by another method. */
    public AmpSheet with(CurrentMethod other) {
        return with(measuring.with(other));
    }

    public AmpSheet with(PlateSense other) {
        return with(measuring.with(other));
    }

    public AmpSheet with(ScreenSense other) {
        return with(measuring.with(other));
    }

    /** The same amp read with another meter. */
    public AmpSheet with(MeterAccuracy other) {
        return with(measuring.with(other));
    }

    /** The same amp, its readings taken from another meter. */
    public AmpSheet with(MeterLink other) {
        return with(measuring.with(other));
    }

    /** The same amp set at another mains, V, and given another time to settle, minutes. */
    public AmpSheet at(double mains, double minutes) {
        return with(measuring.at(mains, minutes));
    }

    /** What it is in one line: {@code 2 × EL34 push-pull, fixed, adjustable}. */
    public AmpFinding told() {
        return new AmpFinding.Stage(sockets().size(), tubeType(), topology(), bias());
    }

    /** The least DC that transformer or choke is rated for, A; empty where neither is known. */
    public OptionalDouble mostRailAmps() {
        return Stream.of(fittings.transformerAmps(), fittings.chokeAmps())
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .min();
    }

    /** The test points, each once, in the order of the sockets. */
    public List<String> testPoints() {
        return List.copyOf(
                new LinkedHashSet<>(sockets().stream().map(Socket::testPoint).toList()));
    }

    public List<Socket> socketsAt(String testPoint) {
        return sockets().stream()
                .filter(socket -> socket.testPoint().equals(testPoint))
                .toList();
    }

    public Optional<Socket> socket(String label) {
        return sockets().stream()
                .filter(socket -> socket.label().equalsIgnoreCase(label))
                .findFirst();
    }

    /** Channels, each with an output transformer of its own. */
    public int channels() {
        return (int) sockets().stream().map(Socket::channel).distinct().count();
    }

    /** Tubes at one end of an output transformer. */
    public int tubesPerSide() {
        int perChannel = sockets().size() / channels();
        return Math.max(1, topology() == Topology.SINGLE_ENDED ? perChannel : perChannel / 2);
    }

    /** How many tubes hang on the same half of the output transformer as this one, itself included. */
    public int tubesBeside(Socket socket) {
        return (int) sockets().stream()
                .filter(other -> other.side() == socket.side() && other.channel() == socket.channel())
                .count();
    }

    /**
     * The limits a tube of this type is judged by here: the builder's own figure, which is of the type on the sheet
     * alone; or the chosen system's, or the customary ones.
     */
    public Rating rating(TubeType type) {
        Rating chosen = type.rating(stage.ratingSystem()).orElse(type.customaryRating());
        Rating taken = stage.ownPlateWatts().isPresent() && isOf(type)
                ? chosen.withPlateWatts(stage.ownPlateWatts().getAsDouble(), new TubeFinding.OnAmpSheet())
                : chosen;
        return taken.under(bias().isCathode(), screen().connection() == ScreenSense.Connection.TRIODE);
    }

    /** Whether that is the type on the sheet. */
    public boolean isOf(TubeType type) {
        return type.name().equals(tubeType()) || type.aka().contains(tubeType());
    }
}
