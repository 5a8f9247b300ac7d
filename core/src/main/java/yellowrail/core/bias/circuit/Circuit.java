package yellowrail.core.bias.circuit;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A bias supply with its pots standing somewhere: winding, series resistor, rectifier, two capacitors, and resistances
 * between nodes. Volts are magnitudes.
 *
 * @param peak of the winding or of each half, V, &gt; 0
 * @param hertz of the mains
 * @param sourceOhms of the winding itself, ohm
 * @param seriesOhms on the AC side, ohm
 * @param coupling capacitor between winding and rectifier, F; empty where the winding is joined to it
 * @param ways one, or one for each half of a tapped winding; none where the AC side is open
 * @param reservoir F; 0 where it is open
 * @param second F, at the node {@link #SUPPLY}; 0 where there is none
 * @param legs all resistances; the nodes are what they name
 * @param grids nodes the grids hang on
 */
public record Circuit(
        double peak,
        double hertz,
        double sourceOhms,
        double seriesOhms,
        OptionalDouble coupling,
        List<Way> ways,
        double reservoir,
        double second,
        List<Leg> legs,
        List<String> grids) {

    public static final String GROUND = "ground";
    public static final String RESERVOIR = "reservoir";
    /** Behind the feed resistor. */
    public static final String SUPPLY = "supply";

    public Circuit {
        ways = List.copyOf(ways);
        legs = List.copyOf(legs);
        grids = List.copyOf(grids);
    }

    /** All that stands between winding and rectifier, ohm, a piece of wire at least. */
    double acOhms() {
        return Math.max(sourceOhms + seriesOhms, Leg.LEAST);
    }

    /** What a meter reads from the first grid to ground with the power off, its capacitors empty, ohm. */
    public double ohmsFromGrid() {
        return Nodes.ohmsToGround(legs, grids.get(0));
    }

    public Circuit with(List<Leg> others) {
        return new Circuit(peak, hertz, sourceOhms, seriesOhms, coupling, ways, reservoir, second, others, grids);
    }

    /** The same with other capacitors, F. */
    public Circuit with(double otherReservoir, double otherSecond) {
        return new Circuit(
                peak, hertz, sourceOhms, seriesOhms, coupling, ways, otherReservoir, otherSecond, legs, grids);
    }

    /** The same with another AC side. */
    public Circuit with(double otherSeries, OptionalDouble otherCoupling, List<Way> otherWays) {
        return new Circuit(
                peak, hertz, sourceOhms, otherSeries, otherCoupling, otherWays, reservoir, second, legs, grids);
    }
}
