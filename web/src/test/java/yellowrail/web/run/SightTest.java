package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;

/** Two work on one run: what one answers or undoes is what was before the eyes, not what the other has stored since. */
@ExtendWith(RunningApplication.class)
class SightTest {

    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final long run = NewRun.of("6L6GC");

    @BeforeEach
    void on() {
        entries.enter(run, "tick closed; on", "", true);
    }

    private EntryOutcome enter(String line, Sight sight) {
        return entries.enter(run, line, "", sight, null, "");
    }

    private EntryOutcome.Asked asked(String line, Sight sight) {
        EntryOutcome outcome = enter(line, sight);
        assertThat(outcome).isInstanceOf(EntryOutcome.Asked.class);
        return (EntryOutcome.Asked) outcome;
    }

    private List<String> typed() {
        return runs.rowsBefore(run, Long.MAX_VALUE).stream()
                .filter(row -> !row.struck())
                .map(ReadingRow::typed)
                .toList();
    }

    @Test
    void aQuestionThatHasBecomeAnotherIsAskedAgain() {
        enter("mains 120", Sight.COUNTS);
        EntryOutcome.Asked first = asked("mains 12", Sight.NOTHING);
        enter("mains 119", Sight.COUNTS);
        EntryOutcome.Asked second = asked("mains 12", new Sight("true", "Something else?", null));
        assertThat(second.asks()).isNotBlank();
        assertThat(enter("mains 12", new Sight("true", second.says(), null)))
                .as("the question as it is now")
                .isInstanceOf(EntryOutcome.Accepted.class);
        assertThat(first.typed()).isEqualTo("mains 12");
    }

    @Test
    void undoStrikesWhatWasSeenLast() {
        enter("note mine", Sight.COUNTS);
        long seen = runs.rowsBefore(run, Long.MAX_VALUE).get(0).id();
        enter("note theirs", Sight.COUNTS);
        enter("undo", new Sight("", "", seen));
        assertThat(typed()).containsExactly("note theirs", "on");
        enter("undo", Sight.NOTHING);
        assertThat(typed()).containsExactly("on");
    }
}
