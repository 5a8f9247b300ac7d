package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.words.BundledWords;

class DerivationTest {

    private static final TubeCatalogue CATALOGUE = TubeCatalogue.published();
    private static final AmpSheet PAIR =
            new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, type("6L6GC"), 2, false).sheet();
    private static final AmpSheet QUAD = new AmpDefaults(
                    Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, type("EL84"), 4, false)
            .sheet()
            .with(CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 62, 0.05, Unit.VOLT));

    private static TubeType type(String name) {
        return CATALOGUE.find(name).orElseThrow();
    }

    private static Derivation derivation(AmpSheet sheet, String... lines) {
        List<Reading> readings = new ArrayList<>();
        for (String line : lines) {
            new EntryLine(sheet)
                    .parse(line)
                    .forEach(entry -> readings.add(new Reading(readings.size() + 1L, entry, Instant.EPOCH)));
        }
        IdleFigures figures = StageIdle.of(sheet, CATALOGUE)
                .at(new Moment(readings))
                .get(0)
                .figures()
                .orElseThrow();
        return new Derivation(
                figures, sheet.rating(type(sheet.tubeType())), new InputWords(figures, BundledWords.read()));
    }

    private static List<Derivation.Step> steps(AmpSheet sheet, String... lines) {
        return derivation(sheet, lines).steps();
    }

    private static Derivation.Step step(List<Derivation.Step> steps, String what) {
        return steps.stream()
                .filter(step -> step.what().startsWith(what))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSharedResistorIsDividedByItsTubes() {
        Derivation.Step current = step(steps(QUAD, "rk off 61.4", "vk 9.85", "plate 321"), "cathode current");
        assertThat(current.what()).isEqualTo("cathode current, average of 4");
        assertThat(current.formula()).isEqualTo("Ik = V / R / n");
        assertThat(current.numbers()).isEqualTo("9.85 V / 61.4 ohm / 4");
        assertThat(current.result()).isEqualTo("40.11 mA");
    }

    @Test
    void warmCopperIsAStepOfItsOwn() {
        CurrentSense warm = new CurrentSense(
                CurrentMethod.HALF_PRIMARY,
                OptionalDouble.of(118),
                0.01,
                Unit.VOLT,
                20,
                OptionalDouble.of(45),
                OptionalDouble.empty());
        List<Derivation.Step> steps = steps(PAIR.with(warm), "V1 4.35", "plate 440");
        assertThat(step(steps, "resistance of the warm copper").result()).isEqualTo("129.51 ohm");
        assertThat(step(steps, "plate current").formula()).isEqualTo("Ia = V / R");
        assertThat(step(steps, "screen current").formula()).isEqualTo("Ig2 = Ia \u00d7 s / (1 \u2212 s)");
    }

    @Test
    void theDropInThePrimaryComesOffAtBPlus() {
        AmpSheet sheet = PAIR.with(
                new PlateSense(PlateSense.Point.B_PLUS, PlateSense.Reference.CATHODE, OptionalDouble.of(100)));
        Derivation.Step volts = step(steps(sheet, "V1 36.4", "b+ 452"), "plate voltage");
        assertThat(volts.formula()).isEqualTo("Va = Vread \u2212 m \u00d7 Ia \u00d7 Rhalf");
        assertThat(volts.numbers()).isEqualTo("452.0 V \u2212 1 \u00d7 34.58 mA \u00d7 100 ohm");
    }

    @Test
    void saysWhenTheScreenIsNotDeducted() {
        assertThat(step(
                                steps(
                                        PAIR.with(new ScreenSense(
                                                ScreenSense.Way.NOT_DEDUCTED,
                                                OptionalDouble.empty(),
                                                PAIR.screen().connection(),
                                                OptionalDouble.empty())),
                                        "V1 36.4",
                                        "plate 452"),
                                "screen current")
                        .numbers())
                .isEqualTo("all of it counted as plate current");
    }

    @Test
    void showsScreenDissipationWhereTheScreenVoltageIsKnown() {
        Derivation.Step screen = step(steps(PAIR, "V1 36.4", "plate 452", "screen 448"), "screen dissipation");
        assertThat(screen.formula()).isEqualTo("Pg2 = Vg2 \u00d7 Ig2");
        assertThat(screen.result()).isEqualTo("0.82 W");
    }

    @Test
    void aDirectReadingHasNoResistorInIt() {
        List<Derivation.Step> steps =
                steps(PAIR.with(CurrentSense.direct(CurrentMethod.SOCKET_ADAPTER)), "V1 36.4", "plate 452");
        assertThat(steps.get(0).formula()).isEqualTo("Ik = I");
        assertThat(steps.get(0).numbers()).isEqualTo("36.4 mA");
    }

    /** 36.4 mV / 1 ohm, less 5 %, by 452 V less the cathode's 36 mV, over 30 W. */
    @Test
    void putsTheNumbersIn() {
        assertThat(steps(PAIR, "V1 36.4", "plate 452"))
                .extracting(Derivation.Step::result)
                .containsExactly("36.40 mA", "1.82 mA", "34.58 mA", "451.96 V", "15.63 W", "52.1 %");
    }

    @Test
    void aFivePerCentResistorMakesAFivePerCentFigureAndTheBetterPartIsNamed() {
        AmpSheet single = new AmpDefaults(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, type("KT88"), 1, false)
                .sheet()
                .with(CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 390, 0.05, Unit.VOLT));
        assertThat(derivation(single, "V1 31.2", "plate 402").improvement())
                .hasValueSatisfying(
                        text -> assertThat(text).contains("The 5 % resistor").contains("a 1 % one would make it"));
    }
}
