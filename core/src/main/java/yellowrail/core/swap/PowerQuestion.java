package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

/** What each of the two tubes makes of this circuit at full drive, both idling in the middle of their windows. */
final class PowerQuestion {

    private static final int STEPS = 64;
    /** Within this the models cannot tell one power from another. */
    private static final double MODEL_ERROR = 0.15;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;

    PowerQuestion(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    Line answer() {
        return found().from(new FitFinding.PowerSource(MODEL_ERROR));
    }

    private Line found() {
        Optional<Performance> after = performance(wants);
        if (after.isEmpty()) {
            return Line.of(SwapQuestion.POWER, Outcome.UNKNOWN, whyNot());
        }
        double plates = after.get().plateWatts();
        double rated = wants.customaryRating().plateWatts();
        List<Finding> says = new ArrayList<>(List.of(compared(after.get().powerWatts())));
        if (plates > rated) {
            says.add(new FitFinding.PlatesAtFullDrive(plates, rated));
        }
        return Line.of(
                        SwapQuestion.POWER,
                        plates > rated ? Outcome.CHANGE : Outcome.HOLDS,
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
        return TubeModels.published().of(wants).isPresent()
                ? new FitFinding.NoOperatingPoint()
                : new SwapFinding.NoModel(wants.name());
    }

    private FitFinding compared(double watts) {
        Optional<Performance> before = performance(in);
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

    private Optional<Performance> performance(TubeType type) {
        Optional<KnownModel> known = TubeModels.published().of(type);
        if (known.isEmpty()
                || amp.plateVolts().isEmpty()
                || amp.fittings().loadOhms().isEmpty()
                || amp.tubesPerSide() > OutputStage.MOST_PER_SIDE) {
            return Optional.empty();
        }
        double plate = amp.plateVolts().getAsDouble();
        double idle = amp.aim(type, plate) * (1 - type.screenShare());
        OutputStage stage = new OutputStage(
                known.get().model(),
                amp.topology(),
                amp.tubesPerSide(),
                plate,
                amp.screenOr(plate),
                amp.connection(),
                OutputStage.USUAL_TAP,
                OutputStage.Bias.fixed(0),
                amp.fittings().loadOhms().getAsDouble());
        try {
            return Optional.of(
                    new FullDrive(AmpStage.atIdle(stage, idle, amp.bias().isCathode()), STEPS).compute());
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }
}
