package yellowrail.core.idle;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.quantity.Unit;

class DerivationTest {

    private static List<Derivation.Step> steps(AmpSheet sheet, String... lines) {
        IdleFigures figures = Amps.idle(sheet, lines).get(0).figures().orElseThrow();
        return new Derivation(figures, sheet.rating(Amps.type(sheet.tubeType()))).steps();
    }

    private static Derivation.Step step(List<Derivation.Step> steps, String what) {
        return steps.stream().filter(step -> step.what().startsWith(what)).findFirst().orElseThrow();
    }

    @Test
    void aSharedResistorIsDividedByItsTubes() {
        Derivation.Step current = step(steps(Amps.quad(), "rk off 61.4", "vk 9.85", "plate 321"), "cathode current");
        assertThat(current.what()).isEqualTo("cathode current, average of 4");
        assertThat(current.formula()).isEqualTo("Ik = V / R / n");
        assertThat(current.numbers()).isEqualTo("9.85 V / 61.4 ohm / 4");
        assertThat(current.result()).isEqualTo("40.11 mA");
    }

    @Test
    void warmCopperIsAStepOfItsOwn() {
        CurrentSense warm = new CurrentSense(CurrentMethod.HALF_PRIMARY, OptionalDouble.of(118), 0.01, Unit.VOLT, 20, OptionalDouble.of(45),
                OptionalDouble.empty());
        List<Derivation.Step> steps = steps(Amps.with(Amps.pair(), warm), "V1 4.35", "plate 440");
        assertThat(step(steps, "resistance of the warm copper").result()).isEqualTo("129.51 ohm");
        assertThat(step(steps, "plate current").formula()).isEqualTo("Ia = V / R");
        assertThat(step(steps, "screen current").formula()).isEqualTo("Ig2 = Ia \u00d7 s / (1 \u2212 s)");
    }

    @Test
    void theDropInThePrimaryComesOffAtBPlus() {
        AmpSheet sheet = Amps.with(Amps.pair(), new PlateSense(PlateSense.Point.B_PLUS, PlateSense.Reference.CATHODE, OptionalDouble.of(100)));
        Derivation.Step volts = step(steps(sheet, "V1 36.4", "b+ 452"), "plate voltage");
        assertThat(volts.formula()).isEqualTo("Va = Vread \u2212 m \u00d7 Ia \u00d7 Rhalf");
        assertThat(volts.numbers()).isEqualTo("452.0 V \u2212 1 \u00d7 34.58 mA \u00d7 100 ohm");
    }

    @Test
    void saysWhenTheScreenIsNotDeducted() {
        assertThat(step(steps(Amps.with(Amps.pair(), ScreenSense.Way.NOT_DEDUCTED), "V1 36.4", "plate 452"), "screen current").numbers())
                .isEqualTo("all of it counted as plate current");
    }

    @Test
    void showsScreenDissipationWhereTheScreenVoltageIsKnown() {
        Derivation.Step screen = step(steps(Amps.pair(), "V1 36.4", "plate 452", "screen 448"), "screen dissipation");
        assertThat(screen.formula()).isEqualTo("Pg2 = Vg2 \u00d7 Ig2");
        assertThat(screen.result()).isEqualTo("0.82 W");
    }

    @Test
    void aDirectReadingHasNoResistorInIt() {
        List<Derivation.Step> steps = steps(Amps.with(Amps.pair(), CurrentSense.direct(CurrentMethod.SOCKET_ADAPTER)), "V1 36.4", "plate 452");
        assertThat(steps.get(0).formula()).isEqualTo("Ik = I");
        assertThat(steps.get(0).numbers()).isEqualTo("36.4 mA");
    }
}
