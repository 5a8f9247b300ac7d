package yellowrail.web.drawer;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.Sitting;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.tube.TubeType;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Keeps the drawer. */
@Service
public class DrawerService {

    private final DrawerMapper mapper;
    private final JsonColumn json;
    private final SeatService seats;
    private final RunService runs;
    private final AmpService amps;
    private final TubeService types;
    private final Words words;

    DrawerService(
            DrawerMapper mapper,
            JsonColumn json,
            SeatService seats,
            RunService runs,
            AmpService amps,
            TubeService types,
            Words words) {
        this.mapper = mapper;
        this.json = json;
        this.seats = seats;
        this.runs = runs;
        this.amps = amps;
        this.types = types;
        this.words = words;
    }

    /** One stay of a tube in an amp, with what its runs told. */
    record Stay(Seat seat, String amp, Sitting sitting) {}

    /** @param type blank for any */
    @Transactional(readOnly = true)
    List<Kept> all(String type) {
        return mapper.all(type).stream().map(this::kept).toList();
    }

    @Transactional(readOnly = true)
    List<String> types() {
        return mapper.types();
    }

    /** @throws NotFoundException if there is no such tube */
    @Transactional(readOnly = true)
    Kept tube(long id) {
        return mapper.tube(id)
                .map(this::kept)
                .orElseThrow(() -> new NotFoundException("There is no tube %d in the drawer.".formatted(id)));
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    List<TesterReading> tests(long id) {
        return mapper.tests(id).stream()
                .map(test -> json.read(test, TesterReading.class))
                .toList();
    }

    /** The type as the catalogue has it, if it has. */
    Optional<TubeType> type(String name) {
        return types.catalogue().find(name);
    }

    /** Adds a tube with its first test. @return its number; empty if a tube of that name is in the drawer already */
    @Transactional
    public Optional<Long> add(DrawerRow row) {
        DrawerTube tube = named(row.tube());
        return mapper.id(tube.type(), tube.label()).isPresent() ? Optional.empty() : Optional.of(keep(row));
    }

    /** @return whether it was changed; not if another tube bears the new name */
    @Transactional
    boolean change(long id, DrawerTube told) {
        DrawerTube tube = named(told);
        tube(id);
        return mapper.rename(id, tube.type(), tube.label(), json.write(tube)) == 1;
    }

    @Transactional
    void addTest(long id, TesterReading test) {
        mapper.addTest(tube(id).id(), json.write(test));
    }

    /**
     * Takes rows of a file: a tube that is in the drawer already is told anew, a test that is there already comes in
     * once.
     */
    @Transactional
    public void keep(List<DrawerRow> rows) {
        rows.forEach(this::keep);
    }

    private long keep(DrawerRow row) {
        DrawerTube tube = named(row.tube());
        long id = mapper.save(tube.type(), tube.label(), json.write(tube));
        row.test().ifPresent(test -> mapper.addTest(id, json.write(test)));
        return id;
    }

    /** Under the number that the catalogue calls it by, so that 6CA7 and EL34 lie together. */
    private DrawerTube named(DrawerTube tube) {
        return type(tube.type())
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

    @Transactional(readOnly = true)
    public String csv() {
        return DrawerCsv.write(mapper.everyTest().stream()
                .map(this::kept)
                .map(kept -> new DrawerRow(kept.tube(), kept.test(), Map.of()))
                .toList());
    }

    /** Where a tube sat and what its runs told of it, newest first. */
    @Transactional(readOnly = true)
    List<Stay> stays(long tubeId) {
        List<Stay> stays = new ArrayList<>();
        for (Seat seat : seats.ofTube(tubeId)) {
            String amp = amps.newest(seat.ampId()).sheet().name();
            for (Run run : runs.ofAmp(seat.ampId())) {
                Sitting.of(
                                runs.timeline(run),
                                seat.socket(),
                                at -> isDuring(seat, at.atOffset(seat.since().getOffset())))
                        .ifPresent(sitting -> stays.add(0, new Stay(seat, amp, sitting)));
            }
        }
        return stays;
    }

    private static boolean isDuring(Seat seat, OffsetDateTime at) {
        return !at.isBefore(seat.since()) && (seat.until() == null || at.isBefore(seat.until()));
    }

    /** What the runs speak against a tube, by its number: it is suspect without anyone writing it down. */
    @Transactional(readOnly = true)
    Map<Long, String> suspects() {
        Map<Long, String> suspects = new LinkedHashMap<>();
        seats.all().stream()
                .map(Seat::tubeId)
                .distinct()
                .forEach(tube -> stays(tube).stream()
                        .flatMap(stay -> stay.sitting().findings().stream()
                                .map(finding -> words.message(
                                        "page.drawer.suspect", stay.seat().socket(), stay.amp(), words.say(finding))))
                        .findFirst()
                        .ifPresent(finding -> suspects.put(tube, finding)));
        return suspects;
    }

    private Kept kept(TubeRecord row) {
        return new Kept(
                row.id(),
                json.read(row.tube(), DrawerTube.class),
                Optional.ofNullable(row.test()).map(test -> json.read(test, TesterReading.class)));
    }
}
