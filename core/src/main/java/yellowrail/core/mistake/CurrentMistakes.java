package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** Mistakes about what a current is the current of. */
final class CurrentMistakes {

    private static final double WHOLE = 0.03;
    private static final double SAME_BIAS = 0.006;
    private static final double RISEN = 0.10;
    private static final double FAR_OVER = 1.15;

    private CurrentMistakes() {
    }

    /** The tube of this test point as it would stand with the reading. */
    private static Optional<TubeValues> tube(Entry entry, Situation now) {
        return Situation.isCurrent(entry) ? now.stage().valuesAt(now.with(entry)).stream().flatMap(Optional::stream)
                .filter(tube -> tube.socket().testPoint().equals(entry.target())).findFirst() : Optional.empty();
    }

    private static double ratio(TubeValues tube, Situation now) {
        return tube.values().plateVolts() * tube.values().plateCurrent() / now.stage().rating().plateWatts();
    }

    private static boolean byShare(Situation now) {
        return now.sheet().target().school() == School.SHARE_OF_RATING;
    }

    /** The current of a shared resistor read as one tube's. */
    static Optional<Question> sumForOne(Entry entry, Situation now) {
        AmpSheet sheet = now.sheet();
        long beside = sheet.sockets().size();
        if (sheet.current().method() != CurrentMethod.SENSE_EACH || beside < 2 || sheet.socketsAt(entry.target()).size() != 1 || !byShare(now)) {
            return Optional.empty();
        }
        return tube(entry, now).filter(tube -> ratio(tube, now) > FAR_OVER && inWindow(ratio(tube, now) / 2, now)).map(tube -> now.ask(entry,
                "%s through one tube would be %s of its rating; half of it would be in the window. If one resistor carries two tubes, this is their sum.".formatted(
                        Figures.milliamps(tube.values().cathode()), Figures.percent(ratio(tube, now))),
                List.of(List.of(Situation.words(ReadingKind.SHEET, "shared"), entry), List.of(entry.withValue(entry.value() / 2)))));
    }

    /** One tube's current read where the test point carries several. */
    static Optional<Question> oneForSum(Entry entry, Situation now) {
        int sharing = now.sheet().socketsAt(entry.target()).size();
        if (sharing < 2 || !byShare(now) || now.sheet().bias().isCathode()) {
            return Optional.empty();
        }
        return tube(entry, now).filter(tube -> ratio(tube, now) < now.sheet().target().low() / 1.5 && inWindow(sharing * ratio(tube, now), now)).map(tube -> now.ask(entry,
                "%s carries %d tubes: each would draw only %s. One tube\u2019s current read as the whole?".formatted(entry.target(), sharing, Figures.milliamps(tube.values().cathode())),
                List.of(List.of(entry.withValue(entry.value() * sharing)))));
    }

    private static boolean inWindow(double ratio, Situation now) {
        return ratio >= now.sheet().target().low() && ratio <= now.sheet().target().high();
    }

    /** The rating divided by the voltage, and the percentage forgotten. */
    static Optional<Question> wholeRating(Entry entry, Situation now) {
        if (!byShare(now) || now.sheet().target().high() > 0.9) {
            return Optional.empty();
        }
        return tube(entry, now).filter(tube -> Math.abs(tube.values().plateVolts() * tube.values().cathode() / now.stage().rating().plateWatts() - 1) < WHOLE
                || Math.abs(ratio(tube, now) - 1) < WHOLE).map(tube -> {
            double aim = entry.value() * now.sheet().target().aim() / ratio(tube, now);
            String turnBack = "%s at about %s".formatted(entry.target(), Figures.toTurnTo(now.sheet().current().shows(), aim));
            return now.ask(entry, "That is the whole rating divided by the plate voltage: %s of it, and the percentage forgotten? The aim of %s is %s.".formatted(
                            Figures.percent(ratio(tube, now)), Figures.percent(now.sheet().target().aim()), turnBack),
                    List.of(List.of(entry, Situation.words(ReadingKind.NOTE, "set by the whole rating, turning back: " + turnBack))));
        });
    }

    /** Screen current counted as plate current where it decides the verdict. */
    static Optional<Question> screenCounted(Entry entry, Situation now) {
        double share = now.stage().type().screenShare();
        if (now.sheet().screen().way() != ScreenSense.Way.NOT_DEDUCTED || !(share > 0) || !byShare(now)
                || now.sheet().current().method().yields() == CurrentMethod.Yields.PLATE) {
            return Optional.empty();
        }
        return tube(entry, now).filter(tube -> !inWindow(ratio(tube, now), now) && inWindow(ratio(tube, now) * (1 - share), now)).map(tube -> now.ask(entry,
                "All of the cathode current is counted as plate current, %s of the rating. With the screen\u2019s typical %s taken off it is %s, in the window.".formatted(
                        Figures.percent(ratio(tube, now)), Figures.percent(share), Figures.percent(ratio(tube, now) * (1 - share))),
                List.of(List.of(Situation.words(ReadingKind.SHEET, "screen typical"), entry))));
    }

    /** More current at the same grid voltage: a signal, or a tube that runs away. */
    static Optional<Question> signalPresent(Entry entry, Situation now) {
        Optional<Reading> before = now.before().at(entry.kind(), entry.target());
        List<Reading> biases = now.readings().stream().filter(reading -> reading.entry().kind() == ReadingKind.BIAS).toList();
        if (!Situation.isCurrent(entry) || before.isEmpty() || biases.size() < 2) {
            return Optional.empty();
        }
        Reading newest = biases.get(biases.size() - 1);
        Reading older = biases.get(biases.size() - 2);
        boolean bracketed = older.id() < newest.id() && before.get().id() < newest.id();
        boolean same = Math.abs(newest.value() - older.value()) < SAME_BIAS * Math.abs(older.value());
        if (!bracketed || !same || !(entry.value() > before.get().value() * (1 + RISEN))) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "The grid volts have not moved (%s) and the current rose by %s. Signal present while measuring? Volumes to zero, then read again.".formatted(
                now.volts(newest.value()), Figures.percent(entry.value() / before.get().value() - 1)),
                List.of(List.of(Situation.words(ReadingKind.NOTE, "%s dropped: signal present".formatted(now.shown(entry)))))));
    }
}
