package yellowrail.web.drawer;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeFinding;
import yellowrail.core.tube.TubeType;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.form.Choice;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;
import yellowrail.web.sitting.Sat;
import yellowrail.web.sitting.SittingService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.tubes.TypeOffers;
import yellowrail.web.words.Words;

/** Keeps the drawer. */
@Service
public class DrawerService {

    /** As many are shown on a page. */
    static final int PAGE = 100;
    /** As many rows of a file go to the database at once. */
    private static final int AT_ONCE = 1000;

    private final DrawerMapper mapper;
    private final JsonColumn json;
    private final SeatService seats;
    private final SittingService sittings;
    private final TubeService types;
    private final Words words;
    private final Clock clock;

    DrawerService(
            DrawerMapper mapper,
            JsonColumn json,
            SeatService seats,
            SittingService sittings,
            TubeService types,
            Words words,
            Clock clock) {
        this.clock = clock;
        this.mapper = mapper;
        this.json = json;
        this.seats = seats;
        this.sittings = sittings;
        this.types = types;
        this.words = words;
    }

    /**
     * A page of what a filter finds.
     *
     * @param total how many it finds in all
     * @param page from 0
     */
    record Found(List<DrawerLine> lines, int total, int page) {

        public boolean more() {
            return further() * PAGE < total;
        }

        /** The page before; below 0 for none. */
        public int earlier() {
            return page - 1;
        }

        public int further() {
            return page + 1;
        }
    }

    /** @param page from 0; the last one for any beyond */
    @Transactional(readOnly = true)
    Found find(DrawerFilter filter, int page) {
        Map<Long, String> sits = sits();
        DrawerSearch search = search(filter, sits);
        int total = mapper.count(search);
        int shown = Math.max(0, Math.min(page, (total - 1) / PAGE));
        List<Kept> kept = mapper.find(search, PAGE, (long) shown * PAGE).stream()
                .map(this::kept)
                .toList();
        Map<Long, String> suspects = suspects(kept);
        List<DrawerLine> lines = kept.stream()
                .map(tube -> DrawerLine.of(
                        tube, sits.getOrDefault(tube.id(), ""), Optional.ofNullable(suspects.get(tube.id())), words))
                .toList();
        return new Found(lines, total, shown);
    }

    /** What a filter finds: how many there are, and the first of them. */
    record Selection(int count, List<Kept> first) {}

    @Transactional(readOnly = true)
    Selection select(int most, DrawerFilter filter) {
        DrawerSearch search = search(filter, sits());
        return new Selection(
                mapper.count(search),
                mapper.find(search, most, 0).stream().map(this::kept).toList());
    }

    /**
     * Those of a filter that an amp may take: of its type, neither suspect nor waste, and in no other amp.
     *
     * @param most that are looked through
     */
    @Transactional(readOnly = true)
    List<Long> free(int most, DrawerFilter filter, long ampId, String type) {
        Map<Long, Long> amps = seats.taken().stream().collect(Collectors.toMap(Seat::tubeId, Seat::ampId));
        List<Kept> found = select(most, filter).first();
        Map<Long, String> suspects = suspects(found);
        return found.stream()
                .filter(kept -> kept.tube().type().equals(type))
                .filter(kept ->
                        kept.tube().state() != TubeState.SUSPECT && kept.tube().state() != TubeState.WASTE)
                .map(Kept::id)
                .filter(id -> !suspects.containsKey(id) && amps.getOrDefault(id, ampId) == ampId)
                .toList();
    }

    /** The words of the page are searched where they are known: here. */
    private DrawerSearch search(DrawerFilter filter, Map<Long, String> sits) {
        String text = filter.q().toLowerCase(Locale.ROOT);
        List<String> states = Arrays.stream(TubeState.values())
                .filter(state -> words.name(state).toLowerCase(Locale.ROOT).contains(text))
                .map(Enum::name)
                .toList();
        Set<Long> seated = sits.entrySet().stream()
                .filter(seat -> seat.getValue().toLowerCase(Locale.ROOT).contains(text))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        return new DrawerSearch(
                listed(filter.type()),
                text,
                states,
                seated,
                text.isEmpty() ? Set.of() : sittings.suspectNow(),
                filter.removed());
    }

    /** A type by the number that its tubes lie under. */
    private String listed(String typed) {
        return type(typed).map(TubeType::name).orElse(typed);
    }

    /** Where each tube sits that sits anywhere, in words. */
    private Map<Long, String> sits() {
        return seats.taken().stream()
                .collect(Collectors.toMap(
                        Seat::tubeId, seat -> words.message("page.drawer.socket-of", seat.socket(), seat.amp())));
    }

    /**
     * Deletes a tube, with all that is told of it kept, or brings it back.
     *
     * @return false if it sits in an amp: then it is not deleted
     */
    @Transactional
    boolean remove(long id, boolean removed) {
        tube(id);
        return mapper.remove(id, removed ? OffsetDateTime.now(clock) : null) == 1;
    }

    @Transactional(readOnly = true)
    boolean isRemoved(long id) {
        return mapper.isRemoved(id);
    }

    /** The types there are tubes of. */
    @Transactional(readOnly = true)
    public List<String> types() {
        return mapper.types();
    }

