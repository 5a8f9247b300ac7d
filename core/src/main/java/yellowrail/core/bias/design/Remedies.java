package yellowrail.core.bias.design;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.fault.Fault;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.standard.StandardValues;

/** What makes a supply safe that is not, each tried by solving. */
public final class Remedies {

    /** Beside the pot so large that it hardly narrows the range; and so small that little can load it. */
    private static final List<Double> TIMES_POT = List.of(22.0, 15.0, 10.0, 6.8, 4.7, 3.3, 2.2);

    /** More would be too much between a grid and its bias once the wiper is open, ohm. */
    private static final double MOST = 470e3;

    /** So far what is quickly had may lie off, as a ratio. */
    private static final double QUICKLY = 0.07;

    private Remedies() {}

    /**
     * The supply with a resistor from each wiper to the cold end of its pot, the largest with which an open wiper
     * leaves the grids at the coldest volts; empty where it is safe as it is, or none does.
     */
    public static Optional<BiasRange> failSafe(BiasRange range) {
        BiasSupply supply = range.supply();
        BiasNetwork network = supply.network();
        return range.isFailSafe()
                ? Optional.empty()
                : TIMES_POT.stream()
                        .map(times -> StandardValues.E12.nearest(Math.min(MOST, times * network.pot())))
                        .map(ohms -> supply.with(network.withWiperToCold(OptionalDouble.of(ohms))))
                        .filter(better -> mayBeSafe(better, range))
                        .map(better -> new BiasRange(better, range.mainsHigh()))
                        .filter(BiasRange::isFailSafe)
                        .findFirst();
    }

    /** By what is quickly had: what it rules out need not be solved. */
    private static boolean mayBeSafe(BiasSupply better, BiasRange range) {
        double coldest = BiasRange.grid(range.of(better.circuit(PotStand.COLDEST, 1)));
        return Fault.wipers(better).stream()
                .map(fault -> range.of(fault.in(better.circuit(PotStand.COLDEST, 1))))
                .allMatch(state -> state.circuit().grids().stream()
                        .allMatch(node -> -state.volts(node) <= coldest * (1 - QUICKLY)));
    }

    /** Whether the hottest stop drives the plates past their rating. */
    public static boolean isHotStopOver(BiasRange range, GridNeed need) {
        return need.watts(range.hottestVolts()) > need.rated();
    }

    /**
     * The supply with so much more between the hot end of its pot and ground that the hottest stop stays below the
     * rating; empty where no standard value does without losing what the tubes need.
     */
    public static Optional<BiasSupply> endStop(BiasRange range, GridNeed need) {
        BiasSupply supply = range.supply();
        BiasNetwork network = supply.network();
        if (!network.kind().hasPot()) {
            return Optional.empty();
        }
        return StandardValues.E24.between(network.lower(), network.lower() + 2 * network.pot()).stream()
                .filter(ohms -> ohms > network.lower())
                .map(ohms -> supply.with(network.with(network.upper(), network.pot(), ohms)))
                .filter(better ->
                        need.watts(BiasRange.grid(range.of(better.circuit(PotStand.HOTTEST, 1)))) <= need.rated())
                .findFirst()
                .filter(better -> new BiasRange(better, range.mainsHigh()).reaches(need.volts()));
    }
}
