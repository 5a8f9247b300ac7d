package yellowrail.core.part.stress;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.heater.HeaterBudget;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * What an amp takes from the mains: its heaters' watts and its plate supply's volt-amperes, the charging pulses counted
 * as RMS, and a tenth for the transformer's own losses. Adding the two up as if they were in phase is on the high side.
 *
 * @param heaterWatts W
 * @param plateVoltAmperes VA
 * @param mainsVolts V
 */
public record MainsDraw(double heaterWatts, double plateVoltAmperes, double mainsVolts) {

    private static final double LOSSES = 0.10;
    private static final double USUAL_HEATERS = 6.3;

    /** A, RMS. */
    public double amps() {
        return (1 + LOSSES) * (heaterWatts + plateVoltAmperes) / mainsVolts;
    }

    /**
     * What its heaters take: of the windings on its chart, else of its power tubes, what hangs beside and rectifies.
     */
    public static double heaters(AmpSheet sheet, TubeType type, TubeCatalogue catalogue) {
        if (!sheet.chart().windings().isEmpty()) {
            return sheet.chart().windings().stream()
                    .mapToDouble(winding -> winding.volts() * new HeaterBudget(winding, catalogue).amps())
                    .sum();
        }
        Optional<RectifierType> rectifier = RectifierType.find(sheet.fittings().rectifierTube());
        return sheet.sockets().size() * type.heaterVolts() * type.heaterAmps()
                + USUAL_HEATERS * sheet.fittings().otherHeaterAmps().orElse(0)
                + rectifier.map(tube -> tube.heaterVolts() * tube.heaterAmps()).orElse(0.0);
    }
}
