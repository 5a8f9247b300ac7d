package yellowrail.core.timeline;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * Goes along the log and the versions of the sheet once: states parted by a tube into a socket, an edit of the
 * hardware, a pot turned, power, mains; and settings, which power does not end. A reading that is taken again and
 * differs begins a new setting, but what was typed on one line is of one setting, whatever it says of the readings
 * before.
 *
 * <p>Some builders read the mains before the tubes and some after, so the habit seen first decides to which setting a
 * mains reading belongs.
 */
public final class Timeline {

    static final Set<ReadingKind> OF_A_SETTING = EnumSet.of(
            ReadingKind.SENSE_VOLTS,
            ReadingKind.SENSE_AMPS,
            ReadingKind.PLATE,
            ReadingKind.BIAS,
            ReadingKind.CATHODE_VOLTS);

    /** Two readings of one place that differ by less are the same setting read twice. */
    private static final double SAME = 0.015;

    private static final double SAME_VOLTS = 0.004;
    /** By so much more it moved for certain, and what else was read before it is overtaken. */
    private static final double MOVED = 3;
    /** Mains that differ by less are the same state. */
    private static final double SAME_MAINS = 0.01;

    private static final String NEW = "new";

    private final TubeCatalogue catalogue;
    private final Map<Integer, AmpSheet> sheets = new TreeMap<>();
    private final Set<Integer> corrections;
    private final List<State> states = new ArrayList<>();
    private final List<Setting> settings = new ArrayList<>();
    private final Map<String, Reading> open = new LinkedHashMap<>();
    private final Moment.Running running = new Moment.Running();
    private final Map<String, TimelineFinding> gone = new HashMap<>();
    private final List<Reading> plates = new ArrayList<>();
    private final List<Reading> readings;
    private final Snapshot present;
    private Staleness staleness;
    private int version;
    private AmpSheet sheet;
    private List<Occupant> occupants;
    private int hardware;
    private Optional<Boolean> on = Optional.empty();
    private double mains = Double.NaN;
    private long last;
    private long hardwareSince;
    private boolean turned;
    private Optional<Reading> mainsAtLastOwn = Optional.empty();
    private Optional<Reading> mainsBefore = Optional.empty();
    private Optional<Boolean> mainsComesFirst = Optional.empty();

    /**
     * @param catalogue the published types and the builder's own
     * @param versions of the sheet, those that readings name and the newest; at least one
     * @param before what counted before the first of the readings
     * @param readings in the order of entry, none struck
     */
    public Timeline(TubeCatalogue catalogue, List<SheetVersion> versions, Moment before, List<Reading> readings) {
        this.catalogue = catalogue;
        versions.forEach(each -> sheets.put(each.number(), each.sheet()));
        this.readings = List.copyOf(readings);
        List<Reading> earlier = before.readings();
        this.corrections = Stream.concat(earlier.stream(), readings.stream())
                .filter(reading -> reading.kind() == ReadingKind.SHEET)
                .map(Reading::sheet)
                .collect(Collectors.toSet());
        this.version = earlier.isEmpty()
                ? readings.isEmpty() ? newest() : readings.get(0).sheet()
                : earlier.get(0).sheet();
        this.sheet = sheet(version);
        this.staleness = new Staleness(sheet, plates);
        this.occupants = sheet.sockets().stream().map(this::bySheet).toList();
        states.add(new State(Optional.empty(), sheet, occupants, hardware, on));
        earlier.forEach(reading -> take(reading, false));
        open.clear();
        for (int i = 0; i < readings.size(); i++) {
            Reading reading = readings.get(i);
            if (i == 0 || reading.line() != readings.get(i - 1).line()) {
                beginLine(i);
            }
            take(reading, true);
        }
        edit(newest(), last);
        finish();
        this.present = new Snapshot(states.get(states.size() - 1), running.now(), staleness, gone);
    }

