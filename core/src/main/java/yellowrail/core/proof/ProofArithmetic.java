package yellowrail.core.proof;

import java.util.List;
import yellowrail.core.quantity.ErrorBudget;
import yellowrail.core.quantity.ErrorBudget.Input;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Unit;

/** The formulas of the proof, each with the uncertainty of what goes into it. */
public final class ProofArithmetic {

    private ProofArithmetic() {}

    /** {@code P = V^2 / R}, W; V is RMS. */
    static Estimate watts(Input volts, Input ohms) {
        return new ErrorBudget(List.of(volts, ohms)).of(in -> in[0] * in[0] / in[1]);
    }

    /**
     * Damping factor {@code R / Rout = V / (Vopen - V)}, the load's value not in it. Near nothing that the load pulls
     * down the plus-minus exceeds the factor: then it is only known to be larger than something.
     */
    static Estimate damping(Input loaded, Input open) {
        Estimate pulled = new ErrorBudget(List.of(loaded, open)).of(in -> in[1] / in[0] - 1);
        double factor = 1 / pulled.value();
        return new Estimate(factor, factor * pulled.plusMinus() / pulled.value(), List.of());
    }

    /** {@code Vout / Vin}. */
    static Estimate gain(Input out, Input in) {
        return new ErrorBudget(List.of(out, in)).of(each -> each[0] / each[1]);
    }

    /** What one is below another of the same load, dB. */
    public static double decibelsBelow(double volts, double full) {
        return 20 * Math.log10(full / volts);
    }

    static Input volts(String symbol, double value, double plusMinus) {
        return new Input(symbol, value, plusMinus, Math.abs(value) < 0.5 ? Unit.MILLIVOLT : Unit.VOLT);
    }
}
