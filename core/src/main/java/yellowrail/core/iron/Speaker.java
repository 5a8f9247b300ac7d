package yellowrail.core.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** What a speaker is to the transformer at every frequency; its nominal impedance at two or three of them only. */
public interface Speaker {

    double LOWEST = 20;
    double HIGHEST = 20_000;
    /** Where the voice coil\u2019s inductance tells. */
    double TREBLE = 5000;

    Impedance at(double hertz);

    /** Over the range of hearing, in equal ratios. */
    default List<Impedance> curve(int points) {
        return IntStream.range(0, points)
                .mapToObj(i -> at(LOWEST * Math.pow(HIGHEST / LOWEST, (double) i / (points - 1))))
                .toList();
    }

    /** The peak at its resonance: the greatest impedance under 500 Hz. */
    default Impedance resonance() {
        return curve(600).stream()
                .filter(each -> each.hertz() <= 500)
                .max((one, other) -> Double.compare(one.ohms(), other.ohms()))
                .orElseThrow();
    }

    /** The least impedance above the resonance: what the nominal one is near. */
    default Impedance least() {
        double resonance = resonance().hertz();
        return curve(600).stream()
                .filter(each -> each.hertz() > resonance)
                .min((one, other) -> Double.compare(one.ohms(), other.ohms()))
                .orElseThrow();
    }

    /** Where its impedance crosses its nominal one, Hz, rising: the only places where that holds. */
    default List<Double> crossings(double nominalOhms) {
        List<Impedance> curve = curve(600);
        List<Double> crossings = new ArrayList<>();
        for (int i = 1; i < curve.size(); i++) {
            double before = Math.log(curve.get(i - 1).ohms() / nominalOhms);
            double after = Math.log(curve.get(i).ohms() / nominalOhms);
            if (before != after && before * after <= 0 && after != 0) {
                double part = before / (before - after);
                crossings.add(curve.get(i - 1).hertz()
                        * Math.pow(curve.get(i).hertz() / curve.get(i - 1).hertz(), part));
            }
        }
        return crossings;
    }

    /** A resistor: what a speaker is taken for when nothing else is known. */
    record Nominal(double ohms) implements Speaker {

        @Override
        public Impedance at(double hertz) {
            return new Impedance(hertz, ohms, 0);
        }
    }
}
