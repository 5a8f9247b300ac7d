package yellowrail.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.bias.Supplies;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.wiring.BiasSupply;

class HardwareTest {

    private static AmpSheet with(BiasSupply supply) {
        return Amps.pair().with(Optional.of(supply));
    }

    /** Drawn for the first time it was there before; its ratings are no wiring; another resistor is another bias. */
    @Test
    void anotherBiasSupplyIsOtherHardware() {
        AmpSheet tapped = with(Supplies.tapped());
        assertThat(Hardware.changed(Amps.pair(), tapped)).isEmpty();
        assertThat(Hardware.changed(tapped, with(Supplies.tapped().rated(Map.of(PartKind.SERIES, 1.0)))))
                .isEmpty();
        BiasSupply safe =
                Supplies.tapped().with(Supplies.tapped().network().withWiperToCold(OptionalDouble.of(220_000)));
        assertThat(Hardware.changed(tapped, with(safe))).containsExactly(Hardware.BIAS);
    }
}
