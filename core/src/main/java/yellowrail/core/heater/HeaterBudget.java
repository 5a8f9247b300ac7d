package yellowrail.core.heater;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.powerup.HeaterCheck;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.SmallTube;
import yellowrail.core.tube.TubeCatalogue;

/**
 * What hangs on a winding, summed up against its rating; and from its volts bare and loaded how far it sags:
 * {@code (Vbare - Vloaded) / Vloaded}, and the resistance behind it, {@code (Vbare - Vloaded) / I}.
 */
public final class HeaterBudget {

    /** Volts of a heater that are nearer than this to the winding's are meant to be the same, as a ratio. */
    private static final double SAME = 0.06;

    private final HeaterWinding winding;
    private final OptionalDouble bare;
    private final OptionalDouble loaded;
    private final Map<HeaterWinding.Load, Double> each = new LinkedHashMap<>();
    private final List<String> unknown = new ArrayList<>();
    private final List<String> verify = new ArrayList<>();
    private final List<HeaterFinding> apart = new ArrayList<>();

    /** What one tube of a type takes, and at what volts. */
    private record Heater(double volts, double amps, boolean centreTap, boolean sure) {}

    public HeaterBudget(HeaterWinding winding, TubeCatalogue catalogue) {
        this(winding, winding.bare(), winding.loaded(), catalogue);
    }

    /**
     * @param bare as it was read on the bench, where that is newer than what the winding says
     * @param loaded likewise
     */
    public HeaterBudget(HeaterWinding winding, OptionalDouble bare, OptionalDouble loaded, TubeCatalogue catalogue) {
        this.winding = winding;
        this.bare = bare;
        this.loaded = loaded;
        for (HeaterWinding.Load load : winding.loads()) {
            OptionalDouble amps = load.amps().isPresent()
                    ? load.amps()
                    : heater(load.type(), catalogue)
                            .map(heater -> amps(load.type(), heater))
                            .orElse(OptionalDouble.empty());
            if (amps.isPresent()) {
                each.put(load, amps.getAsDouble());
            } else {
                unknown.add(load.type());
            }
        }
    }

    private static Optional<Heater> heater(String type, TubeCatalogue catalogue) {
        return catalogue
                .find(type)
                .map(tube -> new Heater(
                        tube.heaterVolts(),
                        tube.heaterAmps(),
                        false,
                        tube.customaryRating().sure()))
                .or(() -> SmallTube.find(type)
                        .map(tube -> new Heater(tube.heaterVolts(), tube.heaterAmps(), tube.centreTap(), tube.sure())))
                .or(() -> RectifierType.find(type)
                        .filter(tube -> !tube.isSilicon())
                        .map(tube -> new Heater(tube.heaterVolts(), tube.heaterAmps(), false, tube.sure())));
    }

    private OptionalDouble amps(String type, Heater heater) {
        if (!heater.sure()) {
            verify.add(type);
        }
        boolean halves = heater.centreTap() && isNear(heater.volts() / 2);
        if (!halves && !isNear(heater.volts())) {
            apart.add(new HeaterFinding.OtherVolts(type, heater.volts(), winding.volts()));
        }
        return OptionalDouble.of(halves ? 2 * heater.amps() : heater.amps());
    }

    private boolean isNear(double volts) {
        return Math.abs(volts / winding.volts() - 1) <= SAME;
    }

    public HeaterWinding winding() {
        return winding;
    }

    /** What one of each takes, A; those of which that is not known are missing. */
    public Map<HeaterWinding.Load, Double> each() {
        return each;
    }

    /** All of it, A. */
    public double amps() {
        return each.entrySet().stream()
                .mapToDouble(load -> load.getKey().count() * load.getValue())
                .sum();
    }

    /** How far it sags, as a ratio of the loaded volts; empty where not both were read. */
    public OptionalDouble regulation() {
        return bare.isPresent() && loaded.isPresent()
                ? OptionalDouble.of(bare.getAsDouble() / loaded.getAsDouble() - 1)
                : OptionalDouble.empty();
    }

    /** What it has to say, the sum first. */
    public List<HeaterFinding> says() {
        List<HeaterFinding> says = new ArrayList<>();
        says.add(sum());
        if (!unknown.isEmpty()) {
            says.add(new HeaterFinding.NotKnown(unknown));
        }
        says.addAll(apart);
        if (!verify.isEmpty()) {
            says.add(new HeaterFinding.Verify(verify));
        }
        loaded.ifPresent(volts -> says.add(loaded(volts)));
        if (regulation().isPresent()) {
            double ratio = regulation().getAsDouble();
            says.add(
                    ratio < 0
                            ? new HeaterFinding.BareBelowLoaded()
                            : new HeaterFinding.Sags(
                                    bare.getAsDouble(),
                                    loaded.getAsDouble(),
                                    ratio,
                                    amps() > 0 ? (bare.getAsDouble() - loaded.getAsDouble()) / amps() : 0));
        }
        return says;
    }

    private HeaterFinding sum() {
        if (winding.ratedAmps().isEmpty()) {
            return new HeaterFinding.Takes(amps());
        }
        double rated = winding.ratedAmps().getAsDouble();
        return amps() > rated
                ? new HeaterFinding.TakesMore(amps(), rated, amps() / rated)
                : new HeaterFinding.TakesOf(amps(), rated, amps() / rated);
    }

    private HeaterFinding loaded(double volts) {
        double off = volts / winding.volts() - 1;
        if (Math.abs(off) <= HeaterCheck.PREFERRED + 1e-9) {
            return new HeaterFinding.LoadedGood(volts, off);
        }
        return Math.abs(off) <= HeaterCheck.MOST + 1e-9
                ? new HeaterFinding.LoadedAllowed(volts, off)
                : new HeaterFinding.LoadedWrong(volts, off);
    }
}
