package yellowrail.web.amp;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.web.amp.document.AmpSheetDocument;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.database.Recent;
import yellowrail.web.layout.NotFoundException;

/** Keeps amps and every version of their sheets. */
@Service
public class AmpService {

    /** So many sheets are kept as they were read: the bench looks at that of every amp each time. */
    private static final int MOST_READ = 2000;

    private final AmpMapper mapper;
    private final Clock clock;
    private final DocumentKind<AmpSheetDocument> documents;
    private final Recent<Saved, AmpSheet> read = new Recent<>(MOST_READ);

    /** A version of a sheet as it was saved; it is never changed. */
    private record Saved(SheetKey version, OffsetDateTime at) {}

    AmpService(AmpMapper mapper, JsonColumn json, Clock clock) {
        this.clock = clock;
        this.mapper = mapper;
        this.documents = AmpSheetDocument.kind(json);
    }

    @Transactional(readOnly = true)
    public List<Amp> all() {
        return mapper.all().stream().map(this::amp).toList();
    }

    /** Those that have left the bench. */
    @Transactional(readOnly = true)
    public Set<Long> away() {
        return Set.copyOf(mapper.away());
    }

    /** Takes an amp off the bench, or back onto it; nothing of it is lost. */
    @Transactional
    public void putAway(long id, boolean away) {
        if (mapper.putAway(id, away ? OffsetDateTime.now(clock) : null) == 0) {
            throw new NotFoundException("There is no amp " + id + ".");
        }
    }

    /**
     * Deletes an amp that has left the bench, with its runs kept, or brings it back to those that have.
     *
     * @throws NotFoundException if there is no such amp among them
     */
    @Transactional
    public void remove(long id, boolean removed) {
        if (mapper.remove(id, removed ? OffsetDateTime.now(clock) : null) == 0) {
            throw new NotFoundException("There is no amp " + id + " that has left the bench.");
        }
    }

    /** Whoever begins work on an amp has it on the bench, wherever it was before. */
    @Transactional
    public void onTheBench(long id) {
        mapper.onTheBench(id);
    }

    /** Those that were deleted. */
    @Transactional(readOnly = true)
    public Set<Long> removed() {
        return new LinkedHashSet<>(mapper.removed());
    }

    /** To choose one from a list. */
    @Transactional(readOnly = true)
    public List<AmpName> names() {
        return mapper.names();
    }

    /** @throws NotFoundException if there is no such amp */
    @Transactional(readOnly = true)
    public Amp newest(long id) {
        return mapper.newest(id).map(this::amp).orElseThrow(() -> new NotFoundException("There is no amp " + id + "."));
    }

    /** @throws NotFoundException if there is no such amp or version */
    @Transactional(readOnly = true)
    public Amp version(long id, int version) {
        return mapper.version(id, version)
                .map(this::amp)
                .orElseThrow(() -> new NotFoundException("There is no version %d of amp %d.".formatted(version, id)));
    }

    /** The newest sheets of these amps, by their numbers. */
    @Transactional(readOnly = true)
    public Map<Long, Amp> newest(Collection<Long> ids) {
        return ids.isEmpty()
                ? Map.of()
                : mapper.newestOf(ids).stream().map(this::amp).collect(Collectors.toMap(Amp::id, Function.identity()));
    }

    /** These versions, of whatever amps. */
    @Transactional(readOnly = true)
    public Map<SheetKey, Amp> versions(Collection<SheetKey> keys) {
        return keys.isEmpty()
                ? Map.of()
                : mapper.versions(keys).stream()
                        .map(this::amp)
                        .collect(Collectors.toMap(Amp::key, Function.identity()));
    }

    @Transactional
    public long create(AmpSheet sheet) {
        return create(sheet, false);
    }

    /** An amp to practise on, which does not stand on the bench. */
    @Transactional
    public long createPractice(AmpSheet sheet) {
        return create(sheet, true);
    }

    private long create(AmpSheet sheet, boolean practice) {
        long id = mapper.addAmp(practice, OffsetDateTime.now(clock));
        mapper.addSheet(id, 1, sheet.name(), documents.write(AmpSheetDocument.of(sheet)), OffsetDateTime.now(clock));
        return id;
    }

    /**
     * Saves a sheet that was edited from a version.
     *
     * @return the version now saved, or empty if somebody else has saved one in the meantime; then nothing is changed
     */
    @Transactional
    public Optional<Integer> save(long id, int editedFrom, AmpSheet sheet) {
        if (newest(id).version() != editedFrom) {
            return Optional.empty();
        }
        int version = editedFrom + 1;
        return mapper.addSheet(
                                id,
                                version,
                                sheet.name(),
                                documents.write(AmpSheetDocument.of(sheet)),
                                OffsetDateTime.now(clock))
                        == 1
                ? Optional.of(version)
                : Optional.empty();
    }

    /** A sheet as it is written to a file. */
    public String document(AmpSheet sheet) {
        return documents.write(AmpSheetDocument.of(sheet));
    }

    /**
     * A sheet as it stands in a file.
     *
     * @throws RuntimeException if it is none, or of a newer application
     */
    public AmpSheet sheet(String document) {
        return documents.read(document).sheet();
    }

    private Amp amp(AmpRow row) {
        Saved saved = new Saved(new SheetKey(row.ampId(), row.version()), row.savedAt());
        AmpSheet sheet = read.get(saved).orElseGet(() -> {
            AmpSheet found = documents.read(row.sheet()).sheet();
            read.put(saved, found);
            return found;
        });
        return new Amp(row.ampId(), row.version(), row.savedAt(), sheet);
    }
}
