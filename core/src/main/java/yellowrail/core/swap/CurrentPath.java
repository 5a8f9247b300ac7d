package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.TubeType;

/** The way of the DC through an amp, part by part: what each is rated for, what it carries, what another tube asks. */
public record CurrentPath(List<Stop> stops) {

    /**
     * A part on the way; SI, empty where it is not known.
     *
     * @param unit what it is rated in: amperes, a resistor in watts
     * @param now with the tube that is in, at rest
     * @param then with the other one: at a bias set for it, or with nothing changed on a cathode resistor
     * @param driven the same at full drive
     */
    public record Stop(
            OnTheWay part,
            Unit unit,
            OptionalDouble rated,
            OptionalDouble now,
            OptionalDouble then,
            OptionalDouble driven) {

        /** What the other tube asks of it at rest, over its rating. */
        public OptionalDouble asked() {
            return rated.isPresent() && then.isPresent()
                    ? OptionalDouble.of(then.getAsDouble() / rated.getAsDouble())
                    : OptionalDouble.empty();
        }

        /** Whether all of the rail runs through it. */
        boolean isOnRail() {
            return part.compareTo(OnTheWay.CHOKE) <= 0;
        }

        /** Whether so much is over its rating; never where that is not known. */
        boolean isTooMuch(double value) {
            return value > rated.orElse(Double.POSITIVE_INFINITY);
        }

        public boolean isOver() {
            return isTooMuch(then.orElse(0));
        }

        /** Whether only full drive is too much. */
        public boolean isOverDriven() {
            return !isOver() && isTooMuch(driven.orElse(0));
        }
    }

    public CurrentPath {
        stops = List.copyOf(stops);
    }

    /** The part that has least in hand at rest; empty where no rating is known. */
    public Optional<Stop> bottleneck() {
        return stops.stream()
                .filter(stop -> stop.asked().isPresent())
                .max(Comparator.comparingDouble(stop -> stop.asked().getAsDouble()));
    }

    /** What each of the other tubes draws at rest, A. */
    OptionalDouble each() {
        return stops.stream()
                .filter(stop -> stop.part() == OnTheWay.TUBE)
                .map(Stop::then)
                .findFirst()
                .orElseThrow();
    }

    static CurrentPath of(SwapAmp amp, TubeType in, TubeType wants, StageInAmp stage) {
        OptionalDouble now = amp.cathodeAmps();
        OptionalDouble then = then(amp, wants);
        OptionalDouble driven = (amp.bias().isCathode() ? stage.left(wants) : stage.set(wants))
                .map(found -> OptionalDouble.of(each(found)))
                .orElse(OptionalDouble.empty());
        List<Stop> stops = new ArrayList<>();
        stops.add(rail(OnTheWay.WINDING, amp.fittings().transformerAmps(), amp, now, then, driven));
        OptionalDouble rectifier = RectifierType.find(amp.fittings().rectifierTube())
                .map(type -> OptionalDouble.of(type.dcAmps()))
                .orElse(OptionalDouble.empty());
        stops.add(rail(OnTheWay.RECTIFIER, rectifier, amp, now, then, driven));
        stops.add(rail(OnTheWay.CHOKE, amp.fittings().chokeAmps(), amp, now, then, driven));
        stops.add(new Stop(
                OnTheWay.OUTPUT,
                Unit.AMP,
                amp.topology() == Topology.SINGLE_ENDED ? gap(amp) : OptionalDouble.empty(),
                times(now, amp.tubesPerSide() * (1 - in.screenShare())),
                times(then, amp.tubesPerSide() * (1 - wants.screenShare())),
                times(driven, amp.tubesPerSide() * (1 - wants.screenShare()))));
        stops.add(new Stop(OnTheWay.TUBE, Unit.AMP, amp.rating(wants).cathodeAmps(), now, then, driven));
        amp.cathodeOhms()
                .ifPresent(ohms -> stops.add(new Stop(
                        OnTheWay.RESISTOR,
                        Unit.WATT,
                        amp.partWatts(),
                        heat(now, amp.sharedBy(), ohms),
                        heat(then, amp.sharedBy(), ohms),
                        heat(driven, amp.sharedBy(), ohms))));
        return new CurrentPath(stops);
    }

    private static OptionalDouble gap(SwapAmp amp) {
        OptionalDouble rated = amp.fittings().outputAmps();
        return rated.isPresent()
                ? OptionalDouble.of(amp.fittings().iron().core().gapTolerates(rated.getAsDouble()))
                : rated;
    }

    private static OptionalDouble then(SwapAmp amp, TubeType wants) {
        if (amp.bias().isCathode()) {
            return new TypeInAmp(amp, wants)
                    .withNothingChanged()
                    .map(drawn -> OptionalDouble.of(drawn.cathodeAmps()))
                    .orElse(OptionalDouble.empty());
        }
        return amp.plateVolts().isPresent()
                ? OptionalDouble.of(amp.aim(wants, amp.plateVolts().getAsDouble()))
                : OptionalDouble.empty();
    }

    private static double each(Performance found) {
        return (found.plateAmps() + found.screenAmps()) / found.stage().tubes();
    }

    private static Stop rail(
            OnTheWay part,
            OptionalDouble rated,
            SwapAmp amp,
            OptionalDouble now,
            OptionalDouble then,
            OptionalDouble driven) {
        return new Stop(part, Unit.AMP, rated, rail(amp, now), rail(amp, then), rail(amp, driven));
    }

    private static OptionalDouble rail(SwapAmp amp, OptionalDouble each) {
        return each.isPresent() ? OptionalDouble.of(amp.railWith(each.getAsDouble())) : each;
    }

    private static OptionalDouble times(OptionalDouble value, double factor) {
        return value.isPresent() ? OptionalDouble.of(factor * value.getAsDouble()) : value;
    }

    private static OptionalDouble heat(OptionalDouble each, int sharedBy, double ohms) {
        return each.isPresent() ? OptionalDouble.of(Math.pow(sharedBy * each.getAsDouble(), 2) * ohms) : each;
    }
}
