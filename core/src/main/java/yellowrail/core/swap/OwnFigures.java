package yellowrail.core.swap;

import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.tube.TubeType;

/**
 * What it would ask of an amp with cathode bias to change its resistor so that a tube idles in the middle of its
 * window: where that is more than the iron is rated for, the resistor is left as it is.
 *
 * @param each cathode current of a tube then, A
 * @param rail parts of the rail that it is too much for
 * @param output whether it is too much for a single-ended output transformer
 */
record OwnFigures(double each, List<CurrentPath.Stop> rail, boolean output) {

    private static final OwnFigures NOTHING = new OwnFigures(0, List.of(), false);

    static OwnFigures of(SwapAmp amp, TubeType wants, CurrentPath path) {
        OptionalDouble stands = path.each();
        if (!amp.bias().isCathode() || amp.plateVolts().isEmpty() || stands.isEmpty()) {
            return NOTHING;
        }
        double plate = amp.plateVolts().getAsDouble();
        double each = amp.aim(wants, plate);
        double watts = plate * stands.getAsDouble() * (1 - wants.screenShare());
        if (each <= stands.getAsDouble()
                || watts > amp.window().high() * amp.rating(wants).plateWatts()) {
            return NOTHING;
        }
        double total = amp.railWith(each);
        double primary = amp.tubesPerSide() * each * (1 - wants.screenShare());
        return new OwnFigures(
                each,
                path.stops().stream()
                        .filter(stop -> stop.isOnRail() && stop.isTooMuch(total))
                        .toList(),
                path.stops().stream().anyMatch(stop -> stop.part() == OnTheWay.OUTPUT && stop.isTooMuch(primary)));
    }

    boolean areTooMuch() {
        return output || !rail.isEmpty();
    }
}
