package yellowrail.core.amp;

import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.tube.RatingSystem;

/**
 * The power tubes, what holds their grids, and what they are judged by.
 *
 * @param topology push-pull or single-ended
 * @param tubeType the type number in all its power sockets
 * @param ratingSystem whose limits to judge by
 * @param ownPlateWatts the builder's own plate dissipation limit, W; empty to use the catalogue's
 * @param sockets one to eight
 * @param bias how the grids are held negative
 * @param pots the bias pots, possibly none
 * @param accepted volts over a published limit taken on knowingly, for the tube type above
 */
public record PowerStage(
        Topology topology,
        String tubeType,
        RatingSystem ratingSystem,
        OptionalDouble ownPlateWatts,
        List<Socket> sockets,
        BiasKind bias,
        List<Pot> pots,
        Accepted accepted) {

    public PowerStage {
        sockets = List.copyOf(sockets);
        pots = List.copyOf(pots);
        if (sockets.isEmpty() || sockets.size() > AmpSheet.MOST_SOCKETS) {
            throw new IllegalArgumentException(
                    "an amp has 1 to %d power sockets, was %d".formatted(AmpSheet.MOST_SOCKETS, sockets.size()));
        }
    }

    PowerStage withSockets(List<Socket> others) {
        return new PowerStage(topology, tubeType, ratingSystem, ownPlateWatts, others, bias, pots, accepted);
    }

    PowerStage withPots(List<Pot> others) {
        return new PowerStage(topology, tubeType, ratingSystem, ownPlateWatts, sockets, bias, others, accepted);
    }

    PowerStage with(Accepted other) {
        return new PowerStage(topology, tubeType, ratingSystem, ownPlateWatts, sockets, bias, pots, other);
    }

    /** The same stage with its grids held another way. */
    public PowerStage with(BiasKind other) {
        return new PowerStage(topology, tubeType, ratingSystem, ownPlateWatts, sockets, other, pots, accepted);
    }

    /** The same stage judged by a limit of the builder's own, W. */
    public PowerStage withOwnPlateWatts(double watts) {
        return new PowerStage(
                topology, tubeType, ratingSystem, OptionalDouble.of(watts), sockets, bias, pots, accepted);
    }
}
