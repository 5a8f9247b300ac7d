package yellowrail.core.bias.fault;

import java.util.OptionalDouble;

/**
 * What comes of a fault.
 *
 * @param fault what failed
 * @param grid mean volts of the grid that is left worst, V, 0 or negative
 * @param ripple on that grid, peak to peak, V
 * @param reservoir most that the reservoir stands at, V
 * @param second the same of the second capacitor, V
 * @param seriesWatts what the resistor on the AC side burns, W
 * @param cathodeAmps what a tube then draws by its model, A; empty where that is not known
 * @param plateWatts what its plate then burns, W
 * @param outcome what that is to the tubes
 */
public record FaultEffect(
        Fault fault,
        double grid,
        double ripple,
        double reservoir,
        double second,
        double seriesWatts,
        OptionalDouble cathodeAmps,
        OptionalDouble plateWatts,
        Outcome outcome) {}
