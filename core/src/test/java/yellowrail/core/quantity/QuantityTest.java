package yellowrail.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "38.2mV | VOLT | 0.0382", "38,2 mV | VOLT | 0.0382", "38.2MV | VOLT | 0.0382", "452 | VOLT | 452",
            "-46.8 | VOLT | -46.8", "\u221246.8V | VOLT | -46.8", ".93 | VOLT | 0.93", "4k7 | OHM | 4700", "1R5 | OHM | 1.5",
            "12.4 ohm | OHM | 12.4", "1.2e2 | OHM | 120", "36.4 | MILLIAMP | 0.0364", "250uA | MILLIAMP | 0.00025"})
    void readsWhatBuildersWrite(String typed, Unit assumed, double si) {
        assertThat(Quantity.parse(typed).si(assumed)).isCloseTo(si, within(1e-12 + 1e-12 * Math.abs(si)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
            "'' | nothing was typed", "abc | is not a number", "NaN | is not a number", "Infinity | is not a number",
            "1e309 | is too large", "1e10 | is too large", "12 parsec | has no unit known here", "1,000 | could be a thousand",
            "--5 | is not a number", "<script> | is not a number", "\uD83D\uDE00 | is not a number", "3.2.1 | is not a number"})
    void refusesTheRestWithAMessageThatSaysWhatToType(String typed, String message) {
        assertThatThrownBy(() -> Quantity.parse(typed)).isInstanceOf(BadQuantityException.class).hasMessageContaining(message);
    }

    @ParameterizedTest
    @ValueSource(ints = {41, 10_000})
    void shortensWhatItQuotes(int length) {
        assertThatThrownBy(() -> Quantity.parse("9".repeat(length))).hasMessageContaining("too long").message().hasSizeLessThan(120);
    }

    @ParameterizedTest
    @CsvSource({"38.2V,OHM,ohms", "5 ohm,MILLIAMP,a current"})
    void refusesAnotherDimension(String typed, Unit wanted, String inWords) {
        assertThatThrownBy(() -> Quantity.parse(typed).si(wanted)).hasMessageContaining("where " + inWords + " is wanted");
    }

    @Property(tries = 300)
    void readsBackWhatItWrites(@ForAll @DoubleRange(min = -900, max = 900) double volts) {
        String written = Figures.in(Unit.MILLIVOLT, volts);
        assertThat(Quantity.parse(written).si(Unit.VOLT)).isCloseTo(volts, within(Math.abs(volts) * 1e-4 + 1e-12));
    }
}
