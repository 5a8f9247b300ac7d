package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.finding.Finding;
import yellowrail.core.iron.Inductance;
import yellowrail.core.iron.IronFinding;
import yellowrail.core.iron.Polarity;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** What else can be measured on the windings: their phase by three voltages, inductance with a resistor in series. */
final class WindingForm {

    private WindingForm() {}

    /** @param loadOhms what the primary is meant for, ohm */
    static List<Finding> say(Map<String, String> typed, double loadOhms, Faults faults) {
        FormReader read = new FormReader(faults);
        List<Finding> says = new ArrayList<>();
        List<OptionalDouble> phase = Stream.of("oneWinding", "otherWinding", "freeEnds")
                .map(field -> read.number(field, typed.get(field), Unit.VOLT, 0, 1000))
                .toList();
        if (phase.stream().allMatch(OptionalDouble::isPresent)) {
            says.add(Polarity.of(
                    phase.get(0).getAsDouble(),
                    phase.get(1).getAsDouble(),
                    phase.get(2).getAsDouble()));
        }
        OptionalDouble hertz = read.number("hertz", typed.get("hertz"), Unit.HERTZ, 10, 100_000);
        OptionalDouble ohms = read.number("resistor", typed.get("resistor"), Unit.OHM, 1, 1_000_000);
        OptionalDouble both = read.number("both", typed.get("both"), Unit.VOLT, 0.001, 1000);
        OptionalDouble open = read.number("open", typed.get("open"), Unit.VOLT, 0, 1000);
        OptionalDouble shorted = read.number("shorted", typed.get("shorted"), Unit.VOLT, 0, 1000);
        if (Stream.of(hertz, ohms, both).allMatch(OptionalDouble::isPresent)) {
            open.ifPresent(volts -> says.add(inductance(hertz, ohms, both, volts)
                    .<Finding>map(found -> new IronFinding.PrimaryInductance(
                            found.henries(), found.plusMinus(), found.corner(loadOhms), loadOhms))
                    .orElseGet(() -> new IronFinding.AnotherResistor(ohms.getAsDouble()))));
            shorted.ifPresent(volts -> says.add(inductance(hertz, ohms, both, volts)
                    .<Finding>map(found -> new IronFinding.LeakageInductance(
                            1e3 * found.henries(), 1e3 * found.plusMinus(), found.corner(loadOhms) / 1e3, loadOhms))
                    .orElseGet(() -> new IronFinding.AnotherResistor(ohms.getAsDouble()))));
        }
        return says;
    }

    private static Optional<Inductance> inductance(
            OptionalDouble hertz, OptionalDouble ohms, OptionalDouble both, double across) {
        return Inductance.of(hertz.getAsDouble(), both.getAsDouble(), across, ohms.getAsDouble());
    }
}
