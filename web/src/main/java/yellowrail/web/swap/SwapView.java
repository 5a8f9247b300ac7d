package yellowrail.web.swap;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.swap.Line;
import yellowrail.core.swap.Outcome;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.swap.SwapQuestion;
import yellowrail.core.swap.SwapReport;
import yellowrail.web.words.Words;

/** A swap check as it is shown: the verdict first, then stops, changes, what is not known, and what holds. */
record SwapView(String verdict, String token, String sentence, List<Answer> answers) {

    private static final List<Outcome> ORDER = List.of(Outcome.STOP, Outcome.CHANGE, Outcome.UNKNOWN, Outcome.HOLDS);

    /** One answer, which opens to its arithmetic and source. */
    record Answer(String question, String token, String outcome, String says, String arithmetic, String source) {}

    /** A type in the table of all. */
    record Row(
            String type,
            String verdict,
            String token,
            String stops,
            String changes,
            String unknown,
            String grid,
            String setTo,
            String heaters) {

        static Row of(SwapReport report, Words words) {
            return new Row(
                    report.wants(),
                    words.name(report.verdict()),
                    Code.of(report.verdict()),
                    questions(report, Outcome.STOP, words),
                    questions(report, Outcome.CHANGE, words),
                    questions(report, Outcome.UNKNOWN, words),
                    figure(report, SwapQuestion.GRID_VOLTS, words),
                    report.setTo().map(words::say).orElse(""),
                    figure(report, SwapQuestion.HEATER_WINDING, words));
        }

        private static String questions(SwapReport report, Outcome outcome, Words words) {
            return report.questions(outcome).stream().map(words::name).collect(Collectors.joining(", "));
        }

        private static String figure(SwapReport report, SwapQuestion question, Words words) {
            return report.lines().stream()
                    .filter(line -> line.question() == question)
                    .flatMap(line -> line.figure().stream())
                    .map(words::say)
                    .findFirst()
                    .orElseGet(() -> words.message("page.swap.figure-not-known"));
        }
    }

    static SwapView of(SwapReport report, Words words) {
        // What the tube does with nothing changed comes first, whatever its answer.
        List<Answer> answers = Stream.concat(
                        report.lines().stream().filter(SwapView::first),
                        ORDER.stream()
                                .flatMap(outcome -> report.with(outcome).stream())
                                .filter(line -> !first(line)))
                .map(line -> new Answer(
                        words.name(line.question()),
                        Code.of(line.outcome()),
                        words.name(line.outcome()),
                        words.sayAll(line.says()),
                        words.sayAll(line.arithmetic()),
                        words.sayAll(line.source())))
                .toList();
        return new SwapView(
                words.name(report.verdict()), Code.of(report.verdict()), words.sayAll(report.says()), answers);
    }

    private static boolean first(Line line) {
        return line.question() == SwapQuestion.AS_IT_STANDS;
    }

    /** What the amp was taken to be. */
    static String basis(SwapAmp amp, Words words) {
        if (amp.plateVolts().isEmpty()) {
            return words.message("page.swap.basis-nothing");
        }
        return words.message(
                "page.swap.basis",
                Figures.volts(amp.plateVolts().getAsDouble()),
                read("screens", amp.screenVolts(), Figures::volts, words)
                        .orElseGet(() -> words.message("page.swap.basis-no-screens")),
                read("each", amp.cathodeAmps(), Figures::milliamps, words)
                        .orElseGet(() -> words.message("page.swap.basis-no-currents")),
                read("grids", amp.biasVolts(), Figures::volts, words).orElse(""));
    }

    private static Optional<String> read(String what, OptionalDouble value, DoubleFunction<String> shown, Words words) {
        return value.isPresent()
                ? Optional.of(words.message("page.swap.basis-" + what, shown.apply(value.getAsDouble())))
                : Optional.empty();
    }
}
