package yellowrail.core.quantity;

import java.util.List;

/**
 * A value, how sure it is, and who is to blame.
 *
 * @param value the value, SI
 * @param plusMinus half width of the 95 % interval, SI, &gt;= 0
 * @param contributions one per input that is not exact, largest first
 */
public record Estimate(double value, double plusMinus, List<Contribution> contributions) {

    /**
     * One input's part in the uncertainty.
     *
     * @param input the input
     * @param plusMinus what this input alone would give, SI of the result
     * @param share its part of the sum of squares, 0..1
     */
    public record Contribution(ErrorBudget.Input input, double plusMinus, double share) {}

    public Estimate {
        contributions = List.copyOf(contributions);
    }

    /** The difference to another of the same quantity, whose errors are taken to be its own. */
    public Estimate less(Estimate other) {
        return new Estimate(value - other.value, Math.hypot(plusMinus, other.plusMinus), List.of());
    }

    public double upper() {
        return value + plusMinus;
    }

    public double lower() {
        return value - plusMinus;
    }
}
