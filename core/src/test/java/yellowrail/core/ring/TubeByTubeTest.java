package yellowrail.core.ring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TubeByTubeTest {

    private static final OptionalDouble NONE = OptionalDouble.empty();

    private static Ringing tube(String name, OptionalDouble gain, double... levels) {
        return Ringing.of(
                name,
                gain,
                levels.length,
                Arrays.stream(levels)
                        .mapToObj(level -> new Ring(1, 900, 0.1, 20, 0.2, level))
                        .toList());
    }

    @Test
    void gainScalesTheRing() {
        List<TubeByTube.Line> lines = TubeByTube.of(List.of(
                tube("first", OptionalDouble.of(40), 0.20, 0.22, 0.18),
                tube("second", OptionalDouble.of(4), 0.10, 0.11, 0.09)));

        assertThat(lines.get(0).ringing().tube()).isEqualTo("first");
        assertThat(lines.get(0).against()).contains(new RingFinding.Quietest());
        assertThat(lines.get(1).against().orElseThrow())
                .isInstanceOfSatisfying(
                        RingFinding.Louder.class,
                        told -> assertThat(told.times()).isCloseTo(5, within(0.05)));
    }

    @Test
    void whatTheHandMakesIsNoDifference() {
        List<TubeByTube.Line> lines =
                TubeByTube.of(List.of(tube("one", NONE, 0.1, 0.3, 0.2), tube("other", NONE, 0.2, 0.4, 0.3)));

        // ln 0.1, 0.3, 0.2 and 0.2, 0.4, 0.3: s = 0.464 with 4 degrees, t 2.776: exp(2.776 x 0.464 x sqrt(2/3)) = 2.86.
        assertThat(lines.get(1).against().orElseThrow())
                .isInstanceOfSatisfying(RingFinding.AsTheTapsDiffer.class, told -> {
                    assertThat(told.times()).isCloseTo(1.587, within(0.001));
                    assertThat(told.apart()).isCloseTo(2.86, within(0.02));
                });
    }

    @Test
    void oneTapEachSaysSo() {
        assertThat(TubeByTube.of(List.of(tube("one", NONE, 1), tube("other", NONE, Math.E)))
                        .get(1)
                        .against())
                .contains(new RingFinding.OneTapEach(Math.E));
    }

    @Test
    void withoutItsGainATubeIsNotSetBesideOthers() {
        List<TubeByTube.Line> lines = TubeByTube.of(
                List.of(tube("no gain", NONE, 0.001), tube("dead", NONE), tube("gain", OptionalDouble.of(10), 0.5)));

        assertThat(lines).extracting(line -> line.ringing().tube()).containsExactly("dead", "gain", "no gain");
        assertThat(lines)
                .extracting(TubeByTube.Line::against)
                .containsExactly(
                        Optional.empty(),
                        Optional.of(new RingFinding.Quietest()),
                        Optional.of(new RingFinding.GainNotTold()));
    }

    @Test
    void verdictsFollowTheFall() {
        assertThat(tube("V1", NONE, 0.1, 0.2).verdict())
                .isEqualTo(new RingFinding.RingsUnderTheTap(900, Math.log(1000) / 20));
        Ringing slow = Ringing.of("V2", NONE, 1, List.of(new Ring(1, 640, 0.1, 3, 0.1, 0.2)));
        assertThat(slow.verdict()).isEqualTo(new RingFinding.RingsOn(640, Math.log(1000) / 3));
        Ringing growing = Ringing.of("V3", NONE, 1, List.of(new Ring(1, 640, 0.1, -0.5, 0.1, 0.2)));
        assertThat(growing.verdict()).isEqualTo(new RingFinding.NeverStops(640));
    }

    @Test
    void onlyTheLoudestRingsFrequencyIsPutTogether() {
        Ringing ringing = Ringing.of(
                "V1",
                NONE,
                3,
                List.of(
                        new Ring(1, 900, 0.1, 20, 0.2, 0.1),
                        new Ring(2, 2400, 0.1, 90, 0.2, 0.05),
                        new Ring(3, 904, 0.1, 22, 0.2, 0.2)));

        assertThat(ringing.rings()).hasSize(2);
        assertThat(ringing.hertz().value()).isCloseTo(902, within(1e-9));
        // Two taps 4 Hz apart: t 12.7 x 2.83 / sqrt 2.
        assertThat(ringing.hertz().plusMinus()).isCloseTo(25.4, within(0.1));
        assertThat(ringing.level()).isCloseTo(Math.sqrt(0.02), within(1e-9));
    }
}
