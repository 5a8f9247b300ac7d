package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.finding.Finding;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;

/** What the grids need: volts, the resistor that makes them, the leak, the drive. */
final class BiasQuestions {

    private static final double SAME_RESISTOR = 0.10;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;
    private final TypeInAmp there;
    private final double spread;

    BiasQuestions(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
        this.there = new TypeInAmp(amp, wants);
        this.spread = there.known().map(KnownModel::biasSpread).orElse(0.0);
    }

    private Finding[] source() {
        if (there.known().isEmpty()) {
            return new Finding[] {new BiasFinding.NoModelSource(wants.name())};
        }
        Finding model =
                new BiasFinding.ModelSource(wants.name(), there.known().get().trust(), spread);
        return amp.screenVolts().isPresent()
                ? new Finding[] {model}
                : new Finding[] {model, new BiasFinding.ScreensTaken()};
    }

    private static Finding[] withStops(Finding[] source) {
        return Stream.concat(Stream.of(source), Stream.of(new BiasFinding.StopsComputed()))
                .toArray(Finding[]::new);
    }

    Line gridVolts() {
        OptionalDouble needed = there.needed();
        if (needed.isEmpty()) {
            return Line.of(
                            SwapQuestion.GRID_VOLTS,
                            Outcome.UNKNOWN,
                            amp.plateVolts().isEmpty()
                                    ? new SwapFinding.ReadPlatesFirst()
                                    : new BiasFinding.NoPointsForGrid())
                    .from(source());
        }
        double volts = needed.getAsDouble();
        double plate = amp.plateVolts().getAsDouble();
        BiasFinding about = new BiasFinding.AboutVolts(volts, spread);
        OptionalDouble own = new TypeInAmp(amp, in).needed();
        Optional<BiasFinding> before = own.isPresent()
                ? Optional.of(new BiasFinding.AndBefore(in.name(), own.getAsDouble()))
                : Optional.empty();
        return answer(volts, plate, about, before)
                .with(about)
                .by(new BiasFinding.GridByModel(amp.aim(wants, plate), plate, amp.screenOr(plate), volts))
                .from(amp.stops().filter(BiasStops::computed).isPresent() ? withStops(source()) : source());
    }

    private Line answer(double volts, double plate, BiasFinding about, Optional<BiasFinding> before) {
        if (amp.bias().isCathode()) {
            return Line.of(SwapQuestion.GRID_VOLTS, Outcome.HOLDS, new BiasFinding.MadeByResistor(about, before));
        }
        if (amp.stops().isEmpty()) {
            return Line.of(
                    SwapQuestion.GRID_VOLTS,
                    Outcome.UNKNOWN,
                    andSetting(new BiasFinding.StopsNotRead(about, before), plate));
        }
        double coldest = amp.stops().get().coldest();
        double hottest = amp.stops().get().hottest();
        boolean reaches = volts - spread >= coldest && volts + spread <= hottest;
        return Line.of(
                SwapQuestion.GRID_VOLTS,
                reaches ? Outcome.HOLDS : Outcome.CHANGE,
                andSetting(
                        reaches
                                ? new BiasFinding.Reaches(about, before, coldest, hottest)
                                : new BiasFinding.ReachesNot(
                                        about, before, coldest, hottest, volts - spread, volts + spread),
                        plate));
    }

    /**
     * Whatever the old tube drew, a new one is set from cold; what it would draw at the bias the old one left is the
     * reason.
     */
    private Finding[] andSetting(BiasFinding says, double plate) {
        List<Finding> all = new ArrayList<>(List.of(says));
        all.add(
                amp.bias() == BiasKind.FIXED
                        ? new BiasFinding.ResistorBeforeItIsIn()
                        : new BiasFinding.SetFromCold(amp.each(amp.aim(wants, plate))));
        there.atPresentGrid()
                .ifPresent(amps -> all.add(new BiasFinding.IfLeft(
                        amp.biasVolts().orElseThrow(),
                        amps,
                        plate
                                * amps
                                * (1 - wants.screenShare())
                                / wants.customaryRating().plateWatts())));
        return all.toArray(Finding[]::new);
    }

