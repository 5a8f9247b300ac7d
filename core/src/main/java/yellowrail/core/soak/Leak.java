package yellowrail.core.soak;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * What would have to stand across a grid leak for a rise of the current: the leakage of a coupling capacitor flows
 * through it and takes the grid up by so many volts, {@code dVg = Vg(I (1 + rise)) - Vg(I)} by the tube's model.
 */
final class Leak {

    /** Where the sheet does not say, ohm. */
    private static final double USUAL_OHMS = 220e3;

    private static final double MICRO = 1e6;

    private Leak() {}

    /**
     * @param rise of the current, as a ratio
     * @return empty where the tube has no model or was not judged
     */
    static Optional<SoakFinding> of(AmpSheet sheet, TubeIdle tube, double rise) {
        Optional<TubeModel> model =
                tube.occupant().type().flatMap(TubeModels.published()::of).map(known -> known.model());
        if (model.isEmpty() || tube.figures().isEmpty() || !(rise > 0)) {
            return Optional.empty();
        }
        IdleFigures figures = tube.figures().get();
        double plate = figures.plateVolts().value();
        double screen = figures.screenVolts().map(each -> each.value()).orElse(plate);
        double now = figures.cathode().value();
        double volts = model.get().gridFor(now, plate, screen) - model.get().gridFor(now / (1 + rise), plate, screen);
        OptionalDouble told = sheet.fittings().gridLeakOhms();
        double ohms = told.orElse(USUAL_OHMS);
        return Optional.of(new SoakFinding.LeakVolts(tube.socket().label(), rise, volts, ohms, MICRO * volts / ohms));
    }
}
