package yellowrail.core.closing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.timeline.Snapshot;

class SinceLeftTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static Snapshot read(String... lines) {
        return Amps.timeline(PAIR, lines).present();
    }

    private static SinceLeft since(String... lines) {
        return SinceLeft.of(read("mains 120", "V1 44 V2 43 plate 452"), read(lines))
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "mains 120; V1 44.3 V2 43.2 plate 451, AS_LEFT",
        "mains 120; V1 42 V2 41.2 plate 453, SETTLED",
        "mains 120; V1 44 V2 39 plate 453, MOVED",
        "mains 120; V1 36 V2 35 plate 460, MOVED",
        "mains 120; V1 44 plate 452, NOT_READ"
    })
    void whatBecameOfIt(String line, SinceLeft.State state) {
        assertThat(since(line).state()).isEqualTo(state);
    }

    /** 5 % more mains is some 13 % more dissipation: 44 mA become 47.3, 452 V become 474. */
    @Test
    void atTheSameMains() {
        assertThat(since("mains 126; V1 47.3 V2 46.2 plate 474.6").state()).isEqualTo(SinceLeft.State.AS_LEFT);
    }

    @Test
    void whichTubeMovedMost() {
        SinceLeft since = since("mains 120; V1 44 V2 39 plate 453");
        assertThat(since.says()).isInstanceOfSatisfying(ClosingFinding.MovedMost.class, moved -> {
            assertThat(moved.socket()).isEqualTo("V2");
            assertThat(moved.ratio()).isBetween(-0.10, -0.08);
        });
    }

    @Test
    void anotherTubeIsNoComparison() {
        assertThat(since("tube V2 6L6GC B7", "mains 120; V1 44 V2 43 plate 452").exchanged())
                .containsExactly("V2");
    }

    @Test
    void nothingToHoldItAgainst() {
        assertThat(SinceLeft.of(read("mains 120"), read("V1 44 V2 43 plate 452")))
                .isEmpty();
    }

    @Test
    void newTubesAndFlaggedOnesAreLookedAtDaily() {
        Instant left = Instant.parse("2026-03-01T20:00:00Z");
        assertThat(Recheck.plan(left, false, false))
                .extracting(Recheck::at)
                .containsExactly(
                        left.plus(Duration.ofMinutes(20)),
                        left.plus(Duration.ofDays(7)),
                        left.plus(Duration.ofDays(30)),
                        left.plus(Duration.ofDays(91)));
        assertThat(Recheck.again(left).at()).isEqualTo(left.plus(Duration.ofDays(91)));
        assertThat(Recheck.plan(left, true, false)).hasSize(7);
        assertThat(Recheck.plan(left, false, true)).hasSize(7);
    }
}
