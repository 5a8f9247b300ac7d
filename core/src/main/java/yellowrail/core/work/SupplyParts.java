package yellowrail.core.work;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.Leg;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.design.BiasDesign;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.work.PartLine.Deed;

/**
 * The parts of a bias supply, but for the grid leaks, with what each has to stand; and what of another supply goes into
 * it again.
 */
final class SupplyParts {

    /** What diodes are sold for, V. */
    private static final List<Double> DIODE_VOLTS = List.of(100.0, 200.0, 400.0, 600.0, 800.0, 1000.0, 1600.0);

    private static final double DIODE_ROOM = 1.5;
    private static final Set<PartKind> NO_PARTS =
            EnumSet.of(PartKind.WIPER, PartKind.BALANCE_WIPER, PartKind.METER, PartKind.LEAK);

    private final BiasRange range;
    private final BiasSupply supply;
    private final List<Item> items = new ArrayList<>();

    /**
     * A part.
     *
     * @param value ohm or F; empty of a diode
     * @param rating what it has to stand: W of a resistor, V of the others
     * @param fitted what it is rated for by the one who drew it; empty where that is not known
     */
    private record Item(PartKind kind, OptionalDouble value, double rating, OptionalDouble fitted) {

        /** Whether one can stand for the other: of the same value, and not known to be too weak. */
        boolean serves(Item wanted) {
            boolean pots = isPot() && wanted.isPot();
            return (kind == wanted.kind || pots)
                    && value.equals(wanted.value)
                    && fitted.orElse(wanted.rating) >= (isResistor() ? wanted.rating / 2 : wanted.rating);
        }

        private boolean isResistor() {
            return !kind.isCapacitor() && !kind.isDiode();
        }

        private boolean isPot() {
            return kind == PartKind.POT || kind == PartKind.BALANCE;
        }

        PartLine line(Deed deed, int count) {
            Unit unit = kind.isCapacitor() ? Unit.MICROFARAD : Unit.KILOHM;
            return new PartLine(
                    deed,
                    kind,
                    count,
                    value.isPresent() ? Optional.of(new Amount(unit, value.getAsDouble())) : Optional.empty(),
                    deed == Deed.TAKE_OUT
                            ? Optional.empty()
                            : Optional.of(new Amount(
                                    isResistor() ? Unit.WATT : Unit.VOLT, Math.max(rating, fitted.orElse(0)))));
        }
    }

    private SupplyParts(BiasRange range) {
        this.range = range;
        this.supply = range.supply();
        diodes();
        capacitors();
        resistors();
    }

    /** All parts of a supply; what of an earlier one is used again stays, what is left of that comes out. */
    static List<PartLine> of(BiasRange range, Optional<BiasRange> before) {
        List<Item> left =
                new ArrayList<>(before.map(was -> new SupplyParts(was).items).orElse(List.of()));
        Map<Item, Integer> fit = new LinkedHashMap<>();
        Map<Item, Integer> stay = new LinkedHashMap<>();
        for (Item wanted : new SupplyParts(range).items) {
            Optional<Item> again =
                    left.stream().filter(item -> item.serves(wanted)).findFirst();
            again.ifPresent(left::remove);
            (again.isPresent() ? stay : fit).merge(wanted, 1, Integer::sum);
        }
        Map<Item, Integer> out = new LinkedHashMap<>();
        left.forEach(item -> out.merge(item, 1, Integer::sum));
        List<PartLine> lines = new ArrayList<>();
        fit.forEach((item, count) -> lines.add(item.line(Deed.FIT, count)));
        out.forEach((item, count) -> lines.add(item.line(Deed.TAKE_OUT, count)));
        stay.forEach((item, count) -> lines.add(item.line(Deed.STAYS, count)));
        return lines;
    }

    /** Behind a half wave they block the winding's peak and the reservoir; in a bridge one peak between two. */
    private void diodes() {
        BiasSource source = supply.source();
        boolean bridge = source.rectification() == Rectification.BRIDGE;
        double peak = Math.sqrt(2) * source.volts() * range.mainsHigh();
        double blocks = DIODE_ROOM * (bridge ? peak : peak + range.reservoirMost());
        double rating = DIODE_VOLTS.stream()
                .filter(volts -> volts >= blocks)
                .findFirst()
                .orElse(blocks);
        int count = bridge ? 4 : source.rectification() == Rectification.FULL_WAVE ? 2 : 1;
        add(PartKind.DIODE, OptionalDouble.empty(), rating, OptionalDouble.empty(), count);
        if (source.coupling().isPresent()) {
            add(PartKind.CLAMP, OptionalDouble.empty(), rating, OptionalDouble.empty(), bridge ? 0 : count);
            add(PartKind.COUPLING, source.coupling(), BiasDesign.ratingFor(2 * peak), OptionalDouble.empty(), 1);
        }
    }

    private void capacitors() {
        Smoothing smoothing = supply.smoothing();
        add(
                PartKind.RESERVOIR,
                OptionalDouble.of(smoothing.reservoir()),
                BiasDesign.ratingFor(range.reservoirMost()),
                smoothing.reservoirRating(),
                1);
        if (smoothing.second() > 0) {
            add(
                    PartKind.SECOND,
                    OptionalDouble.of(smoothing.second()),
                    BiasDesign.ratingFor(range.secondHigh()),
                    smoothing.secondRating(),
                    1);
        }
    }

    private void resistors() {
        Map<Part, Double> worked = range.worked(range.mainsHigh());
        Set<Part> seen = new HashSet<>();
        if (supply.smoothing().seriesOhms() > 0) {
            resistor(Part.of(PartKind.SERIES), supply.smoothing().seriesOhms(), worked);
        }
        for (Leg leg : supply.circuit(PotStand.at(0.5), 1).legs()) {
            Part part = new Part(leg.part().kind().whole(), leg.part().number());
            if (!NO_PARTS.contains(leg.part().kind()) && seen.add(part)) {
                double ohms = switch (part.kind()) {
                    case POT -> supply.network().pot();
                    case BALANCE -> supply.network().balance();
                    default -> leg.ohms();
                };
                if (ohms > 0) {
                    resistor(part, ohms, worked);
                }
            }
        }
    }

    private void resistor(Part part, double ohms, Map<Part, Double> worked) {
        Double known = supply.rated().get(part.kind());
        add(
                part.kind(),
                OptionalDouble.of(ohms),
                StandardValues.wattsFor(worked.get(part)),
                known == null ? OptionalDouble.empty() : OptionalDouble.of(known),
                1);
    }

    private void add(PartKind kind, OptionalDouble value, double rating, OptionalDouble fitted, int count) {
        for (int i = 0; i < count; i++) {
            items.add(new Item(kind, value, rating, fitted));
        }
    }
}
