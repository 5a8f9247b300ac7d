package yellowrail.core.supply;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.amp.AmpSheet;
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
    private static final Set<ReadingKind> OF_A_SETTING = EnumSet.of(ReadingKind.SENSE_VOLTS, ReadingKind.SENSE_AMPS, ReadingKind.PLATE,
            ReadingKind.BIAS, ReadingKind.CATHODE_VOLTS);
    private static final Set<ReadingKind> ENDS_A_SETTING = EnumSet.of(ReadingKind.POWER_ON, ReadingKind.POWER_OFF, ReadingKind.TURN);

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
        if (kind == ReadingKind.PLATE_UNLOADED) {
            unloaded.add(new SupplyPoint(Plausibility.line(reading.entry(), sheet), reading.value(), other(), ratio(moment.last(ReadingKind.MAINS)), noise(reading.value()), true));
        }
    }

    private static boolean differs(ReadingKind kind, double before, double now) {
        double same = kind == ReadingKind.PLATE || kind == ReadingKind.BIAS ? SAME_VOLTS : SAME;
        return Math.abs(now - before) > same * Math.abs(before);
    }

    private void finish() {
        if (!open.isEmpty()) {
            set().ifPresent(set -> {
                sets.add(set);
                loaded.add(new SupplyPoint(name(set), set.plateVolts(), set.totalAmps(), set.mainsRatio(), noise(set.plateVolts()), false));
            });
            open.clear();
        }
    }

    private Optional<ReadingSet> set() {
        List<Reading> own = List.copyOf(open.values());
        List<TubeValues> tubes = stage.valuesAt(atLastOwn).stream().flatMap(Optional::stream)
                .filter(tube -> own.contains(tube.current()) && own.contains(tube.plate())).toList();
        return tubes.size() == sheet.sockets().size()
                ? Optional.of(new ReadingSet(atLastOwn, own, tubes, ratio(mains()), other(), sheet.bias().isCathode())) : Optional.empty();
    }

    /** The mains that belong to the open setting: read while it was open, else just before it, or just after by habit. */
    private Optional<Reading> mains() {
        Optional<Reading> during = atLastOwn.last(ReadingKind.MAINS);
        boolean readDuring = !during.equals(mainsBefore);
        return readDuring || mainsComesFirst.orElse(true) ? during : moment.last(ReadingKind.MAINS);
    }

    private double ratio(Optional<Reading> mains) {
        return mains.map(reading -> reading.value() / sheet.mainsVolts()).orElse(1.0);
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

    /** The newest complete setting, if it is still the present one. */
    public Optional<ReadingSet> newest() {
        return sets.isEmpty() ? Optional.empty() : Optional.of(sets.get(sets.size() - 1));
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
