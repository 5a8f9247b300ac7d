package yellowrail.web.blind;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.blind.BlindPlan;
import yellowrail.core.blind.Guesses;
import yellowrail.core.blind.MarkedRounds;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Setting;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;

/** Keeps comparisons by ear, and what nobody may know of them until they are opened. */
@Service
class BlindService {

    /** Of one run. */
    static final int MOST = 50;
    /** Beside the only setting that was compared, a window so wide. */
    private static final double WIDE = 0.1;

    private final BlindMapper mapper;
    private final RunService runs;
    private final AmpService amps;
    private final DocumentKind<BlindDocument> documents;
    private final Clock clock;
    private final SecureRandom chance = new SecureRandom();

    BlindService(BlindMapper mapper, RunService runs, AmpService amps, JsonColumn json, Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.amps = amps;
        this.documents = BlindDocument.kind(json);
        this.clock = clock;
    }

    /** A comparison as the server knows it. */
    record Blind(BlindRow row, BlindDocument document, List<NoteRow> notes) {

        boolean isOpened() {
            return row.openedAt() != null;
        }

        boolean isDone() {
            return row.position() >= document.steps().size();
        }

        BlindDocument.Step step() {
            return document.steps().get(row.position());
        }

        /** Rounds of which every step has its note. */
        int wholeRounds() {
            return notes.size() / document.plan().perRound();
        }

        boolean canBeOpened() {
            return wholeRounds() > 0;
        }

        /** Rounds by settings. */
        MarkedRounds marks() {
            int[][] marks = new int[wholeRounds()][document.settings().size()];
            int perRound = document.plan().perRound();
            notes.stream()
                    .filter(note -> note.position() < wholeRounds() * perRound)
                    .forEach(note -> marks[note.position() / perRound][
                                    document.steps().get(note.position()).setting()] =
                            note.mark());
            return new MarkedRounds(marks);
        }

        Guesses guesses() {
            BlindPlan plan = document.plan();
            List<NoteRow> guessed =
                    notes.stream().filter(note -> !note.answer().isEmpty()).toList();
            long right = guessed.stream()
                    .filter(note -> plan.labelOf(
                                    document.steps().get(note.position()).setting())
                            .equals(note.answer()))
                    .count();
            return new Guesses((int) right, guessed.size());
        }
    }

    @Transactional(readOnly = true)
    List<Blind> ofRun(long runId) {
        return mapper.ofRun(runId).stream().map(this::whole).toList();
    }

    /** @throws NotFoundException if there is none */
    @Transactional(readOnly = true)
    Blind blind(long id) {
        return whole(
                mapper.of(id).orElseThrow(() -> new NotFoundException("There is no comparison %d.".formatted(id))));
    }

    private Blind whole(BlindRow row) {
        return new Blind(row, documents.read(row.plan()), mapper.notes(row.id()));
    }

    @Transactional
    long begin(long runId, BlindPlan.Kind kind, List<BlindDocument.Setting> settings) {
        BlindPlan plan =
                kind == BlindPlan.Kind.GUESSES ? BlindPlan.guesses(chance) : BlindPlan.marks(settings.size(), chance);
        return mapper.begin(runId, documents.write(BlindDocument.of(settings, plan)), OffsetDateTime.now(clock));
    }

    /** The amp is set for the step at that position. */
    @Transactional
    void set(long id, int position) {
        mapper.ready(id, position);
    }

    /** What was heard there; nothing, where it has gone on since. */
    @Transactional
    void note(long id, int position, Integer mark, String answer, String words) {
        if (mapper.next(id, position) == 1) {
            mapper.note(id, position, mark, answer, words, OffsetDateTime.now(clock));
        }
    }

    @Transactional
    void open(long id) {
        if (blind(id).canBeOpened()) {
            mapper.open(id, OffsetDateTime.now(clock));
        }
    }

    /**
     * A setting becomes what the amp is set to by ear, the coldest and the hottest that were compared its window.
     *
     * @return false if somebody has saved the sheet at the same moment, or it has not been opened
     */
    @Transactional
    boolean take(long id, int setting) {
        Blind blind = blind(id);
        List<BlindDocument.Setting> settings = blind.document().settings();
        if (!blind.isOpened() || setting < 0 || setting >= settings.size()) {
            return false;
        }
        double aim = settings.get(setting).shown();
        double low = settings.stream()
                .mapToDouble(BlindDocument.Setting::shown)
                .min()
                .orElseThrow();
        double high = settings.stream()
                .mapToDouble(BlindDocument.Setting::shown)
                .max()
                .orElseThrow();
        Run run = runs.run(blind.row().runId());
        Amp amp = runs.amp(run);
        Target target = low < high
                ? new Target(School.BY_EAR, low, aim, high)
                : new Target(School.BY_EAR, (1 - WIDE) * aim, aim, (1 + WIDE) * aim);
        return run.isOpen()
                && amps.save(amp.id(), amp.version(), amp.sheet().with(target)).isPresent();
    }

    /** The settings that the run has readings of, the newest at the end, as they fill the form of a new comparison. */
    @Transactional(readOnly = true)
    Map<String, String> offered(Run run) {
        Map<String, String> fields = new TreeMap<>();
        Amp amp = runs.amp(run);
        List<Setting> settings = runs.timeline(run).settings().stream()
                .filter(setting ->
                        setting.own().stream().anyMatch(each -> each.entry().isCurrent()))
                .toList();
        List<Setting> newest = settings.subList(Math.max(0, settings.size() - BlindForm.ROWS), settings.size());
        for (int i = 0; i < newest.size(); i++) {
            fields.put("line" + i, EntryWriter.line(currents(newest.get(i)), amp.sheet()));
        }
        return fields;
    }

    /** The last at each test point. */
    private static List<Entry> currents(Setting setting) {
        Map<String, Entry> last = new LinkedHashMap<>();
        setting.own().stream()
                .map(Reading::entry)
                .filter(Entry::isCurrent)
                .forEach(entry -> last.put(entry.target(), entry));
        return List.copyOf(last.values());
    }
}