    /** @throws NotFoundException if there is no such tube */
    @Transactional(readOnly = true)
    public Kept tube(long id) {
        return tubes(List.of(id)).stream()
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no tube %d in the drawer.".formatted(id)));
    }

    /** Those of these tubes that there are. */
    @Transactional(readOnly = true)
    List<Kept> tubes(Collection<Long> ids) {
        return ids.isEmpty()
                ? List.of()
                : mapper.tubes(ids).stream().map(this::kept).toList();
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    List<TesterReading> tests(long id) {
        return mapper.tests(id).stream().map(TestRow::test).toList();
    }

    /** The type as the catalogue has it, if it has. */
    public Optional<TubeType> type(String name) {
        return types.catalogue().find(name);
    }

    TubeFinding unlisted(String name) {
        return types.catalogue().unlisted(name);
    }

    List<Choice> offers() {
        return TypeOffers.of(types.catalogue(), words);
    }

    /** Adds a tube with its first test. @return its number; empty if a tube of that name is in the drawer already */
    @Transactional
    public Optional<Long> add(DrawerRow row) {
        DrawerTube tube = named(row.tube(), types.catalogue());
        OffsetDateTime now = OffsetDateTime.now(clock);
        if (mapper.add(TubeRow.of(0, 1, tube), now) == 0) {
            return Optional.empty();
        }
        DrawerRows one = DrawerRows.of(List.of(new DrawerRow(tube, row.test(), Map.of())));
        mapper.addTests(json.write(one.tests()), now);
        return mapper.id(tube.type(), tube.label());
    }

    /** What came of a change. */
    enum Change {
        MADE,
        LABEL_TAKEN,
        CHANGED_MEANWHILE
    }

    /** @param editedFrom the version that was changed */
    @Transactional
    Change change(long id, int editedFrom, DrawerTube told) {
        DrawerTube tube = named(told, types.catalogue());
        if (mapper.change(TubeRow.of(id, editedFrom, tube), OffsetDateTime.now(clock)) == 1) {
            return Change.MADE;
        }
        return tube(id).version() == editedFrom ? Change.LABEL_TAKEN : Change.CHANGED_MEANWHILE;
    }

    @Transactional
    void addTest(long id, TesterReading test) {
        mapper.addTest(tube(id).id(), TestRow.of(test), OffsetDateTime.now(clock));
    }

    @Transactional
    public void keep(List<DrawerRow> rows) {
        keep(rows, kept -> {});
    }

    /**
     * Takes rows of a file, all or none: a tube that is in the drawer already is told anew, a test that is there
     * already comes in once.
     *
     * @param progress is told how many rows are in
     */
    @Transactional
    public void keep(List<DrawerRow> rows, IntConsumer progress) {
        TubeCatalogue catalogue = types.catalogue();
        OffsetDateTime now = OffsetDateTime.now(clock);
        for (int from = 0; from < rows.size(); from += AT_ONCE) {
            int to = Math.min(rows.size(), from + AT_ONCE);
            DrawerRows some = DrawerRows.of(rows.subList(from, to).stream()
                    .map(row -> new DrawerRow(named(row.tube(), catalogue), row.test(), Map.of()))
                    .toList());
            mapper.save(json.write(some.tubes()), now);
            mapper.addTests(json.write(some.tests()), now);
            progress.accept(to);
        }
    }

    /** Under the number that the catalogue calls it by, so that 6CA7 and EL34 lie together. */
    private static DrawerTube named(DrawerTube tube, TubeCatalogue catalogue) {
        return catalogue
                .find(tube.type())
                .map(type -> new DrawerTube(
                        type.name(),
                        tube.label(),
                        tube.maker(),
                        tube.markings(),
                        tube.bought(),
                        tube.state(),
                        tube.notes()))
                .orElse(tube);
    }

    /** The number of a tube by what it is called. */
    @Transactional(readOnly = true)
    public Optional<Long> number(String type, String label) {
        return mapper.id(type, label);
    }

    /** The drawer as a file. */
    @Transactional(readOnly = true)
    public String csv() {
        return csv(mapper.everyTest(null));
    }

    /** These of its tubes as a file. */
    @Transactional(readOnly = true)
    public String csv(Collection<Long> ids) {
        return csv(ids.isEmpty() ? List.of() : mapper.everyTest(ids));
    }

    private String csv(List<TubeRow> tests) {
        return DrawerCsv.write(tests.stream()
                .map(this::kept)
                .map(kept -> new DrawerRow(kept.tube(), kept.test(), Map.of()))
                .toList());
    }

    /** Where a tube sat and what its runs told of it, newest first. */
    @Transactional(readOnly = true)
    List<Sat> sat(long tubeId) {
        return sittings.ofTube(tubeId);
    }

    /** What runs speak against these tubes, by number: they are suspect without anyone writing it down. */
    @Transactional(readOnly = true)
    Map<Long, String> suspects(List<Kept> tubes) {
        Map<Long, String> suspects = new LinkedHashMap<>();
        sittings.suspects(tubes.stream().map(Kept::id).toList())
                .forEach((tube, sat) -> suspects.put(
                        tube,
                        words.message(
                                "page.drawer.suspect",
                                sat.seat().socket(),
                                sat.seat().amp(),
                                words.say(sat.sitting().findings().get(0)))));
        return suspects;
    }

    private Kept kept(TubeRow row) {
        return row.kept(json);
    }
}
