package yellowrail.core.timeline;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * The setting that is being read. A reading that is taken again and differs begins a new one, but what was typed on one
 * line is of one setting, whatever it says of the readings before.
 *
 * <p>Some builders read the mains before the tubes and some after, so the habit seen first decides to which setting a
 * mains reading belongs.
 */
final class OpenSetting {

    static final Set<ReadingKind> KINDS = EnumSet.of(
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

    private final Map<String, Reading> own = new LinkedHashMap<>();
    private boolean turned;
    private Optional<Reading> mainsAtLastOwn = Optional.empty();
    private Optional<Reading> mainsBefore = Optional.empty();
    private Optional<Boolean> mainsComesFirst = Optional.empty();

    /**
     * Two readings of one place that cannot be of one setting; {@code certain} where nothing but a move explains it.
     */
    record Moved(Reading before, Reading now, boolean certain) {}

    /** What of a line is read again and has moved; a turn or a tube on the line before it says why. */
    Optional<Moved> moved(List<Reading> line) {
        for (Reading reading : line) {
            if (reading.kind() == ReadingKind.TURN || reading.kind() == ReadingKind.TUBE) {
                return Optional.empty();
            }
            Reading before = own.get(place(reading));
            if (KINDS.contains(reading.kind()) && before != null && differs(before, reading, 1)) {
                return Optional.of(new Moved(before, reading, differs(before, reading, MOVED)));
            }
        }
        return Optional.empty();
    }

    private static boolean differs(Reading before, Reading now, double times) {
        boolean volts = now.kind() == ReadingKind.PLATE || now.kind() == ReadingKind.BIAS;
        return Math.abs(now.value() - before.value()) > times * (volts ? SAME_VOLTS : SAME) * Math.abs(before.value());
    }

    /** Where a reading of a setting was taken: its kind and its place, or the plates. */
    static String place(Reading reading) {
        return reading.kind() == ReadingKind.PLATE && reading.entry().target().isEmpty()
                ? Setting.PLATES
                : reading.kind() + "@" + reading.entry().target();
    }

    /** @param counts what counts before the reading */
    void add(Reading reading, Moment.Running counts) {
        if (own.isEmpty()) {
            mainsBefore = counts.last(ReadingKind.MAINS);
            mainsComesFirst = mainsComesFirst.or(() -> Optional.of(mainsBefore.isPresent()));
        }
        own.remove(place(reading));
        own.put(place(reading), reading);
        mainsAtLastOwn = counts.last(ReadingKind.MAINS);
    }

    void turned() {
        turned = true;
    }

    boolean isTurned() {
        return turned;
    }

    /** Nothing was read yet. */
    void forget() {
        own.clear();
    }

    /** Ends it. @return the setting; empty where nothing was read in it */
    Optional<Setting> finish(int hardware, AmpSheet sheet, List<Occupant> occupants, Moment.Running counts) {
        if (own.isEmpty()) {
            return Optional.empty();
        }
        Setting done =
                new Setting(hardware, sheet, occupants, List.copyOf(own.values()), counts.now(), mains(counts), turned);
        turned = false;
        own.clear();
        return Optional.of(done);
    }

    /** The mains that belong to it: read while it was open, else just before it, or just after by habit. */
    private Optional<Reading> mains(Moment.Running counts) {
        boolean readDuring = !mainsAtLastOwn.equals(mainsBefore);
        return readDuring || mainsComesFirst.orElse(true) ? mainsAtLastOwn : counts.last(ReadingKind.MAINS);
    }
}
