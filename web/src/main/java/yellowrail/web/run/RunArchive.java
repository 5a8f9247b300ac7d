package yellowrail.web.run;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.csv.CsvText;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationEvent;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.once.Once;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** Writes a run to a file and reads one in, as a closed run on an amp of its own. */
@Service
public class RunArchive {

    private static final int LONGEST_LABEL = 80;
    private static final int MOST_ROWS = 100_000;
    private static final int MOST_SHEETS = 500;
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    private final RunMapper mapper;
    private final RunService runs;
    private final AmpService amps;
    private final StationService stations;
    private final SeatService seats;
    private final List<RunPart> parts;
    private final Words words;
    private final Once once;
    private final Clock clock;

    RunArchive(
            RunMapper mapper,
            RunService runs,
            AmpService amps,
            StationService stations,
            SeatService seats,
            List<RunPart> parts,
            Words words,
            Once once,
            Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.amps = amps;
        this.stations = stations;
        this.seats = seats;
        this.parts = parts;
        this.words = words;
        this.once = once;
        this.clock = clock;
    }

    /** A run as a file. */
    @Transactional(readOnly = true)
    public String write(long runId) {
        Run run = runs.run(runId);
        Amp amp = runs.amp(run);
        RunLog log = runs.wholeLog(run);
        Map<Integer, Integer> numbers = new TreeMap<>();
        List<RunDocument.Sheet> sheets = new ArrayList<>();
        for (SheetVersion version : log.versions()) {
            numbers.put(version.number(), sheets.size() + 1);
            sheets.add(new RunDocument.Sheet(sheets.size() + 1, JSON.readTree(amps.document(version.sheet()))));
        }
        List<RunDocument.Row> rows = new ArrayList<>();
        log.before()
                .readings()
                .forEach(reading -> rows.add(new RunDocument.Row(
                        reading.kind().name(),
                        reading.entry().target(),
                        reading.value(),
                        reading.entry().words(),
                        EntryWriter.line(reading.entry(), amp.sheet()),
                        "",
                        utc(reading.takenAt().atOffset(ZoneOffset.UTC)),
                        rows.size() + 1,
                        numbers.getOrDefault(reading.sheet(), 1),
                        reading.entry().lastDigit(),
                        false,
                        false,
                        reading.recorded())));
        Map<Long, Integer> lines = new HashMap<>();
        for (ReadingRow row : log.rows()) {
            int line = lines.computeIfAbsent(row.line(), first -> rows.size() + 1);
            rows.add(new RunDocument.Row(
                    row.kind(),
                    row.target(),
                    row.value(),
                    row.words(),
                    row.typed(),
                    row.byWhom(),
                    utc(row.takenAt()),
                    line,
                    numbers.getOrDefault(row.sheetVersion(), sheets.size()),
                    row.lastDigit(),
                    row.struck(),
                    row.kept(),
                    row.recorded()));
        }
        return JSON.writeValueAsString(new RunDocument(
                RunDocument.FORMAT,
                RunDocument.VERSION,
                utc(run.begunAt()),
                run.isOpen() ? null : utc(run.closedAt()),
                sheets,
                new TreeMap<>(seats.labels(amp.id(), runId)),
                stations.steps(runId).stream()
                        .map(step -> new RunDocument.Step(
                                step.what(), step.station(), step.item(), step.words(), utc(step.at())))
                        .toList(),
                rows,
                parts(runId)));
    }

    /** Those that hold something. */
    private Map<String, JsonNode> parts(long runId) {
        Map<String, JsonNode> written = new TreeMap<>();
        for (RunPart part : parts) {
            JsonNode node = part.write(runId);
            if (!node.isEmpty()) {
                written.put(part.name(), node);
            }
        }
        return written;
    }

    /** Of a file, in whatever order; what no feature knows is left. */
    private Stream<Map.Entry<RunPart, JsonNode>> parts(RunDocument document) {
        Map<String, JsonNode> told = Optional.ofNullable(document.parts()).orElse(Map.of());
        return parts.stream()
                .filter(part -> told.get(part.name()) != null)
                .map(part -> Map.entry(part, told.get(part.name())));
    }

