package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeightingTest {

    /** The curve's table in the standard, to a tenth of a decibel, at the exact frequencies of its bands. */
    @ParameterizedTest
    @CsvSource({
        "31.623,-39.4",
        "63.096,-26.2",
        "100,-19.1",
        "501.187,-3.2",
        "1000,0",
        "1995.26,1.2",
        "10000,-2.5",
        "19952.6,-9.3"
    })
    void theCurveIsThatOfItsTable(double hertz, double decibels) {
        assertThat(10 * Math.log10(Weighting.A.power(hertz))).isCloseTo(decibels, within(0.06));
    }
}
