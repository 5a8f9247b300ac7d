package yellowrail.web.device;

import static org.assertj.core.api.Assertions.assertThat;
import static yellowrail.web.device.OneTimeCode.Answer.CHANGED;
import static yellowrail.web.device.OneTimeCode.Answer.RIGHT;
import static yellowrail.web.device.OneTimeCode.Answer.WAIT;
import static yellowrail.web.device.OneTimeCode.Answer.WRONG;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class OneTimeCodeTest {

    private static final class Hand extends Clock {

        private Instant now = Instant.parse("2026-03-01T12:00:00Z");

        void on(long seconds) {
            now = now.plusSeconds(seconds);
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final Hand clock = new Hand();
    private final OneTimeCode code = new OneTimeCode(clock);

    @Test
    void itIsGoodOnceHoweverItIsTyped() {
        String first = code.shown();
        assertThat(first).matches("[2-9A-HJ-NP-Z]{4}-[2-9A-HJ-NP-Z]{4}");
        assertThat(code.tell(" " + first.toLowerCase(Locale.ROOT).replace("-", " ") + " "))
                .isEqualTo(RIGHT);
        assertThat(code.shown()).isNotEqualTo(first);
        assertThat(code.tell(first)).isEqualTo(WRONG);
        assertThat(code.tell(code.shown())).isEqualTo(RIGHT);
    }

    @Test
    void afterFiveWrongOnesWithinAMinuteItChangesAndNoneIsTakenForAMinute() {
        String first = code.shown();
        for (int i = 0; i < 4; i++) {
            assertThat(code.tell("AAAA-AAAA")).isEqualTo(WRONG);
            clock.on(10);
        }
        assertThat(code.shown()).isEqualTo(first);
        assertThat(code.tell("")).isEqualTo(CHANGED);
        String second = code.shown();
        assertThat(second).isNotEqualTo(first);
        assertThat(code.isWaiting()).isTrue();
        clock.on(59);
        assertThat(code.tell(second)).as("not even the right one").isEqualTo(WAIT);
        clock.on(1);
        assertThat(code.isWaiting()).isFalse();
        assertThat(code.tell(second)).isEqualTo(RIGHT);
    }

    @Test
    void wrongOnesThatAreOldDoNotCount() {
        String first = code.shown();
        for (int i = 0; i < 40; i++) {
            assertThat(code.tell("AAAAAAAA")).isEqualTo(WRONG);
            clock.on(15);
        }
        assertThat(code.shown()).isEqualTo(first);
    }
}