    /**
     * With cathode bias: the resistor that brings the new tube to its aim.
     *
     * @param leave whether the amp cannot stand that
     */
    Optional<Line> cathodeResistor(boolean leave) {
        if (!amp.bias().isCathode()) {
            return Optional.empty();
        }
        OptionalDouble needed = there.needed();
        if (needed.isEmpty() || amp.plateVolts().isEmpty()) {
            return Optional.of(
                    Line.of(SwapQuestion.CATHODE_RESISTOR, Outcome.UNKNOWN, new BiasFinding.NothingToComputeResistor())
                            .from(source()));
        }
        if (leave && amp.cathodeOhms().isPresent()) {
            return Optional.of(Line.of(
                            SwapQuestion.CATHODE_RESISTOR,
                            Outcome.HOLDS,
                            new BiasFinding.ResistorStays(amp.cathodeOhms().getAsDouble()))
                    .from(source()));
        }
        double volts = -needed.getAsDouble();
        double each = amp.aim(wants, amp.plateVolts().getAsDouble());
        double through = amp.sharedBy() * each;
        double ohms = volts / through;
        double watts = volts * through;
        BiasFinding part = new BiasFinding.Part(StandardValues.E24.nearest(ohms), StandardValues.wattsFor(watts));
        boolean same = amp.cathodeOhms().isPresent()
                && Math.abs(ohms / amp.cathodeOhms().getAsDouble() - 1) <= SAME_RESISTOR
                && (amp.partWatts().isEmpty() || amp.partWatts().getAsDouble() >= 2 * watts);
        BiasFinding says = amp.cathodeOhms().isEmpty()
                ? new BiasFinding.ResistorTo(part)
                : same
                        ? new BiasFinding.ResistorNearEnough(amp.cathodeOhms().getAsDouble(), part)
                        : new BiasFinding.ResistorFromTo(part, amp.cathodeOhms().getAsDouble());
        return Optional.of(Line.of(SwapQuestion.CATHODE_RESISTOR, same ? Outcome.HOLDS : Outcome.CHANGE, says)
                .by(new BiasFinding.ResistorArithmetic(volts, amp.sharedBy(), each, ohms, watts))
                .from(source()));
    }

    Line gridLeak() {
        Rating rating = amp.rating(wants);
        OptionalDouble most = amp.bias().isCathode() ? rating.gridLeakCathode() : rating.gridLeakFixed();
        Finding source = amp.bias().isCathode()
                ? new BiasFinding.LeakCathodeSource(rating.provenance())
                : new BiasFinding.LeakFixedSource(rating.provenance());
        if (most.isEmpty() || amp.fittings().gridLeakOhms().isEmpty()) {
            return Line.of(
                            SwapQuestion.GRID_LEAK,
                            most.isEmpty() ? Outcome.HOLDS : Outcome.UNKNOWN,
                            most.isEmpty()
                                    ? new SwapFinding.NoLimitPublished(wants.name())
                                    : new BiasFinding.LeakAtMost(most.getAsDouble()))
                    .from(source);
        }
        double ohms = amp.fittings().gridLeakOhms().getAsDouble();
        boolean holds = ohms <= most.getAsDouble();
        return Line.of(
                        SwapQuestion.GRID_LEAK,
                        holds ? Outcome.HOLDS : Outcome.CHANGE,
                        holds
                                ? new BiasFinding.LeakHolds(ohms, most.getAsDouble())
                                : new BiasFinding.LeakTo(ohms, most.getAsDouble()))
                .by(new BiasFinding.LeakWhy())
                .from(source);
    }

    /** Peak volts at each grid for full drive: to the edge of grid current. */
    Line drive() {
        OptionalDouble needed = there.needed();
        if (needed.isEmpty() || amp.fittings().driveVolts().isEmpty()) {
            return Line.of(
                            SwapQuestion.DRIVE,
                            Outcome.UNKNOWN,
                            needed.isEmpty()
                                    ? new SwapFinding.NoModel(wants.name())
                                    : new BiasFinding.DriveUnknown(-needed.getAsDouble()))
                    .from(source());
        }
        double peak = -needed.getAsDouble();
        double gives = amp.fittings().driveVolts().getAsDouble();
        return Line.of(
                        SwapQuestion.DRIVE,
                        gives >= peak ? Outcome.HOLDS : Outcome.CHANGE,
                        gives >= peak
                                ? new BiasFinding.DriveHolds(peak, gives)
                                : new BiasFinding.DriveTooLittle(peak, gives))
                .by(new BiasFinding.DriveWhy())
                .from(source());
    }
}
