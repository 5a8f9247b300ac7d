package yellowrail.core.bias.design;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.Smoothing;

/** What is to be soldered to make one supply of another: a pot of the same value is used again wherever it sat. */
final class Changes {

    private static final double SAME = 1e-6;

    private final List<Change> changes = new ArrayList<>();

    private Changes() {}

    static List<Change> between(BiasSupply before, BiasSupply after) {
        Changes found = new Changes();
        Smoothing was = before.smoothing();
        Smoothing is = after.smoothing();
        found.part(PartKind.SERIES, was.seriesOhms(), is.seriesOhms());
        found.part(PartKind.FEED, was.feedOhms(), is.feedOhms());
        found.part(
                PartKind.RESERVOIR,
                was.reservoirRating().orElse(0),
                is.reservoirRating().orElse(0));
        found.network(before.network(), after.network());
        return found.changes;
    }

    private void network(BiasNetwork was, BiasNetwork is) {
        part(PartKind.UPPER, was.upper(), is.upper());
        part(PartKind.LOWER, was.lower(), is.lower());
        List<Double> old = pots(was);
        List<Double> left = new ArrayList<>(old);
        for (double pot : pots(is)) {
            if (!left.remove(Double.valueOf(pot))) {
                OptionalDouble replaced = left.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(left.remove(0));
                changes.add(new Change(PartKind.WIPER, replaced, OptionalDouble.of(pot)));
            }
        }
        left.forEach(gone -> changes.add(new Change(PartKind.WIPER, OptionalDouble.of(gone), OptionalDouble.empty())));
        part(
                PartKind.WIPER_TO_COLD,
                was.wiperToCold().orElse(0),
                is.wiperToCold().orElse(0));
    }

    private static List<Double> pots(BiasNetwork network) {
        List<Double> pots = new ArrayList<>();
        if (network.kind() == Kind.RANGE_AND_BALANCE) {
            pots.add(network.balance());
        }
        int range = network.kind() == Kind.POT_EACH
                ? network.pots()
                : network.kind().hasPot() ? 1 : 0;
        for (int i = 0; i < range && network.pot() > 0; i++) {
            pots.add(network.pot());
        }
        return pots;
    }

    private void part(PartKind kind, double from, double to) {
        if (Math.abs(from - to) > SAME * Math.max(from, to)) {
            changes.add(new Change(kind, orNone(from), orNone(to)));
        }
    }

    private static OptionalDouble orNone(double value) {
        return value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty();
    }
}