    /** The timeline of an amp whose sheet was never changed. */
    public static Timeline of(TubeCatalogue catalogue, AmpSheet sheet, Moment before, List<Reading> readings) {
        return new Timeline(catalogue, List.of(new SheetVersion(1, sheet)), before, readings);
    }

    private int newest() {
        return sheets.keySet().stream().reduce((one, later) -> later).orElseThrow();
    }

    private AmpSheet sheet(int number) {
        return Optional.ofNullable(sheets.get(number)).orElseGet(() -> sheets.get(newest()));
    }

    /** Where a line takes something again that has moved, all of the line is of a new setting. */
    private void beginLine(int from) {
        for (int i = from;
                i < readings.size()
                        && readings.get(i).line() == readings.get(from).line();
                i++) {
            Reading reading = readings.get(i);
            Reading before = open.get(key(reading));
            if (reading.kind() == ReadingKind.TURN || reading.kind() == ReadingKind.TUBE) {
                return;
            }
            if (OF_A_SETTING.contains(reading.kind()) && before != null && differs(before, reading, 1)) {
                if (differs(before, reading, MOVED)) {
                    Change change =
                            change(Change.What.UNSAID, reading, reading.entry().target(), "");
                    staleness.unsaid(
                            change,
                            new TimelineFinding.MovedSince(
                                    reading.entry().target().isEmpty()
                                            ? key(reading)
                                            : reading.entry().target(),
                                    shown(before),
                                    shown(reading)));
                }
                finish();
                return;
            }
        }
    }

    private Shown shown(Reading reading) {
        boolean sense = reading.kind() == ReadingKind.SENSE_VOLTS;
        return Shown.toTurnTo(
                sense && sheet.current().shows().dimension() == Unit.Dimension.VOLTAGE
                        ? sheet.current().shows()
                        : reading.kind().unit(),
                reading.value());
    }

    private static boolean differs(Reading before, Reading now, double times) {
        boolean volts = now.kind() == ReadingKind.PLATE || now.kind() == ReadingKind.BIAS;
        return Math.abs(now.value() - before.value()) > times * (volts ? SAME_VOLTS : SAME) * Math.abs(before.value());
    }

    private static String key(Reading reading) {
        return reading.kind() == ReadingKind.PLATE && reading.entry().target().isEmpty()
                ? Setting.PLATES
                : reading.kind() + "@" + reading.entry().target();
    }

    private void take(Reading reading, boolean followed) {
        if (reading.sheet() != version) {
            edit(reading.sheet(), reading.id() - 1);
        }
        switch (reading.kind()) {
            case TURN -> turn(reading);
            case TUBE -> exchange(reading);
            case POWER_ON, POWER_OFF -> power(reading);
            case MAINS -> mains(reading);
            default -> {}
        }
        last = reading.id();
        if (followed && OF_A_SETTING.contains(reading.kind())) {
            if (open.isEmpty()) {
                mainsBefore = running.last(ReadingKind.MAINS);
                mainsComesFirst = mainsComesFirst.or(() -> Optional.of(mainsBefore.isPresent()));
            }
            open.remove(key(reading));
            open.put(key(reading), reading);
            mainsAtLastOwn = running.last(ReadingKind.MAINS);
        }
        running.add(reading);
        if (reading.kind() == ReadingKind.PLATE) {
            plates.add(reading);
            gone.remove(Setting.PLATES);
        }
        if (reading.entry().isCurrent()) {
            gone.remove(reading.entry().target());
        }
    }

    private Change change(Change.What what, Reading by, String place, String way) {
        return Change.of(what, by.id() - 1, by.takenAt(), place, way);
    }

    private void begin(Change change) {
        states.add(new State(Optional.of(change), sheet, occupants, hardware, on));
    }

    private void turn(Reading reading) {
        finish();
        turned = true;
        staleness.turn(reading.entry().target(), reading.id());
        begin(change(
                Change.What.TURN,
                reading,
                reading.entry().target(),
                reading.entry().words()));
    }

