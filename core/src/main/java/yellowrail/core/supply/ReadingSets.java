package yellowrail.core.supply;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.IdleValues;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Plausibility;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * Finds in a log the readings that belong to one setting. A reading that is taken again and differs from the one before
 * begins a new setting, as does a turn that was logged or the power switch; a setting counts once every tube has a current
 * and a plate voltage in it. Mains, screens and cold resistances are carried over; some builders read the mains before the
 * tubes and some after, so the habit seen first decides to which setting a mains reading belongs.
 */
public final class ReadingSets {

    /** Two readings of one place that differ by less are the same setting read twice. */
    private static final double SAME = 0.015;
    private static final double SAME_VOLTS = 0.004;
    /** Outside these no power tube idles, A and V. */
    private static final double LEAST_AMPS = 1e-4;
    private static final double MOST_AMPS = 2;
    private static final double LEAST_VOLTS = 20;
    private static final double MOST_VOLTS = 3000;
    private static final double LEAST_MAINS = 0.3;
    private static final double MOST_MAINS = 3;
    private static final Set<ReadingKind> OF_A_SETTING = EnumSet.of(ReadingKind.SENSE_VOLTS, ReadingKind.SENSE_AMPS, ReadingKind.PLATE,
            ReadingKind.BIAS, ReadingKind.CATHODE_VOLTS);
    private static final Set<ReadingKind> ENDS_A_SETTING = EnumSet.of(ReadingKind.POWER_ON, ReadingKind.POWER_OFF, ReadingKind.TURN);

    private static final String PLATES = "plate";

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final List<ReadingSet> sets = new ArrayList<>();
    private final List<SupplyPoint> loaded = new ArrayList<>();
    private final List<SupplyPoint> unloaded = new ArrayList<>();
    private final Map<String, Reading> open = new LinkedHashMap<>();
    private Moment moment;
    private Moment atLastOwn;
    private Optional<Reading> mainsBefore = Optional.empty();
    private Optional<Boolean> mainsComesFirst = Optional.empty();
    private List<String> wanted = List.of();

