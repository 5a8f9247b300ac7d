package yellowrail.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {

    @Test
    void everyFigureHasItsUnitAndItsDigits() {
        assertThat(Figures.volts(451.9636)).isEqualTo("452.0 V");
        assertThat(Figures.milliamps(0.03458)).isEqualTo("34.58 mA");
        assertThat(Figures.watts(15.6289)).isEqualTo("15.63 W");
        assertThat(Figures.percent(0.52096)).isEqualTo("52.1 %");
        assertThat(Figures.ohms(12.40)).isEqualTo("12.4 ohm");
        assertThat(Figures.in(Unit.MILLIVOLT, 0.0364)).isEqualTo("36.4 mV");
    }

    @ParameterizedTest
    @CsvSource({
        "0.3461, 0.3",
        "1.532, 1.5",
        "12.7, 13",
        "0.0123, 0.012",
        "0, 0",
        "-2.5, 2.5",
        "2.97, 3",
        "0.96, 1.0",
        "123.4, 123"
    })
    void aPlusMinusHasOneDigitOrTwoWhereItBeginsWithAOneOrATwo(double watts, String shown) {
        assertThat(Figures.plusMinus(watts, Unit.WATT)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({
        "15.613, 0.42, WATT, 15.6 \u00b1 0.4 W",
        "451.96, 2.46, VOLT, 452 \u00b1 2.5 V",
        "0.03458, 0.00015, MILLIAMP, 34.6 \u00b1 0.15 mA",
        "477.3, 12.2, OHM, 477 \u00b1 12 ohm",
        "0.00238, 0.00102, MILLIAMP, 2.4 \u00b1 1.0 mA",
        "0.0042, 0.0111, MILLIAMP, 4 \u00b1 11 mA",
        "0, 0.0011, MILLIAMP, 0.0 \u00b1 1.1 mA",
        "15.613, 0, WATT, 15.61 W"
    })
    void aFigureHasTheDigitsThatItsPlusMinusLeavesIt(double value, double plusMinus, Unit unit, String shown) {
        assertThat(Figures.estimate(new Estimate(value, plusMinus, List.of()), unit))
                .isEqualTo(shown);
    }

    @Test
    void aMegohmIsNotAThousandKilohms() {
        assertThat(Figures.in(Unit.KILOHM, 1e6)).isEqualTo("1 M");
        assertThat(Figures.in(Unit.KILOHM, 2.2e6)).isEqualTo("2.2 M");
        assertThat(Figures.in(Unit.KILOHM, 470e3)).isEqualTo("470 k");
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "1000, 1000", "0.00001234567, 0.000012346", "-46.80, -46.8", "123456, 123460"})
    void plainNumbersHaveNeitherIdleZerosNorExponents(double value, String shown) {
        assertThat(Figures.plain(value)).isEqualTo(shown);
    }

    @Test
    void aNumberTypedInAUnitIsThatNumberToTheLastBit() {
        assertThat(Unit.PERCENT.toSi(70)).isEqualTo(0.7);
        assertThat(Unit.PERCENT.toSi(95)).isEqualTo(0.95);
        assertThat(Unit.MILLIVOLT.toSi(36.4)).isEqualTo(0.0364);
        assertThat(Unit.MILLIAMP.fromSi(0.035)).isEqualTo(35);
    }

    @Test
    void zeroHasNoSign() {
        assertThat(Figures.fixed(-0.001, 2)).isEqualTo("0.00");
    }

    @ParameterizedTest
    @CsvSource({
        "0.0723, 1000, 72.3",
        "0.0724567891, 1000, 72.456789",
        "0.1, 1, 0.1",
        "0.3, 1e-3, 0.0003",
        "-14, 1, -14",
        "220000, 1e-3, 220"
    })
    void aNumberForAFormIsAsItWasTyped(double si, double in, String typed) {
        assertThat(Figures.typed(OptionalDouble.of(si), in)).isEqualTo(typed);
        assertThat(Figures.typed(OptionalDouble.empty(), in)).isEmpty();
    }

    /** 34.6 \u00b1 0.5 less 22.9 \u00b1 0.4: the squares add up. */
    @Test
    void aDifferenceIsAsUnsureAsBoth() {
        Estimate change = new Estimate(0.0346, 0.0005, List.of()).less(new Estimate(0.0229, 0.0004, List.of()));
        assertThat(Figures.estimate(change, Unit.MILLIAMP)).isEqualTo("11.7 \u00b1 0.6 mA");
        assertThat(Figures.estimate(
                        new Estimate(452, 2.5, List.of()).less(new Estimate(463, 2.5, List.of())), Unit.VOLT))
                .isEqualTo("-11 \u00b1 4 V");
    }
}