    private void power(Reading reading) {
        on = Optional.of(reading.kind() == ReadingKind.POWER_ON);
        begin(change(
                reading.kind() == ReadingKind.POWER_ON ? Change.What.POWER_ON : Change.What.POWER_OFF,
                reading,
                "",
                ""));
    }

    private void mains(Reading reading) {
        if (!(Math.abs(reading.value() / mains - 1) <= SAME_MAINS)) {
            mains = reading.value();
            begin(change(Change.What.MAINS, reading, "", ""));
        }
    }

    /** Its own readings are of another tube; the rest of the stage stood at other plates. */
    private void exchange(Reading reading) {
        finish();
        String label = reading.entry().target();
        Optional<Socket> socket = sheet.socket(label);
        if (socket.isEmpty()) {
            return;
        }
        Occupant in = logged(socket.get(), reading.entry().words());
        occupants = occupants.stream()
                .map(each -> each.socket().label().equals(socket.get().label()) ? in : each)
                .toList();
        String point = socket.get().testPoint();
        List<Reading> of = running.remove(each -> (each.entry().target().equals(point)
                        || each.entry().target().equals(socket.get().label()))
                && Hardware.TUBES.voids(each.kind())
                && each.kind() != ReadingKind.RESISTOR_COLD
                && !isGrid(each));
        of.stream()
                .filter(each -> each.entry().isCurrent())
                .forEach(each -> gone.put(
                        point,
                        new TimelineFinding.TubeExchangedSince(socket.get().label())));
        staleness.exchange(socket.get().label(), reading.id());
        otherHardware(reading.id());
        begin(change(Change.What.TUBE, reading, label, reading.entry().words()));
    }

    private boolean isGrid(Reading reading) {
        return !sheet.bias().isCathode()
                && (reading.kind() == ReadingKind.BIAS || reading.kind() == ReadingKind.BIAS_STOP);
    }

    private void otherHardware(long after) {
        hardware++;
        hardwareSince = after;
        plates.clear();
    }

    private void edit(int to, long after) {
        AmpSheet before = sheet;
        Set<Hardware> parts = corrections.contains(to) ? Set.of() : Hardware.changed(before, sheet(to));
        if (!parts.isEmpty()) {
            finish();
        }
        version = to;
        sheet = sheet(to);
        boolean sockets = !before.sockets().equals(sheet.sockets());
        if (parts.isEmpty()) {
            staleness = same(before);
            occupants = sheet.sockets().stream()
                    .map(socket -> occupants.stream()
                            .filter(each ->
                                    each.logged() && each.socket().label().equals(socket.label()))
                            .findFirst()
                            .map(each -> logged(socket, each.name() + (each.isNew() ? " " + NEW : "")))
                            .orElseGet(() -> bySheet(socket)))
                    .toList();
            State same = states.remove(states.size() - 1);
            states.add(new State(same.begunBy(), sheet, occupants, hardware, on));
            return;
        }
        running.remove(reading -> parts.stream().anyMatch(part -> part.voids(reading.kind())))
                .forEach(reading -> {
                    if (reading.entry().isCurrent() || reading.kind() == ReadingKind.PLATE) {
                        gone.put(
                                reading.kind() == ReadingKind.PLATE
                                        ? Setting.PLATES
                                        : reading.entry().target(),
                                new TimelineFinding.HardwareChangedSince());
                    }
                });
        boolean tubes = parts.contains(Hardware.TUBES) || sockets;
        occupants = sheet.sockets().stream()
                .map(socket -> occupants.stream()
                        .filter(each ->
                                !tubes && each.logged() && each.socket().label().equals(socket.label()))
                        .findFirst()
                        .map(each -> logged(socket, each.name()))
                        .orElseGet(() -> bySheet(socket)))
                .toList();
        otherHardware(after);
        staleness = new Staleness(sheet, plates);
        begin(new Change(
                Change.What.SHEET,
                after,
                readings.isEmpty()
                        ? Instant.EPOCH
                        : readings.get(readings.size() - 1).takenAt(),
                "",
                "",
                parts));
    }

