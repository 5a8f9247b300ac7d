package yellowrail.core.bias.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.Leg;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.Way;

/** Writes a supply out as nodes and the resistances between them, its pots standing somewhere. */
final class Wiring {

    private final BiasSupply supply;
    private final BiasNetwork network;
    private final PotStand stand;
    private final double mains;
    private final List<Leg> legs = new ArrayList<>();
    private final List<String> feeds = new ArrayList<>();

    Wiring(BiasSupply supply, PotStand stand, double mains) {
        this.supply = supply;
        this.network = supply.network();
        this.stand = stand;
        this.mains = mains;
    }

    Circuit circuit() {
        Smoothing smoothing = supply.smoothing();
        BiasSource source = supply.source();
        String top = join(PartKind.FEED, 0, Circuit.RESERVOIR, Circuit.SUPPLY, smoothing.feedOhms());
        switch (network.kind()) {
            case DIVIDER_POT -> divider(top, 0);
            case POT_EACH -> IntStream.rangeClosed(1, network.pots()).forEach(number -> divider(top, number));
            case FIXED -> fixed(top);
            case RHEOSTAT_SHUNT -> rheostat(top);
            case RANGE_AND_BALANCE -> balanced(top);
        }
        boolean joined = top.equals(Circuit.RESERVOIR);
        return new Circuit(
                Math.sqrt(2) * source.volts() * mains,
                source.hertz(),
                source.ohms(),
                smoothing.seriesOhms(),
                source.coupling(),
                ways(source),
                smoothing.reservoir() + (joined ? smoothing.second() : 0),
                joined ? 0 : smoothing.second(),
                legs,
                grids());
    }

    private static List<Way> ways(BiasSource source) {
        boolean coupled = source.coupling().isPresent();
        return switch (source.rectification()) {
            case BRIDGE -> List.of(Way.bridge());
            case HALF_WAVE -> List.of(coupled ? Way.clamped(1) : Way.halfWave(1));
            case FULL_WAVE ->
                coupled ? List.of(Way.clamped(1), Way.clamped(-1)) : List.of(Way.halfWave(1), Way.halfWave(-1));
        };
    }

    /** A resistor where there is one; else both ends are the same node. */
    private String join(PartKind kind, int number, String from, String to, double ohms) {
        if (!(ohms > 0)) {
            return from;
        }
        legs.add(new Leg(new Part(kind, number), from, to, ohms));
        return to;
    }

    private void leg(PartKind kind, int number, String from, String to, double ohms) {
        legs.add(new Leg(new Part(kind, number), from, to, ohms));
    }

    private void divider(String top, int number) {
        String of = number == 0 ? "" : String.valueOf(number);
        String high = join(PartKind.UPPER, number, top, "high" + of, network.upper());
        String track = "track" + of;
        String wiper = "wiper" + of;
        String low = network.lower() > 0 ? "low" + of : Circuit.GROUND;
        leg(PartKind.POT_COLD_END, number, high, track, network.pot() * stand.range());
        leg(PartKind.POT_HOT_END, number, track, low, network.pot() * (1 - stand.range()));
        leg(PartKind.WIPER, number, track, wiper, 0);
        join(PartKind.LOWER, number, low, Circuit.GROUND, network.lower());
        network.wiperToCold().ifPresent(ohms -> leg(PartKind.WIPER_TO_COLD, number, wiper, high, ohms));
        feeds.add(wiper);
    }

    private void fixed(String top) {
        String node = join(PartKind.UPPER, 0, top, "node", network.upper());
        join(PartKind.LOWER, 0, node, Circuit.GROUND, network.lower());
        bridgeUpper(node, top);
        feeds.add(node);
    }

    private void rheostat(String top) {
        String node = join(PartKind.UPPER, 0, top, "node", network.upper());
        String low = join(PartKind.LOWER, 0, node, "low", network.lower());
        shunt(low);
        bridgeUpper(node, top);
        feeds.add(node);
    }

    /** From a node through the range pot to ground: all of its track at the coldest stop. */
    private void shunt(String low) {
        leg(PartKind.POT_COLD_END, 0, low, "track", network.pot() * (1 - stand.range()));
        leg(PartKind.WIPER, 0, "track", Circuit.GROUND, 0);
        if (network.tied()) {
            leg(PartKind.POT_HOT_END, 0, "track", Circuit.GROUND, network.pot() * stand.range());
        }
    }

    private void bridgeUpper(String node, String top) {
        if (!node.equals(top)) {
            network.wiperToCold().ifPresent(ohms -> leg(PartKind.WIPER_TO_COLD, 0, node, top, ohms));
        }
    }

    private void balanced(String top) {
        String first = join(PartKind.UPPER, 1, top, "first", network.upper());
        String second = join(PartKind.UPPER, 2, top, "second", network.upper());
        leg(PartKind.BALANCE_FIRST_END, 0, first, "middle", network.balance() * stand.balance());
        leg(PartKind.BALANCE_SECOND_END, 0, "middle", second, network.balance() * (1 - stand.balance()));
        leg(PartKind.BALANCE_WIPER, 0, "middle", "wiper", 0);
        shunt(join(PartKind.LOWER, 0, "wiper", "low", network.lower()));
        feeds.add(first);
        feeds.add(second);
    }

    /** Behind the leaks, where the meter is put; a tremolo hangs before them. */
    private List<String> grids() {
        List<String> grids = new ArrayList<>();
        for (int i = 0; i < feeds.size(); i++) {
            String feed = feeds.get(i);
            int number = feeds.size() == 1 ? 0 : i + 1;
            network.tremolo().ifPresent(ohms -> leg(PartKind.TREMOLO, number, feed, Circuit.GROUND, ohms));
            grids.add(join(PartKind.LEAK, number, feed, "grid" + (number == 0 ? "" : number), supply.leak()));
        }
        supply.meter().ifPresent(ohms -> leg(PartKind.METER, 0, grids.get(0), Circuit.GROUND, ohms));
        return grids;
    }
}
