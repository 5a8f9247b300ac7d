package yellowrail.core.drawer;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.match.TestCondition;

/**
 * One test of a tube, SI.
 *
 * @param tested when
 * @param tester tester or test amp, in the builder's words
 * @param condition the voltages
 * @param current whose current was read
 * @param amps current at the end of the test, A; on a tester's own scale its figure, in thousandths as milliamperes are
 * @param before the same before the warm-up
 * @param warmMinutes how long that took
 * @param transconductance A/V
 * @param tap what a light tap gave
 * @param gas gas and leakage, in the builder's words
 * @param warmUp what was read on the way
 */
public record TesterReading(
        Optional<LocalDate> tested,
        String tester,
        TestCondition condition,
        Current current,
        double amps,
        OptionalDouble before,
        OptionalDouble warmMinutes,
        OptionalDouble transconductance,
        Microphony tap,
        String gas,
        WarmUpFigures warmUp) {

    /** A figure that rises by more over its warm-up is not one to match by. */
    public static final double UNSTABLE = 0.15;

    /** Whose current a tester reads. */
    public enum Current {
        CATHODE,
        PLATE,
        /** None: a figure on the tester's own scale. */
        SCALE
    }

    /** The warm-up as it was written down; else its two ends, as far as they are known. */
    public WarmUpFigures warming() {
        return warmUp.isEmpty() && before.isPresent() && warmMinutes.orElse(0) > 0
                ? new WarmUpFigures(List.of(
                        new WarmUpFigures.Figure(0, before.getAsDouble()),
                        new WarmUpFigures.Figure(warmMinutes.getAsDouble(), amps)))
                : warmUp;
    }

    /** How much the current rose over the warm-up, as a ratio; empty where it was not read before. */
    public OptionalDouble rise() {
        return before.isPresent() ? OptionalDouble.of(amps / before.getAsDouble() - 1) : OptionalDouble.empty();
    }

    public boolean isUnstable() {
        return Math.abs(rise().orElse(0)) > UNSTABLE;
    }
}