    private static OffsetDateTime utc(OffsetDateTime at) {
        return at.withOffsetSameInstant(ZoneOffset.UTC);
    }

    /**
     * What came of reading a file.
     *
     * @param runId the run it is now, or was before; 0 where it could not be read
     * @param fault why not; blank where it could
     */
    public record Read(long runId, String fault) {}

    /** Reads a run in, on an amp of its own; the same file only once. */
    @Transactional
    public Read read(String text) {
        try {
            Checked checked = check(JSON.readTree(CsvText.withoutMark(text)));
            String form = UUID.nameUUIDFromBytes(text.strip().getBytes(StandardCharsets.UTF_8))
                    .toString();
            if (once.isTaken(form)) {
                throw new BadRunException(words.message("page.archive.again"));
            }
            List<AmpSheet> sheets = checked.sheets();
            long ampId = amps.create(sheets.get(0));
            for (int i = 1; i < sheets.size(); i++) {
                amps.save(ampId, i, sheets.get(i));
            }
            long id = store(
                    checked.document(),
                    ampId,
                    IntStream.rangeClosed(1, sheets.size()).toArray());
            once.take(form, id);
            return new Read(id, "");
        } catch (JacksonException e) {
            return new Read(0, damaged(e));
        } catch (BadRunException e) {
            return new Read(0, e.getMessage());
        }
    }

    /**
     * Reads a run in on an amp that came with it.
     *
     * @param ampSheets every version of that amp's sheet, oldest first, as they stand in the file
     */
    @Transactional
    public Read readInto(long ampId, JsonNode run, List<JsonNode> ampSheets) {
        try {
            RunDocument document = check(run).document();
            int[] versions = new int[document.sheets().size()];
            int version = 0;
            for (int i = 0; i < versions.length; i++) {
                do {
                    version++;
                } while (version <= ampSheets.size()
                        && !ampSheets
                                .get(version - 1)
                                .equals(document.sheets().get(i).sheet()));
                if (version > ampSheets.size()) {
                    throw new BadRunException(words.message("page.archive.damaged"));
                }
                versions[i] = version;
            }
            return new Read(store(document, ampId, versions), "");
        } catch (BadRunException e) {
            return new Read(0, e.getMessage());
        }
    }

    /** A run that can be read in. */
    private record Checked(RunDocument document, List<AmpSheet> sheets) {}

    /** Why one cannot, in words. */
    private static final class BadRunException extends RuntimeException {

        BadRunException(String message) {
            super(message);
        }
    }

    private Checked check(JsonNode tree) {
        if (tree == null
                || !tree.isObject()
                || !tree.path("format").asString("").equals(RunDocument.FORMAT)) {
            throw new BadRunException(words.message("page.archive.no-run"));
        }
        int version = tree.path("version").asInt(0);
        if (version > RunDocument.VERSION) {
            throw new BadRunException(words.message("page.archive.newer", version, RunDocument.VERSION));
        }
        try {
            RunDocument document = JSON.treeToValue(tree, RunDocument.class);
            String fault = fault(document);
            if (!fault.isEmpty()) {
                throw new BadRunException(fault);
            }
            return new Checked(
                    document,
                    document.sheets().stream()
                            .map(each -> amps.sheet(JSON.writeValueAsString(each.sheet())))
                            .toList());
        } catch (BadRunException e) {
            throw e;
        } catch (DocumentKind.NewerFormatException e) {
            throw new BadRunException(words.message("page.archive.newer-sheet"));
        } catch (JacksonException e) {
            throw new BadRunException(damaged(e));
        } catch (RuntimeException e) {
            throw new BadRunException(words.message("page.archive.damaged"));
        }
    }

    private String damaged(JacksonException e) {
        var at = e.getLocation();
        return at == null || at.getLineNr() < 1
                ? words.message("page.archive.damaged")
                : words.message("page.archive.damaged-at", at.getLineNr(), at.getColumnNr());
    }

