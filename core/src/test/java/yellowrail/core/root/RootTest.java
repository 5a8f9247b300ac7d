package yellowrail.core.root;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

class RootTest {

    @Test
    void aCrossingIsFoundRisingOrFalling() {
        assertThat(Root.between(x -> x * x - 2, 0, 2, 1e-12)).isCloseTo(Math.sqrt(2), within(1e-11));
        assertThat(Root.between(x -> Math.cos(x) - x, 0, 2, 1e-12)).isCloseTo(0.7390851332151607, within(1e-11));
    }

    @Test
    void withoutACrossingTheNearerEndStands() {
        assertThat(Root.between(x -> x + 1, 0, 2, 1e-9)).isZero();
        assertThat(Root.between(x -> x - 5, 0, 2, 1e-9)).isEqualTo(2);
        assertThat(Root.between(x -> x, 0, 2, 1e-9)).isZero();
    }

    @Test
    void whatIsNoNumberIsNotReturnedQuietly() {
        assertThatThrownBy(() -> Root.between(x -> Double.NaN, 0, 1, 1e-9)).isInstanceOf(UnsettledException.class);
        assertThatThrownBy(() -> FallingRoot.find(x -> Double.NaN, 0, 1, 0.5, 1e-9))
                .isInstanceOf(UnsettledException.class);
    }

    /** Supply against tubes: r i(v) - v, with a current that rises as the three-halves power of what is left. */
    @Test
    void theQuickOneAgreesAndAsksHalfAsOften() {
        Random chance = new Random(11);
        int quick = 0;
        int other = 0;
        for (int n = 0; n < 200; n++) {
            double source = 200 + 300 * chance.nextDouble();
            double ohms = 20 + 200 * chance.nextDouble();
            DoubleUnaryOperator balance = v -> ohms * 2e-5 * Math.pow(Math.max(0, source - v), 1.5) - v;
            AtomicInteger asked = new AtomicInteger();
            DoubleUnaryOperator counted = v -> {
                asked.incrementAndGet();
                return balance.applyAsDouble(v);
            };
            double root = Root.between(counted, 0, source, 1e-9);
            other += asked.getAndSet(0);
            assertThat(FallingRoot.find(counted, 0, source, root * (0.97 + 0.06 * chance.nextDouble()), 1e-9))
                    .isCloseTo(root, within(1e-8));
            quick += asked.get();
        }
        assertThat(quick).isLessThan(other * 2 / 3);
    }
}
