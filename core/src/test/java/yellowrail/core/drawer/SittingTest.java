package yellowrail.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.timeline.Change;
import yellowrail.core.timeline.Timeline;

class SittingTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static Sitting sitting(String socket, String... lines) {
        return sitting(PAIR, socket, lines).orElseThrow();
    }

    private static Optional<Sitting> sitting(AmpSheet sheet, String socket, String... lines) {
        return Sitting.of(Amps.timeline(sheet, lines), socket, at -> true);
    }

    @Test
    void aTubeThatCreptIsFoundWithoutAnyoneWritingItDown() {
        String[] lines = {"on", "V1 30", "V2 30", "V1 31", "V2 30.1", "V1 32", "V2 30", "V1 33.5", "V2 30.1", "off"};
        assertThat(sitting("V1", lines).findings())
                .singleElement()
                .isInstanceOfSatisfying(DrawerFinding.Crept.class, crept -> {
                    assertThat(crept.by()).isCloseTo(0.117, within(5e-4));
                    assertThat(crept.minutes()).isEqualTo(3);
                });
        assertThat(sitting("V2", lines).findings()).isEmpty();
        assertThat(sitting("V1", lines).on()).isEqualTo(Duration.ofSeconds(270));
    }

    @Test
    void aTurnOrASharedTestPointTellsNothing() {
        assertThat(sitting("V1", "on", "V1 30", "V2 30", "V1 31", "turn RANGE clockwise", "V1 32", "V2 33", "V1 33.5")
                        .findings())
                .isEmpty();
        List<Socket> shared = PAIR.sockets().stream()
                .map(socket -> new Socket(socket.label(), socket.side(), socket.channel(), "TP"))
                .toList();
        AmpSheet sheet = Amps.with(PAIR, shared);
        assertThat(sitting(
                                sheet,
                                sheet.sockets().get(0).label(),
                                "on",
                                "TP 60",
                                "TP 62",
                                "TP 64",
                                "TP 67",
                                "TP 70",
                                "TP 74",
                                "TP 80",
                                "TP 82")
                        .orElseThrow()
                        .findings())
                .isEmpty();
    }

    @Test
    void hoursCountWhileItIsOnAndUntilTheLastReading() {
        assertThat(sitting("V1", "on", "V1 30", "V1 30", "off", "note lunch", "on", "V1 30")
                        .on())
                .isEqualTo(Duration.ofSeconds(90 + 30));
        assertThat(sitting(PAIR, "V1")).isEmpty();
        assertThat(sitting("V1", "V1 30", "V1 31").on()).isZero();
    }

    @Test
    void onlyWhatWasLoggedWhileItSatThereCounts() {
        Timeline timeline =
                Amps.timeline(PAIR, "on", "V1 30", "off", "tube V1 6L6GC new", "on", "V1 31", "V1 32", "V1 33");
        Instant exchanged = timeline.states().stream()
                .flatMap(state -> state.begunBy().stream())
                .filter(change -> change.what() == Change.What.TUBE)
                .findFirst()
                .orElseThrow()
                .at();
        assertThat(Sitting.of(timeline, "V1", at -> at.isBefore(exchanged))
                        .orElseThrow()
                        .on())
                .isEqualTo(Duration.ofSeconds(60));
        assertThat(Sitting.of(timeline, "V1", at -> !at.isBefore(exchanged))
                        .orElseThrow()
                        .on())
                .isEqualTo(Duration.ofSeconds(90));
        assertThat(Sitting.of(timeline, "V1", at -> false)).isEmpty();
    }
}
