package yellowrail.core.amp;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;

/**
 * What an amp most likely is, once its topology, bias kind, tube type and number of tubes are known: enough to put a
 * first amp on the bench. Only the ohms of a cathode resistor cannot be guessed.
 */
public record AmpDefaults(Topology topology, BiasKind bias, TubeType type, int tubes, boolean stereo) {

    private static final double MAINS = 120;
    private static final double SETTLE_MINUTES = 10;
    private static final double SENSE_OHMS = 1;
    private static final double SENSE_TOLERANCE = 0.01;
    private static final double OTHER_TOLERANCE = 0.05;

    public AmpDefaults {
        if (tubes < 1 || tubes > AmpSheet.MOST_SOCKETS) {
            throw new IllegalArgumentException(
                    "an amp has 1 to %d power tubes, was %d".formatted(AmpSheet.MOST_SOCKETS, tubes));
        }
    }

    public AmpSheet sheet() {
        return sheet(usualMethod(bias));
    }

    /** The same where current is read another way: test points and what the meter shows follow from it. */
    public AmpSheet sheet(CurrentMethod method) {
        CurrentSense current = currentSense(method);
        return new AmpSheet(
                Identity.NONE,
                new PowerStage(
                        topology,
                        type.name(),
                        type.customaryRating().system(),
                        OptionalDouble.empty(),
                        sockets(method),
                        bias,
                        pots(),
                        Accepted.NONE),
                new Measuring(
                        current,
                        new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.GROUND, OptionalDouble.empty()),
                        new ScreenSense(
                                ScreenSense.Way.TYPICAL,
                                OptionalDouble.empty(),
                                ScreenSense.Connection.PENTODE,
                                OptionalDouble.empty()),
                        meter(current.shows()),
                        MAINS,
                        SETTLE_MINUTES,
                        MeterLink.NONE),
                Target.customary(bias, topology),
                Supply.UNKNOWN,
                Fittings.UNKNOWN,
                VoltageChart.EMPTY,
                Optional.empty());
    }

    /** How such an amp is usually read. */
    public static CurrentMethod usualMethod(BiasKind bias) {
        return bias.isCathode() ? CurrentMethod.CATHODE_RESISTOR : CurrentMethod.SENSE_EACH;
    }

    /** The fewest tubes of a topology. */
    public static int least(Topology topology, boolean stereo) {
        return (topology == Topology.SINGLE_ENDED ? 1 : 2) * (stereo ? 2 : 1);
    }

    private CurrentSense currentSense(CurrentMethod method) {
        Unit shows = !method.acrossResistance()
                ? Unit.MILLIAMP
                : method.liftsCathode() && method != CurrentMethod.CATHODE_RESISTOR ? Unit.MILLIVOLT : Unit.VOLT;
        boolean sense = method == CurrentMethod.SENSE_EACH
                || method == CurrentMethod.SENSE_SHARED
                || method == CurrentMethod.STAGE_TEST_POINT;
        return new CurrentSense(
                method,
                sense ? OptionalDouble.of(SENSE_OHMS) : OptionalDouble.empty(),
                sense ? SENSE_TOLERANCE : !method.acrossResistance() ? 0 : OTHER_TOLERANCE,
                shows,
                CurrentSense.ROOM,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** The ordinary meter on the range that shows this unit. */
    public static MeterAccuracy meter(Unit shows) {
        MeterAccuracy ordinary = MeterAccuracy.ORDINARY;
        double last = shows == Unit.VOLT ? 0.01 : 1e-4;
        return new MeterAccuracy(ordinary.ofReading(), ordinary.digits(), ordinary.lastOfVolts(), last);
    }

    /** Sockets V1, V2, ...; within a channel the first half push, the rest pull. */
    public List<Socket> sockets() {
        return sockets(usualMethod(bias));
    }

    private List<Socket> sockets(CurrentMethod method) {
        List<Socket> sockets = new ArrayList<>();
        int perChannel = stereo ? (tubes + 1) / 2 : tubes;
        for (int i = 0; i < tubes; i++) {
            Channel channel = !stereo ? Channel.MONO : i < perChannel ? Channel.LEFT : Channel.RIGHT;
            int ofChannel = stereo && i >= perChannel ? tubes - perChannel : perChannel;
            int inChannel = stereo && i >= perChannel ? i - perChannel : i;
            Side side = topology == Topology.SINGLE_ENDED
                    ? Side.SINGLE
                    : inChannel < (ofChannel + 1) / 2 ? Side.PUSH : Side.PULL;
            String label = "V" + (i + 1);
            sockets.add(new Socket(label, side, channel, testPoint(method, label, side, channel, ofChannel)));
        }
        return sockets;
    }

    /** Where a socket's current is read: at itself, with the rest of its channel, or of its side. */
    private String testPoint(CurrentMethod method, String label, Side side, Channel channel, int ofChannel) {
        return switch (method) {
            case SENSE_SHARED, STAGE_TEST_POINT, SUPPLY_DROP, PANEL_METER -> sharedPoint(channel);
            case CATHODE_RESISTOR -> bias == BiasKind.CATHODE_SHARED ? sharedPoint(channel) : label;
            case HALF_PRIMARY -> ofChannel > 2 && side != Side.SINGLE ? sidePoint(channel, side) : label;
            case SENSE_EACH, SOCKET_ADAPTER, PLATE_ADAPTER -> label;
        };
    }

    private static String sidePoint(Channel channel, Side side) {
        String name = side == Side.PUSH ? "PUSH" : "PULL";
        return channel == Channel.MONO ? name : name + (channel == Channel.LEFT ? "L" : "R");
    }

    /** What the test point is called that the tubes of a channel share. */
    public static String sharedPoint(Channel channel) {
        return switch (channel) {
            case MONO -> "TP";
            case LEFT -> "TPL";
            case RIGHT -> "TPR";
        };
    }

    private List<Pot> pots() {
        return bias == BiasKind.FIXED_ADJUSTABLE
                ? List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.UNKNOWN, false))
                : List.of();
    }
}
