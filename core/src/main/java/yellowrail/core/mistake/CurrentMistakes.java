package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.finding.Shown;
import yellowrail.core.idle.Alarm;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** Mistakes about what a current is the current of. */
final class CurrentMistakes {

    private static final double WHOLE = 0.03;
    private static final double SAME_BIAS = 0.006;
    private static final double RISEN = 0.10;
    private static final double FAR_OVER = 1.15;

    private CurrentMistakes() {}

    /**
     * The tubes that an entry speaks of, as they would stand with it: those of its test point, or all with a plate
     * voltage.
     */
    static Stream<TubeValues> tubes(Entry entry, Situation now) {
        return now.stage().valuesAt(now.with(entry)).stream()
                .flatMap(Optional::stream)
                .filter(tube -> !entry.isCurrent() || tube.socket().testPoint().equals(entry.target()))
                .filter(tube -> entry.isCurrent()
                        || entry.target().isEmpty()
                        || entry.target().equals(tube.socket().label())
                        || entry.target().equals(tube.socket().testPoint()));
    }

    private static Optional<TubeValues> tube(Entry entry, Situation now) {
        return entry.isCurrent() ? tubes(entry, now).findFirst() : Optional.empty();
    }

    static double watts(TubeValues tube) {
        return tube.values().plateVolts() * tube.values().plateCurrent();
    }

    static double ratio(TubeValues tube, Situation now) {
        return watts(tube) / rated(tube.socket(), now);
    }

    private static int place(Socket socket, Situation now) {
        return IntStream.range(0, now.sheet().sockets().size())
                .filter(i -> now.sheet().sockets().get(i).equals(socket))
                .findFirst()
                .orElseThrow();
    }

    private static double rated(Socket socket, Situation now) {
        return now.stage().goal(place(socket, now)).orElseThrow().rating().plateWatts();
    }

    private static Target.Band window(TubeValues tube, Situation now) {
        return now.stage()
                .goal(place(tube.socket(), now))
                .orElseThrow()
                .at(tube.values().plateVolts());
    }

    private static boolean byShare(Situation now) {
        return now.sheet().target().school() == School.SHARE_OF_RATING;
    }

    /** The current of a shared resistor read as one tube's. */
    static Optional<Question> sumForOne(Entry entry, Situation now) {
        AmpSheet sheet = now.sheet();
        if (sheet.current().method() != CurrentMethod.SENSE_EACH
                || sheet.sockets().size() < 2
                || sheet.socketsAt(entry.target()).size() != 1
                || !byShare(now)) {
            return Optional.empty();
        }
        return tube(entry, now)
                .filter(tube -> ratio(tube, now) > FAR_OVER && inWindow(ratio(tube, now) / 2, tube, now))
                .map(tube -> Situation.ask(
                        entry,
                        new MistakeFinding.SumForOne(tube.values().cathode(), ratio(tube, now)),
                        List.of(
                                List.of(Situation.words(ReadingKind.SHEET, "shared"), entry),
                                List.of(entry.withValue(entry.value() / 2)))));
    }

    /** One tube's current read where the test point carries several. */
    static Optional<Question> oneForSum(Entry entry, Situation now) {
        int sharing = now.sheet().socketsAt(entry.target()).size();
        if (sharing < 2 || !byShare(now) || now.sheet().bias().isCathode()) {
            return Optional.empty();
        }
        return tube(entry, now)
                .filter(tube -> ratio(tube, now) < window(tube, now).low() / 1.5
                        && inWindow(sharing * ratio(tube, now), tube, now))
                .map(tube -> Situation.ask(
                        entry,
                        new MistakeFinding.OneForSum(
                                entry.target(), sharing, tube.values().cathode()),
                        List.of(List.of(entry.withValue(entry.value() * sharing)))));
    }

    private static boolean inWindow(double ratio, TubeValues tube, Situation now) {
        return ratio >= window(tube, now).low() && ratio <= window(tube, now).high();
    }

