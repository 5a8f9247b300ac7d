package yellowrail.core.idle;

/**
 * One tube's idle as plain numbers, where neither uncertainty nor verdict is asked for. SI; conventions as
 * {@link IdleCalculation}.
 *
 * @param problem what was read
 * @param plateVolts plate to cathode
 * @param cathode cathode current
 * @param screen screen current that was taken off
 * @param plateCurrent plate current
 * @param cathodeVolts cathode to ground
 */
public record IdleValues(
        IdleProblem problem,
        double plateVolts,
        double cathode,
        double screen,
        double plateCurrent,
        double cathodeVolts) {}
