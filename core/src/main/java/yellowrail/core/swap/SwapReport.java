package yellowrail.core.swap;

import java.util.List;
import java.util.stream.Collectors;

/**
 * The whole check.
 *
 * @param in    type that is in
 * @param wants type that wants in
 */
public record SwapReport(String in, String wants, List<Line> lines) {

    /** What it amounts to. */
    public enum Verdict {
        FITS("fits as it is"), AFTER_CHANGES("fits after these changes"), DO_NOT("do not");

        private final String inWords;

        Verdict(String inWords) {
            this.inWords = inWords;
        }

        public String inWords() {
            return inWords;
        }
    }

    public SwapReport {
        lines = List.copyOf(lines);
    }

    public List<Line> with(Outcome outcome) {
        return lines.stream().filter(line -> line.outcome() == outcome).toList();
    }

    public Verdict verdict() {
        return !with(Outcome.STOP).isEmpty() ? Verdict.DO_NOT : with(Outcome.CHANGE).isEmpty() ? Verdict.FITS : Verdict.AFTER_CHANGES;
    }

    /** The verdict in a few words; that something is not known is part of it. */
    public String verdictInWords() {
        return verdict().inWords() + (verdict() == Verdict.FITS && !with(Outcome.UNKNOWN).isEmpty() ? ", as far as it is known" : "");
    }

    /** The verdict in one sentence, with what decides it and what is not known. */
    public String sentence() {
        String open = with(Outcome.UNKNOWN).isEmpty() ? "" : " Not known: %s.".formatted(questions(Outcome.UNKNOWN));
        return switch (verdict()) {
            case DO_NOT -> "%s for %s: do not, because of %s.".formatted(wants, in, questions(Outcome.STOP));
            case AFTER_CHANGES -> "%s for %s: fits after these changes: %s.%s".formatted(wants, in, questions(Outcome.CHANGE), open);
            case FITS -> "%s for %s: %s.%s".formatted(wants, in, verdictInWords(), open);
        };
    }

    private String questions(Outcome outcome) {
        return with(outcome).stream().map(Line::question).collect(Collectors.joining(", "));
    }
}
