package yellowrail.core.capacitor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.capacitor.Emptying.Link;
import yellowrail.core.capacitor.Emptying.Vessel;

class EmptyingTest {

    private static Vessel vessel(String label, double farads, double volts, double ohms) {
        return new Vessel(label, farads, volts, ohms > 0 ? OptionalDouble.of(ohms) : OptionalDouble.empty());
    }

    /** 50 uF at 620 V through 440 kohm: 22 s x ln(620/5) = 106 s. */
    @Test
    void oneCapacitorEmptiesAsATextbookSays() {
        Emptying one = new Emptying(List.of(vessel("A", 50e-6, 620, 440e3)), List.of());
        double seconds = one.seconds("A", 5).orElseThrow();
        assertThat(seconds).isCloseTo(106.0, within(0.1));
        assertThat(seconds).isCloseTo(Discharge.seconds(50e-6, 440e3, 620, 5), within(1e-3));
        assertThat(one.volts("A", 22)).isCloseTo(620 / Math.E, within(1e-6));
        assertThat(one.volts("A", 0)).isCloseTo(620, within(1e-9));
    }

    @Test
    void withoutABleederItStaysUp() {
        Emptying two = new Emptying(List.of(vessel("A", 50e-6, 400, 0), vessel("B", 50e-6, 300, 0)), List.of());
        assertThat(two.seconds("A", 5)).isEmpty();
        assertThat(two.longest(5)).isEmpty();
        assertThat(two.volts("B", 1000)).isCloseTo(300, within(1e-9));
        assertThat(new Emptying(List.of(vessel("A", 1e-6, 3, 0)), List.of()).seconds("A", 5))
                .hasValue(0);
    }

    /** Joined by a resistor and drained nowhere, they meet at what their charge makes. */
    @Test
    void twoThatAreJoinedShareTheirCharge() {
        Emptying joined = new Emptying(
                List.of(vessel("A", 30e-6, 400, 0), vessel("B", 10e-6, 0, 0)), List.of(new Link("A", "B", 1000)));
        assertThat(joined.volts("A", 100)).isCloseTo(300, within(1e-6));
        assertThat(joined.volts("B", 100)).isCloseTo(300, within(1e-6));
    }

    /** Held against the same circuit stepped along in short times. */
    @Property(tries = 40)
    void aBleederAtOneNodeEmptiesTheOthersThroughTheirResistors(
            @ForAll @DoubleRange(min = 1e3, max = 1e5) double between,
            @ForAll @DoubleRange(min = 1e4, max = 5e5) double bleeder,
            @ForAll @DoubleRange(min = 5, max = 100) double microfarads) {
        double second = 1e-6 * microfarads;
        Emptying chain = new Emptying(
                List.of(vessel("A", 47e-6, 450, bleeder), vessel("B", second, 300, 0)),
                List.of(new Link("A", "B", between)));
        double a = 450;
        double b = 300;
        double step = Math.min(47e-6, second) * Math.min(between, bleeder) / 2000;
        double until = 400 * step;
        for (int i = 0; i < 400; i++) {
            double through = (a - b) / between;
            a += step * (-through - a / bleeder) / 47e-6;
            b += step * through / second;
        }
        assertThat(chain.volts("A", until)).isCloseTo(a, within(0.005 * a));
        assertThat(chain.volts("B", until)).isCloseTo(b, within(0.005 * b));
        double last = chain.longest(5).orElse(Emptying.NEVER);
        if (last < Emptying.NEVER) {
            assertThat(Math.max(chain.volts("A", last), chain.volts("B", last))).isCloseTo(5, within(1e-3));
        }
    }

    @Test
    void whatIsNoCircuitIsRefused() {
        assertThatThrownBy(() -> vessel("A", 0, 1, 1)).hasMessageContaining("0.0 F");
        assertThatThrownBy(() -> new Emptying(List.of(vessel("A", 1, 1, 1)), List.of(new Link("A", "B", 1))))
                .hasMessageContaining("B");
    }
}
