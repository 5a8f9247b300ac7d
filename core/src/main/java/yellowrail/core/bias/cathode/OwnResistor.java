package yellowrail.core.bias.cathode;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.tube.model.TubeModel;

/**
 * A cathode resistor of its own for one tube of several that differ, so that all draw alike.
 *
 * @param tube which
 * @param exact the resistor at which it draws what is wanted, ohm
 * @param idle with the standard value next to that
 * @param shared what it would draw with all of them on one resistor that gives the same mean, A
 */
public record OwnResistor(Tube tube, double exact, CathodeIdle idle, double shared) {

    /**
     * A tube as it was read.
     *
     * @param label of its socket
     * @param model that passes through its reading
     * @param reads cathode current that was read, A
     */
    public record Tube(String label, TubeModel model, double reads) {}

    /**
     * @param tubes at least one
     * @param plate plates to ground, V
     * @param screen screens to ground, V
     * @param wanted cathode current of each, A
     */
    public static List<OwnResistor> of(
            List<Tube> tubes, double plate, double screen, double wanted, StandardValues series) {
        CathodeGroup all = new CathodeGroup(tubes.stream().map(Tube::model).toList(), plate, screen);
        List<Double> exact = new CathodeDesign(all, wanted).each();
        CathodeIdle shared = all.at(all.ohmsFor(wanted));
        return IntStream.range(0, tubes.size())
                .mapToObj(i -> new OwnResistor(
                        tubes.get(i),
                        exact.get(i),
                        new CathodeGroup(List.of(tubes.get(i).model()), plate, screen).at(series.nearest(exact.get(i))),
                        shared.amps().get(i)))
                .toList();
    }

    /** How far the largest of some currents lies above the least, of their mean. */
    public static double spread(List<Double> amps) {
        double least = amps.stream().mapToDouble(Double::doubleValue).min().orElse(0);
        double most = amps.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        double mean = amps.stream().mapToDouble(Double::doubleValue).average().orElse(1);
        return (most - least) / mean;
    }
}
