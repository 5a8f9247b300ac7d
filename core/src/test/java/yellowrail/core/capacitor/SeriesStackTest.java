package yellowrail.core.capacitor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class SeriesStackTest {

    private static final double COLD = 620;
    private static final SeriesStack BARE = new SeriesStack(2, 100e-6, 350, 0.1e-3, 0.3e-3, OptionalDouble.empty());

    /** One leaks a third of the other, so it takes three quarters: 465 V of 620 V. */
    @Test
    void withoutBleedersTheTightestTakesMost() {
        assertThat(BARE.worst(COLD)).isCloseTo(465, within(1e-9));
        assertThat(BARE.amps(COLD)).isZero();
        assertThat(BARE.seconds(COLD)).isInfinite();
        assertThat(BARE.joules(COLD)).isCloseTo(9.61, within(0.01));
    }

    /** 620 V / 440 kohm = 1.41 mA, 310 V at it = 0.44 W each; 50 uF over 440 kohm is 22 s, times ln(620/5). */
    @Test
    void whatBleedersDoAndCost() {
        SeriesStack bled = BARE.with(220e3);
        assertThat(bled.worst(COLD)).isCloseTo(327.3, within(0.1));
        assertThat(bled.amps(COLD)).isCloseTo(1.409e-3, within(1e-6));
        assertThat(bled.watts(COLD)).isCloseTo(0.437, within(0.001));
        assertThat(bled.worstWatts(COLD)).isCloseTo(0.487, within(0.001));
        assertThat(bled.seconds(COLD)).isCloseTo(106.0, within(0.1));
        assertThat(BARE.largestBleeder(COLD).orElseThrow()).isCloseTo(608.7e3, within(100.0));
    }

    @Property
    void theLargestBleederHoldsTheWorstJustAtItsRating(
            @ForAll @IntRange(min = 2, max = 4) int count,
            @ForAll @DoubleRange(min = 0.02, max = 1) double leak,
            @ForAll @DoubleRange(min = 1, max = 10) double spread,
            @ForAll @DoubleRange(min = 0.3, max = 0.99) double used) {
        SeriesStack bare =
                new SeriesStack(count, 47e-6, 450, 1e-3 * leak, 1e-3 * leak * spread, OptionalDouble.empty());
        double volts = used * count * 450;
        OptionalDouble bleeder = bare.largestBleeder(volts);
        assertThat(bleeder.isPresent()).isEqualTo(bare.worst(volts) > 450);
        bleeder.ifPresent(ohms -> {
            assertThat(bare.with(ohms).worst(volts)).isCloseTo(450, within(1e-6));
            assertThat(bare.with(ohms / 2).worst(volts)).isLessThan(450);
        });
    }

    /** The worst stands at its rating but for the last digit that is computed: any bleeder holds it. */
    @Test
    void whereOnlyRoundingIsOverTheRatingABleederIsStillAResistor() {
        theLargestBleederHoldsTheWorstJustAtItsRating(3, 0.22, 1.6, 0.75);
        theLargestBleederHoldsTheWorstJustAtItsRating(3, 0.71, 1.6, 0.75);
    }

    @Test
    void whatCannotBeHeldAndWhatIsNoStack() {
        assertThat(BARE.largestBleeder(700)).as("two of 350 V").isEmpty();
        assertThat(BARE.largestBleeder(400)).as("within it as it is").isEmpty();
        assertThat(Discharge.seconds(1e-6, 1e6, 4, 5)).isZero();
        assertThatThrownBy(() -> BARE.with(0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Discharge.seconds(0, 1, 1, 1)).hasMessageContaining("0.0");
    }
}
