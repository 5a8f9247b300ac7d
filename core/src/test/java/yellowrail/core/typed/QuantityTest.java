package yellowrail.core.typed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

class QuantityTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "38.2mV | VOLT | 0.0382",
                "38,2 mV | VOLT | 0.0382",
                "38.2MV | VOLT | 0.0382",
                "452 | VOLT | 452",
                "-46.8 | VOLT | -46.8",
                "\u221246.8V | VOLT | -46.8",
                ".93 | VOLT | 0.93",
                "4k7 | OHM | 4700",
                "1R5 | OHM | 1.5",
                "12.4 ohm | OHM | 12.4",
                "1.2e2 | OHM | 120",
                "36.4 | MILLIAMP | 0.0364",
                "250uA | MILLIAMP | 0.00025",
                "1M | KILOHM | 1000000",
                "2.2 meg | KILOHM | 2200000"
            })
    void readsWhatBuildersWrite(String typed, Unit assumed, double si) {
        assertThat(Quantity.parse(typed).si(assumed)).isCloseTo(si, within(1e-12 + 1e-12 * Math.abs(si)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | nothing-typed",
                "abc | not-a-number",
                "NaN | not-a-number",
                "Infinity | not-a-number",
                "1e309 | too-large",
                "1e10 | too-large",
                "12 parsec | unknown-unit",
                "38m | unknown-unit",
                "1,000 | thousand-or-decimal",
                "--5 | not-a-number",
                "<script> | not-a-number",
                "\uD83D\uDE00 | not-a-number",
                "3.2.1 | not-a-number"
            })
    void refusesTheRestAndSaysWhy(String typed, String code) {
        assertThatThrownBy(() -> Quantity.parse(typed))
                .isInstanceOfSatisfying(
                        BadQuantityException.class,
                        e -> assertThat(e.fault().code()).isEqualTo(code));
    }

    @ParameterizedTest
    @ValueSource(ints = {41, 10_000})
    void shortensWhatItQuotes(int length) {
        assertThatThrownBy(() -> Quantity.parse("9".repeat(length)))
                .isInstanceOfSatisfying(
                        BadQuantityException.class,
                        e -> assertThat(((QuantityFault.TooLong) e.fault()).typed())
                                .hasSizeLessThan(45));
    }

    @ParameterizedTest
    @CsvSource({"38.2V,OHM,RESISTANCE", "5 ohm,MILLIAMP,CURRENT"})
    void refusesAnotherDimension(String typed, Unit wanted, Unit.Dimension dimension) {
        assertThatThrownBy(() -> Quantity.parse(typed).si(wanted))
                .isInstanceOfSatisfying(
                        BadQuantityException.class,
                        e -> assertThat(((QuantityFault.OtherDimension) e.fault()).wanted())
                                .isEqualTo(dimension));
    }

    @Property(tries = 300)
    void readsBackWhatItWrites(@ForAll @DoubleRange(min = -900, max = 900) double volts) {
        String written = Figures.in(Unit.MILLIVOLT, volts);
        assertThat(Quantity.parse(written).si(Unit.VOLT)).isCloseTo(volts, within(Math.abs(volts) * 1e-4 + 1e-12));
    }
}
