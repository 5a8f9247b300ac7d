package yellowrail.core.swap;

import java.util.List;

/**
 * The whole check.
 *
 * @param in type that is in
 * @param wants type that wants in
 */
public record SwapReport(String in, String wants, List<Line> lines) {

    /** What it amounts to. */
    public enum Verdict {
        FITS,
        AFTER_CHANGES,
        DO_NOT
    }

    public SwapReport {
        lines = List.copyOf(lines);
    }

    public List<Line> with(Outcome outcome) {
        return lines.stream().filter(line -> line.outcome() == outcome).toList();
    }

    public Verdict verdict() {
        return !with(Outcome.STOP).isEmpty()
                ? Verdict.DO_NOT
                : with(Outcome.CHANGE).isEmpty() ? Verdict.FITS : Verdict.AFTER_CHANGES;
    }

    /** Whether something that could stop or change it is not known. */
    public boolean isOpen() {
        return !with(Outcome.UNKNOWN).isEmpty();
    }

    /** The verdict, with what decides it and what is not known. */
    public List<SwapFinding> says() {
        SwapFinding verdict = switch (verdict()) {
            case DO_NOT -> new SwapFinding.DoNot(wants, in, questions(Outcome.STOP));
            case AFTER_CHANGES -> new SwapFinding.FitsAfterChanges(wants, in, questions(Outcome.CHANGE));
            case FITS -> isOpen() ? new SwapFinding.FitsAsFarAsKnown(wants, in) : new SwapFinding.FitsAsItIs(wants, in);
        };
        return verdict() == Verdict.DO_NOT || !isOpen()
                ? List.of(verdict)
                : List.of(verdict, new SwapFinding.NotKnown(questions(Outcome.UNKNOWN)));
    }

    public List<SwapQuestion> questions(Outcome outcome) {
        return with(outcome).stream().map(Line::question).toList();
    }
}
