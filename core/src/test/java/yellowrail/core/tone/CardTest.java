package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.tone.CardScale.Reading;

/** The card's full scale, and the divider before it. */
class CardTest {

    /** 2.83 V heard as 0.0566 of full scale: 50 V. */
    @Test
    void oneReadingTellsTheScale() {
        CardScale scale = CardScale.of(List.of(new Reading(2.83, 0.0566)));
        assertThat(scale.volts()).isCloseTo(50, within(0.01));
        assertThat(scale.apart()).isZero();
        assertThat(scale.holds()).isTrue();
    }

    @Test
    void aSecondReadingTellsWhetherItHolds() {
        assertThat(CardScale.of(List.of(new Reading(2.83, 0.0566), new Reading(19.9, 0.4)))
                        .holds())
                .isTrue();
        CardScale turned = CardScale.of(List.of(new Reading(2.83, 0.0566), new Reading(19.9, 0.3)));
        assertThat(turned.holds()).isFalse();
        assertThat(turned.apart()).isGreaterThan(0.2);
    }

    @Test
    void nothingHeardIsNoReading() {
        assertThatThrownBy(() -> new Reading(2.83, 0)).hasMessage("2.83 V heard as 0.0 of full scale");
    }

    /** 60 W in 8 ohm: 31 V peak, 46 V with what an unloaded amp adds; 68 k and 1 k leave 0.67 V. */
    @Test
    void theDividerIsOfValuesThatAreSold() {
        CardPad pad = CardPad.of(60, 8).orElseThrow();
        assertThat(pad.peak()).isCloseTo(46.48, within(0.01));
        assertThat(pad.series()).isEqualTo(68_000);
        assertThat(pad.atCard()).isCloseTo(0.674, within(1e-3));
        assertThat(pad.watts()).isCloseTo(0.0309, within(1e-4));
        assertThat(CardPad.of(0.01, 4)).isEmpty();
    }

    @Property(tries = 200)
    void theCardBearsWhatTheDividerLeaves(
            @ForAll @DoubleRange(min = 1, max = 400) double watts,
            @ForAll @DoubleRange(min = 2, max = 600) double load) {
        CardPad.of(watts, load)
                .ifPresent(pad -> assertThat(pad.atCard())
                        .isLessThanOrEqualTo(CardPad.CARD)
                        .isGreaterThan(CardPad.CARD / 1.3));
    }
}
