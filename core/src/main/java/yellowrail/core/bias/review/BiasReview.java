package yellowrail.core.bias.review;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.design.BiasDesign;
import yellowrail.core.bias.design.Remedies;
import yellowrail.core.bias.fault.Fault;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.standard.StandardValues;

/**
 * Judges a bias supply: what a worn wiper does, whether its capacitors hold, whether the pot reaches what the tubes
 * need and no further than they stand.
 */
public final class BiasReview {

    /** The last tenth of the travel at either end. */
    private static final double NEAR = 0.1;

    /** Two resistors may miss what is needed by so much. */
    private static final double BESIDE = 0.03;

    private static final double MUCH_RIPPLE = 0.1;
    /** A fault that lifts a capacitor by less is not worth a sentence. */
    private static final double LIFTS = 1.15;

    private static final double HALF = 0.5;

    private final BiasRange range;
    private final BiasSupply supply;
    private final OptionalDouble needed;
    private final Optional<GridNeed> need;
    private final boolean remedies;
    private final List<BiasRemark> remarks = new ArrayList<>();

    private BiasReview(BiasRange range, OptionalDouble needed, Optional<GridNeed> need, boolean remedies) {
        this.remedies = remedies;
        this.range = range;
        this.supply = range.supply();
        this.needed = needed;
        this.need = need;
    }

    /**
     * @param needed grid volts the tubes need, V, negative; empty where that is not known
     * @param need the tubes; empty where their type has no model or the amp was not read
     */
    public static List<BiasRemark> of(BiasRange range, OptionalDouble needed, Optional<GridNeed> need) {
        return new BiasReview(range, needed, need, true).all();
    }

    /** The same without what would mend it, which takes as long as all the rest: while something is dragged. */
    public static List<BiasRemark> withoutRemedies(BiasRange range, OptionalDouble needed, Optional<GridNeed> need) {
        return new BiasReview(range, needed, need, false).all();
    }

    private List<BiasRemark> all() {
        wiper();
        hotStop();
        capacitors();
        resistors();
        reach();
        ripple();
        return List.copyOf(remarks);
    }

    private void wiper() {
        if (range.wiperOpenVolts().isEmpty()) {
            remarks.add(new BiasRemark.NoWiper());
            return;
        }
        double open = range.wiperOpenVolts().getAsDouble();
        if (!range.isFailSafe()) {
            remarks.add(new BiasRemark.WiperOpenUnsafe(open, range.coldestVolts()));
            if (!remedies) {
                return;
            }
            remarks.add(Remedies.failSafe(range)
                    .<BiasRemark>map(better -> new BiasRemark.WiperResistorMends(
                            better.supply().network().wiperToCold().getAsDouble(),
                            better.wiperOpenVolts().getAsDouble()))
                    .orElseGet(BiasRemark.NoResistorMends::new));
            return;
        }
        double lifted = range.of(Fault.wipers(supply).get(0).in(supply.circuit(PotStand.COLDEST, range.mainsHigh())))
                .reservoir();
        boolean lifts = open < LIFTS * range.coldestVolts();
        remarks.add(lifts ? new BiasRemark.WiperOpenLifts(open, lifted) : new BiasRemark.WiperOpenSafe(open));
        if (lifts
                && supply.network().kind() == Kind.RHEOSTAT_SHUNT
                && !supply.network().tied()) {
            remarks.add(new BiasRemark.TieTheFreeEnd());
        }
    }

    private void hotStop() {
        if (need.isEmpty() || !Remedies.isHotStopOver(range, need.get())) {
            return;
        }
        double watts = need.get().watts(range.hottestVolts());
        double rated = need.get().rated();
        if (!supply.network().kind().hasPot()) {
            remarks.add(new BiasRemark.FixedOver(range.hottestVolts(), watts, rated));
            return;
        }
        remarks.add(new BiasRemark.HotStopOver(range.hottestVolts(), watts, rated));
        if (!remedies) {
            return;
        }
        remarks.add(Remedies.endStop(range, need.get())
                .<BiasRemark>map(better -> new BiasRemark.EndStop(
                        supply.network().lower(), better.network().lower()))
                .orElseGet(BiasRemark.NoEndStop::new));
    }

