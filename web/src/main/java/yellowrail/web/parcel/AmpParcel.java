package yellowrail.web.parcel;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.csv.CsvText;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.web.amp.AmpName;
import yellowrail.web.amp.AmpService;
import yellowrail.web.amp.SheetCheck;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunArchive;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Writes an amp to a file, and reads one in as another amp: whole, or not at all. */
@Service
class AmpParcel {

    private static final int MOST_SHEETS = 500;
    private static final int MOST_RUNS = 500;
    private static final int MOST_TUBES = 200;
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    private final AmpService amps;
    private final RunService runs;
    private final RunArchive archive;
    private final DrawerService drawer;
    private final SeatService seats;
    private final TubeService types;
    private final SheetCheck check;
    private final Words words;
    private final Clock clock;

    AmpParcel(
            AmpService amps,
            RunService runs,
            RunArchive archive,
            DrawerService drawer,
            SeatService seats,
            TubeService types,
            SheetCheck check,
            Words words,
            Clock clock) {
        this.amps = amps;
        this.runs = runs;
        this.archive = archive;
        this.drawer = drawer;
        this.seats = seats;
        this.types = types;
        this.check = check;
        this.words = words;
        this.clock = clock;
    }

    /** A file that cannot be read in. The message is for whoever chose it. */
    static final class BadParcelException extends RuntimeException {

        BadParcelException(String message) {
            super(message);
        }
    }

    @Transactional(readOnly = true)
    public String write(long ampId) {
        int newest = amps.newest(ampId).version();
        List<JsonNode> sheets = new ArrayList<>();
        for (int version = 1; version <= newest; version++) {
            sheets.add(JSON.readTree(amps.document(amps.version(ampId, version).sheet())));
        }
        List<Seat> sitting = seats.ofAmp(ampId);
        return JSON.writeValueAsString(new AmpDocument(
                AmpDocument.FORMAT,
                AmpDocument.VERSION,
                amps.newest(ampId).sheet().name(),
                sheets,
                runs.ofAmp(ampId).stream()
                        .sorted(Comparator.comparingLong(Run::id))
                        .map(run -> JSON.readTree(archive.write(run.id())))
                        .toList(),
                drawer.csv(sitting.stream().map(Seat::tubeId).toList()),
                new TreeMap<>(sitting.stream()
                        .collect(Collectors.toMap(
                                Seat::socket, seat -> new AmpDocument.Tube(seat.type(), seat.label()))))));
    }

    /**
     * Reads an amp in, as one of its own: neither an amp nor a tube that is here already is touched.
     *
     * @param name what it is to be called; blank for what it is called in the file
     * @return its number
     * @throws BadParcelException if anything of it cannot be read; then nothing is stored
     */
    @Transactional
    public long read(String text, String name) {
        AmpDocument document = parse(text);
        String called = called(document, name);
        List<AmpSheet> sheets = sheets(document, called);
        long ampId = amps.create(sheets.get(0));
        for (int i = 1; i < sheets.size(); i++) {
            amps.save(ampId, i, sheets.get(i));
        }
        for (JsonNode run : document.runs()) {
            RunArchive.Read read = archive.readInto(ampId, run, document.sheets());
            if (!read.fault().isEmpty()) {
                throw new BadParcelException(read.fault());
            }
        }
        seat(document, ampId, called);
        return ampId;
    }

    private AmpDocument parse(String text) {
        try {
            JsonNode tree = JSON.readTree(CsvText.withoutMark(text));
            if (tree == null || !tree.path("format").asString("").equals(AmpDocument.FORMAT)) {
                throw new BadParcelException(words.message("page.parcel.no-amp"));
            }
            int version = tree.path("version").asInt(0);
            if (version > AmpDocument.VERSION) {
                throw new BadParcelException(words.message("page.archive.newer", version, AmpDocument.VERSION));
            }
            AmpDocument document = JSON.treeToValue(tree, AmpDocument.class);
            if (!isGood(document)) {
                throw new BadParcelException(words.message("page.archive.damaged"));
            }
            return document;
        } catch (JacksonException e) {
            throw new BadParcelException(words.message("page.archive.damaged"));
        }
    }

