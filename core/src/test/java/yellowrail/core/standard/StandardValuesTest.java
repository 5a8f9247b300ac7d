package yellowrail.core.standard;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Resistors that can be bought, and the law that says how much bias a current takes. */
class StandardValuesTest {

    @ParameterizedTest
    @CsvSource({
        "64,68,62",
        "121.3,120,120",
        "20900,22000,20000",
        "1,1,1",
        "97,100,100",
        "470000,470000,470000",
        "0.51,0.47,0.51"
    })
    void theNearestOfEachSeries(double ohms, double e12, double e24) {
        assertThat(StandardValues.E12.nearest(ohms)).isEqualTo(e12);
        assertThat(StandardValues.E24.nearest(ohms)).isEqualTo(e24);
    }

    @Property
    void noValueIsFartherThanHalfAStepAndTheNeighboursEncloseIt(@ForAll @DoubleRange(min = 1, max = 1e6) double ohms) {
        assertThat(Math.abs(StandardValues.E24.nearest(ohms) / ohms - 1)).isLessThan(0.08);
        List<Double> around = StandardValues.E12.around(ohms);
        assertThat(ohms).isBetween(around.get(0), around.get(1));
    }

    @Test
    void aResistorIsBoughtForTwiceItsDissipation() {
        assertThat(StandardValues.wattsFor(1.5)).isEqualTo(3);
        assertThat(StandardValues.wattsFor(1.51)).isEqualTo(5);
        assertThat(StandardValues.wattsFor(80)).isEqualTo(160);
    }
}
