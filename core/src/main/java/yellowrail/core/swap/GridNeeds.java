package yellowrail.core.swap;

import java.util.Optional;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModels;

/** What the grids of a type would need in an amp as it was read last: what a bias supply has to reach. */
public final class GridNeeds {

    private GridNeeds() {}

    /**
     * @param type any type; of the one that is in the amp the reading of its grid counts
     * @param isIn whether it is the one in the amp
     * @return empty where the type has no model or the plates were not read
     */
    public static Optional<GridNeed> of(SwapAmp amp, TubeType type, boolean isIn) {
        if (amp.plateVolts().isEmpty()) {
            return Optional.empty();
        }
        double plate = amp.plateVolts().getAsDouble();
        return TubeModels.published()
                .of(type)
                .map(known -> GridNeed.of(
                        known,
                        plate,
                        amp.screenOr(plate),
                        amp.aim(type, plate),
                        type.customaryRating().plateWatts(),
                        isIn ? read(amp) : Optional.empty()));
    }

    private static Optional<GridNeed.Read> read(SwapAmp amp) {
        return amp.biasVolts().isEmpty() || amp.cathodeAmps().isEmpty()
                ? Optional.empty()
                : Optional.of(new GridNeed.Read(
                        amp.biasVolts().getAsDouble(), amp.cathodeAmps().getAsDouble()));
    }
}
