package yellowrail.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.quantity.ErrorBudget.Input;

class ErrorBudgetTest {

    private static Input input(String symbol, double value, double plusMinus) {
        return new Input(symbol, value, plusMinus, Unit.VOLT);
    }

    @Test
    void aProductAddsRelativePartsAsSquares() {
        ErrorBudget budget = new ErrorBudget(List.of(input("a", 452, 4.52), input("b", 0.0346, 0.001038)));
        Estimate watts = budget.of(x -> x[0] * x[1]);
        assertThat(watts.value()).isCloseTo(15.6392, within(1e-9));
        assertThat(watts.plusMinus() / watts.value()).isCloseTo(Math.hypot(0.01, 0.03), within(1e-9));
        assertThat(watts.contributions())
                .extracting(part -> part.input().symbol())
                .containsExactly("b", "a");
        assertThat(watts.contributions().get(0).share()).isCloseTo(0.9, within(1e-9));
    }

    @Test
    void anExactInputHasNoPart() {
        Estimate sum = new ErrorBudget(List.of(input("a", 3, 0), input("b", 4, 0))).of(x -> x[0] + x[1]);
        assertThat(sum.plusMinus()).isZero();
        assertThat(sum.contributions()).isEmpty();
    }

    @Test
    void refusesWhatIsNoNumber() {
        assertThatThrownBy(() -> input("a", Double.NaN, 0)).hasMessageContaining("a must be a finite number, was NaN");
        assertThatThrownBy(() -> input("a", 1, Double.NaN))
                .hasMessageContaining("plus-minus of a must be 0 or more, was NaN");
    }
}
