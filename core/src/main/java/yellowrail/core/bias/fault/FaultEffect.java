package yellowrail.core.bias.fault;

import java.util.OptionalDouble;

/**
 * What comes of a fault.
 *
 * @param fault what failed
 * @param grid mean volts of the grid that is left worst, V, 0 or negative
 * @param reservoir most that the reservoir stands at, V
 * @param cathodeAmps what a tube then draws by its model, A; empty where that is not known
 * @param plateWatts what its plate then burns, W
 * @param outcome what that is to the tubes
 */
public record FaultEffect(
        Fault fault,
        double grid,
        double reservoir,
        OptionalDouble cathodeAmps,
        OptionalDouble plateWatts,
        Outcome outcome) {}