    /**
     * @param stage    the amp
     * @param start    what counted before the first of the readings
     * @param readings in the order of entry, none struck
     */
    public ReadingSets(StageIdle stage, Moment start, List<Reading> readings) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.moment = start;
        readings.forEach(this::take);
        finish();
    }

    private void take(Reading reading) {
        ReadingKind kind = reading.entry().kind();
        if (ENDS_A_SETTING.contains(kind)) {
            finish();
            wanted = sets.isEmpty() ? List.of() : missing(List.of());
        } else if (OF_A_SETTING.contains(kind)) {
            String key = kind + "@" + reading.entry().target();
            Reading before = open.get(key);
            if (before != null && differs(kind, before.value(), reading.value())) {
                finish();
            }
            if (open.isEmpty()) {
                mainsBefore = moment.last(ReadingKind.MAINS);
                mainsComesFirst = mainsComesFirst.or(() -> Optional.of(mainsBefore.isPresent()));
            }
            open.remove(key);
            open.put(key, reading);
        }
        moment = moment.after(reading);
        if (OF_A_SETTING.contains(kind)) {
            atLastOwn = moment;
        }
        if (kind == ReadingKind.PLATE_UNLOADED && reading.value() > LEAST_VOLTS && reading.value() < MOST_VOLTS) {
            unloaded.add(new SupplyPoint(Plausibility.line(reading.entry(), sheet), reading.value(), other(), ratio(moment.last(ReadingKind.MAINS)), noise(reading.value()), true));
        }
    }

    private static boolean differs(ReadingKind kind, double before, double now) {
        double same = kind == ReadingKind.PLATE || kind == ReadingKind.BIAS ? SAME_VOLTS : SAME;
        return Math.abs(now - before) > same * Math.abs(before);
    }

    private void finish() {
        if (!open.isEmpty()) {
            wanted = missing(List.copyOf(open.values()));
            set().ifPresent(set -> {
                sets.add(set);
                wanted = List.of();
                loaded.add(new SupplyPoint(name(set), set.plateVolts(), set.totalAmps(), set.mainsRatio(), noise(set.plateVolts()), false));
            });
            open.clear();
        }
    }

    /** What a setting still lacks: the test points and the plates that were not read in it. */
    private List<String> missing(List<Reading> own) {
        Set<String> read = new HashSet<>();
        own.forEach(reading -> read.add(reading.entry().kind() == ReadingKind.PLATE ? PLATES : reading.entry().target()));
        boolean byCathode = own.stream().anyMatch(reading -> reading.entry().kind() == ReadingKind.CATHODE_VOLTS);
        return Stream.concat(byCathode ? Stream.empty() : sheet.testPoints().stream(), Stream.of(PLATES)).filter(place -> !read.contains(place)).toList();
    }

    private Optional<ReadingSet> set() {
        List<Reading> own = List.copyOf(open.values());
        List<TubeValues> tubes = stage.valuesAt(atLastOwn).stream().flatMap(Optional::stream)
                .filter(tube -> own.contains(tube.current()) && own.contains(tube.plate()) && isUsable(tube.values())).toList();
        return tubes.size() == sheet.sockets().size()
                ? Optional.of(new ReadingSet(atLastOwn, own, tubes, ratio(mains()), other(), sheet.bias().isCathode())) : Optional.empty();
    }

    /** A reading that was kept against all sense stands in the log and leads no line astray. */
    private static boolean isUsable(IdleValues values) {
        return values.cathode() > LEAST_AMPS && values.cathode() < MOST_AMPS && values.plateVolts() > LEAST_VOLTS && values.plateVolts() < MOST_VOLTS;
    }

    /** The mains that belong to the open setting: read while it was open, else just before it, or just after by habit. */
    private Optional<Reading> mains() {
        Optional<Reading> during = atLastOwn.last(ReadingKind.MAINS);
        boolean readDuring = !during.equals(mainsBefore);
        return readDuring || mainsComesFirst.orElse(true) ? during : moment.last(ReadingKind.MAINS);
    }

    /** The mains as last read over the sheet's; 1 where it was not read, or is no mains. */
    public static double mainsRatio(Moment moment, AmpSheet sheet) {
        return ratio(moment.last(ReadingKind.MAINS), sheet);
    }

    private double ratio(Optional<Reading> mains) {
        return ratio(mains, sheet);
    }

    private static double ratio(Optional<Reading> mains, AmpSheet sheet) {
        return mains.map(reading -> reading.value() / sheet.mainsVolts()).filter(ratio -> ratio > LEAST_MAINS && ratio < MOST_MAINS).orElse(1.0);
    }

    private double other() {
        return sheet.supply().otherAmps().orElse(0);
    }

    private double noise(double volts) {
        return Math.max(sheet.meter().digits() * sheet.meter().lastOfVolts() / 2, 1e-4 * volts);
    }

    /** The complete settings, oldest first. */
    public List<ReadingSet> sets() {
        return List.copyOf(sets);
    }

    /** The newest complete setting; a newer one may be half read. */
    public Optional<ReadingSet> newest() {
        return sets.isEmpty() ? Optional.empty() : Optional.of(sets.get(sets.size() - 1));
    }

    /** What is still to be read to know the setting that was begun after the newest complete one; none if there is no such. */
    public List<String> wanted() {
        return sets.isEmpty() ? List.of() : wanted;
    }

    /** What counts after the last of the readings. */
    public Moment present() {
        return moment;
    }

    /** Every point of the supply line: the unloaded ones, then the settings, oldest first. */
    public List<SupplyPoint> points() {
        return points(sets.size());
    }

    /** The points that were known after so many settings. */
    public List<SupplyPoint> points(int settings) {
        List<SupplyPoint> points = new ArrayList<>(unloaded);
        points.addAll(loaded.subList(0, settings));
        return points;
    }

    private String name(ReadingSet set) {
        return set.own().stream().map(reading -> Plausibility.line(reading.entry(), sheet)).reduce((one, other) -> one + ", " + other).orElseThrow();
    }
}
