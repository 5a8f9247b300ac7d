package yellowrail.core.swap;

import java.util.List;
import java.util.Optional;
import yellowrail.core.bias.cathode.OwnResistor;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.reading.Reading;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;

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
        return amp.model(type)
                .map(known -> GridNeed.of(
                        known,
                        plate,
                        amp.screenOr(plate),
                        amp.aim(type, plate),
                        type.customaryRating().plateWatts(),
                        isIn ? read(amp) : Optional.empty()));
    }

    /**
     * Each tube of an amp as it was read, for resistors of their own: where its grid was not read, all stand at what
     * the mean of them needs.
     *
     * @param need of the mean of them
     */
    public static List<OwnResistor.Tube> each(List<TubeIdle> tubes, GridNeed need, KnownModel known) {
        List<IdleFigures> figures =
                tubes.stream().map(TubeIdle::figures).flatMap(Optional::stream).toList();
        double mean = figures.stream()
                .mapToDouble(tube -> tube.cathode().value())
                .average()
                .orElse(0);
        if (!(mean > 0)) {
            return List.of();
        }
        double common = need.model().gridFor(mean, need.plate(), need.screen());
        return tubes.stream()
                .filter(tube -> tube.figures().isPresent()
                        && tube.figures().get().cathode().value() > 0)
                .map(tube -> {
                    IdleFigures read = tube.figures().get();
                    double grid = tube.bias()
                            .map(Reading::value)
                            .orElse(read.cathodeVolts() > 0 ? -read.cathodeVolts() : common);
                    return new OwnResistor.Tube(
                            tube.socket().label(),
                            GridNeed.of(
                                            known,
                                            read.plateVolts().value(),
                                            need.screen(),
                                            need.amps(),
                                            need.rated(),
                                            Optional.of(new GridNeed.Read(
                                                    grid, read.cathode().value())))
                                    .model(),
                            read.cathode().value());
                })
                .toList();
    }

    private static Optional<GridNeed.Read> read(SwapAmp amp) {
        return amp.biasVolts().isEmpty() || amp.cathodeAmps().isEmpty()
                ? Optional.empty()
                : Optional.of(new GridNeed.Read(
                        amp.biasVolts().getAsDouble(), amp.cathodeAmps().getAsDouble()));
    }
}
