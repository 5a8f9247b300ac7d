package yellowrail.core.replay;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.mistake.Mistakes;
import yellowrail.core.mistake.Situation;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryFault;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.reading.SheetCorrection;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.core.tube.TubeCatalogue;

/** One log, line after line. A line that is asked about or has a fault is noted and leaves nothing behind. */
public final class Replay {

    private final List<Asked> asked = new ArrayList<>();
    private final List<Refused> refused = new ArrayList<>();
    private Log log;
    private long id;

    /**
     * A line that nobody has answered for.
     *
     * @param index which of the lines, as its caller counts them
     * @param question about its first entry that cannot be meant
     * @param choices what was probably meant, each as a whole line
     */
    public record Asked(int index, Question question, List<List<Entry>> choices) {}

    /** A line that cannot be read. */
    public record Refused(int index, EntryFault fault) {}

    public Replay(TubeCatalogue catalogue, AmpSheet sheet) {
        this.log = new Log(catalogue, List.of(new SheetVersion(1, sheet)), Moment.EMPTY, List.of());
    }

    /** From here on the amp is as this sheet says. */
    public void sheet(AmpSheet sheet) {
        log = log.with(sheet);
    }

    /** @param confirmed whether a question about it has been answered: it counts as typed */
    public void line(int index, Instant at, String line, boolean confirmed) {
        try {
            AmpSheet sheet = log.newest().sheet();
            List<Entry> typed = new EntryLine(sheet).parse(line);
            if (typed.get(0).kind() == ReadingKind.UNDO) {
                undo(typed);
                return;
            }
            List<Entry> said = readings(typed);
            Optional<Asked> question = confirmed ? Optional.empty() : question(index, at, said);
            if (question.isPresent()) {
                asked.add(question.get());
                return;
            }
            AmpSheet corrected = SheetCorrection.all(said, sheet);
            if (!corrected.equals(sheet)) {
                log = log.with(corrected);
                said = readings(new EntryLine(corrected).parse(line));
            }
            take(at, said);
        } catch (BadEntryException e) {
            refused.add(new Refused(index, e.fault()));
        }
    }

    /** Ticks are the business of a run's stations. */
    private static List<Entry> readings(List<Entry> typed) {
        if (typed.stream().anyMatch(entry -> entry.kind() == ReadingKind.UNDO)) {
            throw new BadEntryException(new EntryFault.UndoAlone());
        }
        return typed.stream().filter(entry -> entry.kind() != ReadingKind.TICK).toList();
    }

    private void undo(List<Entry> typed) {
        if (typed.size() > 1 || !typed.get(0).words().isBlank()) {
            throw new BadEntryException(new EntryFault.UndoAlone());
        }
        if (log.readings().isEmpty()) {
            throw new BadEntryException(new EntryFault.NothingToUndo());
        }
        log = new Log(
                log.catalogue(),
                log.versions(),
                log.before(),
                log.readings().subList(0, log.readings().size() - 1));
    }

    private Optional<Asked> question(int index, Instant at, List<Entry> said) {
        Situation situation =
                new Situation(log, at, finder().find().map(NextMove::marks).orElse(List.of()));
        for (int i = 0; i < said.size(); i++) {
            Optional<Question> question = Mistakes.question(said.get(i), situation);
            if (question.isPresent()) {
                int place = i;
                return Optional.of(new Asked(
                        index,
                        question.get(),
                        question.get().suggestions().stream()
                                .map(instead -> instead(said, place, instead))
                                .toList()));
            }
            situation = i == said.size() - 1 ? situation : situation.after(said.get(i));
        }
        return Optional.empty();
    }

    /** A whole line with one entry answered for. */
    public static List<Entry> instead(List<Entry> said, int place, List<Entry> instead) {
        List<Entry> whole = new ArrayList<>(said.subList(0, place));
        whole.addAll(instead);
        whole.addAll(said.subList(place + 1, said.size()));
        return whole;
    }

    private void take(Instant at, List<Entry> said) {
        long line = id + 1;
        List<Reading> all = new ArrayList<>(log.readings());
        for (Entry entry : said) {
            Instant taken = entry.kind() == ReadingKind.POWER_ON
                    ? at.minus(Duration.ofSeconds(Math.round(60 * entry.value())))
                    : at;
            all.add(new Reading(++id, entry, taken, line, log.newest().number()));
        }
        log = new Log(log.catalogue(), log.versions(), log.before(), all);
    }

    public Log log() {
        return log;
    }

    public StageSummary summary() {
        return StageSummary.of(log.timeline());
    }

    public MoveFinder finder() {
        return MoveFinder.of(log.timeline());
    }

    public List<Asked> asked() {
        return List.copyOf(asked);
    }

    public List<Refused> refused() {
        return List.copyOf(refused);
    }
}
