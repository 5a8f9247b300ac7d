package yellowrail.core.supply;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.idle.IdleProblem;
import yellowrail.core.idle.IdleValues;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Hardware;
import yellowrail.core.timeline.Setting;
import yellowrail.core.timeline.Timeline;

/**
 * The settings of the hardware that is in now, as points of its supply line. Readings of other hardware are none of
 * them.
 */
public final class SupplyReadings {

    /** Outside these no power tube idles, A and V. */
    private static final double LEAST_AMPS = 1e-4;

    private static final double MOST_AMPS = 2;
    private static final double LEAST_VOLTS = 20;
    private static final double MOST_VOLTS = 3000;
    private static final double LEAST_MAINS = 0.3;
    private static final double MOST_MAINS = 3;

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final Timeline timeline;
    private final List<ReadingSet> sets = new ArrayList<>();
    private final List<SupplyPoint> loaded = new ArrayList<>();
    private final List<SupplyPoint> unloaded = new ArrayList<>();
    private Optional<Setting> newest = Optional.empty();

    /** @param stage the amp as it stands at the end of the timeline */
    public SupplyReadings(StageIdle stage, Timeline timeline) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.timeline = timeline;
        for (Setting setting : timeline.presentSettings()) {
            newest = Optional.of(setting);
            if (setting.lacks().isEmpty()) {
                whole(setting).ifPresent(this::add);
            }
        }
        timeline.presentReadings().stream()
                .filter(reading -> reading.kind() == ReadingKind.PLATE_UNLOADED)
                .forEach(this::addUnloaded);
        timeline.beforePresent().readings().stream()
                .filter(reading -> reading.kind() == ReadingKind.PLATE_UNLOADED)
                .forEach(this::addUnloaded);
    }

    private void addUnloaded(Reading reading) {
        if (reading.value() > LEAST_VOLTS && reading.value() < MOST_VOLTS) {
            Moment now = timeline.present().moment();
            unloaded.add(new SupplyPoint(
                    List.of(reading), reading.value(), other(), mainsRatio(now, sheet), noise(reading.value()), true));
        }
    }

    private void add(ReadingSet set) {
        sets.add(set);
        loaded.add(new SupplyPoint(
                set.own(), set.plateVolts(), set.totalAmps(), set.mainsRatio(), noise(set.plateVolts()), false));
    }

    private List<Optional<TubeValues>> values(Setting setting) {
        StageIdle then = setting.sheet() == sheet ? stage : new StageIdle(sheet, stage.occupants());
        return then.valuesAt(setting.moment()).stream()
                .map(tube -> tube.filter(found -> setting.own().contains(found.current())
                        && setting.own().contains(found.plate())
                        && isUsable(found.values())))
                .toList();
    }

    private Optional<ReadingSet> whole(Setting setting) {
        List<TubeValues> tubes =
                values(setting).stream().flatMap(Optional::stream).toList();
        return tubes.size() == sheet.sockets().size() ? Optional.of(set(setting, tubes)) : Optional.empty();
    }

    private ReadingSet set(Setting setting, List<TubeValues> tubes) {
        return new ReadingSet(
                setting,
                tubes,
                ratio(setting.mains(), sheet),
                other(),
                sheet.bias().isCathode());
    }

    /**
     * The newest setting while it is half read and no whole one is known: the tubes that were not read are taken as
     * those that were. Empty where their types tell otherwise, or no tube has both current and plate voltage.
     */
    public Optional<ReadingSet> half() {
        if (newest.isEmpty() || !sets.isEmpty() || !stage.isOfOneType()) {
            return Optional.empty();
        }
        List<Optional<TubeValues>> read = values(newest.get());
        List<TubeValues> known = read.stream().flatMap(Optional::stream).toList();
        if (known.isEmpty() || known.size() == read.size()) {
            return Optional.empty();
        }
        double mean = known.stream()
                .mapToDouble(tube -> tube.values().cathode())
                .average()
                .orElseThrow();
        List<TubeValues> all = new ArrayList<>();
        for (int i = 0; i < read.size(); i++) {
            Socket socket = sheet.sockets().get(i);
            all.add(read.get(i).orElseGet(() -> with(known.get(0), socket, mean, OptionalDouble.empty())));
        }
        return Optional.of(set(newest.get(), all));
    }

    /** The same tube's idle in another socket, or at another current and plate voltage. */
    public static TubeValues with(TubeValues like, Socket socket, double cathode, OptionalDouble plateVolts) {
        IdleValues values = like.values();
        double by = cathode / values.cathode();
        IdleProblem problem = values.problem();
        double volts = plateVolts.orElse(values.plateVolts());
        IdleProblem scaled = new IdleProblem(
                problem.sense(),
                problem.senseReading() * by,
                problem.senseIsVolts(),
                problem.sharedBy(),
                problem.plate(),
                problem.plateReading() + volts - values.plateVolts(),
                problem.tubesOnHalfPrimary(),
                problem.cathodeVolts(),
                problem.way(),
                problem.screenShare(),
                problem.screenSpread(),
                problem.screenAmps(),
                problem.screenAmpsPlusMinus(),
                problem.screenVolts(),
                problem.meter(),
                problem.plateDigit(),
                problem.senseDigit());
        return new TubeValues(
                socket,
                new IdleValues(
                        scaled,
                        volts,
                        cathode,
                        values.screen() * by,
                        values.plateCurrent() * by,
                        values.cathodeVolts()),
                like.current(),
                like.plate(),
                true);
    }

    /** A reading that was kept against all sense stands in the log and leads no line astray. */
    private static boolean isUsable(IdleValues values) {
        return values.cathode() > LEAST_AMPS
                && values.cathode() < MOST_AMPS
                && values.plateVolts() > LEAST_VOLTS
                && values.plateVolts() < MOST_VOLTS;
    }

    /** The mains as last read over the sheet's; 1 where it was not read, or is no mains. */
    public static double mainsRatio(Moment moment, AmpSheet sheet) {
        return ratio(moment.last(ReadingKind.MAINS), sheet);
    }

    private static double ratio(Optional<Reading> mains, AmpSheet sheet) {
        return mains.map(reading -> reading.value() / sheet.mainsVolts())
                .filter(ratio -> ratio > LEAST_MAINS && ratio < MOST_MAINS)
                .orElse(1.0);
    }

    private double other() {
        return sheet.supply().otherAmps().orElse(0);
    }

    private double noise(double volts) {
        return Math.max(sheet.meter().digits() * sheet.meter().lastOfVolts() / 2, 1e-4 * volts);
    }

    /**
     * The source resistance that was read before the tubes were exchanged, ohm; empty where the supply itself is
     * another.
     */
    public OptionalDouble ohmsBefore() {
        List<Setting> earlier = timeline.earlierSettings().stream()
                .filter(setting -> setting.lacks().isEmpty()
                        && !Hardware.changed(setting.sheet(), sheet).contains(Hardware.SUPPLY))
                .toList();
        int hardware = earlier.stream().mapToInt(Setting::hardware).max().orElse(-1);
        List<SupplyPoint> points = new ArrayList<>();
        for (Setting setting : earlier) {
            List<TubeValues> tubes = new StageIdle(setting.sheet(), setting.occupants())
                    .valuesAt(setting.moment()).stream()
                            .flatMap(Optional::stream)
                            .filter(tube -> isUsable(tube.values()))
                            .toList();
            if (setting.hardware() == hardware
                    && tubes.size() == setting.sheet().sockets().size()) {
                ReadingSet set = set(setting, tubes);
                points.add(new SupplyPoint(
                        set.own(),
                        set.plateVolts(),
                        set.totalAmps(),
                        set.mainsRatio(),
                        noise(set.plateVolts()),
                        false));
            }
        }
        SupplyLine line = points.size() < 2
                ? null
                : new SupplyFit(points, sheet.supply().rectifier().usualOhms(), new SupplyFinding.GuessedAsUsual(0))
                        .fit();
        return line == null || line.isGuessed() ? OptionalDouble.empty() : OptionalDouble.of(line.resistance());
    }

    /** The whole settings, oldest first. */
    public List<ReadingSet> sets() {
        return List.copyOf(sets);
    }

    /** The newest setting, whole or not. */
    public Optional<Setting> newest() {
        return newest;
    }

    /** What is known of the newest setting's tubes, in the order of the sheet. */
    public List<Optional<TubeValues>> newestValues() {
        return newest.map(this::values).orElse(List.of());
    }

    /** What is still to be read to know the setting that is in now. */
    public List<String> wanted() {
        if (newest.isEmpty()) {
            return List.of();
        }
        if (timeline.turnedSince()) {
            List<String> all = new ArrayList<>(sheet.testPoints());
            all.add(Setting.PLATES);
            return all;
        }
        return newest.get().lacks();
    }

    public Timeline timeline() {
        return timeline;
    }

    /** What counts after the last of the readings. */
    public Moment present() {
        return timeline.present().moment();
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
}
