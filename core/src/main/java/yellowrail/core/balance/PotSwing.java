package yellowrail.core.balance;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * A channel's balance pot swung from stop to stop: a matched pair gives mirror images, what push shows at one stop pull
 * shows at the other.
 *
 * @param channel the channel
 * @param push the push side's test point and its readings at stops A and B
 * @param pull the pull side's
 * @param apart greatest difference between mirror readings, as a ratio of their mean
 * @param matched whether that is within what counts as matched
 * @param says the verdict with its figures
 */
public record PotSwing(Channel channel, Swing push, Swing pull, double apart, boolean matched, BalanceFinding says) {

    /** Mirror readings within this of their mean belong to a matched pair. */
    public static final double MATCHED = 0.10;

    /** One side's readings at both stops, SI of what its meter shows. */
    public record Swing(String point, double atA, double atB) {}

    /** @return one for each channel of which all four readings are in */
    public static List<PotSwing> of(AmpSheet sheet, Moment moment) {
        return Stream.of(Channel.values())
                .flatMap(channel -> of(sheet, moment, channel).stream())
                .toList();
    }

    private static Optional<PotSwing> of(AmpSheet sheet, Moment moment, Channel channel) {
        return side(sheet, moment, channel, Side.PUSH)
                .flatMap(push ->
                        side(sheet, moment, channel, Side.PULL).map(pull -> verdict(sheet, channel, push, pull)));
    }

    private static Optional<Swing> side(AmpSheet sheet, Moment moment, Channel channel, Side side) {
        return sheet.sockets().stream()
                .filter(socket -> socket.side() == side && socket.channel() == channel)
                .map(Socket::testPoint)
                .distinct()
                .flatMap(point -> both(moment, point).stream())
                .findFirst();
    }

    private static Optional<Swing> both(Moment moment, String point) {
        Optional<Reading> a = moment.at(ReadingKind.SWING_A, point);
        Optional<Reading> b = moment.at(ReadingKind.SWING_B, point);
        return a.isPresent() && b.isPresent()
                ? Optional.of(new Swing(point, a.get().value(), b.get().value()))
                : Optional.empty();
    }

    private static PotSwing verdict(AmpSheet sheet, Channel channel, Swing push, Swing pull) {
        double one = apart(push.atA(), pull.atB());
        double other = apart(push.atB(), pull.atA());
        double worst = Math.max(Math.abs(one), Math.abs(other));
        Unit unit = sheet.current().shows();
        Shown pushA = Shown.of(unit, push.atA());
        Shown pullB = Shown.of(unit, pull.atB());
        Shown pushB = Shown.of(unit, push.atB());
        Shown pullA = Shown.of(unit, pull.atA());
        boolean sameWay = Math.signum(push.atA() - push.atB()) == Math.signum(pull.atA() - pull.atB())
                && push.atA() != push.atB();
        String stronger = one > 0 && other > 0 ? push.point() : one < 0 && other < 0 ? pull.point() : "";
        BalanceFinding says = sameWay
                ? new BalanceFinding.SameWay(pushA, pullB, pushB, pullA, push.point(), pull.point())
                : worst <= MATCHED
                        ? new BalanceFinding.MirrorImages(pushA, pullB, pushB, pullA, push.point(), pull.point(), worst)
                        : stronger.isEmpty()
                                ? new BalanceFinding.OffCentre(
                                        pushA, pullB, pushB, pullA, push.point(), pull.point(), worst)
                                : new BalanceFinding.OneStronger(
                                        pushA, pullB, pushB, pullA, push.point(), pull.point(), worst, stronger);
        return new PotSwing(channel, push, pull, worst, says instanceof BalanceFinding.MirrorImages, says);
    }

    private static double apart(double push, double pull) {
        return push + pull == 0 ? 0 : (push - pull) / ((push + pull) / 2);
    }
}
