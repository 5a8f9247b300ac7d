package yellowrail.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yellowrail.core.proof.Measured.Conditions;
import yellowrail.core.quantity.Estimate;

class ProofGridTest {

    private static List<Measured> typed(String... lines) {
        return ByHand.all(ByHandTest.log(lines)).stream()
                .flatMap(line -> line.figures().stream())
                .toList();
    }

    @Test
    void whatIsThereAndWhatIsNot() {
        ProofGrid grid =
                ProofGrid.of(typed("thd 0.7% 1W 1k", "thd 0.8% 1.1W 1k", "thd 2% 10W 80Hz", "clips 16.9V 8R 1k"));

        assertThat(grid.rows()).hasSize(4);
        assertThat(grid.missing()).isEqualTo(9);
        assertThat(grid.rows().get(1).cells().get(1).orElseThrow().value().value())
                .as("the newer one")
                .isEqualTo(0.008);
        assertThat(grid.rows().get(2).cells().get(0)).isPresent();
        assertThat(grid.rows().get(3).cells().get(1)).isPresent();
        assertThat(ProofGrid.of(List.of()).missing()).isEqualTo(12);
    }

    @Test
    void distortionAloneComesBeforeDistortionWithNoise() {
        List<Measured> both = typed("thd 0.7% 1W 1k", "thd+n 0.9% 1W 1k");

        assertThat(ProofGrid.of(both).rows().get(1).cells().get(1).orElseThrow().kind())
                .isEqualTo(ProofKind.DISTORTION);
        assertThat(ProofGrid.of(both.subList(1, 2))
                        .rows()
                        .get(1)
                        .cells()
                        .get(1)
                        .orElseThrow()
                        .kind())
                .isEqualTo(ProofKind.DISTORTION_AND_NOISE);
    }

    private static Measured heard(ProofKind kind, double volts) {
        OptionalDouble none = OptionalDouble.empty();
        return new Measured(
                kind,
                new Estimate(volts, 0, List.of()),
                new Conditions(none, none, none, none, none),
                ByHandTest.NOON,
                true);
    }

    @Test
    void whatLeadsTellsWhereToLook() {
        assertThat(HumHunt.of(List.of(heard(ProofKind.HUM, 1e-3), heard(ProofKind.RIPPLE, 5e-3))))
                .contains(new ProofFinding.MostlyRipple(5e-3, 1e-3));
        assertThat(HumHunt.of(List.of(heard(ProofKind.HUM, 4e-3), heard(ProofKind.RIPPLE, 1e-3))))
                .contains(new ProofFinding.MostlyMains(4e-3, 1e-3));
        assertThat(HumHunt.of(List.of(heard(ProofKind.HUM, 2e-3), heard(ProofKind.RIPPLE, 1.5e-3))))
                .contains(new ProofFinding.BothHums(2e-3, 1.5e-3));
        assertThat(HumHunt.of(Stream.concat(typed("hum 2.4mV").stream(), Stream.of(heard(ProofKind.RIPPLE, 5e-3)))
                        .toList()))
                .as("a meter reads both at once")
                .isEmpty();
        assertThat(HumHunt.of(List.of(heard(ProofKind.HUM, 2e-4), heard(ProofKind.RIPPLE, 9e-4))))
                .as("quiet enough")
                .isEmpty();
    }
}
