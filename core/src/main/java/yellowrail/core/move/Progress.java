package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Setting;

/**
 * Where a stage with several pots stands while they are turned one after the other: the tubes whose point was read
 * again are where they were read, the others where the supply has taken them.
 */
final class Progress {

    private final StageIdle stage;
    private final SupplyReadings readings;
    private final SupplyLine line;

    Progress(StageIdle stage, SupplyReadings readings, SupplyLine line) {
        this.stage = stage;
        this.readings = readings;
        this.line = line;
    }

    /** @return the half-read setting, filled in; empty where nothing was read since the last whole one */
    Optional<ReadingSet> set() {
        List<ReadingSet> sets = readings.sets();
        Optional<Setting> open =
                readings.newest().filter(setting -> !setting.lacks().isEmpty());
        if (sets.isEmpty() || open.isEmpty()) {
            return Optional.empty();
        }
        ReadingSet base = sets.get(sets.size() - 1);
        AmpSheet sheet = stage.sheet();
        double[] amps = new double[sheet.sockets().size()];
        boolean[] read = new boolean[amps.length];
        for (int i = 0; i < amps.length; i++) {
            String point = sheet.sockets().get(i).testPoint();
            Optional<Reading> now = open.get().own().stream()
                    .filter(reading -> reading.entry().isCurrent()
                            && reading.entry().target().equals(point))
                    .reduce((one, later) -> later);
            double before = base.values(i).problem().senseReading();
            read[i] = now.isPresent() && now.get().value() > 0 && before > 0;
            amps[i] = base.cathode(i) * (read[i] ? now.get().value() / before : 1);
        }
        return anyRead(read) ? Optional.of(filled(base, open.get(), amps, read)) : Optional.empty();
    }

    private static boolean anyRead(boolean[] read) {
        for (boolean each : read) {
            if (each) {
                return true;
            }
        }
        return false;
    }

    private ReadingSet filled(ReadingSet base, Setting open, double[] amps, boolean[] read) {
        Coupling coupling = new Coupling(stage, List.of(base));
        double from = base.plateVolts();
        Optional<Reading> plate = open.own().stream()
                .filter(reading -> reading.kind() == ReadingKind.PLATE
                        && reading.entry().target().isEmpty())
                .reduce((one, later) -> later);
        double volts = plate.map(reading ->
                        from + reading.value() - base.values(0).problem().plateReading())
                .orElse(from);
        for (int turn = 0; turn < 6; turn++) {
            for (int i = 0; i < amps.length; i++) {
                amps[i] = read[i] ? amps[i] : coupling.at(i, base.cathode(i), from, volts);
            }
            if (plate.isEmpty()) {
                double total = base.other();
                for (double each : amps) {
                    total += each;
                }
                volts = from - line.resistance() * (total - base.totalAmps());
            }
        }
        List<TubeValues> tubes = new ArrayList<>();
        for (int i = 0; i < amps.length; i++) {
            double toCathode = base.values(i).plateVolts() + volts - from;
            TubeValues tube = SupplyReadings.with(
                    base.tubes().get(i), base.tubes().get(i).socket(), amps[i], OptionalDouble.of(toCathode));
            tubes.add(new TubeValues(tube.socket(), tube.values(), tube.current(), tube.plate(), !read[i]));
        }
        return new ReadingSet(open, tubes, base.mainsRatio(), base.other(), base.lifted());
    }
}
