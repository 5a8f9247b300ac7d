package yellowrail.core.amp;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeType;

/**
 * An amp as far as its idle is concerned.
 *
 * @param name what the builder calls it
 * @param notes anything worth knowing
 * @param quirks what would surprise a stranger at the bench
 * @param topology push-pull or single-ended
 * @param tubeType the type number in all its power sockets
 * @param ratingSystem whose limits to judge by
 * @param ownPlateWatts the builder's own plate dissipation limit, W; empty to use the catalogue's
 * @param sockets one to eight
 * @param bias how the grids are held negative
 * @param pots the bias pots, possibly none
 * @param current how current is read
 * @param plate where plate voltage is read
 * @param screen how screen current is counted
 * @param meter the meter's accuracy
 * @param mainsVolts the mains voltage the amp is set at, V
 * @param settleMinutes a verdict before this is marked early
 * @param target where the idle should land
 * @param supply what feeds the stage, as far as it is known
 * @param meterLink where the meter can be asked, if it can
 * @param fittings what another tube would meet
 * @param accepted volts over a published limit taken on knowingly, for the tube type above
 */
public record AmpSheet(
        String name,
        String notes,
        String quirks,
        Topology topology,
        String tubeType,
        RatingSystem ratingSystem,
        OptionalDouble ownPlateWatts,
        List<Socket> sockets,
        BiasKind bias,
        List<Pot> pots,
        CurrentSense current,
        PlateSense plate,
        ScreenSense screen,
        MeterAccuracy meter,
        double mainsVolts,
        double settleMinutes,
        Target target,
        Supply supply,
        MeterLink meterLink,
        Fittings fittings,
        Accepted accepted) {

    public static final int MOST_SOCKETS = 8;

    /** A sheet saved before supplies, meter links and fittings were written down has none. */
    public AmpSheet {
        supply = supply == null ? Supply.UNKNOWN : supply;
        meterLink = meterLink == null ? MeterLink.NONE : meterLink;
        fittings = fittings == null ? Fittings.UNKNOWN : fittings;
        accepted = accepted == null ? Accepted.NONE : accepted;
        sockets = List.copyOf(sockets);
        pots = List.copyOf(pots);
        if (sockets.isEmpty() || sockets.size() > MOST_SOCKETS) {
            throw new IllegalArgumentException(
                    "an amp has 1 to %d power sockets, was %d".formatted(MOST_SOCKETS, sockets.size()));
        }
    }

    /** A sheet of which nothing is known about supply and meter link. */
    public AmpSheet(
            String name,
            String notes,
            String quirks,
            Topology topology,
            String tubeType,
            RatingSystem ratingSystem,
            OptionalDouble ownPlateWatts,
            List<Socket> sockets,
            BiasKind bias,
            List<Pot> pots,
            CurrentSense current,
            PlateSense plate,
            ScreenSense screen,
            MeterAccuracy meter,
            double mainsVolts,
            double settleMinutes,
            Target target) {
        this(
                name,
                notes,
                quirks,
                topology,
                tubeType,
                ratingSystem,
                ownPlateWatts,
                sockets,
                bias,
                pots,
                current,
                plate,
                screen,
                meter,
                mainsVolts,
                settleMinutes,
                target,
                Supply.UNKNOWN,
                MeterLink.NONE,
                Fittings.UNKNOWN,
                Accepted.NONE);
    }

    /** The same amp on another supply. */
    public AmpSheet with(Supply other) {
        return copy(sockets, pots, current, plate, screen, meter, target, other, meterLink, fittings);
    }

    /** The same amp, its readings taken from another meter. */
    public AmpSheet with(MeterLink other) {
        return copy(sockets, pots, current, plate, screen, meter, target, supply, other, fittings);
    }

    public AmpSheet with(Target other) {
        return copy(sockets, pots, current, plate, screen, meter, other, supply, meterLink, fittings);
    }

    public AmpSheet with(ScreenSense other) {
        return copy(sockets, pots, current, plate, other, meter, target, supply, meterLink, fittings);
    }

    public AmpSheet with(PlateSense other) {
        return copy(sockets, pots, current, other, screen, meter, target, supply, meterLink, fittings);
    }

    /** The same amp with its current read another way, by a meter on the range for it. */
    public AmpSheet with(CurrentSense other) {
        return copy(
                sockets,
                pots,
                other,
                plate,
                screen,
                AmpDefaults.meter(other.shows()),
                target,
                supply,
                meterLink,
                fittings);
    }

    /** The same resistors and meter, read by another method. */
    public AmpSheet with(CurrentMethod other) {
        CurrentSense changed = new CurrentSense(
                other,
                current.ohms(),
                current.tolerance(),
                current.shows(),
                current.copperCold(),
                current.copperHot(),
                current.otherAmps());
        return copy(sockets, pots, changed, plate, screen, meter, target, supply, meterLink, fittings);
    }

    public AmpSheet withPots(List<Pot> others) {
        return copy(sockets, others, current, plate, screen, meter, target, supply, meterLink, fittings);
    }

    public AmpSheet withSockets(List<Socket> others) {
        return copy(others, pots, current, plate, screen, meter, target, supply, meterLink, fittings);
    }

    /** The same amp with other fittings. */
    public AmpSheet with(Fittings other) {
        return copy(sockets, pots, current, plate, screen, meter, target, supply, meterLink, other);
    }

    /** The same amp read with another meter. */
    public AmpSheet with(MeterAccuracy other) {
        return copy(sockets, pots, current, plate, screen, other, target, supply, meterLink, fittings);
    }

    /** The same amp with other volts taken on. */
    public AmpSheet with(Accepted other) {
        return new AmpSheet(
                name,
                notes,
                quirks,
                topology,
                tubeType,
                ratingSystem,
                ownPlateWatts,
                sockets,
                bias,
                pots,
                current,
                plate,
                screen,
                meter,
                mainsVolts,
                settleMinutes,
                target,
                supply,
                meterLink,
                fittings,
                other);
    }

    /** The same amp set at another mains, V, and given another time to settle, minutes. */
    public AmpSheet at(double mains, double minutes) {
        return new AmpSheet(
                name,
                notes,
                quirks,
                topology,
                tubeType,
                ratingSystem,
                ownPlateWatts,
                sockets,
                bias,
                pots,
                current,
                plate,
                screen,
                meter,
                mains,
                minutes,
                target,
                supply,
                meterLink,
                fittings,
                accepted);
    }

    private AmpSheet copy(
            List<Socket> sockets,
            List<Pot> pots,
            CurrentSense current,
            PlateSense plate,
            ScreenSense screen,
            MeterAccuracy meter,
            Target target,
            Supply supply,
            MeterLink meterLink,
            Fittings fittings) {
        return new AmpSheet(
                name,
                notes,
                quirks,
                topology,
                tubeType,
                ratingSystem,
                ownPlateWatts,
                sockets,
                bias,
                pots,
                current,
                plate,
                screen,
                meter,
                mainsVolts,
                settleMinutes,
                target,
                supply,
                meterLink,
                fittings,
                accepted);
    }

    /** What it is in one line: {@code 2 × EL34 push-pull, fixed, adjustable}. */
    public AmpFinding told() {
        return new AmpFinding.Stage(sockets.size(), tubeType, topology, bias);
    }

    /** The least DC that transformer or choke is rated for, A; empty where neither is known. */
    public OptionalDouble mostRailAmps() {
        return Stream.of(fittings.transformerAmps(), fittings.chokeAmps(), supply.mostAmps())
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .min();
    }

    /** The test points, each once, in the order of the sockets. */
    public List<String> testPoints() {
        return List.copyOf(
                new LinkedHashSet<>(sockets.stream().map(Socket::testPoint).toList()));
    }

    public List<Socket> socketsAt(String testPoint) {
        return sockets.stream()
                .filter(socket -> socket.testPoint().equals(testPoint))
                .toList();
    }

    public Optional<Socket> socket(String label) {
        return sockets.stream()
                .filter(socket -> socket.label().equalsIgnoreCase(label))
                .findFirst();
    }

    /** Channels, each with an output transformer of its own. */
    public int channels() {
        return (int) sockets.stream().map(Socket::channel).distinct().count();
    }

    /** Tubes at one end of an output transformer. */
    public int tubesPerSide() {
        int perChannel = sockets.size() / channels();
        return Math.max(1, topology == Topology.SINGLE_ENDED ? perChannel : perChannel / 2);
    }

    /** How many tubes hang on the same half of the output transformer as this one, itself included. */
    public int tubesBeside(Socket socket) {
        return (int) sockets.stream()
                .filter(other -> other.side() == socket.side() && other.channel() == socket.channel())
                .count();
    }

    /**
     * The limits a tube of this type is judged by here: the builder's own figure, which is of the type on the sheet
     * alone; or the chosen system's, or the customary ones.
     */
    public Rating rating(TubeType type) {
        Rating chosen = type.rating(ratingSystem).orElse(type.customaryRating());
        return ownPlateWatts.isPresent() && isOf(type)
                ? chosen.withPlateWatts(ownPlateWatts.getAsDouble(), new TubeFinding.OnAmpSheet())
                : chosen;
    }

    /** Whether that is the type on the sheet. */
    public boolean isOf(TubeType type) {
        return type.name().equals(tubeType) || type.aka().contains(tubeType);
    }
}
