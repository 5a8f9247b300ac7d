package yellowrail.core.bias;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.AcSide;
import yellowrail.core.bias.circuit.Circuit;
import yellowrail.core.bias.circuit.Leg;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.circuit.SteadyStateSolver;
import yellowrail.core.bias.fault.Fault;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.root.Root;

/**
 * What a bias supply gives at both stops of its pot and between them, and what its parts bear. Grid volts are negative;
 * volts of capacitors are magnitudes. With several pots all turn together, a balance pot stands in its middle; of
 * several grids the first is told, which there is like the others.
 */
public final class BiasRange {

    /** How far a single-turn pot turns from stop to stop, degrees. */
    public static final double TURN = 270;

    private static final double CLOSE = 1e-5;
    private static final double A_TOUCH = 0.005;
    /** An open wiper may leave the grids that much less negative than the coldest stop and still be called safe. */
    private static final double AS_COLD = 0.01;

    private final BiasSupply supply;
    private final double high;
    private final AcSide ac;
    /** What was asked for already; not for several threads at once. */
    private final Map<Asked, SteadyState> solved = new HashMap<>();

    private final SteadyState coldest;
    private final SteadyState hottest;
    private final OptionalDouble wiperOpen;

    /**
     * One case of the supply.
     *
     * @param open the wiper that is off its track
     */
    private record Asked(PotStand stand, double mains, Optional<Fault> open) {}

    /** @param high the highest mains this house sees, over the sheet's, &ge; 1 */
    public BiasRange(BiasSupply supply, double high) {
        this.supply = supply;
        this.high = high;
        this.ac = new AcSide(supply.circuit(PotStand.COLDEST, 1));
        this.coldest = at(PotStand.COLDEST);
        this.hottest = at(PotStand.HOTTEST);
        this.wiperOpen = open(1).stream()
                .flatMap(state -> state.circuit().grids().stream().map(node -> -state.volts(node)))
                .mapToDouble(Double::doubleValue)
                .max();
    }

    private SteadyState solved(PotStand stand, double mains, Optional<Fault> open) {
        return solved.computeIfAbsent(new Asked(stand, mains, open), asked -> {
            Circuit whole = supply.circuit(stand, mains);
            return SteadyStateSolver.solve(open.map(fault -> fault.in(whole)).orElse(whole));
        });
    }

    /** With each wiper off its track in turn, the pots at their coldest stop. */
    private List<SteadyState> open(double mains) {
        return Fault.wipers(supply).stream()
                .map(fault -> solved(PotStand.COLDEST, mains, Optional.of(fault)))
                .toList();
    }

    /** At the coldest stop and the highest mains. */
    private SteadyState highest() {
        return solved(PotStand.COLDEST, high, Optional.empty());
    }

    /** A supply with the AC side of this one, or the same with a part gone, as fast as it can be had. */
    public SteadyState of(Circuit circuit) {
        return ac.with(circuit);
    }

    private SteadyState near(PotStand stand, double mains) {
        return ac.with(supply.circuit(stand, mains));
    }

    /** Grid volts at a stand of the pot, near enough to draw and to search by, V, negative. */
    public double gridNear(double turn) {
        return grid(near(PotStand.at(turn), 1));
    }

    public BiasSupply supply() {
        return supply;
    }

    public double mainsHigh() {
        return high;
    }

    /** What settles with the pots standing somewhere, at the sheet's mains. */
    public SteadyState at(PotStand stand) {
        return solved(stand, 1, Optional.empty());
    }

    /** Grid volts at the coldest stop, V, negative. */
    public double coldestVolts() {
        return grid(coldest);
    }

    public double hottestVolts() {
        return grid(hottest);
    }

    /** The reservoir's, at the coldest stop and the sheet's mains, V. */
    public SteadyState coldest() {
        return coldest;
    }

    public SteadyState hottest() {
        return hottest;
    }

    /** Of the first grid, V, negative. */
    public static double grid(SteadyState state) {
        return -state.volts(state.circuit().grids().get(0));
    }

