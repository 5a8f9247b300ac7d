package yellowrail.core.iron;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import yellowrail.core.tube.model.PublishedOperation;

class WindingsTest {

    @Test
    void threeVoltagesTellThePhase() {
        assertThat(Polarity.of(6.3, 2.4, 3.9).code()).isEqualTo("in-phase");
        assertThat(Polarity.of(6.3, 2.4, 8.7).code()).isEqualTo("out-of-phase");
        assertThat(Polarity.of(6.3, 2.4, 6.3).code()).isEqualTo("neither-sum-nor-difference");
        assertThat(Polarity.of(67, 0.2, 67).code()).isEqualTo("phase-not-told");
    }

    /** 20 H at 50 Hz is 6283 ohm: behind 4700 ohm it takes 0.8 of the source. */
    @Test
    void aResistorInSeriesTellsTheInductance() {
        double reactance = 2 * Math.PI * 50 * 20;
        double across = 10 * reactance / Math.hypot(reactance, 4700);
        Inductance found = Inductance.of(50, 10, across, 4700).orElseThrow();
        assertThat(found.henries()).isCloseTo(20, within(1e-9));
        assertThat(found.plusMinus()).isBetween(0.5, 2.0);
        assertThat(found.corner(6600)).isCloseTo(6600 / (2 * Math.PI * 20), within(1e-9));
        assertThat(Inductance.of(50, 10, 9.95, 4700))
                .as("its error would be all of it")
                .isEmpty();
    }

    @Test
    void aLoadIsPublishedForSomeTubes() {
        assertThat(WorkingLoad.near(6600, true))
                .isNotEmpty()
                .allMatch(PublishedOperation::pushPull)
                .extracting(PublishedOperation::type)
                .doesNotHaveDuplicates()
                .contains("6L6GC");
        assertThat(WorkingLoad.near(5200, false))
                .extracting(PublishedOperation::type)
                .contains("EL84");
        assertThat(WorkingLoad.near(60_000, true)).isEmpty();
    }
}
