package yellowrail.core.mistake;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Plausibility;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * What is known when a reading is typed.
 *
 * @param stage    the amp
 * @param before   what counts so far
 * @param readings the recent log, in the order of entry, none struck
 * @param now      when it is typed
 */
public record Situation(StageIdle stage, Moment before, List<Reading> readings, Instant now) {

    public Situation {
        readings = List.copyOf(readings);
    }

    /** The situation one reading later. */
    public Situation after(Entry entry) {
        Reading reading = new Reading(Long.MAX_VALUE - 1000 + readings.size(), entry, now);
        List<Reading> all = new ArrayList<>(readings);
        all.add(reading);
        return new Situation(stage, before.after(reading), all, now);
    }

    AmpSheet sheet() {
        return stage.sheet();
    }

    static boolean isCurrent(Entry entry) {
        return entry.kind() == ReadingKind.SENSE_VOLTS || entry.kind() == ReadingKind.SENSE_AMPS;
    }

    /** The readings since a pot was turned, oldest first. */
    List<Reading> sinceTurned() {
        int from = 0;
        for (int i = 0; i < readings.size(); i++) {
            if (readings.get(i).entry().kind() == ReadingKind.TURN) {
                from = i + 1;
            }
        }
        return readings.subList(from, readings.size());
    }

    Optional<Reading> last(ReadingKind kind) {
        return before.last(kind);
    }

    /** The log as it would stand with this entry, judged. */
    Moment with(Entry entry) {
        return before.after(new Reading(Long.MAX_VALUE, entry, now));
    }

    String shown(Entry entry) {
        return Plausibility.line(entry, sheet());
    }

    Question ask(Entry entry, String asks, List<List<Entry>> corrections) {
        return new Question(entry, asks, corrections.stream().map(entries -> new Question.Suggestion(entries,
                entries.stream().map(this::shown).reduce((one, other) -> one + "; " + other).orElseThrow())).toList());
    }

    static Entry words(ReadingKind kind, String words) {
        return new Entry(kind, "", 0, words);
    }

    String volts(double volts) {
        return Figures.volts(volts);
    }
}