    /** The sheet says something else of the same hardware: what was turned and exchanged stays so. */
    private Staleness same(AmpSheet before) {
        return before.pots().equals(sheet.pots()) && before.sockets().equals(sheet.sockets())
                ? staleness
                : staleness.on(sheet);
    }

    private Occupant bySheet(Socket socket) {
        return occupant(socket, sheet.tubeType(), catalogue.find(sheet.tubeType()), false, false);
    }

    private Occupant logged(Socket socket, String words) {
        String name = words.split("\\s+")[0];
        boolean isNew = words.toLowerCase(Locale.ROOT).matches(".*\\b" + NEW + "\\b.*");
        Optional<TubeType> whole =
                catalogue.find(words.replaceAll("(?i)\\s+" + NEW + "\\b", "").strip());
        return occupant(
                socket,
                whole.isPresent() ? whole.get().name() : name,
                whole.or(() -> catalogue.find(name)),
                true,
                isNew);
    }

    private Occupant occupant(Socket socket, String name, Optional<TubeType> type, boolean logged, boolean isNew) {
        return new Occupant(socket, name, type, type.map(sheet::rating), logged, isNew);
    }

    private void finish() {
        if (open.isEmpty()) {
            return;
        }
        settings.add(
                new Setting(hardware, sheet, occupants, List.copyOf(open.values()), running.now(), mains(), turned));
        turned = false;
        open.clear();
    }

    /**
     * The mains that belong to the open setting: read while it was open, else just before it, or just after by habit.
     */
    private Optional<Reading> mains() {
        boolean readDuring = !mainsAtLastOwn.equals(mainsBefore);
        return readDuring || mainsComesFirst.orElse(true) ? mainsAtLastOwn : running.last(ReadingKind.MAINS);
    }

    public List<State> states() {
        return List.copyOf(states);
    }

    /**
     * Every while in which nothing was turned, switched or changed, oldest first; each ends with the reading that ended
     * it.
     */
    public List<Stretch> stretches() {
        List<State> begun = states.stream()
                .filter(state -> state.begunBy().map(Change::endsAStretch).orElse(true))
                .toList();
        List<Stretch> stretches = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < begun.size(); i++) {
            long end = i + 1 < begun.size()
                    ? begun.get(i + 1).begunBy().orElseThrow().after()
                    : Long.MAX_VALUE;
            int to = from;
            while (to < readings.size() && readings.get(to).id() <= end) {
                to++;
            }
            stretches.add(new Stretch(begun.get(i), readings.subList(from, Math.min(to + 1, readings.size()))));
            from = to;
        }
        return stretches;
    }

    /** Every setting, complete or not, oldest first. */
    public List<Setting> settings() {
        return List.copyOf(settings);
    }

    /** The settings of the hardware that is in now. */
    public List<Setting> presentSettings() {
        return settings.stream()
                .filter(setting -> setting.hardware() == hardware)
                .toList();
    }

    /** The settings of hardware that is gone. */
    public List<Setting> earlierSettings() {
        return settings.stream()
                .filter(setting -> setting.hardware() != hardware)
                .toList();
    }

    /** Whether a pot was turned, by the log, after the last reading of the last setting. */
    public boolean turnedSince() {
        return turned;
    }

    public Snapshot present() {
        return present;
    }

    /** The readings of the hardware that is in now, in the order of entry. */
    public List<Reading> presentReadings() {
        return readings.stream().filter(reading -> reading.id() > hardwareSince).toList();
    }

    /** What counted, of the hardware that is in now, before the first of {@link #presentReadings}. */
    public Moment beforePresent() {
        long first = readings.isEmpty() ? Long.MAX_VALUE : readings.get(0).id();
        return new Moment(present.moment().readings().stream()
                .filter(reading -> reading.id() <= hardwareSince || reading.id() < first)
                .toList());
    }
}
