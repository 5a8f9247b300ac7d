package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;

/** What each of the two tubes makes of this circuit at full drive, both idling in the middle of their windows. */
final class PowerQuestion {

    /** Within this the models cannot tell one power from another. */
    private static final double MODEL_ERROR = 0.15;

    private final SwapAmp amp;
    private final StageInAmp stage;
    private final TubeType in;
    private final TubeType wants;

    PowerQuestion(SwapAmp amp, StageInAmp stage, TubeType in, TubeType wants) {
        this.amp = amp;
        this.stage = stage;
        this.in = in;
        this.wants = wants;
    }

    Line answer() {
        return found().from(new FitFinding.PowerSource(MODEL_ERROR));
    }

    private Line found() {
        Optional<Performance> after = stage.set(wants);
        if (after.isEmpty()) {
            return Line.of(SwapQuestion.POWER, Outcome.UNKNOWN, whyNot());
        }
        double plates = after.get().plateWatts();
        Rating rating = amp.rating(wants);
        double rated = rating.plateWatts();
        List<Finding> says = new ArrayList<>(List.of(compared(after.get().powerWatts())));
        if (plates > rated) {
            says.add(new FitFinding.PlatesAtFullDrive(plates, rated));
        }
        double screens = rating.screenWatts().orElse(Double.POSITIVE_INFINITY);
        boolean screensOver = after.get().screenWatts() > screens;
        if (screensOver) {
            says.add(new FitFinding.ScreensAtFullDrive(after.get().screenWatts(), screens));
        }
        return Line.of(
                        SwapQuestion.POWER,
                        plates > rated || screensOver ? Outcome.CHANGE : Outcome.HOLDS,
                        says.toArray(Finding[]::new))
                .by(new FitFinding.PowerArithmetic(
                        amp.plateVolts().orElseThrow(),
                        after.get().stage().loadOhms(),
                        after.get().stage().screenVolts(),
                        wants.name(),
                        after.get().peakDrive(),
                        plates,
                        rated,
                        after.get().screenWatts()));
    }

    private Finding whyNot() {
        if (amp.plateVolts().isEmpty()) {
            return new SwapFinding.ReadPlatesFirst();
        }
        if (amp.fittings().loadOhms().isEmpty()) {
            return new FitFinding.PutLoadOnSheet();
        }
        return amp.model(wants).isPresent() ? new FitFinding.NoOperatingPoint() : new SwapFinding.NoModel(wants.name());
    }

    private FitFinding compared(double watts) {
        return compared(watts, wants, in, stage.set(in));
    }

    /** A power beside that of the type that is in. */
    static FitFinding compared(double watts, TubeType wants, TubeType in, Optional<Performance> before) {
        if (before.isEmpty()) {
            return new FitFinding.PowerAlone(watts, in.name());
        }
        double then = before.get().powerWatts();
        if (Math.abs(watts / then - 1) <= MODEL_ERROR) {
            return new FitFinding.PowerAlike(watts, wants.name(), then, in.name());
        }
        return watts > then
                ? new FitFinding.PowerMore(watts, wants.name(), then, in.name())
                : new FitFinding.PowerLess(watts, wants.name(), then, in.name());
    }
}
