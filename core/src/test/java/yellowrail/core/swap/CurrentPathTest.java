package yellowrail.core.swap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.swap.CurrentPath.Stop;

class CurrentPathTest {

    private static SwapAmp amp(BiasKind bias, Topology topology, double each, OptionalDouble ohms) {
        return new SwapAmp(
                topology,
                bias,
                ScreenSense.Connection.PENTODE,
                topology == Topology.PUSH_PULL ? 2 : 1,
                1,
                OptionalDouble.of(400),
                OptionalDouble.of(395),
                OptionalDouble.of(each),
                OptionalDouble.of(-38),
                ohms,
                1,
                OptionalDouble.of(5),
                OptionalDouble.of(0.02),
                OptionalDouble.empty(),
                Target.customary(bias, topology),
                Fittings.UNKNOWN
                        .withTransformer(OptionalDouble.of(topology == Topology.PUSH_PULL ? 0.15 : 0.12))
                        .withRectifier("GZ34")
                        .with(OptionalDouble.of(5000), Fittings.UNKNOWN.iron()));
    }

    private static Stop stop(CurrentPath path, OnTheWay part) {
        return path.stops().stream()
                .filter(each -> each.part() == part)
                .findFirst()
                .orElseThrow();
    }

    /** All of the rail runs through winding, rectifier and choke; a tube carries its own. */
    @Test
    void eachPartCarriesWhatRunsThroughIt() {
        SwapAmp amp = amp(BiasKind.FIXED_ADJUSTABLE, Topology.PUSH_PULL, 0.04, OptionalDouble.empty());
        CurrentPath path = new SwapCheck(amp, Amps.type("6L6GC")).path(Amps.type("KT88"));
        double each = amp.aim(Amps.type("KT88"), 400);
        assertThat(stop(path, OnTheWay.WINDING).now().getAsDouble()).isCloseTo(0.10, within(1e-12));
        assertThat(stop(path, OnTheWay.WINDING).then().getAsDouble()).isCloseTo(2 * each + 0.02, within(1e-12));
        assertThat(stop(path, OnTheWay.WINDING).driven().getAsDouble())
                .isGreaterThan(stop(path, OnTheWay.WINDING).then().getAsDouble());
        assertThat(stop(path, OnTheWay.RECTIFIER).rated().getAsDouble()).isEqualTo(0.25);
        assertThat(stop(path, OnTheWay.TUBE).then().getAsDouble()).isCloseTo(each, within(1e-12));
        assertThat(stop(path, OnTheWay.CHOKE).asked())
                .as("nothing on the sheet")
                .isEmpty();
        assertThat(path.bottleneck().orElseThrow().part()).isEqualTo(OnTheWay.WINDING);
        assertThat(path.bottleneck().orElseThrow().asked().getAsDouble())
                .isCloseTo((2 * each + 0.02) / 0.15, within(1e-9));
    }

    @Test
    void fullDriveAloneIsTold() {
        SwapAmp amp = amp(BiasKind.FIXED_ADJUSTABLE, Topology.PUSH_PULL, 0.04, OptionalDouble.empty());
        SwapCheck check = new SwapCheck(amp, Amps.type("6L6GC"));
        Stop winding = stop(check.path(Amps.type("EL34")), OnTheWay.WINDING);
        assertThat(winding.isOver()).isFalse();
        assertThat(winding.isOverDriven()).isTrue();
        Line line = check.of(Amps.type("EL34")).lines().stream()
                .filter(each -> each.question() == SwapQuestion.RAIL_CURRENT)
                .findFirst()
                .orElseThrow();
        assertThat(line.says()).extracting("class").contains(CurrentFinding.RailDriven.class);
    }

    /** On its resistor the other tube draws nearly the same; the heat is that of the resistor as it is. */
    @Test
    void aCathodeResistorKeepsItNearWhatItWas() {
        SwapAmp amp = amp(BiasKind.CATHODE_EACH, Topology.SINGLE_ENDED, 0.05, OptionalDouble.of(500));
        CurrentPath path = new SwapCheck(amp, Amps.type("KT88")).path(Amps.type("KT120"));
        Stop resistor = stop(path, OnTheWay.RESISTOR);
        assertThat(resistor.now().getAsDouble()).isCloseTo(0.05 * 0.05 * 500, within(1e-12));
        double then = stop(path, OnTheWay.TUBE).then().getAsDouble();
        assertThat(resistor.then().getAsDouble()).isCloseTo(then * then * 500, within(1e-12));
        assertThat(resistor.rated().getAsDouble()).isEqualTo(5);
    }

    /** What the iron cannot carry is not advised: the resistor stays, and the tube idles cold. */
    @Test
    void aLimitOfTheIronOutranksTheUsualIdle() {
        SwapAmp amp = amp(BiasKind.CATHODE_EACH, Topology.SINGLE_ENDED, 0.08, OptionalDouble.of(510));
        SwapReport report = new SwapCheck(amp, Amps.type("KT88")).of(Amps.type("KT120"));
        assertThat(amp.railWith(amp.aim(Amps.type("KT120"), 400)))
                .as("set for itself it is too much for 120 mA")
                .isGreaterThan(0.12);
        assertThat(report.questions(Outcome.CHANGE))
                .doesNotContain(SwapQuestion.CATHODE_RESISTOR, SwapQuestion.IDLE_DISSIPATION);
        assertThat(report.questions(Outcome.STOP)).isEmpty();
        assertThat(report.lines().stream().flatMap(line -> line.says().stream()))
                .extracting("class")
                .contains(
                        BiasFinding.ResistorStays.class,
                        LimitFinding.StandsAndStays.class,
                        CurrentFinding.RailSetForItself.class);
    }
}
