package yellowrail.core.iron;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class PulledPairTest {

    /** Half the tubes want twice the load: the 8 ohm speaker goes on the 4 ohm tap. */
    @Test
    void aQuadThatBecomesAPair() {
        assertThat(PulledPair.of(2000, 2, List.of(4.0, 8.0, 16.0))).isEqualTo(new PulledPair(1, 4000, 4, 4000));
    }

    @Test
    void whereNoTapFitsTheNearestIsTaken() {
        PulledPair six = PulledPair.of(1800, 3, List.of(4.0, 8.0));
        assertThat(six.left()).isEqualTo(2);
        assertThat(six.wantedOhms()).isEqualTo(2700);
        assertThat(six.tapOhms()).as("3.6 k is 1.33 times off, 1.8 k 1.5 times").isEqualTo(4);
    }

    @Test
    void aPairHasNoTubeToSpare() {
        assertThatThrownBy(() -> PulledPair.of(6600, 1, List.of(8.0))).isInstanceOf(IllegalArgumentException.class);
    }
}
