package yellowrail.web.amp.document;

import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PowerStage;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.RatingSystem;

/** The power stage as it is stored. */
record StagePart(
        Topology topology,
        String tubeType,
        RatingSystem ratingSystem,
        OptionalDouble ownPlateWatts,
        List<SocketPart> sockets,
        BiasKind bias,
        List<PotPart> pots,
        AcceptedPart accepted) {

    /** A socket. */
    record SocketPart(String label, Side side, Channel channel, String testPoint) {}

    /** A pot. */
    record PotPart(String name, Pot.Action action, String acts, Pot.Turn hotter, boolean verified) {}

    /** Volts taken on knowingly. */
    record AcceptedPart(OptionalDouble plateVolts, OptionalDouble screenVolts) {}

    static StagePart of(PowerStage stage) {
        return new StagePart(
                stage.topology(),
                stage.tubeType(),
                stage.ratingSystem(),
                stage.ownPlateWatts(),
                stage.sockets().stream()
                        .map(each -> new SocketPart(each.label(), each.side(), each.channel(), each.testPoint()))
                        .toList(),
                stage.bias(),
                stage.pots().stream()
                        .map(each ->
                                new PotPart(each.name(), each.action(), each.acts(), each.hotter(), each.verified()))
                        .toList(),
                new AcceptedPart(stage.accepted().plateVolts(), stage.accepted().screenVolts()));
    }

    PowerStage stage() {
        return new PowerStage(
                topology,
                tubeType,
                ratingSystem,
                ownPlateWatts,
                sockets.stream()
                        .map(each -> new Socket(each.label(), each.side(), each.channel(), each.testPoint()))
                        .toList(),
                bias,
                pots.stream()
                        .map(each -> new Pot(each.name(), each.action(), each.acts(), each.hotter(), each.verified()))
                        .toList(),
                accepted == null ? Accepted.NONE : new Accepted(accepted.plateVolts(), accepted.screenVolts()));
    }
}
