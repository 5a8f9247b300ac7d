package yellowrail.core.amp;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
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

    public AmpDefaults {
        if (tubes < 1 || tubes > AmpSheet.MOST_SOCKETS) {
            throw new IllegalArgumentException("an amp has 1 to %d power tubes, was %d".formatted(AmpSheet.MOST_SOCKETS, tubes));
        }
    }

    public AmpSheet sheet() {
        CurrentSense current = currentSense();
        return new AmpSheet("", "", "", topology, type.name(), type.customaryRating().system(), OptionalDouble.empty(),
                sockets(), bias, pots(), current,
                new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.GROUND, OptionalDouble.empty()),
                new ScreenSense(ScreenSense.Way.TYPICAL, OptionalDouble.empty(), ScreenSense.Connection.PENTODE, OptionalDouble.empty()),
                meter(current.shows()), MAINS, SETTLE_MINUTES, Target.customary(bias, topology));
    }

    private CurrentSense currentSense() {
        return switch (bias) {
            case FIXED_ADJUSTABLE, FIXED -> CurrentSense.across(CurrentMethod.SENSE_EACH, SENSE_OHMS, 0.01, Unit.MILLIVOLT);
            case CATHODE_SHARED, CATHODE_EACH -> new CurrentSense(CurrentMethod.CATHODE_RESISTOR, OptionalDouble.empty(), 0.05,
                    Unit.VOLT, CurrentSense.ROOM, OptionalDouble.empty(), OptionalDouble.empty());
        };
    }

    /** The ordinary meter on the range that shows this unit. */
    public static MeterAccuracy meter(Unit shows) {
        MeterAccuracy ordinary = MeterAccuracy.ORDINARY;
        double last = shows == Unit.VOLT ? 0.01 : 1e-4;
        return new MeterAccuracy(ordinary.ofReading(), ordinary.digits(), ordinary.lastOfVolts(), last);
    }

    /** Sockets V1, V2, ...; within a channel the first half push, the rest pull. */
    public List<Socket> sockets() {
        List<Socket> sockets = new ArrayList<>();
        int perChannel = stereo ? (tubes + 1) / 2 : tubes;
        for (int i = 0; i < tubes; i++) {
            Channel channel = !stereo ? Channel.MONO : i < perChannel ? Channel.LEFT : Channel.RIGHT;
            int ofChannel = stereo && i >= perChannel ? tubes - perChannel : perChannel;
            int inChannel = stereo && i >= perChannel ? i - perChannel : i;
            Side side = topology == Topology.SINGLE_ENDED ? Side.SINGLE : inChannel < (ofChannel + 1) / 2 ? Side.PUSH : Side.PULL;
            String label = "V" + (i + 1);
            sockets.add(new Socket(label, side, channel, bias == BiasKind.CATHODE_SHARED ? sharedPoint(channel) : label));
        }
        return sockets;
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
                ? List.of(new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.UNKNOWN, false)) : List.of();
    }
}
