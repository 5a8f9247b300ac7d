package yellowrail.core.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.amp.Target;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.station.Station;
import yellowrail.core.tube.TubeType;
import yellowrail.core.work.PartLine.Deed;
import yellowrail.core.work.WorkPlan.Step;

/**
 * A bias supply as it is drawn, as work: against the one that is kept with the amp; where the amp has cathode bias, all
 * of it and what makes the cathodes' resistors superfluous.
 */
public final class SupplyWork {

    /** So many volts AC are a tap of the plate winding, or as dangerous. */
    static final double LIVE = 50;

    private static final double SENSE_OHMS = 10;
    private static final double SENSE_WATTS = 0.25;
    /** A leak carries no current. */
    static final double LEAK_WATTS = 0.5;

    private final AmpSheet sheet;
    private final BiasRange range;
    private final BiasSupply drawn;
    private final Optional<GridNeed> need;
    private final List<WorkFinding> outcome = new ArrayList<>();
    private final List<Step> steps = new ArrayList<>();

    private SupplyWork(AmpSheet sheet, BiasRange range, Optional<GridNeed> need) {
        this.sheet = sheet;
        this.range = range;
        this.drawn = range.supply();
        this.need = need;
    }

    /**
     * @param type of the tubes that are in or go in
     * @param lift what the cathodes stand at, V
     */
    public static WorkPlan of(AmpSheet sheet, BiasRange range, Optional<GridNeed> need, TubeType type, double lift) {
        SupplyWork work = new SupplyWork(sheet, range, need);
        Optional<BiasRange> before = sheet.bias().isCathode()
                ? Optional.empty()
                : sheet.biasSupply().map(kept -> new BiasRange(kept, range.mainsHigh()));
        List<PartLine> parts = new ArrayList<>(SupplyParts.of(range, before));
        work.outcome(before.map(BiasRange::supply), lift);
        work.leaks(parts, type);
        if (sheet.bias().isCathode()) {
            work.cathodes(parts);
        }
        work.steps();
        return new WorkPlan(parts, work.outcome, work.steps);
    }

    private void outcome(Optional<BiasSupply> before, double lift) {
        before.map(BiasSupply::network)
                .map(BiasNetwork::kind)
                .filter(kind -> kind != drawn.network().kind())
                .ifPresent(kind -> outcome.add(
                        new WorkFinding.Rewired(kind, drawn.network().kind())));
        outcome.add(
                drawn.network().kind().hasPot()
                        ? new WorkFinding.GridsReach(range.coldestVolts(), range.hottestVolts())
                        : new WorkFinding.GridsStandAt(range.coldestVolts()));
        if (!range.isFailSafe()) {
            outcome.add(new WorkFinding.NotFailSafe());
        }
        if (sheet.bias().isCathode()) {
            if (lift > 0) {
                outcome.add(new WorkFinding.PlatesGain(lift));
            }
            outcome.add(new WorkFinding.OtherWindow(Target.FIXED_BIAS.low(), Target.FIXED_BIAS.high()));
        }
    }

    /** A grid leak for each tube, within the limit of fixed bias; exchanged where it is too large. */
    private void leaks(List<PartLine> parts, TubeType type) {
        if (!(drawn.leak() > 0)) {
            return;
        }
        int count = sheet.sockets().size();
        OptionalDouble most = type.customaryRating().gridLeakFixed();
        boolean large = most.isPresent() && drawn.leak() > most.getAsDouble();
        if (large) {
            outcome.add(new WorkFinding.LeakTooLarge(drawn.leak(), most.getAsDouble()));
            parts.add(leak(
                    Deed.FIT,
                    count,
                    StandardValues.E12.around(most.getAsDouble()).get(0)));
        } else if (most.isEmpty()) {
            outcome.add(new WorkFinding.LeakLimitNotKnown());
        }
        parts.add(leak(large ? Deed.TAKE_OUT : Deed.STAYS, count, drawn.leak()));
    }

