package yellowrail.web.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import yellowrail.core.quantity.Figures;
import yellowrail.core.swap.Line;
import yellowrail.core.swap.Outcome;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.swap.SwapReport;

/** A swap check as it is shown: the verdict first, then stops, changes, what is not known, and what holds. */
record SwapView(String verdict, String token, String sentence, List<Answer> answers) {

    private static final List<Outcome> ORDER = List.of(Outcome.STOP, Outcome.CHANGE, Outcome.UNKNOWN, Outcome.HOLDS);

    /** One answer, which opens to its arithmetic and source. */
    record Answer(String question, String outcome, String says, String arithmetic, String source) {
    }

    /** A type in the table of all. */
    record Row(String type, String verdict, String token, String stops, String changes, String unknown, String grid, String heaters) {

        static Row of(SwapReport report) {
            return new Row(report.wants(), report.verdictInWords(), tokenOf(report), questions(report, Outcome.STOP), questions(report, Outcome.CHANGE), questions(report, Outcome.UNKNOWN),
                    says(report, "grid volts"), says(report, "heater winding"));
        }

        private static String questions(SwapReport report, Outcome outcome) {
            return report.with(outcome).stream().map(Line::question).collect(Collectors.joining(", "));
        }

        /** The first figure of an answer, for the table. */
        private static String says(SwapReport report, String question) {
            return report.lines().stream().filter(line -> line.question().equals(question)).map(line -> line.says().split("[,;:]")[0])
                    .filter(says -> says.matches(".*\\d.*")).findFirst().orElse("not known");
        }
    }

    static SwapView of(SwapReport report) {
        List<Answer> answers = new ArrayList<>();
        ORDER.forEach(outcome -> report.with(outcome).forEach(line -> answers.add(new Answer(line.question(), outcome.inWords(), line.says(), line.arithmetic(), line.source()))));
        return new SwapView(report.verdict().inWords(), tokenOf(report), report.sentence(), answers);
    }

    private static String tokenOf(SwapReport report) {
        return report.verdict().name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** What the amp was taken to be. */
    static String basis(SwapAmp amp) {
        if (amp.plateVolts().isEmpty()) {
            return "Nothing has been read in this amp yet: read plates, currents, screens and bias once, and most of what is not known here will be.";
        }
        return "As read last: plates at %s to the cathode, %s, %s%s.".formatted(Figures.volts(amp.plateVolts().getAsDouble()),
                amp.screenVolts().isPresent() ? "screens at " + Figures.volts(amp.screenVolts().getAsDouble()) : "screens not read",
                amp.cathodeAmps().isPresent() ? Figures.milliamps(amp.cathodeAmps().getAsDouble()) + " each" : "currents not read",
                amp.biasVolts().isPresent() ? ", grids at " + Figures.volts(amp.biasVolts().getAsDouble()) : "");
    }
}
