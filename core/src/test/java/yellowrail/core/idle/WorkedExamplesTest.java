package yellowrail.core.idle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;

/** Bench arithmetic done by hand, which the computation must reproduce. */
class WorkedExamplesTest {

    private static void expect(TubeIdle tube, double milliamps, double watts, double percent) {
        IdleFigures figures = tube.figures().orElseThrow();
        assertThat(figures.plateCurrent().value() * 1e3).isCloseTo(milliamps, within(0.005));
        assertThat(figures.dissipation().value()).isCloseTo(watts, within(0.005));
        assertThat(tube.judgement().ratio() * 100).isCloseTo(percent, within(0.05));
    }

    @Test
    void fixedBiasPairWithAResistorPerTube() {
        // 36.4 mV / 1 ohm = 36.4 mA; less 5 % = 34.58 mA; x (452 - 0.0364) V = 15.63 W; / 30 W = 52.1 %
        List<TubeIdle> tubes = Amps.idle(Amps.pair(), "V1 36.4mV", "V2 33.9mV", "plate 452");
        expect(tubes.get(0), 34.58, 15.63, 52.1);
        expect(tubes.get(1), 32.205, 14.56, 48.5);
        assertThat(tubes)
                .extracting(tube -> tube.judgement().verdict())
                .containsExactly(Verdict.IN_WINDOW, Verdict.COLD);
        expect(
                Amps.idle(Amps.with(Amps.pair(), ScreenSense.Way.NOT_DEDUCTED), "V1 36.4mV", "plate 452")
                        .get(0),
                36.4,
                16.45,
                54.8);
    }

    @Test
    void cathodeBiasedQuadOnOneResistor() {
        AmpSheet toCathode = Amps.with(
                Amps.quad(),
                new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.CATHODE, OptionalDouble.empty()));
        String[] readings = {"rk off 61.4", "vk 9.85", "plate 311"};
        TubeIdle tube = Amps.idle(toCathode, readings).get(3);
        assertThat(tube.figures().orElseThrow().cathode().value() * 1e3).isCloseTo(40.11, within(0.005));
        expect(tube, 36.096, 11.23, 93.5);
        assertThat(tube.judgement().verdict()).isEqualTo(Verdict.IN_WINDOW);
        assertThat(tube.judgement().notes())
                .contains(new IdleFinding.Average(4, "TP", CurrentMethod.CATHODE_RESISTOR.hides()));
        assertThat(Amps.idle(Amps.with(toCathode, Target.FIXED_BIAS), readings)
                        .get(0)
                        .judgement()
                        .verdict())
                .isEqualTo(Verdict.HOT);
    }

    @Test
    void pairSharingOneResistor() {
        AmpSheet sheet =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("EL34"), 2, false).sheet();
        AmpSheet shared = Amps.with(
                Amps.with(sheet, CurrentSense.across(CurrentMethod.SENSE_SHARED, 12.4, 0.01, Unit.VOLT)),
                List.of(
                        new Socket("V1", Side.PUSH, Channel.MONO, "TP"),
                        new Socket("V2", Side.PULL, Channel.MONO, "TP")));
        TubeIdle tube = Amps.idle(shared, "TP 0.93", "plate 438").get(1);
        assertThat(tube.figures().orElseThrow().plateVolts().value()).isCloseTo(437.07, within(0.001));
        assertThat(tube.figures().orElseThrow().cathode().value() * 1e3).isCloseTo(37.50, within(0.005));
        expect(tube, 32.625, 14.26, 57.0);
    }

    @Test
    void singleEndedOnItsCathodeResistor() {
        AmpSheet sheet =
                new AmpDefaults(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, Amps.type("KT88"), 1, false).sheet();
        TubeIdle tube = Amps.idle(
                        Amps.with(sheet, CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 390, 0.05, Unit.VOLT)),
                        "V1 31.2",
                        "plate 402")
                .get(0);
        assertThat(tube.figures().orElseThrow().cathode().value() * 1e3).isCloseTo(80.0, within(0.005));
        expect(tube, 76.4, 28.33, 80.9);
        assertThat(tube.judgement().verdict()).isEqualTo(Verdict.IN_WINDOW);
        // a 5 % resistor makes a 5 % figure
        assertThat(tube.figures().orElseThrow().dissipation().plusMinus()).isBetween(0.05 * 28.3, 0.06 * 28.4);
    }

    @Test
    void dropAcrossHalfAPrimaryColdAndWarm() {
        AmpSheet pair =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("6L6GC"), 2, false).sheet();
        CurrentSense cold = CurrentSense.across(CurrentMethod.HALF_PRIMARY, 118, 0.01, Unit.VOLT);
        CurrentSense warm = new CurrentSense(
                CurrentMethod.HALF_PRIMARY,
                OptionalDouble.of(118),
                0.01,
                Unit.VOLT,
                20,
                OptionalDouble.of(45),
                OptionalDouble.empty());
        IdleFigures takenCold = Amps.idle(Amps.with(pair, cold), "V1 4.35", "plate 440")
                .get(0)
                .figures()
                .orElseThrow();
        IdleFigures takenWarm = Amps.idle(Amps.with(pair, warm), "V1 4.35", "plate 440")
                .get(0)
                .figures()
                .orElseThrow();
        assertThat(takenCold.plateCurrent().value() * 1e3).isCloseTo(36.9, within(0.05));
        assertThat(takenWarm.plateCurrent().value() * 1e3).isCloseTo(33.6, within(0.05));
        assertThat(takenWarm.plateCurrent().plusMinus())
                .isLessThan(takenCold.plateCurrent().plusMinus());
        assertThat(takenCold.cathode().value())
                .isCloseTo(takenCold.plateCurrent().value() / 0.95, within(1e-9));
    }
}
