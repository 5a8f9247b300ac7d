package yellowrail.core.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class BiasLawTest {

    /** 24 and 35 mA at -50.2 and -45.9 V: 44.2 mA takes -42.6 V. */
    @Test
    void theThreeHalvesLawOfTheWorkedExample() {
        BiasLaw law = BiasLaw.through(List.of(new BiasLaw.Pair(-50.2, 0.024), new BiasLaw.Pair(-45.9, 0.035)))
                .orElseThrow();
        assertThat(law.grid(0.0442)).isCloseTo(-42.6, within(0.05));
        assertThat(law.current(law.grid(0.030)).orElseThrow()).isCloseTo(0.030, within(1e-9));
        assertThat(law.current(-90)).as("below cut-off").isEmpty();
    }

    @Test
    void pairsThatShowNoRiseMakeNoLaw() {
        assertThat(BiasLaw.through(List.of())).isEmpty();
        assertThat(BiasLaw.through(List.of(new BiasLaw.Pair(-46, 0.03)))).isEmpty();
        assertThat(BiasLaw.through(List.of(new BiasLaw.Pair(-46, 0.03), new BiasLaw.Pair(-46.05, 0.031))))
                .isEmpty();
        assertThat(BiasLaw.through(List.of(new BiasLaw.Pair(-46, 0.03), new BiasLaw.Pair(-43, 0.025))))
                .as("current fell")
                .isEmpty();
    }
}
