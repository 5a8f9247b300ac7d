package yellowrail.web.run;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.mistake.Mistakes;
import yellowrail.core.mistake.Situation;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.SheetCorrection;
import yellowrail.core.replay.Replay;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.amp.Amp;
import yellowrail.web.words.Words;

/** Asks about a line that cannot be meant, or tells of a mistake. */
@Component
class EntryQuestions {

    private final RunLogs logs;
    private final Words words;

    EntryQuestions(RunLogs logs, Words words) {
        this.logs = logs;
        this.words = words;
    }

    /**
     * The first of the entries that cannot be meant, or tells of a mistake; each is held against the log and the
     * entries before it.
     */
    Optional<EntryOutcome.Asked> question(Run run, Amp amp, List<Entry> entries, String typed, OffsetDateTime taken) {
        Log log = logs.whole(Map.of(run, amp)).get(run).log();
        Timeline timeline = log.timeline();
        Situation situation = new Situation(log, timeline, taken.toInstant(), asked(timeline));
        for (int i = 0; i < entries.size(); i++) {
            Optional<Question> question = Mistakes.question(entries.get(i), situation);
            if (question.isPresent()) {
                return Optional.of(asked(question.get(), entries, i, amp.sheet(), typed));
            }
            situation = i == entries.size() - 1 ? situation : situation.after(entries.get(i));
        }
        return Optional.empty();
    }

    private EntryOutcome.Asked.Choice choice(List<Entry> suggestion, String line) {
        OptionalDouble upTo = suggestion.stream()
                .map(SheetCorrection::takesOn)
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElse(OptionalDouble.empty());
        return upTo.isEmpty()
                ? EntryOutcome.Asked.Choice.instead(line, words)
                : new EntryOutcome.Asked.Choice(
                        line, words.message("run.choice-built-so", Figures.in(Unit.VOLT, upTo.getAsDouble())), true);
    }

    private EntryOutcome.Asked asked(Question question, List<Entry> entries, int at, AmpSheet sheet, String typed) {
        List<EntryOutcome.Asked.Choice> choices = question.suggestions().stream()
                .map(suggestion -> choice(suggestion, EntryWriter.line(Replay.instead(entries, at, suggestion), sheet)))
                .toList();
        return new EntryOutcome.Asked(
                typed,
                question.ifReal().map(words::say).orElse(""),
                words.say(question.asks()),
                choices,
                Mistakes.mayBeReal(question) || choices.stream().anyMatch(EntryOutcome.Asked.Choice::takesOn));
    }

    /** What the page asks to be turned to now. */
    private static List<NextMove.Mark> asked(Timeline timeline) {
        return MoveFinder.of(timeline).find().map(NextMove::marks).orElse(List.of());
    }
}