    private void capacitors() {
        Smoothing smoothing = supply.smoothing();
        capacitor(PartKind.RESERVOIR, range.reservoirMost(), smoothing.reservoirRating());
        if (smoothing.second() > 0) {
            capacitor(PartKind.SECOND, range.secondHigh(), smoothing.secondRating());
        }
        double worst = Fault.unlike(supply).stream()
                .filter(fault ->
                        !fault.part().kind().isDiode() && !fault.part().kind().isCapacitor())
                .map(fault -> range.of(fault.in(supply.circuit(PotStand.COLDEST, range.mainsHigh()))))
                .mapToDouble(SteadyState::most)
                .max()
                .orElse(0);
        if (worst > LIFTS * range.reservoirMost()) {
            remarks.add(new BiasRemark.RisesInAFault(PartKind.RESERVOIR, worst));
        }
    }

    private void capacitor(PartKind part, double volts, OptionalDouble rating) {
        double take = BiasDesign.ratingFor(volts);
        if (rating.isEmpty()) {
            remarks.add(new BiasRemark.CapacitorNeeds(part, volts, take));
        } else if (volts > rating.getAsDouble()) {
            remarks.add(new BiasRemark.CapacitorOver(part, volts, rating.getAsDouble(), take));
        } else if (volts > BiasDesign.OF_RATING * rating.getAsDouble()) {
            remarks.add(new BiasRemark.CapacitorNear(part, volts, rating.getAsDouble(), take));
        }
    }

    /** The worst of each kind against what it is rated for: never above it, and half of it for good. */
    private void resistors() {
        Map<PartKind, Double> rated = supply.rated();
        if (rated.isEmpty()) {
            return;
        }
        Map<PartKind, Double> worked = new EnumMap<>(PartKind.class);
        range.worked(range.mainsHigh()).forEach((part, watts) -> worked.merge(part.kind(), watts, Math::max));
        worked.forEach((kind, watts) -> {
            double rating = rated.getOrDefault(kind, Double.POSITIVE_INFINITY);
            double take = StandardValues.wattsFor(watts);
            if (watts > rating) {
                remarks.add(new BiasRemark.ResistorOver(kind, watts, rating, take));
            } else if (watts > HALF * rating) {
                remarks.add(new BiasRemark.ResistorHot(kind, watts, rating, take));
            }
        });
    }

    private void reach() {
        if (needed.isEmpty()) {
            return;
        }
        double volts = needed.getAsDouble();
        if (!supply.network().kind().hasPot()) {
            if (Math.abs(range.coldestVolts() - volts) > BESIDE * -volts) {
                remarks.add(new BiasRemark.FixedBeside(volts, range.coldestVolts()));
            }
        } else if (volts < range.coldestVolts()) {
            remarks.add(new BiasRemark.TooColdToReach(volts, range.coldestVolts()));
        } else if (volts > range.hottestVolts()) {
            remarks.add(new BiasRemark.TooHotToReach(volts, range.hottestVolts()));
        } else {
            range.travel(volts).ifPresent(travel -> {
                if (travel < NEAR || travel > 1 - NEAR) {
                    remarks.add(new BiasRemark.NearTheStop(volts, travel));
                }
            });
            need.ifPresent(this::scatter);
        }
    }

    private void scatter(GridNeed tubes) {
        if (!range.reaches(tubes.coldest()) || !range.reaches(tubes.hottest())) {
            remarks.add(new BiasRemark.ScatterBeyond(tubes.coldest(), tubes.hottest()));
        }
    }

    private void ripple() {
        SteadyState hottest = range.hottest();
        double relative = hottest.ripple() / hottest.volts(Circuit.RESERVOIR);
        if (relative > MUCH_RIPPLE) {
            remarks.add(new BiasRemark.MuchRipple(hottest.ripple(), relative));
        }
    }
}
