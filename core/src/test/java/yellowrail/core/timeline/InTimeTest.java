package yellowrail.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Reading;
import yellowrail.core.soak.Soak;
import yellowrail.core.soak.SoakStretch;

/** Files of meters that record, brought among what hands typed. */
class InTimeTest {

    private static final AmpSheet PAIR = Amps.pair();

    private final List<Reading> log = new ArrayList<>();

    private InTimeTest typed(int minute, String line) {
        return add(minute, line, 1, false);
    }

    private InTimeTest recorded(int minute, String line) {
        return add(minute, line, 1, true);
    }

    private InTimeTest add(int minute, String line, int sheet, boolean recorded) {
        Instant at = Amps.NOON.plusSeconds(60L * minute);
        long first = log.size() + 1L;
        new EntryLine(PAIR)
                .parse(line)
                .forEach(entry -> log.add(new Reading(log.size() + 1L, entry, at, first, sheet, recorded)));
        return this;
    }

    private Timeline timeline() {
        return Amps.timeline(PAIR, log);
    }

    private boolean isFresh(String point) {
        Snapshot now = timeline().present();
        return now.freshness(now.moment().current(point).orElseThrow()).isFresh();
    }

    private double reads(String point) {
        return timeline().present().moment().current(point).orElseThrow().value();
    }

    @Test
    void whatWasRecordedBeforeATurnIsOvertakenByItAlthoughItWasBroughtAfterwards() {
        typed(0, "V1 30 V2 30 plate 450").typed(30, "turn RANGE clockwise");
        recorded(10, "V1 33").recorded(20, "V1 36");
        assertThat(reads("V1")).isEqualTo(0.036);
        assertThat(isFresh("V1")).isFalse();
        recorded(40, "V1 38");
        assertThat(reads("V1")).isEqualTo(0.038);
        assertThat(isFresh("V1")).isTrue();
    }

    @Test
    void aReadingTypedAfterwardsCountsWhateverIsBroughtOfBefore() {
        typed(0, "V2 30 plate 450").typed(50, "V1 39");
        recorded(10, "V1 33").recorded(40, "V1 34");
        assertThat(reads("V1")).isEqualTo(0.039);
        recorded(55, "V1 40");
        assertThat(reads("V1")).isEqualTo(0.040);
    }

    @Test
    void filesOfSeveralMetersBroughtOneAfterAnotherAreOfOneTime() {
        for (int minute = 0; minute < 30; minute++) {
            recorded(minute, "V1 30.1");
        }
        for (int minute = 0; minute < 30; minute++) {
            recorded(minute, minute < 10 ? "plate 458" : "plate 450");
        }
        assertThat(isFresh("V1")).as("the plates moved before its last row").isTrue();
        assertThat(timeline().presentSettings())
                .last()
                .satisfies(setting -> assertThat(setting.own()).hasSize(2));
    }

    @Test
    void aStretchHasWhatWasRecordedInIt() {
        typed(0, "on")
                .typed(0, "V1 30 V2 30 plate 450")
                .typed(30, "turn RANGE clockwise")
                .typed(31, "V2 32");
        for (int minute = 2; minute < 60; minute++) {
            recorded(minute, minute < 30 ? "V1 30" : "V1 35");
        }
        List<SoakStretch> stretches = Soak.of(timeline()).stretches();
        assertThat(stretches).hasSize(2);
        assertThat(stretches.get(0).points().get(0).samples()).hasSize(28);
        assertThat(stretches.get(1).points().get(0).samples()).hasSize(30).allMatch(sample -> sample.minutes() >= 0);
    }

    @Test
    void whatWasTypedKeepsItsOrderWhateverTheClockSays() {
        typed(60, "V1 30").typed(5, "V1 31").recorded(6, "V2 29").typed(7, "turn RANGE clockwise");
        assertThat(InTime.of(log))
                .extracting(reading -> reading.entry().target() + " " + reading.id())
                .containsExactly("V1 1", "V1 2", "V2 3", "RANGE 4");
        assertThat(reads("V1")).isEqualTo(0.031);
    }

    @Test
    void itStandsUnderTheSheetOfItsTime() {
        typed(0, "V1 30").add(20, "V1 31", 2, false).add(10, "V2 29", 2, true).add(30, "V2 29", 2, true);
        assertThat(InTime.of(log)).extracting(Reading::sheet).containsExactly(1, 1, 2, 2);
    }
}
