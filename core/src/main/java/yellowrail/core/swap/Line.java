package yellowrail.core.swap;

import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;

/**
 * One question and its answer.
 *
 * @param question what is asked
 * @param figure the one figure of the answer, for a table
 * @param says the answer with its numbers: what to change to, what to find out
 * @param arithmetic how the numbers came about
 * @param source where they are from
 */
public record Line(
        SwapQuestion question,
        Outcome outcome,
        Optional<Finding> figure,
        List<Finding> says,
        List<Finding> arithmetic,
        List<Finding> source) {

    public Line {
        says = List.copyOf(says);
        arithmetic = List.copyOf(arithmetic);
        source = List.copyOf(source);
    }

    static Line of(SwapQuestion question, Outcome outcome, Finding... says) {
        return new Line(question, outcome, Optional.empty(), List.of(says), List.of(), List.of());
    }

    Line with(Finding key) {
        return new Line(question, outcome, Optional.of(key), says, arithmetic, source);
    }

    Line by(Finding... how) {
        return new Line(question, outcome, figure, says, List.of(how), source);
    }

    Line from(Finding... where) {
        return new Line(question, outcome, figure, says, arithmetic, List.of(where));
    }
}
