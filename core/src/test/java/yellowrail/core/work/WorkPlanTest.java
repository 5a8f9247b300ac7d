package yellowrail.core.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.Supplies;
import yellowrail.core.bias.cathode.Bypass;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.cathode.CathodeIdle;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.idle.LastRead;
import yellowrail.core.quantity.Unit;
import yellowrail.core.station.Station;
import yellowrail.core.swap.GridNeeds;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.work.PartLine.Deed;

class WorkPlanTest {

    private static final double HIGH = 1.1;
    private static final AmpSheet PAIR = Amps.pair().with(Optional.of(Supplies.tapped()));

    private static LastRead read(AmpSheet sheet) {
        return LastRead.of(
                Amps.stage(sheet),
                Optional.of(Amps.timeline(sheet, "V1 36.4", "V2 33.9", "plate 452", "bias -43")
                        .present()));
    }

    private static WorkPlan plan(AmpSheet sheet, BiasSupply drawn) {
        return SupplyWork.of(sheet, new BiasRange(drawn, HIGH), Optional.empty(), Amps.type("6L6GC"), 0);
    }

    private static List<Enum<?>> parts(WorkPlan plan, Deed deed) {
        return plan.parts().stream()
                .filter(line -> line.deed() == deed)
                .<Enum<?>>map(PartLine::what)
                .toList();
    }

    private static BiasSupply mended() {
        return Supplies.tapped().with(Supplies.tapped().network().withWiperToCold(OptionalDouble.of(220_000)));
    }

    /** One resistor goes in; the capacitor of 50 V that high mains pass is exchanged for one of 63 V. */
    @Test
    void onlyWhatChangesIsSoldered() {
        WorkPlan plan = plan(PAIR, mended());
        assertThat(parts(plan, Deed.FIT))
                .containsExactly(PartKind.RESERVOIR, PartKind.WIPER_TO_COLD, WorkPart.GRID_LEAK);
        assertThat(parts(plan, Deed.TAKE_OUT)).containsExactly(PartKind.RESERVOIR, WorkPart.GRID_LEAK);
        assertThat(parts(plan, Deed.STAYS))
                .containsExactly(PartKind.DIODE, PartKind.SERIES, PartKind.POT, PartKind.LOWER);
        assertThat(plan.outcome()).contains(new WorkFinding.LeakTooLarge(220_000, 100_000));
        assertThat(plan.parts())
                .contains(new PartLine(
                        Deed.FIT,
                        WorkPart.GRID_LEAK,
                        2,
                        Optional.of(new Amount(Unit.KILOHM, 100_000)),
                        Optional.of(new Amount(Unit.WATT, 0.5))));
        assertThat(plan.parts().get(0).rating()).contains(new Amount(Unit.VOLT, 63));
        assertThat(plan.outcome()).doesNotContain(new WorkFinding.NotFailSafe());
        assertThat(plan(PAIR, Supplies.tapped()).outcome()).contains(new WorkFinding.NotFailSafe());
    }

    /** A balance pot of 10 k is used again as a range pot; a diode behind 310 V blocks 1.5 times 482 V and 51 V. */
    @Test
    void aPotIsUsedAgainWhereverItSat() {
        BiasSupply balanced = Supplies.tapped()
                .with(new BiasNetwork(
                        Kind.RANGE_AND_BALANCE,
                        4700,
                        0,
                        22_000,
                        OptionalDouble.empty(),
                        10_000,
                        2,
                        true,
                        OptionalDouble.empty()));
        WorkPlan plan = plan(PAIR.with(Optional.of(balanced)), mended());
        assertThat(parts(plan, Deed.STAYS)).contains(PartKind.POT);
        assertThat(parts(plan, Deed.TAKE_OUT)).contains(PartKind.UPPER);
        assertThat(plan.outcome()).contains(new WorkFinding.Rewired(Kind.RANGE_AND_BALANCE, Kind.DIVIDER_POT));
        PartLine diode = plan.parts().stream()
                .filter(line -> line.what() == PartKind.DIODE)
                .findFirst()
                .orElseThrow();
        assertThat(diode.rating()).contains(new Amount(Unit.VOLT, 800));
    }

