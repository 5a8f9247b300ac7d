package yellowrail.core.heater;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.tube.TubeCatalogue;

/**
 * The heaters of one winding before and after all tubes of one type on it are exchanged for another.
 *
 * @param label of the winding
 * @param count how many are exchanged
 * @param before what all on it take, A
 * @param after A
 * @param ratedAmps empty where nobody knows
 * @param fits whether the winding’s volts are those that the other type wants, whole or in halves
 * @param allKnown whether what everything on it takes is known
 */
public record HeaterExchange(
        String label,
        int count,
        double before,
        double after,
        OptionalDouble ratedAmps,
        boolean fits,
        boolean allKnown) {

    /** @return of the first winding with the type on it; empty where none has */
    public static Optional<HeaterExchange> of(
            List<HeaterWinding> windings, String in, String wants, TubeCatalogue catalogue) {
        return windings.stream()
                .filter(winding -> winding.loads().stream().anyMatch(load -> is(load, in)))
                .findFirst()
                .map(winding -> of(winding, in, wants, catalogue));
    }

    private static boolean is(HeaterWinding.Load load, String type) {
        return load.type().equalsIgnoreCase(type);
    }

    private static HeaterExchange of(HeaterWinding winding, String in, String wants, TubeCatalogue catalogue) {
        HeaterWinding other = new HeaterWinding(
                winding.label(),
                winding.volts(),
                winding.ratedAmps(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                winding.loads().stream()
                        .map(load -> is(load, in)
                                ? new HeaterWinding.Load(wants, load.count(), OptionalDouble.empty())
                                : load)
                        .toList());
        HeaterBudget before = new HeaterBudget(winding, catalogue);
        HeaterBudget after = new HeaterBudget(other, catalogue);
        return new HeaterExchange(
                winding.label(),
                winding.loads().stream()
                        .filter(load -> is(load, in))
                        .mapToInt(HeaterWinding.Load::count)
                        .sum(),
                before.amps(),
                after.amps(),
                winding.ratedAmps(),
                after.says().stream()
                        .noneMatch(says -> says instanceof HeaterFinding.OtherVolts apart
                                && apart.type().equals(wants)),
                after.says().stream().noneMatch(HeaterFinding.NotKnown.class::isInstance));
    }
}
