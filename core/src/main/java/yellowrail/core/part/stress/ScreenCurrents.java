package yellowrail.core.part.stress;

import java.util.List;
import java.util.function.ToDoubleFunction;
import yellowrail.core.part.ScreenStopper;
import yellowrail.core.root.FallingRoot;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.Sample;
import yellowrail.core.tube.model.TubeModel;

/**
 * Screen current of one tube behind its stopper: at rest, driven by a sine to the edge of grid current, and overdriven
 * by a square wave to the same edge, where each tube is fully on half the time. At each moment the stopper's drop and
 * the screen's current agree; that the plate then rises a little, which takes off more screen current, is left out.
 *
 * @param idle at rest, A
 * @param drive RMS at full drive, A
 * @param overdriven RMS under the square wave, A
 * @param peak at the top of the drive, A
 */
public record ScreenCurrents(double idle, double drive, double overdriven, double peak) {

    private static final double CLOSE = 1e-9;

    public static ScreenCurrents of(Performance driven, ScreenStopper stopper) {
        TubeModel model = driven.stage().model();
        ToDoubleFunction<Sample> amps =
                at -> behind(model, stopper, at.plateVolts(), at.screenVolts(), driven.gridVolts() + at.drive());
        List<Sample> samples = driven.samples();
        double trough = amps.applyAsDouble(samples.get(0));
        double peak = amps.applyAsDouble(samples.get(samples.size() - 1));
        return new ScreenCurrents(
                behind(
                        model,
                        stopper,
                        driven.stage().plateVolts(),
                        driven.stage().screenVolts(),
                        driven.idle().gridVolts()),
                driven.rms(amps),
                Math.sqrt((peak * peak + trough * trough) / 2),
                peak);
    }

    private static double behind(TubeModel model, ScreenStopper stopper, double plate, double supply, double grid) {
        double free = model.currents(plate, supply, grid).screen();
        return FallingRoot.find(
                amps -> model.currents(plate, supply - stopper.lostVolts(amps), grid)
                                .screen()
                        - amps,
                0,
                free,
                free / 2,
                CLOSE);
    }
}
