package yellowrail.core.timeline;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
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

/**
 * Goes along the log and the versions of the sheet once: states parted by a tube into a socket, an edit of the
 * hardware, a pot turned, power, mains; and settings, which power does not end. {@link Occupants} says which tube sits
 * where, {@link OpenSetting} which readings are of one setting, {@link Staleness} which were overtaken.
 */
public final class Timeline {

    /** Mains that differ by less are the same state. */
    private static final double SAME_MAINS = 0.01;

    private final Map<Integer, AmpSheet> sheets = new TreeMap<>();
    private final Set<Integer> corrections;
    private final List<State> states = new ArrayList<>();
    private final List<Setting> settings = new ArrayList<>();
    private final OpenSetting open = new OpenSetting();
    private final Moment.Running running = new Moment.Running();
    private final Map<String, TimelineFinding> gone = new HashMap<>();
    private final List<Reading> plates = new ArrayList<>();
    private final List<Reading> mainsRead = new ArrayList<>();
    private final List<Reading> readings;
    private final Snapshot present;
    private Staleness staleness;
    private int version;
    private AmpSheet sheet;
    private Occupants occupants;
    private int hardware;
    private Optional<Boolean> on = Optional.empty();
    private double mains = Double.NaN;
    private long last;
    private long hardwareSince;

    /**
     * @param catalogue the published types and the builder's own
     * @param versions of the sheet, those that readings name and the newest; at least one
     * @param before what counted before the first of the readings
     * @param entered in the order of entry, none struck; gone along in the order of {@link InTime}
     */
    public Timeline(TubeCatalogue catalogue, List<SheetVersion> versions, Moment before, List<Reading> entered) {
        versions.forEach(each -> sheets.put(each.number(), each.sheet()));
        this.readings = InTime.of(entered);
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
        this.occupants = Occupants.of(catalogue, sheet);
        states.add(new State(Optional.empty(), sheet, occupants.all(), hardware, on));
        earlier.forEach(reading -> take(reading, false));
        open.forget();
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
        int to = from;
        while (to < readings.size()
                && readings.get(to).line() == readings.get(from).line()) {
            to++;
        }
        open.moved(readings.subList(from, to)).ifPresent(moved -> {
            Reading now = moved.now();
            String place = now.entry().target();
            if (moved.certain()) {
                staleness.unsaid(
                        Change.of(Change.What.UNSAID, readings.get(from).id() - 1, now.takenAt(), place, ""),
                        new TimelineFinding.MovedSince(
                                place.isEmpty() ? OpenSetting.place(now) : place, shown(moved.before()), shown(now)));
            }
            finish();
        });
    }

    private Shown shown(Reading reading) {
        boolean sense = reading.kind() == ReadingKind.SENSE_VOLTS;
        return Shown.of(
                sense && sheet.current().shows().dimension() == Unit.Dimension.VOLTAGE
                        ? sheet.current().shows()
                        : reading.kind().unit(),
                reading.value());
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
        if (followed && OpenSetting.KINDS.contains(reading.kind())) {
            open.add(reading, running);
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
        states.add(new State(Optional.of(change), sheet, occupants.all(), hardware, on));
    }

    private void turn(Reading reading) {
        finish();
        open.turned();
        staleness.turn(reading.entry().target(), reading.id());
        begin(change(
                Change.What.TURN,
                reading,
                reading.entry().target(),
                reading.entry().words()));
    }

    private void power(Reading reading) {
        on = Optional.of(reading.kind() == ReadingKind.POWER_ON);
        if (reading.kind() == ReadingKind.POWER_ON) {
            running.remove(each -> each.kind() == ReadingKind.DRAINED);
        }
        begin(change(
                reading.kind() == ReadingKind.POWER_ON ? Change.What.POWER_ON : Change.What.POWER_OFF,
                reading,
                "",
                ""));
    }

    private void mains(Reading reading) {
        mainsRead.add(reading);
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
        occupants = occupants.exchanged(socket.get(), reading.entry().words(), reading.id());
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
        if (parts.isEmpty()) {
            staleness = same(before);
            occupants = occupants.under(sheet, false);
            State same = states.remove(states.size() - 1);
            states.add(new State(same.begunBy(), sheet, occupants.all(), hardware, on));
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
        occupants = occupants.under(
                sheet, parts.contains(Hardware.TUBES) || !before.sockets().equals(sheet.sockets()));
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

    private void finish() {
        open.finish(hardware, sheet, occupants.all(), running).ifPresent(settings::add);
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
        return open.isTurned();
    }

    /** The mains that a reading was taken at: the last one read before it, or the first after it where none was. */
    public Optional<Reading> mainsAt(Reading reading) {
        Reading found = null;
        for (Reading each : mainsRead) {
            if (found == null || each.id() <= reading.id()) {
                found = each;
            }
        }
        return Optional.ofNullable(found);
    }

    public Snapshot present() {
        return present;
    }

    /** The readings of the hardware that is in now, in the order of {@link InTime}. */
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