    private static boolean isGood(AmpDocument document) {
        return document.name() != null
                && isFilled(document.sheets(), 1, MOST_SHEETS)
                && isFilled(document.runs(), 0, MOST_RUNS)
                && document.drawer() != null
                && document.seats() != null
                && document.seats().size() <= AmpSheet.MOST_SOCKETS
                && document.seats().values().stream()
                        .allMatch(tube -> tube != null && tube.type() != null && tube.label() != null);
    }

    private static boolean isFilled(List<JsonNode> nodes, int least, int most) {
        return nodes != null
                && nodes.size() >= least
                && nodes.size() <= most
                && nodes.stream().allMatch(node -> node != null && node.isObject());
    }

    /** The newest has to be one that could have been typed here; the older ones were replaced by it. */
    private List<AmpSheet> sheets(AmpDocument document, String called) {
        int newest = document.sheets().size();
        List<AmpSheet> sheets = IntStream.range(0, newest)
                .mapToObj(i -> sheet(i + 1, document.sheets().get(i)).called(called))
                .toList();
        check.fault(sheets.get(newest - 1)).ifPresent(fault -> {
            throw new BadParcelException(
                    words.message("page.parcel.sheet-fault", newest, fault.getKey(), fault.getValue()));
        });
        return sheets;
    }

    private AmpSheet sheet(int number, JsonNode document) {
        String type = document.path("stage").path("tubeType").asString("");
        if (!type.isEmpty() && types.catalogue().find(type).isEmpty()) {
            throw new BadParcelException(words.message("page.parcel.sheet-type", number, type));
        }
        try {
            return amps.sheet(JSON.writeValueAsString(document));
        } catch (DocumentKind.NewerFormatException e) {
            throw new BadParcelException(words.message("page.archive.newer-sheet"));
        } catch (RuntimeException e) {
            throw new BadParcelException(words.message("page.parcel.sheet-damaged", number));
        }
    }

    private String called(AmpDocument document, String name) {
        String called = name.isBlank() ? document.name().strip() : name.strip();
        if (called.length() > AmpName.LONGEST) {
            throw new BadParcelException(words.message("page.parcel.long-name", AmpName.LONGEST, called.length()));
        }
        return free(called);
    }

    /** The name, or with a number behind it where an amp is called so already. */
    private String free(String name) {
        Set<String> taken = amps.names().stream().map(AmpName::name).collect(Collectors.toSet());
        String free = name;
        for (int number = 2; taken.contains(free); number++) {
            free = name + " (" + number + ")";
        }
        return free;
    }

    /** Its tubes lie in the drawer under their labels, or, where there is such a one, with the amp's name behind it. */
    private void seat(AmpDocument document, long ampId, String amp) {
        CsvTable<DrawerRow> rows = DrawerCsv.parse(document.drawer());
        if (!rows.faults().isEmpty() || rows.rows().size() > MOST_TUBES) {
            throw new BadParcelException(words.message("page.parcel.bad-tubes"));
        }
        Map<AmpDocument.Tube, String> labels = new HashMap<>();
        List<DrawerRow> kept = new ArrayList<>();
        for (DrawerRow row : rows.rows()) {
            DrawerTube tube = row.tube();
            String label = labels.computeIfAbsent(
                    new AmpDocument.Tube(tube.type(), tube.label()), called -> freeLabel(called, amp));
            kept.add(new DrawerRow(tube.labelled(label), row.test(), Map.of()));
        }
        drawer.keep(kept);
        Map<String, Long> sitting = new HashMap<>();
        document.seats()
                .forEach((socket, tube) -> drawer.number(tube.type(), labels.getOrDefault(tube, ""))
                        .ifPresent(number -> sitting.put(socket, number)));
        seats.place(ampId, sitting, OffsetDateTime.now(clock));
    }

    private String freeLabel(AmpDocument.Tube tube, String amp) {
        String label = tube.label();
        for (int number = 1; drawer.number(tube.type(), label).isPresent(); number++) {
            label = tube.label() + " (" + amp + (number == 1 ? ")" : " " + number + ")");
        }
        return label;
    }
}