    /** Power off: 220 k and the chain of 32 k, or at the other stop 220 k and 22 k; the reservoir hangs in the air. */
    @Test
    void whatAMeterReadsWithThePowerOff() {
        WorkFinding.OhmsFromGrids ohms = (WorkFinding.OhmsFromGrids) plan(PAIR, Supplies.tapped()).steps().stream()
                .map(WorkPlan.Step::says)
                .filter(WorkFinding.OhmsFromGrids.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThat(ohms.cold()).isCloseTo(252_000, within(1.0));
        assertThat(ohms.hot()).isCloseTo(242_000, within(1.0));
    }

    @Test
    void theTubesGoInAfterTheStopsWereRead() {
        List<WorkPlan.Step> steps = plan(PAIR, mended()).steps();
        List<Class<?>> order =
                steps.stream().<Class<?>>map(step -> step.says().getClass()).toList();
        assertThat(order)
                .containsSubsequence(
                        WorkFinding.OffAndDrained.class,
                        WorkFinding.TubesOut.class,
                        WorkFinding.SolderSupply.class,
                        WorkFinding.ReadStops.class,
                        WorkFinding.TubesInAtColdest.class,
                        WorkFinding.ReadAtOnce.class,
                        WorkFinding.SetFromCold.class);
        assertThat(steps).extracting(WorkPlan.Step::station).isSorted();
        assertThat(steps.get(1).says()).isEqualTo(new WorkFinding.TapIsLive(310));
    }

    @Test
    void cathodeBiasMadeFixedGetsAllOfTheSupplyAndSenseResistors() {
        AmpSheet sheet =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, Amps.type("6L6GC"), 2, false).sheet();
        BiasSupply leaky = new BiasSupply(
                mended().source(), mended().smoothing(), mended().network(), 470_000, OptionalDouble.empty());
        WorkPlan plan = SupplyWork.of(sheet, new BiasRange(leaky, HIGH), Optional.empty(), Amps.type("6L6GC"), 24);
        assertThat(parts(plan, Deed.TAKE_OUT))
                .containsExactly(WorkPart.GRID_LEAK, WorkPart.CATHODE_RESISTOR, WorkPart.BYPASS);
        assertThat(parts(plan, Deed.FIT)).contains(WorkPart.SENSE_RESISTOR, PartKind.POT, PartKind.DIODE);
        assertThat(parts(plan, Deed.STAYS)).isEmpty();
        assertThat(plan.outcome())
                .contains(new WorkFinding.PlatesGain(24), new WorkFinding.LeakTooLarge(470_000, 100_000));
    }

    @Test
    void fixedBiasMadeCathodeBiasLosesVoltsAndPower() {
        LastRead read = read(PAIR);
        GridNeed need =
                GridNeeds.of(SwapAmp.of(PAIR, read), Amps.type("6L6GC"), true).orElseThrow();
        CathodeDesign design = CathodeDesign.burning(need, 2, 0, 0.92 * need.rated());
        CathodeIdle idle = design.group().at(design.exactOhms());
        assertThat(idle.hottestWatts()).isCloseTo(0.92 * need.rated(), within(0.01));
        CathodePower powers =
                CathodePower.of(PAIR, read, Amps.type("6L6GC"), need, idle).orElseThrow();
        assertThat(powers.after()).isLessThan(powers.before()).isGreaterThan(0.5 * powers.before());
        WorkPlan plan = CathodeWork.of(PAIR, design, idle, need, Amps.type("6L6GC"), HIGH, Optional.of(powers));
        assertThat(plan.parts().get(0).value()).contains(new Amount(Unit.OHM, idle.ohms()));
        assertThat(plan.outcome())
                .contains(
                        new WorkFinding.PlatesLose(idle.cathodeVolts()),
                        new WorkFinding.PowerBecomes(powers.before(), powers.after()))
                .hasAtLeastOneElementOfType(WorkFinding.HotAtHighMains.class);
        assertThat(plan.steps()).extracting(WorkPlan.Step::station).isSorted().startsWith(Station.MAKE_SAFE);
        double farads = Bypass.farads(design.group(), idle);
        assertThat(Bypass.corner(design.group(), idle, farads)).isLessThan(10);
        assertThat(Bypass.corner(design.group(), idle, 1e-3))
                .as("it sees less than the resistor alone")
                .isGreaterThan(1 / (2 * Math.PI * idle.ohms() * 1e-3));
    }
}