    private static PartLine leak(Deed deed, int count, double ohms) {
        return new PartLine(
                deed,
                WorkPart.GRID_LEAK,
                count,
                Optional.of(new Amount(Unit.KILOHM, ohms)),
                deed == Deed.TAKE_OUT ? Optional.empty() : Optional.of(new Amount(Unit.WATT, LEAK_WATTS)));
    }

    /** What hung in the cathodes comes out. */
    private void cathodes(List<PartLine> parts) {
        int sockets = sheet.sockets().size();
        parts.add(new PartLine(
                Deed.FIT,
                WorkPart.SENSE_RESISTOR,
                sockets,
                Optional.of(new Amount(Unit.OHM, SENSE_OHMS)),
                Optional.of(new Amount(Unit.WATT, SENSE_WATTS))));
        int groups = sheet.testPoints().size();
        parts.add(new PartLine(
                Deed.TAKE_OUT,
                WorkPart.CATHODE_RESISTOR,
                groups,
                sheet.current().ohms().isPresent()
                        ? Optional.of(
                                new Amount(Unit.OHM, sheet.current().ohms().getAsDouble()))
                        : Optional.empty(),
                Optional.empty()));
        parts.add(new PartLine(Deed.TAKE_OUT, WorkPart.BYPASS, groups, Optional.empty(), Optional.empty()));
    }

    private void steps() {
        step(Station.MAKE_SAFE, new WorkFinding.OffAndDrained());
        if (drawn.source().volts() > LIVE) {
            step(Station.MAKE_SAFE, new WorkFinding.TapIsLive(drawn.source().volts()));
        }
        step(Station.TUBES, new WorkFinding.TubesOut());
        step(Station.TUBES, solder());
        if (sheet.bias().isCathode()) {
            step(Station.TUBES, new WorkFinding.CathodesToSense());
        }
        boolean pot = drawn.network().kind().hasPot();
        double cold = drawn.circuit(PotStand.COLDEST, 1).ohmsFromGrid();
        step(
                Station.TUBES,
                pot
                        ? new WorkFinding.OhmsFromGrids(
                                cold, drawn.circuit(PotStand.HOTTEST, 1).ohmsFromGrid())
                        : new WorkFinding.OhmsFromGridsFixed(cold));
        step(Station.TUBES, new WorkFinding.LimiterTubesOut());
        step(
                Station.TUBES,
                pot
                        ? new WorkFinding.ReadStops(range.coldestVolts(), range.hottestVolts(), BiasStops.PARTS)
                        : new WorkFinding.ReadGrids(range.coldestVolts(), BiasStops.PARTS));
        step(Station.TUBES, new WorkFinding.ReadReservoir(range.coldest().reservoir()));
        if (pot) {
            step(Station.TUBES, new WorkFinding.TurnThrough());
        }
        step(Station.TUBES, pot ? new WorkFinding.TubesInAtColdest() : new WorkFinding.TubesIn());
        step(Station.POWER_UP, new WorkFinding.ReadAtOnce());
        need.filter(tubes -> pot)
                .ifPresent(tubes -> step(
                        Station.POWER_UP,
                        new WorkFinding.ExpectAtColdest(tubes.amps(new double[] {range.coldestVolts()}))));
        step(Station.SET, pot ? new WorkFinding.SetFromCold() : new WorkFinding.NothingToTurn());
        step(Station.SOAK, new WorkFinding.Soak());
        step(
                Station.CLOSE,
                sheet.bias().isCathode() ? new WorkFinding.ChangeTheSheet() : new WorkFinding.KeepTheSupply());
    }

    /** Which way round the diodes go. */
    private WorkFinding solder() {
        if (drawn.source().rectification() == Rectification.BRIDGE) {
            return new WorkFinding.SolderBridge();
        }
        return drawn.source().coupling().isPresent() ? new WorkFinding.SolderCoupled() : new WorkFinding.SolderSupply();
    }

    private void step(Station station, WorkFinding says) {
        steps.add(new Step(station, says));
    }
}
