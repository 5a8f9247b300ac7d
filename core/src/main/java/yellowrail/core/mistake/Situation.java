package yellowrail.core.mistake;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.reading.SheetCorrection;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** What is known when a reading is typed. */
public final class Situation {

    private final Log log;
    private final Timeline timeline;
    private final StageIdle stage;
    private final Instant now;
    private final List<NextMove.Mark> asked;

    /**
     * @param log what was said so far
     * @param now when this is typed
     * @param asked what the application asked to be turned to: read so, it is never questioned
     */
    public Situation(Log log, Instant now, List<NextMove.Mark> asked) {
        this(log, log.timeline(), now, asked);
    }

    /** @param timeline of that log, where it is known */
    public Situation(Log log, Timeline timeline, Instant now, List<NextMove.Mark> asked) {
        this.log = log;
        this.timeline = timeline;
        this.stage = StageIdle.of(timeline.present());
        this.now = now;
        this.asked = List.copyOf(asked);
    }

    /** The situation one entry later; what it says of the sheet holds for the entries after it. */
    public Situation after(Entry entry) {
        Log known = entry.kind() == ReadingKind.SHEET
                ? log.with(SheetCorrection.parse(entry.words(), log.newest().sheet())
                        .sheet())
                : log;
        return new Situation(known.with(reading(entry, known)), now, asked);
    }

    /** The switch may have been thrown a while ago. */
    private Reading reading(Entry entry, Log known) {
        Instant at = entry.kind() == ReadingKind.POWER_ON
                ? now.minus(Duration.ofSeconds(Math.round(60 * entry.value())))
                : now;
        return new Reading(nextId(), entry, at, line(), known.newest().number());
    }

    private long nextId() {
        return log.readings().stream()
                        .mapToLong(Reading::id)
                        .max()
                        .orElseGet(() -> log.before().readings().stream()
                                .mapToLong(Reading::id)
                                .max()
                                .orElse(0))
                + 1;
    }

    /** Whatever is tried here is typed on one line. */
    private long line() {
        List<Reading> readings = log.readings();
        return readings.isEmpty()
                        || !readings.get(readings.size() - 1).takenAt().equals(now)
                ? nextId()
                : readings.get(readings.size() - 1).line();
    }

    /** The entry as a reading of this moment. */
    Reading read(Entry entry) {
        return reading(entry, log);
    }

    StageIdle stage() {
        return stage;
    }

    /** The stage as it would stand with this entry. */
    Moment with(Entry entry) {
        return before().after(read(entry));
    }

    public AmpSheet sheet() {
        return stage.sheet();
    }

    Timeline timeline() {
        return timeline;
    }

    /** What counts so far. */
    Moment before() {
        return timeline.present().moment();
    }

    /** The recent log of the hardware that is in, in the order of entry. */
    List<Reading> readings() {
        return timeline.presentReadings();
    }

    /** All of the recent log. */
    List<Reading> everything() {
        return log.readings();
    }

    Instant now() {
        return now;
    }

    List<NextMove.Mark> asked() {
        return asked;
    }

    TubeCatalogue catalogue() {
        return log.catalogue();
    }

    /** The type the sockets are wired for: the sheet's. */
    Optional<TubeType> wired() {
        return log.catalogue().find(sheet().tubeType());
    }

    /** The last turn of any pot; empty where none was logged since the hardware changed. */
    Optional<Reading> lastTurn() {
        return readings().stream()
                .filter(reading -> reading.kind() == ReadingKind.TURN)
                .reduce((one, later) -> later);
    }

    /** The readings since a pot was turned, oldest first. */
    List<Reading> sinceTurned() {
        long turned = lastTurn().map(Reading::id).orElse(Long.MIN_VALUE);
        return readings().stream().filter(reading -> reading.id() > turned).toList();
    }

    Optional<Reading> last(ReadingKind kind) {
        return before().last(kind);
    }

    String shown(Entry entry) {
        return EntryWriter.shown(entry, sheet());
    }

    static Question ask(Entry entry, MistakeFinding asks, List<List<Entry>> corrections) {
        return new Question(entry, asks, corrections);
    }

    static Entry words(ReadingKind kind, String words) {
        return Entry.said(kind, "", words);
    }
}