    private String fault(RunDocument document) {
        if (document.sheets() == null
                || document.sheets().isEmpty()
                || document.sheets().size() > MOST_SHEETS
                || document.readings() == null
                || document.stations() == null
                || document.begunAt() == null
                || !areGood(document.tubes())) {
            return words.message("page.archive.damaged");
        }
        if (document.readings().size() > MOST_ROWS) {
            return words.message("page.archive.too-long", document.readings().size(), MOST_ROWS);
        }
        if (!document.stations().stream().allMatch(RunArchive::isGood)) {
            return words.message("page.archive.damaged");
        }
        if (!parts(document).allMatch(part -> part.getKey().isGood(part.getValue()))) {
            return words.message("page.archive.damaged");
        }
        for (int i = 0; i < document.readings().size(); i++) {
            if (!isGood(document.readings().get(i), document.sheets().size())) {
                return words.message("page.archive.bad-reading", i + 1);
            }
        }
        return "";
    }

    /** A file of before labels were kept has none. */
    private static boolean areGood(Map<String, String> tubes) {
        return tubes == null
                || tubes.size() <= AmpSheet.MOST_SOCKETS
                        && tubes.values().stream().allMatch(label -> label != null && label.length() <= LONGEST_LABEL);
    }

    private static boolean isGood(RunDocument.Row row, int sheets) {
        try {
            ReadingKind.valueOf(row.kind());
            return Double.isFinite(row.value())
                    && row.place() != null
                    && row.words() != null
                    && row.typed() != null
                    && row.by() != null
                    && row.takenAt() != null
                    && row.sheet() >= 1
                    && row.sheet() <= sheets;
        } catch (IllegalArgumentException | NullPointerException | DateTimeException e) {
            return false;
        }
    }

    private static boolean isGood(RunDocument.Step step) {
        return step != null
                && Stream.of(StationEvent.What.values())
                        .anyMatch(each -> each.name().equals(step.what()))
                && Stream.of(Station.values()).anyMatch(each -> each.name().equals(step.station()))
                && step.item() != null
                && step.words() != null
                && step.at() != null;
    }

    /** @param versions of the amp's sheet, for each that the run's file has */
    private long store(RunDocument document, long ampId, int[] versions) {
        mapper.begin(ampId, document.begunAt());
        Run run = mapper.newestOf(ampId).orElseThrow();
        Map<Integer, Long> lines = new LinkedHashMap<>();
        OffsetDateTime now = OffsetDateTime.now(clock);
        for (RunDocument.Row row : document.readings()) {
            long id = mapper.add(new NewReading(
                            run.id(),
                            row.kind(),
                            row.place(),
                            row.value(),
                            row.words(),
                            row.typed(),
                            row.by(),
                            row.takenAt(),
                            null,
                            versions[row.sheet() - 1],
                            lines.get(row.line()),
                            row.lastDigit(),
                            now,
                            Boolean.TRUE.equals(row.kept()),
                            Boolean.TRUE.equals(row.recorded())))
                    .orElseThrow();
            lines.putIfAbsent(row.line(), id);
            if (row.struck()) {
                mapper.add(NewReading.strike(run.id(), id, now, versions[row.sheet() - 1]));
            }
        }
        document.stations()
                .forEach(step ->
                        stations.add(run.id(), step.what(), step.station(), step.item(), step.words(), step.at()));
        OffsetDateTime closed = document.closedAt() != null
                ? document.closedAt()
                : document.readings().stream()
                        .map(RunDocument.Row::takenAt)
                        .max(Comparator.naturalOrder())
                        .orElse(document.begunAt());
        mapper.close(run.id(), versions[versions.length - 1], closed);
        seats.keep(run.id(), Optional.ofNullable(document.tubes()).orElse(Map.of()));
        parts(document).forEach(part -> part.getKey().read(run, part.getValue()));
        return run.id();
    }
}
