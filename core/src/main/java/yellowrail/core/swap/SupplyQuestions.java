package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Finding;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.TubeType;

/** Heaters, and the DC through transformers, choke and rectifier. */
final class SupplyQuestions {

    private static final double SAME_VOLTS = 0.05;
    /** A hot heater\u2019s current grows more slowly than its voltage: about as the 0.6th power. */
    private static final double HOT_WIRE = 0.6;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;

    SupplyQuestions(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    Line heaterVolts() {
        boolean same = Math.abs(wants.heaterVolts() / in.heaterVolts() - 1) <= SAME_VOLTS;
        return Line.of(
                        SwapQuestion.HEATER_VOLTS,
                        same ? Outcome.HOLDS : Outcome.STOP,
                        same
                                ? new CurrentFinding.HeaterVoltsAlike(wants.heaterVolts())
                                : new CurrentFinding.HeaterVoltsApart(
                                        wants.name(), wants.heaterVolts(), in.heaterVolts()))
                .by(new CurrentFinding.BothHeaterVolts(in.name(), in.heaterVolts(), wants.name(), wants.heaterVolts()))
                .from(new CurrentFinding.HeaterVoltsSource());
    }

    /** All heaters of the winding against its rating, also at high mains. */
    Line heaterBudget() {
        Fittings fittings = amp.fittings();
        double tubes = amp.tubes() * wants.heaterAmps();
        CurrentFinding together = new CurrentFinding.HeatersTogether(amp.tubes(), wants.heaterAmps(), tubes);
        if (fittings.heaterAmps().isEmpty()) {
            boolean less = wants.heaterAmps() <= in.heaterAmps();
            return Line.of(
                            SwapQuestion.HEATER_WINDING,
                            less ? Outcome.HOLDS : Outcome.UNKNOWN,
                            less
                                    ? new CurrentFinding.HeatersTakeNoMore(
                                            wants.heaterAmps(), in.name(), in.heaterAmps())
                                    : new CurrentFinding.HeatersTakeMore(wants.heaterAmps(), in.heaterAmps()))
                    .by(together)
                    .from(new CurrentFinding.HeaterAmpsSource());
        }
        double rated = fittings.heaterAmps().getAsDouble();
        OptionalDouble others = fittings.otherHeaterAmps();
        double total = tubes + others.orElse(0);
        double high = total * Math.pow(SwapCheck.HIGH_MAINS, HOT_WIRE);
        CurrentFinding of = new CurrentFinding.OfWinding(total, rated);
        CurrentFinding rest = others.isPresent()
                ? new CurrentFinding.AndElse(others.getAsDouble())
                : new CurrentFinding.AndElseUnknown();
        Outcome outcome = total > rated ? Outcome.STOP : others.isPresent() ? Outcome.HOLDS : Outcome.UNKNOWN;
        return Line.of(
                        SwapQuestion.HEATER_WINDING,
                        outcome,
                        total > rated
                                ? new CurrentFinding.WindingTooWeak(of, total - rated)
                                : inHand(of, 1 - total / rated, others.isPresent(), high > rated))
                .with(of)
                .by(new CurrentFinding.HeaterSum(together, rest, of, SwapCheck.HIGH_MAINS - 1, high, HOT_WIRE))
                .from(new CurrentFinding.HeaterAmpsSource());
    }

    private static CurrentFinding inHand(CurrentFinding of, double share, boolean known, boolean barely) {
        if (known) {
            return barely
                    ? new CurrentFinding.WindingHoldsBarely(of, share)
                    : new CurrentFinding.WindingHolds(of, share);
        }
        return barely
                ? new CurrentFinding.WindingRestUnknownBarely(of, share)
                : new CurrentFinding.WindingRestUnknown(of, share);
    }

    /** What the stage will draw against every rating it passes through. */
    Line railCurrent(CurrentPath path, OwnFigures own) {
        if (amp.plateVolts().isEmpty()) {
            return Line.of(SwapQuestion.RAIL_CURRENT, Outcome.UNKNOWN, new SwapFinding.ReadPlatesFirst())
                    .from(new SwapFinding.NothingRead());
        }
        double each =
                path.each().orElseGet(() -> amp.aim(wants, amp.plateVolts().getAsDouble()));
        double total = amp.railWith(each);
        List<CurrentFinding> over = new ArrayList<>();
        List<CurrentFinding> holds = new ArrayList<>();
        hold(CurrentFinding.Transformer::new, amp.fittings().transformerAmps(), total, over, holds);
        hold(CurrentFinding.Choke::new, amp.fittings().chokeAmps(), total, over, holds);
        if (amp.fittings().transformerAmps().isEmpty()
                || amp.fittings().chokeAmps().isEmpty()) {
            hold(CurrentFinding.TransformerOrChoke::new, amp.mostAmps(), total, over, holds);
        }
        Optional<RectifierType> rectifier = RectifierType.find(amp.fittings().rectifierTube());
        rectifier.ifPresent(type -> hold(
                rated -> new CurrentFinding.RectifierTube(type.name(), rated),
                OptionalDouble.of(type.dcAmps()),
                total,
                over,
                holds));
        Outcome outcome = !over.isEmpty() ? Outcome.STOP : holds.isEmpty() ? Outcome.UNKNOWN : Outcome.HOLDS;
        CurrentFinding says = switch (outcome) {
            case STOP -> new CurrentFinding.RailTooMuch(total, over);
            case UNKNOWN -> new CurrentFinding.RailRatingsUnknown(total);
            case HOLDS, CHANGE -> new CurrentFinding.RailWithin(total, holds);
        };
        List<Finding> all = new ArrayList<>(List.of(says));
        if (outcome != Outcome.STOP) {
            driven(path).ifPresent(all::add);
            if (!own.rail().isEmpty()) {
                all.add(new CurrentFinding.RailSetForItself(
                        amp.railWith(own.each()),
                        own.rail().stream().map(this::part).toList()));
            }
        }
        return Line.of(SwapQuestion.RAIL_CURRENT, outcome, all.toArray(Finding[]::new))
                .by(new CurrentFinding.RailSum(amp.tubes(), each, amp.restOfRail(), total))
                .from(
                        rectifier.filter(type -> !type.sure()).isPresent()
                                ? new CurrentFinding.RailSourceToVerify()
                                : new CurrentFinding.RailSource());
    }

    /** What only full drive is too much for. */
    private Optional<Finding> driven(CurrentPath path) {
        List<CurrentPath.Stop> over = path.stops().stream()
                .filter(stop -> stop.isOnRail() && stop.isOverDriven())
                .toList();
        return over.isEmpty()
                ? Optional.empty()
                : Optional.of(new CurrentFinding.RailDriven(
                        over.get(0).driven().getAsDouble(),
                        over.stream().map(this::part).toList()));
    }

    private CurrentFinding part(CurrentPath.Stop stop) {
        double rated = stop.rated().getAsDouble();
        return switch (stop.part()) {
            case WINDING -> new CurrentFinding.Transformer(rated);
            case CHOKE -> new CurrentFinding.Choke(rated);
            default ->
                new CurrentFinding.RectifierTube(
                        RectifierType.find(amp.fittings().rectifierTube())
                                .orElseThrow()
                                .name(),
                        rated);
        };
    }

    private static void hold(
            DoubleFunction<CurrentFinding> part,
            OptionalDouble rating,
            double total,
            List<CurrentFinding> over,
            List<CurrentFinding> holds) {
        rating.ifPresent(rated -> (total > rated ? over : holds).add(part.apply(rated)));
    }

    /** Single-ended, the primary carries the tubes' DC. */
    Optional<Line> outputCurrent(CurrentPath path, OwnFigures own) {
        if (amp.topology() != Topology.SINGLE_ENDED) {
            return Optional.empty();
        }
        if (amp.plateVolts().isEmpty() || amp.fittings().outputAmps().isEmpty()) {
            return Optional.of(Line.of(
                            SwapQuestion.OUTPUT_CURRENT,
                            Outcome.UNKNOWN,
                            amp.plateVolts().isEmpty()
                                    ? new SwapFinding.ReadPlatesFirst()
                                    : new CurrentFinding.OutputRatingUnknown())
                    .from(new SwapFinding.AmpSheetSource()));
        }
        double each =
                path.each().orElseGet(() -> amp.aim(wants, amp.plateVolts().getAsDouble()));
        double plate = amp.tubesPerSide() * each * (1 - wants.screenShare());
        double rated = amp.fittings().outputAmps().getAsDouble();
        return Optional.of(Line.of(
                        SwapQuestion.OUTPUT_CURRENT,
                        plate > amp.fittings().iron().core().gapTolerates(rated) ? Outcome.STOP : Outcome.HOLDS,
                        own.output()
                                ? new CurrentFinding.OutputAsItStands(
                                        plate, rated, amp.tubesPerSide() * own.each() * (1 - wants.screenShare()))
                                : new CurrentFinding.OutputOfRated(plate, rated))
                .by(new CurrentFinding.PlateCurrents(amp.tubesPerSide()))
                .from(new SwapFinding.AmpSheetSource()));
    }
}
