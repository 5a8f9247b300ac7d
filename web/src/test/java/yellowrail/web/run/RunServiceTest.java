package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;

@ExtendWith(RunningApplication.class)
class RunServiceTest {

    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final AmpSheet pair = new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE,
            TubeCatalogue.published().find("6L6GC").orElseThrow(), 2, false).sheet();
    private long amp;
    private long run;

    @BeforeEach
    void anAmpWithARun() {
        amp = amps.create(pair);
        run = runs.begin(amp).id();
        enter("tick closed");
    }

    private EntryOutcome enter(String line) {
        return runs.enter(run, line, "bench", false);
    }

    private double value(ReadingKind kind, String place) {
        return runs.moment(run, Long.MAX_VALUE).at(kind, place).orElseThrow().value();
    }

    @Test
    void aSheetComesBackAsItWasSaved() {
        assertThat(amps.newest(amp).sheet()).isEqualTo(pair);
    }

    @Test
    void readingsAreStoredAndJudged() {
        assertThat(enter("V1 36.4 V2 33.9 plate 452")).isEqualTo(new EntryOutcome.Accepted(3));
        var tubes = runs.stage(pair).at(runs.moment(run, Long.MAX_VALUE));
        assertThat(tubes).extracting(tube -> tube.judgement().verdict()).containsExactly(Verdict.IN_WINDOW, Verdict.COLD);
    }

    @Test
    void aQuestionedReadingIsNotStoredUntilAnswered() {
        EntryOutcome.Asked asked = (EntryOutcome.Asked) enter("mains 119; V1 38.2V");
        assertThat(asked.choices()).first().isEqualTo("mains 119V; V1 38.2mV");
        assertThat(runs.moment(run, Long.MAX_VALUE).isEmpty()).isTrue();
        assertThat(runs.enter(run, "V1 38.2V", "", true)).isEqualTo(new EntryOutcome.Accepted(1));
        assertThat(value(ReadingKind.SENSE_VOLTS, "V1")).isEqualTo(38.2);
    }

    @Test
    void aBadLineStoresNothingOfItself() {
        assertThat(enter("V1 36.4; V9 30")).isInstanceOfSatisfying(EntryOutcome.Refused.class,
                refused -> assertThat(refused.message()).contains("V9").contains("V1, V2"));
        assertThat(runs.log(run).rows()).isEmpty();
    }

    @Test
    void strikingBringsBackTheReadingBefore() {
        enter("V1 30");
        enter("V1 36.4");
        assertThat(enter("undo")).isEqualTo(new EntryOutcome.Accepted(0));
        assertThat(value(ReadingKind.SENSE_VOLTS, "V1")).isEqualTo(0.030);
        enter("undo");
        assertThat(runs.moment(run, Long.MAX_VALUE).isEmpty()).isTrue();
        assertThat(enter("undo")).isInstanceOf(EntryOutcome.Refused.class);
        assertThat(runs.log(run).rows()).hasSize(2).allMatch(ReadingRow::struck);
    }

    @Test
    void strikingTwiceOrSomewhereElseChangesNothing() {
        enter("V1 30");
        long id = runs.log(run).rows().get(0).id();
        runs.strike(run, id);
        runs.strike(run, id);
        assertThat(runs.log(run).rows()).hasSize(1);
        long another = runs.begin(amps.create(pair)).id();
        assertThatThrownBy(() -> runs.strike(another, id)).isInstanceOf(NotFoundException.class).hasMessageContaining("no reading " + id);
    }

    @Test
    void aClosedRunKeepsItsSheetAndTakesNoReadings() {
        enter("V1 36.4");
        runs.close(run);
        amps.save(amp, 1, new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED, TubeCatalogue.published().find("EL84").orElseThrow(), 2, false).sheet());
        assertThat(runs.amp(runs.run(run)).sheet().tubeType()).isEqualTo("6L6GC");
        assertThat(enter("V1 30")).isInstanceOf(EntryOutcome.Refused.class);
        assertThat(runs.begin(amp).id()).isNotEqualTo(run);
    }

    @Test
    void beginningTwiceGivesTheOpenRun() {
        assertThat(runs.begin(amp).id()).isEqualTo(run);
    }

    @Test
    void theSecondToSaveASheetIsTold() {
        assertThat(amps.save(amp, 1, pair)).contains(2);
        assertThat(amps.save(amp, 1, pair)).isEmpty();
        assertThat(amps.newest(amp).version()).isEqualTo(2);
    }

    @Test
    void aLongLogCountsThroughTheLastOfEachKind() {
        enter("plate 452");
        for (int i = 0; i < RunService.RECENT + 20; i++) {
            enter("V1 " + (30 + i % 10));
        }
        RunLog log = runs.log(run);
        assertThat(log.rows()).hasSize(RunService.RECENT);
        assertThat(log.now().at(ReadingKind.PLATE, "").orElseThrow().value()).isEqualTo(452);
        assertThat(log.total()).isEqualTo("200 and more");
    }
}
