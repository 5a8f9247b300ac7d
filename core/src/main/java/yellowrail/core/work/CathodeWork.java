package yellowrail.core.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Target;
import yellowrail.core.bias.cathode.Bypass;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.cathode.CathodeGroup;
import yellowrail.core.bias.cathode.CathodeIdle;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.quantity.Unit;
import yellowrail.core.station.Station;
import yellowrail.core.tube.TubeType;
import yellowrail.core.work.PartLine.Deed;
import yellowrail.core.work.WorkPlan.Step;

/** Fixed bias made cathode bias, as work: the resistor that is to be soldered with the idle that it gives. */
public final class CathodeWork {

    private static final double USUAL_LEAK = 220e3;
    /** The cathodes may stand so much higher than computed before something is wrong. */
    private static final double TOO_HIGH = 1.25;

    private CathodeWork() {}

    /**
     * @param design the group on one resistor
     * @param idle with the resistor that is taken
     * @param high the highest mains over the sheet's
     * @param power of the stage before and after; empty where that is not known
     */
    public static WorkPlan of(
            AmpSheet sheet,
            CathodeDesign design,
            CathodeIdle idle,
            GridNeed need,
            TubeType type,
            double high,
            Optional<CathodePower> power) {
        CathodeGroup group = design.group();
        int groups = Math.max(1, sheet.sockets().size() / group.tubes().size());
        double rating = CathodeDesign.ratingBesideCapacitor(idle);
        OptionalDouble leak = sheet.fittings().gridLeakOhms();
        OptionalDouble most = type.customaryRating().gridLeakCathode();

        List<PartLine> parts = new ArrayList<>();
        parts.add(line(Deed.FIT, WorkPart.CATHODE_RESISTOR, groups, Unit.OHM, idle.ohms(), Unit.WATT, rating));
        parts.add(line(
                Deed.FIT,
                WorkPart.BYPASS,
                groups,
                Unit.MICROFARAD,
                Bypass.farads(group, idle),
                Unit.VOLT,
                Bypass.volts(idle)));
        parts.add(new PartLine(
                Deed.STAYS,
                WorkPart.GRID_LEAK,
                sheet.sockets().size(),
                leak.isPresent() ? Optional.of(new Amount(Unit.KILOHM, leak.getAsDouble())) : Optional.empty(),
                Optional.of(new Amount(Unit.WATT, SupplyWork.LEAK_WATTS))));
        parts.add(new PartLine(Deed.TAKE_OUT, WorkPart.BIAS_SUPPLY, 1, Optional.empty(), Optional.empty()));

        List<WorkFinding> outcome = new ArrayList<>();
        outcome.add(new WorkFinding.PlatesLose(idle.cathodeVolts()));
        double hottest = idle.hottestWatts();
        outcome.add(
                hottest > need.rated()
                        ? new WorkFinding.IdleOverRating(hottest, need.rated())
                        : new WorkFinding.IdlesAt(idle.meanAmps(), hottest, hottest / need.rated()));
        double highWatts = group.times(high).at(idle.ohms()).hottestWatts();
        if (highWatts > need.rated()) {
            outcome.add(new WorkFinding.HotAtHighMains(highWatts, need.rated()));
        }
        outcome.add(new WorkFinding.OtherWindow(Target.CATHODE_BIAS.low(), Target.CATHODE_BIAS.high()));
        power.ifPresent(watts -> outcome.add(new WorkFinding.PowerBecomes(watts.before(), watts.after())));
        if (leak.isPresent() && most.isPresent() && leak.getAsDouble() > most.getAsDouble()) {
            outcome.add(new WorkFinding.LeakTooLarge(leak.getAsDouble(), most.getAsDouble()));
        }

        List<Step> steps = new ArrayList<>();
        steps.add(new Step(Station.MAKE_SAFE, new WorkFinding.OffAndDrained()));
        sheet.biasSupply()
                .map(BiasSupply::source)
                .filter(source -> source.volts() > SupplyWork.LIVE)
                .ifPresent(source -> steps.add(new Step(Station.MAKE_SAFE, new WorkFinding.TapIsLive(source.volts()))));
        steps.add(new Step(Station.TUBES, new WorkFinding.TubesOut()));
        steps.add(new Step(Station.TUBES, new WorkFinding.SolderCathode(rating)));
        steps.add(new Step(Station.TUBES, new WorkFinding.LeaksToGround()));
        steps.add(new Step(
                Station.TUBES, new WorkFinding.OhmsFromCathode(idle.ohms(), leak.orElse(most.orElse(USUAL_LEAK)))));
        steps.add(new Step(Station.TUBES, new WorkFinding.LimiterTubesOut()));
        steps.add(new Step(Station.TUBES, new WorkFinding.GridsAtZero()));
        steps.add(new Step(Station.TUBES, new WorkFinding.TubesIn()));
        steps.add(new Step(
                Station.POWER_UP, new WorkFinding.ReadCathode(idle.cathodeVolts(), TOO_HIGH * idle.cathodeVolts())));
        steps.add(new Step(Station.SET, new WorkFinding.NothingToTurn()));
        steps.add(new Step(Station.SOAK, new WorkFinding.Soak()));
        steps.add(new Step(Station.CLOSE, new WorkFinding.ChangeTheSheet()));
        return new WorkPlan(parts, outcome, steps);
    }

    private static PartLine line(
            Deed deed, WorkPart what, int count, Unit unit, double value, Unit ratingUnit, double rating) {
        return new PartLine(
                deed, what, count, Optional.of(new Amount(unit, value)), Optional.of(new Amount(ratingUnit, rating)));
    }
}
