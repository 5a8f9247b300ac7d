package yellowrail.core.bias.cathode;

import java.util.List;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.tube.model.TubeModel;

/**
 * The capacitor beside a cathode resistor. It sees the resistor and the cathodes themselves: {@code R} beside
 * {@code 1/(n gm)}; above {@code 1 / (2 pi C R')} the cathodes stand still.
 */
public final class Bypass {

    /** Below all that is played. */
    private static final double CORNER = 10;

    private static final double STEP = 0.1;
    /** As they are sold, F. */
    private static final List<Double> FARADS = List.of(22e-6, 47e-6, 100e-6, 220e-6, 470e-6, 1000e-6);

    private Bypass() {}

    /** The smallest usual one whose corner lies below what is played, F; the largest where none is enough. */
    public static double farads(CathodeGroup group, CathodeIdle idle) {
        return FARADS.stream()
                .filter(farads -> corner(group, idle, farads) <= CORNER)
                .findFirst()
                .orElse(FARADS.get(FARADS.size() - 1));
    }

    /** Where the gain has fallen by 3 dB toward what it is without, Hz. */
    public static double corner(CathodeGroup group, CathodeIdle idle, double farads) {
        double siemens = 1 / idle.ohms();
        for (TubeModel tube : group.tubes()) {
            siemens += transconductance(tube, group, idle.cathodeVolts());
        }
        return siemens / (2 * Math.PI * farads);
    }

    /** How long the cathodes take to come back to rest after they were driven up, s: {@code R C}. */
    public static double recovery(CathodeIdle idle, double farads) {
        return idle.ohms() * farads;
    }

    /** What it is rated for: half as much again as the cathodes stand at, V. */
    public static double volts(CathodeIdle idle) {
        return StandardValues.capacitorFor(CathodeDesign.bypassVolts(idle));
    }

    /** Of plate and screen together, S. */
    private static double transconductance(TubeModel tube, CathodeGroup group, double cathode) {
        double plate = group.plate() - cathode;
        double screen = group.screen() - cathode;
        return (tube.cathodeCurrent(plate, screen, -cathode + STEP)
                        - tube.cathodeCurrent(plate, screen, -cathode - STEP))
                / (2 * STEP);
    }
}
