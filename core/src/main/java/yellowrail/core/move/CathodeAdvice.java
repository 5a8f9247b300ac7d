package yellowrail.core.move;

import java.util.List;
import yellowrail.core.standard.StandardValues;

/**
 * Which cathode resistor brings the tubes to their target.
 *
 * @param exact the ohms that would land on it
 * @param points the test points of the resistors
 * @param shared tubes that share each resistor
 * @param now the resistor that is in, as the readings tell, ohm
 * @param choices standard values around it, each with what it would give
 */
public record CathodeAdvice(double exact, List<String> points, int shared, double now, List<Choice> choices) {

    /** Values nearer than this, as a ratio, are one value. */
    private static final double SAME = 0.02;

    /**
     * A standard value.
     *
     * @param series where it is found
     * @param ohms its value
     * @param volts across it, V
     * @param watts dissipated in it, W
     * @param rating the rating to buy, at least twice that, W
     * @param bypassVolts least rating of its bypass capacitor, V
     * @param landing where the stage would stand
     * @param allowed whether no tube passes its window's hot edge
     */
    public record Choice(
            StandardValues series,
            double ohms,
            double volts,
            double watts,
            double rating,
            double bypassVolts,
            Landing landing,
            boolean allowed) {}

    public CathodeAdvice {
        choices = List.copyOf(choices);
        points = List.copyOf(points);
    }

    /** Whether the best value is the one that is in. */
    public boolean isToStay() {
        return Math.abs(best().ohms() / now - 1) < SAME;
    }

    /** The allowed value nearest to the exact one; where none is allowed, the coldest. */
    public Choice best() {
        return choices.stream()
                .filter(Choice::allowed)
                .min((one, other) -> Double.compare(
                        Math.abs(Math.log(one.ohms() / exact)), Math.abs(Math.log(other.ohms() / exact))))
                .orElseGet(() -> choices.stream()
                        .max((one, other) -> Double.compare(one.ohms(), other.ohms()))
                        .orElseThrow());
    }
}
