package yellowrail.core.mistake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Question;

class PlausibilityTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static Optional<Question> ask(String line, String... before) {
        return ask(PAIR, line, before);
    }

    private static Optional<Question> ask(AmpSheet sheet, String line, String... before) {
        Situation now =
                new Situation(new Amps.Typed(sheet).lines(before).log(), Amps.NOON.plusSeconds(3600), List.of());
        return new Plausibility(now).question(new EntryLine(sheet).parse(line).get(0));
    }

    private static String offered(Question question, AmpSheet sheet) {
        return question.suggestions().stream()
                .map(entries -> EntryWriter.line(entries.get(0), sheet))
                .collect(Collectors.joining("; "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "V1 38.2V | through-the-tube | V1 38.2mV", "V1 0.038 | through-the-tube | V1 38mV",
                        "V1 -38.2 | through-the-tube | V1 38.2mV",
                "plate 45.2 | no-plate-volts | plate 452V", "plate -452 | no-plate-volts | plate 452V",
                        "bias 46.8 | positive-grid | bias -46.8V",
                "mains 11.96 | mains-far-from-sheet | mains 119.6V", "screen 4.3 | no-screen-volts | screen 430V",
                        "screen -430 | no-screen-volts | screen 430V",
                "V1 38 mA | milliamps-across-a-resistor | V1 38mV", "rk off 1.8 | resistor-far-from-sheet | ''"
            })
    void questionsWhatCannotBeMeantAndOffersWhatMay(String line, String code, String offered) {
        Question question = ask(line).orElseThrow();
        assertThat(question.asks().code()).isEqualTo(code);
        assertThat(offered(question, PAIR)).contains(offered);
    }

    @Test
    void aSlippedUnitKeepsTheDigitsThatWereTyped() {
        AmpSheet shared = Amps.with(PAIR, CurrentSense.across(CurrentMethod.SENSE_SHARED, 24.8, 0.01, Unit.MILLIVOLT));
        Entry meant = ask(shared, "V1 1.50").orElseThrow().suggestions().get(0).get(0);
        assertThat(meant.lastDigit()).isCloseTo(0.01, within(1e-9));
        assertThat(EntryWriter.line(meant, shared)).isEqualTo("V1 1.50V");
    }

    /** 1 ohm, 1 %: with leads and the last digit 1.3 can be it, 0.6 can not. */
    @Test
    void aSenseResistorKeepsItsValueUnlessBothTolerancesAreBeyond() {
        AmpSheet ten = Amps.with(PAIR, CurrentSense.across(CurrentMethod.SENSE_EACH, 10, 0.01, Unit.MILLIVOLT));
        assertThat(ask(ten, "rk off 10.3")).isEmpty();
        assertThat(ask(ten, "rk off 11.2").orElseThrow().asks())
                .isEqualTo(new MistakeFinding.SenseResistorIsAnother("11.2 ohm", 10));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "V1 36.4",
                "V1 95",
                "plate 452",
                "bias -46.8",
                "mains 119.6",
                "mains 132",
                "screen 430",
                "note 1000 things",
                "on",
                "off"
            })
    void letsPlausibleReadingsPass(String line) {
        assertThat(ask(line)).isEmpty();
    }

    @Test
    void questionsAReadingOutOfFamily() {
        assertThat(ask("V2 3.39", "V1 36.4")
                        .orElseThrow()
                        .suggestions()
                        .get(0)
                        .get(0)
                        .value())
                .isEqualTo(0.0339);
        assertThat(ask("V1 9", "V1 36.4").orElseThrow().asks()).isInstanceOf(MistakeFinding.FarFromBefore.class);
        assertThat(ask("plate 520", "plate 400").orElseThrow().asks())
                .isInstanceOf(MistakeFinding.PlatesFarFromBefore.class);
        assertThat(ask("V2 24", "V1 36.4")).isEmpty();
    }

    @Test
    void judgesASharedResistorByItsShare() {
        assertThat(ask(Amps.quad(), "TP 9.85")).isEmpty();
        assertThat(ask(Amps.quad(), "TP 98.5").orElseThrow().asks()).isInstanceOf(MistakeFinding.ThroughEachTube.class);
        assertThat(ask(Amps.quad(), "rk off 6.14")
                        .orElseThrow()
                        .suggestions()
                        .get(0)
                        .get(0)
                        .value())
                .isEqualTo(61.4);
        assertThat(ask(Amps.quad(), "bias -46").orElseThrow().asks())
                .isInstanceOf(MistakeFinding.NoGridWithCathodeBias.class);
    }
}
