package yellowrail.core.bias.circuit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * A bias supply as a SPICE netlist, with its true polarity: the reservoir's positive end on ground. It begins where our
 * own solution stands, runs until that no longer matters, and measures the means and ripples of the last cycles.
 */
public final class BiasNetlist {

    private static final int DIGITS = 9;
    private static final int STEPS = 400;
    private static final int CYCLES_KEPT = 2;
    /** Time constants until where it began is forgotten to 0.7 %. */
    private static final double FORGOTTEN = 5;

    /** Of a diode, F: without it the simulator loses itself where a whole winding hangs in the air. */
    private static final double JUNCTION = 1e-11;
    /** From such a winding to ground, ohm. */
    private static final double FAR = 1e9;

    private static final int MOST_CYCLES = 3000;
    private static final int LEAST_CYCLES = 20;

    private final SteadyState state;
    private final Circuit circuit;
    private final String title;
    private final StringBuilder text = new StringBuilder();

    /** @param title one line, what it is */
    public BiasNetlist(SteadyState state, String title) {
        this.state = state;
        this.circuit = state.circuit();
        this.title = title.replaceAll("[^\\x20-\\x7e]", " ");
    }

    public String write() {
        text.setLength(0);
        line("* %s", title);
        line(".model d d(is=%s n=%s cjo=%s)", number(Diode.SATURATION), number(Diode.EMISSION), number(JUNCTION));
        for (int i = 0; i < circuit.ways().size(); i++) {
            way(circuit.ways().get(i), i + 1);
        }
        capacitor("reservoir", Circuit.RESERVOIR, circuit.reservoir());
        capacitor("second", Circuit.SUPPLY, circuit.second());
        for (Leg leg : circuit.legs()) {
            line("r%s %s %s %s", name(leg.part()), node(leg.from()), node(leg.to()), number(leg.ohms()));
        }
        nodes().forEach(node -> line("rair%s %s 0 %s", node, node, number(1 / Nodes.AIR)));
        double cycle = 1 / circuit.hertz();
        double settled = cycle * cycles();
        double end = settled + CYCLES_KEPT * cycle;
        line(".options reltol=1e-5 vntol=1e-6 abstol=1e-12");
        line(".tran %s %s %s %s uic", number(cycle / STEPS), number(end), number(settled), number(cycle / STEPS));
        measured().forEach(node -> {
            line(".meas tran %s_mean avg v(%s) from=%s to=%s", node, node, number(settled), number(end));
            line(".meas tran %s_ripple pp v(%s) from=%s to=%s", node, node, number(settled), number(end));
        });
        line(".end");
        return text.toString();
    }

    /** The nodes that are measured: the reservoir and every grid. */
    private Stream<String> measured() {
        return Stream.concat(Stream.of(Circuit.RESERVOIR), circuit.grids().stream())
                .distinct();
    }

    private Stream<String> nodes() {
        return Stream.concat(
                        Stream.of(Circuit.RESERVOIR),
                        circuit.legs().stream().flatMap(leg -> Stream.of(leg.from(), leg.to())))
                .filter(node -> !node.equals(Circuit.GROUND))
                .distinct();
    }

    private void way(Way way, int number) {
        boolean bridge = way.ahead().isFeeding() && way.back().isFeeding();
        String far = bridge ? "far" : "0";
        line(
                "v%d ac%d %s sin(0 %s %s)",
                number, number, far, number(way.sign() * circuit.peak()), number(circuit.hertz()));
        double series = circuit.seriesOhms();
        String at = resistor("source" + number, "ac" + number, "w" + number, circuit.acOhms() - series);
        if (circuit.coupling().isPresent()) {
            line(
                    "ccoupling%d %s c%d %s",
                    number, at, number, number(circuit.coupling().getAsDouble()));
            at = "c" + number;
        }
        at = resistor("series" + number, at, "x" + number, series);
        line("ddiode%d %s %s d", number, Circuit.RESERVOIR, at);
        if (bridge) {
            line("dsecond%d %s far d", number, Circuit.RESERVOIR);
            line("dthird%d %s 0 d", number, at);
            line("dfourth%d far 0 d", number);
            line("rfar%d far 0 %s", number, number(FAR));
        } else if (way.back().leads() == Path.Leads.GROUND) {
            line("dclamp%d %s 0 d", number, at);
        }
    }

    private String resistor(String name, String from, String to, double ohms) {
        if (!(ohms > 0)) {
            return from;
        }
        line("r%s %s %s %s", name, from, to, number(ohms));
        return to;
    }

    private void capacitor(String name, String node, double farads) {
        if (farads > 0) {
            line("c%s 0 %s %s ic=%s", name, node, number(farads), number(state.volts(node)));
        }
    }

    /** Until it has settled. */
    private int cycles() {
        double supplied = circuit.coupling().isPresent()
                ? circuit.coupling().getAsDouble() * circuit.hertz()
                : state.conduction() / (2 * Math.PI) / circuit.acOhms();
        double seconds =
                (circuit.reservoir() + circuit.second()) / (state.nodes().load() + supplied)
                        + circuit.second() / Math.abs(state.nodes().conductance()[1][1]);
        double cycles = FORGOTTEN * seconds * circuit.hertz();
        return (int) Math.max(LEAST_CYCLES, Math.min(MOST_CYCLES, Math.ceil(cycles)));
    }

    private static String name(Part part) {
        return part.kind().name().toLowerCase(Locale.ROOT) + (part.number() == 0 ? "" : part.number());
    }

    private static String node(String node) {
        return node.equals(Circuit.GROUND) ? "0" : node;
    }

    private void line(String format, Object... values) {
        text.append(String.format(Locale.ROOT, format, values)).append('\n');
    }

    private static String number(double value) {
        return value == 0
                ? "0"
                : new BigDecimal(value)
                        .round(new MathContext(DIGITS))
                        .stripTrailingZeros()
                        .toString();
    }
}
