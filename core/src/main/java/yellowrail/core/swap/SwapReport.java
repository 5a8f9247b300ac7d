package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The whole check.
 *
 * @param in type that is in
 * @param wants type that wants in
 * @param setTo what each tube is set to, as the builder's meter shows it; empty where nothing is set or known
 * @param toBeSet whether its bias is set by hand: then it is, whatever the old tube drew
 */
public record SwapReport(String in, String wants, boolean toBeSet, List<Line> lines, Optional<SwapFinding> setTo) {

    /** What it amounts to. */
    public enum Verdict {
        FITS,
        AFTER_CHANGES,
        NOT_KNOWN_ENOUGH,
        DO_NOT
    }

    public SwapReport {
        lines = List.copyOf(lines);
    }

    public List<Line> with(Outcome outcome) {
        return lines.stream().filter(line -> line.outcome() == outcome).toList();
    }

    public Verdict verdict() {
        if (!questions(Outcome.STOP).isEmpty()) {
            return Verdict.DO_NOT;
        }
        if (!open(true).isEmpty()) {
            return Verdict.NOT_KNOWN_ENOUGH;
        }
        return changes().isEmpty() ? Verdict.FITS : Verdict.AFTER_CHANGES;
    }

    /** Setting a bias that is set by hand is no change of the amp. */
    private List<SwapQuestion> changes() {
        return questions(Outcome.CHANGE).stream()
                .filter(question -> !toBeSet || question != SwapQuestion.IDLE_DISSIPATION)
                .toList();
    }

    /** What is not known: of what could stop it, or of the rest. */
    private List<SwapQuestion> open(boolean deciding) {
        return questions(Outcome.UNKNOWN).stream()
                .filter(question -> question.decides() == deciding)
                .toList();
    }

    /** The verdict, with what decides it and what is not known. */
    public List<SwapFinding> says() {
        List<SwapFinding> says = new ArrayList<>();
        List<SwapQuestion> changes = changes();
        switch (verdict()) {
            case DO_NOT -> says.add(new SwapFinding.DoNot(wants, in, questions(Outcome.STOP)));
            case NOT_KNOWN_ENOUGH -> says.add(new SwapFinding.NotKnownEnough(wants, in, open(true)));
            case AFTER_CHANGES -> says.add(new SwapFinding.FitsAfterChanges(wants, in, changes));
            case FITS ->
                says.add(toBeSet ? new SwapFinding.FitsOnceSet(wants, in) : new SwapFinding.FitsAsItIs(wants, in));
        }
        if (verdict() == Verdict.NOT_KNOWN_ENOUGH && !changes.isEmpty()) {
            says.add(new SwapFinding.ToChangeAnyway(changes));
        }
        if (verdict() != Verdict.DO_NOT && verdict() != Verdict.FITS && toBeSet) {
            says.add(new SwapFinding.ColdestFirst());
        }
        if (verdict() != Verdict.DO_NOT && !open(false).isEmpty()) {
            says.add(new SwapFinding.NotKnown(open(false)));
        }
        return List.copyOf(says);
    }

    /** What is answered so; what the tube does with nothing changed is told, and the others answer for it. */
    public List<SwapQuestion> questions(Outcome outcome) {
        return with(outcome).stream()
                .map(Line::question)
                .filter(question -> question != SwapQuestion.AS_IT_STANDS)
                .toList();
    }
}
