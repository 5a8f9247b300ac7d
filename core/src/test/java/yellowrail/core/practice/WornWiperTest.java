package yellowrail.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.design.Remedies;
import yellowrail.core.bias.wiring.BiasSupply;

/** The wiper that leaves its track while it is turned: what it does to the tubes, and what prevents it. */
class WornWiperTest {

    private static final int SEED = 7;

    private final Workshop workshop = new Workshop(Exercise.WORN_WIPER, SEED);

    private Bench turned(Optional<BiasSupply> kept) {
        Bench bench = workshop.bench(workshop.bench().state(), kept);
        bench.power(true);
        bench.advance(120);
        bench.turn(0, 0.5);
        bench.advance(90);
        return bench;
    }

    @Test
    void theSheetTellsOfASupplyThatGivesWhatTheAmpHas() {
        BiasRange told = new BiasRange(workshop.biasSupply(), 1);
        Bench bench = workshop.bench();
        bench.power(true);
        bench.advance(120);
        double cold = told.coldestVolts() + (told.hottestVolts() - told.coldestVolts()) * 0.12;
        assertThat(bench.idle().grids()[0]).isCloseTo(cold, within(0.03 * -cold));
        assertThat(told.isFailSafe()).isFalse();
        assertThat(workshop.sheet("", "").biasSupply()).contains(workshop.biasSupply());
    }

    @Test
    void asItIsFoundATurnRuinsTheTubes() {
        Bench bench = turned(Optional.of(workshop.biasSupply()));
        assertThat(bench.idle().grids()[0]).isCloseTo(0, within(0.1));
        assertThat(bench.state().failed()).contains(true);
        bench.power(false);
        assertThat(Marking.of(Exercise.WORN_WIPER, bench, Exercise.OPEN_POT, List.of(), OptionalDouble.empty())
                        .passed())
                .isFalse();
    }

    @Test
    void onceItsSupplyIsFailSafeTheTubesGoCold() {
        BiasSupply safe = Remedies.failSafe(new BiasRange(workshop.biasSupply(), 1))
                .orElseThrow()
                .supply();
        Bench bench = turned(Optional.of(safe));
        assertThat(bench.idle().grids()[0]).isLessThan(0.95 * new BiasRange(safe, 1).coldestVolts());
        assertThat(bench.state().failed()).doesNotContain(true);
        assertThat(bench.state().peak()).isLessThan(0.6);
        assertThat(Marking.of(Exercise.WORN_WIPER, bench, Exercise.OPEN_POT, List.of(), OptionalDouble.empty())
                        .passed())
                .isTrue();
    }
}
