package yellowrail.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;

class PlausibilityTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static Optional<Question> ask(String line, String... before) {
        return ask(PAIR, line, before);
    }

    private static Optional<Question> ask(AmpSheet sheet, String line, String... before) {
        Moment moment = new Moment(Amps.readings(sheet, before));
        return new Plausibility(sheet, Amps.type(sheet.tubeType()).customaryRating(), moment)
                .question(new EntryLine(sheet).parse(line).get(0));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "V1 38.2V | 38.2 V at V1 would be 38.2 A through the tube | V1 38.2mV", "V1 0.038 | 0.04 mA through the tube | V1 38mV",
            "V1 -38.2 | -38.20 mA through the tube | V1 38.2mV", "plate 45.2 | not plausible on a plate | plate 452V",
            "plate -452 | not plausible on a plate | plate 452V", "bias 46.8 | fixed bias is negative | bias -46.8V",
            "mains 11.96 | far from the 120.0 V | mains 119.6V", "screen 4.3 | on a screen | screen 430V"})
    void questionsWhatCannotBeMeantAndOffersWhatMay(String line, String asks, String offered) {
        Question question = ask(line).orElseThrow();
        assertThat(question.asks()).contains(asks);
        assertThat(question.suggestions()).extracting(Question.Suggestion::line).contains(offered);
    }

    @ParameterizedTest
    @ValueSource(strings = {"V1 36.4", "V1 95", "plate 452", "bias -46.8", "mains 119.6", "mains 132", "screen 430", "note 1000 things", "on", "off"})
    void letsPlausibleReadingsPass(String line) {
        assertThat(ask(line)).isEmpty();
    }

    @Test
    void questionsAReadingOutOfFamily() {
        assertThat(ask("V2 3.39", "V1 36.4").orElseThrow().suggestions().get(0).line()).isEqualTo("V2 33.9mV");
        assertThat(ask("V1 9", "V1 36.4").orElseThrow().asks()).contains("far from 36.4 mV, which it read before");
        assertThat(ask("plate 520", "plate 400").orElseThrow().asks()).contains("tubes pulled");
        assertThat(ask("V2 24", "V1 36.4")).isEmpty();
    }

    @Test
    void judgesASharedResistorByItsShare() {
        assertThat(ask(Amps.quad(), "TP 9.85")).isEmpty();
        assertThat(ask(Amps.quad(), "TP 98.5").orElseThrow().asks()).contains("through each tube");
        assertThat(ask(Amps.quad(), "rk off 6.14").orElseThrow().suggestions().get(0).line()).isEqualTo("rk off 61.4ohm");
        assertThat(ask(Amps.quad(), "bias -46").orElseThrow().asks()).contains("cathode bias");
    }
}
