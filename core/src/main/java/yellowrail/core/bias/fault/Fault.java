package yellowrail.core.bias.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.Leg;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.Path;
import yellowrail.core.bias.circuit.Way;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;

/**
 * One part gone.
 *
 * @param part which
 * @param how it went
 */
public record Fault(Part part, How how) {

    /** What is left of it. */
    public enum How {
        OPEN,
        SHORT
    }

    /** Every single fault of a supply, in the order of the current. */
    public static List<Fault> all(BiasSupply supply) {
        Circuit circuit = supply.circuit(PotStand.at(0.5), 1);
        List<Fault> all = new ArrayList<>();
        if (supply.smoothing().seriesOhms() > 0) {
            both(all, Part.of(PartKind.SERIES));
        }
        if (circuit.coupling().isPresent()) {
            both(all, Part.of(PartKind.COUPLING));
        }
        both(all, Part.of(PartKind.DIODE));
        if (isClamped(circuit)) {
            both(all, Part.of(PartKind.CLAMP));
        }
        both(all, Part.of(PartKind.RESERVOIR));
        if (circuit.second() > 0) {
            both(all, Part.of(PartKind.SECOND));
        }
        for (Leg leg : circuit.legs()) {
            if (leg.part().kind() == PartKind.METER) {
                continue;
            }
            if (leg.part().kind().isContact()) {
                all.add(new Fault(leg.part(), How.OPEN));
            } else {
                both(all, leg.part());
            }
        }
        return List.copyOf(all);
    }

    private static boolean isClamped(Circuit circuit) {
        return circuit.ways().stream().anyMatch(way -> way.back().leads() == Path.Leads.GROUND);
    }

    private static void both(List<Fault> all, Part part) {
        all.add(new Fault(part, How.OPEN));
        all.add(new Fault(part, How.SHORT));
    }

    /**
     * The same, those that are like another one left out: of pots each for its own tubes, which turn together, one
     * stands for all; a meter makes the first of them another.
     */
    public static List<Fault> unlike(BiasSupply supply) {
        return all(supply).stream()
                .filter(fault -> !isLikeAnother(supply, fault.part()))
                .toList();
    }

    private static boolean isLikeAnother(BiasSupply supply, Part part) {
        return supply.network().kind() == Kind.POT_EACH
                && part.number() > (supply.meter().isPresent() ? 2 : 1);
    }

    /** The wipers that may lose their tracks, those alike once. */
    public static List<Fault> wipers(BiasSupply supply) {
        return supply.circuit(PotStand.COLDEST, 1).legs().stream()
                .map(Leg::part)
                .filter(part -> part.kind() == PartKind.WIPER || part.kind() == PartKind.BALANCE_WIPER)
                .filter(part -> !isLikeAnother(supply, part))
                .map(part -> new Fault(part, How.OPEN))
                .toList();
    }

    /** The circuit with the part gone. */
    public Circuit in(Circuit circuit) {
        return switch (part.kind()) {
            case SERIES ->
                how == How.OPEN
                        ? circuit.with(circuit.seriesOhms(), circuit.coupling(), List.of())
                        : circuit.with(0, circuit.coupling(), circuit.ways());
            case COUPLING ->
                circuit.with(
                        circuit.seriesOhms(), OptionalDouble.empty(), how == How.OPEN ? List.of() : circuit.ways());
            case DIODE -> circuit.with(circuit.seriesOhms(), circuit.coupling(), diode(circuit));
            // Without the clamp no charge comes back, with a short there none arrives.
            case CLAMP -> circuit.with(circuit.seriesOhms(), circuit.coupling(), first(circuit, List.of()));
            case RESERVOIR -> capacitor(circuit, 0, circuit.second(), Circuit.RESERVOIR);
            case SECOND -> capacitor(circuit, circuit.reservoir(), 0, Circuit.SUPPLY);
            default -> circuit.with(legs(circuit));
        };
    }

    private Circuit capacitor(Circuit circuit, double reservoir, double second, String node) {
        return how == How.OPEN
                ? circuit.with(reservoir, second)
                : circuit.with(Stream.concat(circuit.legs().stream(), Stream.of(new Leg(part, node, Circuit.GROUND, 0)))
                        .toList());
    }

    private List<Leg> legs(Circuit circuit) {
        return circuit.legs().stream()
                .filter(leg -> !leg.part().equals(part) || how == How.SHORT)
                .map(leg -> leg.part().equals(part) ? new Leg(part, leg.from(), leg.to(), 0) : leg)
                .toList();
    }

    /** The first diode of the first way; a bridge has another one for the other direction. */
    private List<Way> diode(Circuit circuit) {
        Way way = circuit.ways().get(0);
        if (way.ahead().isFeeding() && way.back().isFeeding()) {
            return List.of(
                    how == How.OPEN ? way.with(way.ahead(), Path.BLOCKED) : way.with(Path.feeds(1), Path.clamps(1)));
        }
        if (how == How.OPEN) {
            return first(circuit, List.of());
        }
        // Behind a coupling capacitor nothing but alternating current is left of that way.
        return first(circuit, circuit.coupling().isPresent() ? List.of() : List.of(way.asShorted()));
    }

    /** The ways with others in place of the first. */
    private static List<Way> first(Circuit circuit, List<Way> others) {
        return Stream.concat(others.stream(), circuit.ways().stream().skip(1)).toList();
    }
}
