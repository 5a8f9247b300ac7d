package yellowrail.core.balance;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * The balance pot swung from stop to stop: a matched pair gives mirror images, what push shows at one stop pull shows at
 * the other.
 *
 * @param push    the push side's test point and its readings at stops A and B
 * @param pull    the pull side's
 * @param apart   greatest difference between mirror readings, as a ratio of their mean
 * @param matched whether that is within what counts as matched
 * @param words   the verdict, with what it cannot see
 */
public record SwingTest(Swing push, Swing pull, double apart, boolean matched, String words) {

    /** Mirror readings within this of their mean belong to a matched pair. */
    public static final double MATCHED = 0.10;
    private static final String UNSEEN = " It cannot see the level they share, the plate voltage, a pot off its centre, nor a mismatch inside a side.";

    /** One side's readings at both stops, SI of what its meter shows. */
    public record Swing(String point, double atA, double atB) {
    }

    /** @return the verdict; empty until all four readings are in */
    public static Optional<SwingTest> of(AmpSheet sheet, Moment moment) {
        return side(sheet, moment, Side.PUSH).flatMap(push -> side(sheet, moment, Side.PULL).map(pull -> verdict(sheet, push, pull)));
    }

    private static Optional<Swing> side(AmpSheet sheet, Moment moment, Side side) {
        return sheet.sockets().stream().filter(socket -> socket.side() == side).map(Socket::testPoint).distinct()
                .flatMap(point -> both(moment, point).stream()).findFirst();
    }

    private static Optional<Swing> both(Moment moment, String point) {
        Optional<Reading> a = moment.at(ReadingKind.SWING_A, point);
        Optional<Reading> b = moment.at(ReadingKind.SWING_B, point);
        return a.isPresent() && b.isPresent() ? Optional.of(new Swing(point, a.get().value(), b.get().value())) : Optional.empty();
    }

    private static SwingTest verdict(AmpSheet sheet, Swing push, Swing pull) {
        double one = apart(push.atA(), pull.atB());
        double other = apart(push.atB(), pull.atA());
        double worst = Math.max(Math.abs(one), Math.abs(other));
        boolean matched = worst <= MATCHED;
        Unit unit = sheet.current().shows();
        String figures = "%s at A %s, %s at B %s; %s at B %s, %s at A %s.".formatted(push.point(), Figures.in(unit, push.atA()), pull.point(), Figures.in(unit, pull.atB()),
                push.point(), Figures.in(unit, push.atB()), pull.point(), Figures.in(unit, pull.atA()));
        boolean sameWay = Math.signum(push.atA() - push.atB()) == Math.signum(pull.atA() - pull.atB()) && push.atA() != push.atB();
        String verdict;
        if (sameWay) {
            verdict = "Both sides moved the same way: that pot is a range pot, not a balance pot. ";
        } else if (matched) {
            verdict = "Mirror images within %s: a matched pair. ".formatted(Figures.percent(worst));
        } else {
            String stronger = one > 0 && other > 0 ? push.point() : one < 0 && other < 0 ? pull.point() : "";
            verdict = stronger.isEmpty() ? "No mirror images, %s apart: the pot does not sit in the middle of its range. ".formatted(Figures.percent(worst))
                    : "No mirror images, %s apart: %s is the stronger tube. ".formatted(Figures.percent(worst), stronger);
        }
        return new SwingTest(push, pull, worst, matched && !sameWay, verdict + figures + UNSEEN);
    }

    private static double apart(double push, double pull) {
        return (push - pull) / ((push + pull) / 2);
    }
}
