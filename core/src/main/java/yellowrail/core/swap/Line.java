package yellowrail.core.swap;

/**
 * One question and its answer.
 *
 * @param question   what is asked
 * @param says       the answer with its numbers: what to change to, what to find out
 * @param arithmetic how the numbers came about
 * @param source     where they are from
 */
public record Line(String question, Outcome outcome, String says, String arithmetic, String source) {
}
