package yellowrail.web.part;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.part.SenseResistor;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.Words;

/** A sense resistor as a column of the table. */
record SenseView(
        String name,
        String shows,
        String count,
        String plusMinus,
        String idle,
        String drive,
        String rated,
        String opens,
        boolean over) {

    /** It, and the two usual values, as columns. */
    static List<SenseView> beside(SenseResistor own, double idle, double drive, Words words) {
        return Stream.of(own.ohms(), 1.0, 10.0)
                .distinct()
                .map(ohms ->
                        of(new SenseResistor(ohms, own.tolerance(), own.ratedWatts(), own.kind()), idle, drive, words))
                .toList();
    }

    private static SenseView of(SenseResistor resistor, double idle, double drive, Words words) {
        MeterAccuracy meter = MeterAccuracy.ORDINARY;
        Optional<Unit> small = Optional.of(Unit.MILLIVOLT).filter(unit -> resistor.volts(idle) < 1);
        return new SenseView(
                Figures.in(Unit.OHM, resistor.ohms()),
                Figures.toTurnTo(small.orElse(Unit.VOLT), resistor.volts(idle)),
                Figures.in(Unit.MILLIAMP, resistor.count(meter)),
                Figures.fixed(100 * resistor.plusMinus(idle, meter), 1) + " %",
                milliwatts(resistor.watts(idle)),
                milliwatts(resistor.watts(drive)),
                Figures.fixed(Unit.MILLIAMP.fromSi(resistor.ratedAmps()), 0) + " mA",
                words.message(
                        "page.parts.opens-between",
                        Figures.fixed(resistor.opensFrom(), 2),
                        Figures.fixed(resistor.opensBy(), 2)),
                resistor.watts(drive) > resistor.ratedWatts());
    }

    private static String milliwatts(double watts) {
        return watts < 0.1 ? Figures.fixed(1000 * watts, 0) + " mW" : Figures.fixed(watts, 2) + " W";
    }
}
