package yellowrail.core.part.stress;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.part.CapacitorLife;
import yellowrail.core.part.stress.PartRemark.Working;
import yellowrail.core.powerup.ColdStart;

/** The first capacitor of the plate supply: its volts running and cold, its ripple current, its years. */
public final class CapacitorReview {

    private final Map<Working, Double> volts = new EnumMap<>(Working.class);

    /**
     * @param running what the supply stands at, to ground, V
     * @param high the highest mains over the sheet's, &ge; 1
     */
    public CapacitorReview(AmpSheet sheet, double running, double high) {
        volts.put(Working.RUNNING, running);
        volts.put(Working.RUNNING_AT_HIGH_MAINS, high * running);
        if (ColdStart.isReached(sheet)) {
            ColdStart.of(sheet, 1).ifPresent(cold -> volts.put(Working.COLD, cold.volts()));
            ColdStart.of(sheet, high).ifPresent(cold -> volts.put(Working.COLD_AT_HIGH_MAINS, cold.volts()));
        }
    }

    /** What it stands at, V. */
    public Map<Working, Double> volts() {
        return volts;
    }

    /** The most of it, V. */
    public double most() {
        return volts.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
    }

    /** Every rating that is passed, or else the worst that is held. */
    public List<PartRemark> voltage(OptionalDouble rated) {
        Map.Entry<Working, Double> worst =
                volts.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
        if (rated.isEmpty()) {
            return List.of(new PartRemark.CapacitorNotRated(worst.getKey(), worst.getValue()));
        }
        double limit = rated.getAsDouble();
        List<PartRemark> passed = new ArrayList<>();
        volts.forEach((working, at) -> {
            if (at > limit) {
                passed.add(new PartRemark.CapacitorPassed(working, at, limit));
            }
        });
        return passed.isEmpty()
                ? List.of(new PartRemark.CapacitorHolds(
                        worst.getKey(), worst.getValue(), limit, 1 - worst.getValue() / limit))
                : passed;
    }

    public static PartRemark ripple(double amps, OptionalDouble rated) {
        if (rated.isEmpty()) {
            return new PartRemark.RippleToBear(amps);
        }
        return amps > rated.getAsDouble()
                ? new PartRemark.RippleOver(amps, rated.getAsDouble())
                : new PartRemark.RippleHolds(amps, rated.getAsDouble());
    }

    /** @param weekly hours it works in a week */
    public static PartRemark life(CapacitorLife life, double celsius, double weekly) {
        double years = life.yearsAt(celsius, weekly);
        return years >= CapacitorLife.SEAL_YEARS
                ? new PartRemark.LastsAsLongAsItsSeal(years)
                : new PartRemark.Lasts(celsius, years);
    }
}
