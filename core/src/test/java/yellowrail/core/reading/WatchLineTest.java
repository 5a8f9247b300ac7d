package yellowrail.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;

class WatchLineTest {

    private static final AmpSheet PAIR = Amps.pair();

    @ParameterizedTest
    @CsvSource({
        "watch V1,            V1,    20,  60",
        "WATCH v2,            v2,    20,  60",
        "watch plate 30s,     plate, 30,  60",
        "watch plate 30s 2h,  plate, 30,  120",
        "watch 5 V1 90,       V1,    5,   90",
        "watch V1 1min 24h,   V1,    60,  1440"
    })
    void saysWhatHowOftenAndForHowLong(String line, String place, long seconds, long minutes) {
        assertThat(WatchLine.is(line)).isTrue();
        assertThat(WatchLine.parse(line, PAIR))
                .isEqualTo(new WatchLine(place, Duration.ofSeconds(seconds), Duration.ofMinutes(minutes), false));
    }

    @Test
    void stops() {
        assertThat(WatchLine.parse("watch off", PAIR).off()).isTrue();
        assertThat(WatchLine.is("watching V1")).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "watch",
                "watch nothing",
                "watch V1 1 2 3",
                "watch V1 5x",
                "watch V1 0.5s",
                "watch V1 11min",
                "watch V1 20s 25h",
                "watch V1 60s 0.5min"
            })
    void refusesWhatCannotBeWatched(String line) {
        assertThatThrownBy(() -> WatchLine.parse(line, PAIR)).isInstanceOf(BadEntryException.class);
    }
}
