package yellowrail.core.idle;

import java.util.List;
import java.util.Optional;
import yellowrail.core.quantity.ErrorBudget;
import yellowrail.core.quantity.Estimate;

/**
 * One tube's idle as computed. SI, each with its plus-minus.
 *
 * @param problem what was read
 * @param inputs the numbers put in, by {@link Slot} order
 * @param plateVolts plate to cathode
 * @param cathode cathode current
 * @param screen screen current that was taken off; zero where it was not deducted
 * @param plateCurrent plate current
 * @param dissipation plate dissipation
 * @param screenVolts screen to cathode, where it is known
 * @param screenWatts screen dissipation, where the screen voltage is known
 * @param cathodeVolts cathode to ground as used, V
 */
public record IdleFigures(
        IdleProblem problem,
        List<ErrorBudget.Input> inputs,
        Estimate plateVolts,
        Estimate cathode,
        Estimate screen,
        Estimate plateCurrent,
        Estimate dissipation,
        Optional<Estimate> screenVolts,
        Optional<Estimate> screenWatts,
        double cathodeVolts) {

    public ErrorBudget.Input input(Slot slot) {
        return inputs.get(slot.ordinal());
    }
}
