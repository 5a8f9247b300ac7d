package yellowrail.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.part.ColourCode.Colour;
import yellowrail.core.part.SenseResistor.Kind;
import yellowrail.core.standard.StandardValues;

class PartsTest {

    /** 0.5 % and 2 digits of 0.1 mV. */
    private static final MeterAccuracy METER = new MeterAccuracy(0.005, 2, 0.1, 1e-4);

    @ParameterizedTest
    @CsvSource({"0.25, 0.158", "1, 0.316", "5, 0.707"})
    void tenOhmReachItsRatingAt(double watts, double amps) {
        SenseResistor resistor = new SenseResistor(10, 0.01, watts, Kind.METAL_FILM);
        assertThat(resistor.ratedAmps()).isCloseTo(amps, within(5e-4));
        assertThat(resistor.opensFrom()).isGreaterThan(resistor.ratedAmps());
        assertThat(resistor.opensBy()).isGreaterThan(resistor.opensFrom());
    }

    @Test
    void atAnIdleItHardlyWarms() {
        SenseResistor ten = new SenseResistor(10, 0.01, 0.25, Kind.FUSIBLE);
        assertThat(ten.watts(0.045)).isCloseTo(0.020, within(5e-4));
        assertThat(ten.volts(0.045)).isCloseTo(0.45, within(1e-12));
        assertThat(ten.count(METER)).isCloseTo(1e-5, within(1e-12));
    }

    /** Five percent drown the meter, a tenth of one does not show beside it. */
    @Test
    void aPoorOneIsAllOfTheUncertainty() {
        assertThat(new SenseResistor(1, 0.05, 1, Kind.METAL_FILM).plusMinus(0.045, METER))
                .isCloseTo(Math.sqrt(0.0025 + 0.000025 + Math.pow(0.2 / 45, 2)), within(1e-9));
        assertThat(new SenseResistor(1, 0.001, 1, Kind.METAL_FILM).plusMinus(0.045, METER))
                .isCloseTo(0.0068, within(1e-4));
        assertThat(new SenseResistor(10, 0.001, 1, Kind.METAL_FILM).plusMinus(0.045, METER))
                .isCloseTo(0.0051, within(1e-4));
    }

    @ParameterizedTest
    @CsvSource({
        "47000, 0.05, 2, YELLOW VIOLET ORANGE GOLD",
        "1, 0.01, 2, BROWN BLACK GOLD BROWN",
        "0.47, 0.05, 2, YELLOW VIOLET SILVER GOLD",
        "220000, 0.01, 3, RED RED BLACK ORANGE BROWN",
        "49900, 0.01, 3, YELLOW WHITE WHITE RED BROWN"
    })
    void bandsAreReadAndWritten(double ohms, double tolerance, int digits, String bands) {
        ColourCode code = ColourCode.of(ohms, tolerance, digits).orElseThrow();
        assertThat(code.bands().stream().map(Enum::name)).containsExactly(bands.split(" "));
        assertThat(code.ohms()).isCloseTo(ohms, within(1e-9 * ohms));
        assertThat(code.tolerance()).isEqualTo(tolerance);
    }

    @Test
    void whatNoBandsSayIsNotSaid() {
        assertThat(ColourCode.of(49_900, 0.01, 2)).isEmpty();
        assertThat(ColourCode.of(47_000, 0.03, 2)).isEmpty();
        assertThatThrownBy(() -> new ColourCode(List.of(Colour.GOLD, Colour.RED, Colour.RED, Colour.GOLD)))
                .hasMessageContaining("GOLD, RED, RED, GOLD");
    }

    @Property
    void twoComeNearerThanOne(@ForAll @DoubleRange(min = 10, max = 900_000) double ohms) {
        List<TwoResistors> pairs = TwoResistors.near(ohms, StandardValues.E24);
        double one = Math.abs(Math.log(StandardValues.E24.nearest(ohms) / ohms));
        assertThat(Math.abs(Math.log(pairs.get(0).ohms() / ohms))).isLessThanOrEqualTo(Math.max(one, 0.01));
        assertThat(pairs).allSatisfy(pair -> {
            assertThat(pair.shareOfFirst()).isBetween(0.0, 1.0);
            assertThat(pair.ohms() / ohms).isCloseTo(1, within(0.05));
        });
    }

    @Test
    void theFineSeries() {
        assertThat(StandardValues.E96.nearest(50_000)).isCloseTo(49_900, within(1e-6));
        assertThat(StandardValues.E96.between(1, 9.99)).hasSize(96).contains(1.02, 9.76);
    }
}