    /** Whether the pot reaches it. */
    public boolean reaches(double grid) {
        return grid >= coldestVolts() && grid <= hottestVolts();
    }

    /** Where on the travel it lies, 0 at the coldest stop to 1 at the hottest; empty where the pot does not reach. */
    public OptionalDouble travel(double grid) {
        if (!reaches(grid) || !supply.network().kind().hasPot()) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Root.between(turn -> gridNear(turn) - grid, 0, 1, CLOSE));
    }

    /** How fast the grids move at a stand of the pot, V a degree; less negative is more. */
    public double perDegree(double turn) {
        double from = Math.max(0, turn - A_TOUCH);
        double to = Math.min(1, turn + A_TOUCH);
        return (gridNear(to) - gridNear(from)) / ((to - from) * TURN);
    }

    /** Mean volts of the reservoir with the pot at its coldest stop at the highest mains, or its wiper open, V. */
    public double reservoirHigh() {
        return Math.max(highest().reservoir(), mostOpen(Circuit.RESERVOIR));
    }

    /** The same at the top of its ripple: what the capacitor has to bear, V. */
    public double reservoirMost() {
        return reservoirHigh() + highest().ripple() / 2;
    }

    /** The second capacitor likewise; the reservoir's where it hangs beside that, V. */
    public double secondHigh() {
        String node = supply.smoothing().feedOhms() > 0 ? Circuit.SUPPLY : Circuit.RESERVOIR;
        return Math.max(highest().volts(node) + highest().ripple(node) / 2, mostOpen(node));
    }

    private double mostOpen(String node) {
        return open(high).stream().mapToDouble(state -> state.volts(node)).max().orElse(0);
    }

    /**
     * What the worst placed grid gets when a wiper loses its track, V, negative or 0; empty where there is no wiper.
     */
    public OptionalDouble wiperOpenVolts() {
        return wiperOpen;
    }

    /** Whether a worn wiper leaves every grid at the coldest volts or colder. */
    public boolean isFailSafe() {
        return wiperOpen.isEmpty() || wiperOpen.getAsDouble() <= coldestVolts() * (1 - AS_COLD);
    }

    /** What each resistor burns at the worse stop, W, in the order of the circuit; the ends of a track are one pot. */
    public Map<Part, Double> watts(double mains) {
        return worst(mains, false);
    }

    /**
     * What each has to be rated for, W: what it burns; a pot what all of its track would burn with the current of the
     * part that carries it, for a track does not spread its heat.
     */
    public Map<Part, Double> worked(double mains) {
        return worst(mains, true);
    }

    private Map<Part, Double> worst(double mains, boolean wholeTracks) {
        Map<Part, Double> most = new LinkedHashMap<>();
        for (PotStand stand : List.of(PotStand.COLDEST, PotStand.at(0.5), PotStand.HOTTEST)) {
            Map<Part, Double> here = watts(solved(stand, mains, Optional.empty()), wholeTracks);
            here.forEach((part, watts) -> most.merge(part, watts, Math::max));
        }
        return most;
    }

    private Map<Part, Double> watts(SteadyState state, boolean wholeTracks) {
        Map<Part, Double> watts = new LinkedHashMap<>();
        if (supply.smoothing().seriesOhms() > 0) {
            watts.put(Part.of(PartKind.SERIES), state.seriesWatts());
        }
        for (Leg leg : state.circuit().legs()) {
            Part part = new Part(leg.part().kind().whole(), leg.part().number());
            switch (leg.part().kind()) {
                case WIPER, BALANCE_WIPER, METER, LEAK -> {}
                case POT_COLD_END, POT_HOT_END, BALANCE_FIRST_END, BALANCE_SECOND_END -> {
                    double track = part.kind() == PartKind.POT
                            ? supply.network().pot()
                            : supply.network().balance();
                    double share = wholeTracks ? track / leg.ohms() : 1;
                    watts.merge(part, share * state.watts(leg), wholeTracks ? Math::max : Double::sum);
                }
                default -> watts.merge(part, state.watts(leg), Double::sum);
            }
        }
        return watts;
    }
}