    /** The rating divided by the voltage, and the percentage forgotten; seen at whichever of the two is read last. */
    static Optional<Question> wholeRating(Entry entry, Situation now) {
        if (!byShare(now) || !entry.isCurrent() && entry.kind() != ReadingKind.PLATE) {
            return Optional.empty();
        }
        return tubes(entry, now)
                .filter(tube -> window(tube, now).high() <= 0.9
                        && (Math.abs(tube.values().plateVolts() * tube.values().cathode() / rated(tube.socket(), now)
                                                - 1)
                                        < WHOLE
                                || Math.abs(ratio(tube, now) - 1) < WHOLE))
                .findFirst()
                .map(tube -> {
                    String point = tube.socket().testPoint();
                    double aim = window(tube, now).aim();
                    double reading = tube.values().problem().senseReading() * aim / ratio(tube, now);
                    String turnBack = "%s at about %s"
                            .formatted(
                                    point,
                                    Figures.toTurnTo(now.sheet().current().shows(), reading));
                    return Situation.ask(
                            entry,
                            new MistakeFinding.PercentageForgotten(
                                    ratio(tube, now),
                                    aim,
                                    point,
                                    Shown.toTurnTo(now.sheet().current().shows(), reading)),
                            List.of(List.of(entry, Situation.words(ReadingKind.NOTE, turnBack))));
                });
    }

    /** Screen current counted as plate current where it decides the verdict. */
    static Optional<Question> screenCounted(Entry entry, Situation now) {
        if (now.sheet().screen().way() != ScreenSense.Way.NOT_DEDUCTED
                || !byShare(now)
                || now.sheet().current().method().yields() == CurrentMethod.Yields.PLATE) {
            return Optional.empty();
        }
        return tube(entry, now).flatMap(tube -> {
            double share =
                    now.stage().type(place(tube.socket(), now)).orElseThrow().screenShare();
            double all = ratio(tube, now);
            return share > 0 && !inWindow(all, tube, now) && inWindow(all * (1 - share), tube, now)
                    ? Optional.of(Situation.ask(
                            entry,
                            new MistakeFinding.ScreenCounted(all, share, all * (1 - share)),
                            List.of(List.of(Situation.words(ReadingKind.SHEET, "screen typical"), entry))))
                    : Optional.empty();
        });
    }

    /** More current at the same grid voltage: a signal, or a tube that runs away. */
    static Optional<Question> signalPresent(Entry entry, Situation now) {
        Optional<Reading> before = now.before().at(entry.kind(), entry.target());
        List<Reading> biases = now.readings().stream()
                .filter(reading -> reading.kind() == ReadingKind.BIAS)
                .toList();
        if (!entry.isCurrent() || before.isEmpty() || biases.size() < 2) {
            return Optional.empty();
        }
        Reading newest = biases.get(biases.size() - 1);
        Reading older = biases.get(biases.size() - 2);
        boolean bracketed = older.id() < newest.id() && before.get().id() < newest.id();
        boolean same = Math.abs(newest.value() - older.value()) < SAME_BIAS * Math.abs(older.value());
        if (!bracketed || !same || !(entry.value() > before.get().value() * (1 + RISEN))) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.SignalPresent(
                        newest.value(), entry.value() / before.get().value() - 1),
                List.of(List.of(Situation.words(
                        ReadingKind.NOTE, "%s: signal present".formatted(EntryWriter.line(entry, now.sheet())))))));
    }

    /** So far over the rating that it is asked about whatever the number looks like. */
    static Optional<Question> farOverRating(Entry entry, Situation now) {
        return tube(entry, now)
                .filter(tube -> ratio(tube, now) > Alarm.SWITCH_OFF)
                .map(tube -> Situation.ask(
                        entry,
                        new MistakeFinding.FarOverRating(now.shown(entry), entry.target()),
                        inWindow(ratio(tube, now) / 10, tube, now)
                                ? List.of(List.of(entry.withValue(entry.value() / 10)))
                                : List.of()));
    }
}
