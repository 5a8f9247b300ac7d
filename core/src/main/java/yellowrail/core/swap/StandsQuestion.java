package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.finding.Finding;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.TubeType;

/** What the new tube draws, dissipates and puts out with nothing changed but the tube. */
final class StandsQuestion {

    /** Tubes of one type scatter by more. */
    private static final double NEARLY = 0.15;

    private final SwapAmp amp;
    private final StageInAmp stage;
    private final TubeType in;
    private final TubeType wants;
    private final TypeInAmp there;

    StandsQuestion(SwapAmp amp, StageInAmp stage, TubeType in, TubeType wants) {
        this.amp = amp;
        this.stage = stage;
        this.in = in;
        this.wants = wants;
        this.there = new TypeInAmp(amp, wants);
    }

    Line answer() {
        Optional<TypeInAmp.Drawn> drawn = there.withNothingChanged();
        if (drawn.isEmpty()) {
            return Line.of(SwapQuestion.AS_IT_STANDS, Outcome.UNKNOWN, whyNot()).from(new SwapFinding.AmpSheetSource());
        }
        double plate = amp.plateVolts().orElseThrow();
        double amps = drawn.get().cathodeAmps();
        double watts = plate * amps * (1 - wants.screenShare());
        double ratio = watts / amp.rating(wants).plateWatts();
        List<Finding> says = new ArrayList<>(
                List.of(new StandsFinding.Draws(wants.name(), amps, there.plusMinus(drawn.get()), watts, ratio)));
        before().ifPresent(present -> says.add(
                Math.abs(amps / present - 1) <= NEARLY
                        ? new StandsFinding.NearlyTheSame(in.name(), present)
                        : new StandsFinding.InsteadOf(in.name(), present)));
        stage.left(wants)
                .map(Performance::powerWatts)
                .ifPresent(power -> says.add(PowerQuestion.compared(power, wants, in, stage.left(in))));
        if (ratio > 1) {
            says.add(new StandsFinding.OverItsRating());
        }
        if (amp.bias() == BiasKind.FIXED_ADJUSTABLE) {
            says.add(new StandsFinding.MustBeSet());
        }
        boolean changed = ratio > amp.window().high();
        return Line.of(
                        SwapQuestion.AS_IT_STANDS,
                        changed ? Outcome.CHANGE : Outcome.HOLDS,
                        says.toArray(Finding[]::new))
                .by(how(plate))
                .from(new StandsFinding.Source(
                        wants.name(), there.known().orElseThrow().trust()));
    }

    /** What the tube that is in draws there: by its own model, so that the two can be compared. */
    private Optional<Double> before() {
        return new TypeInAmp(amp, in).withNothingChanged().map(TypeInAmp.Drawn::cathodeAmps);
    }

    private Finding how(double plate) {
        double screen = amp.screenOr(plate);
        return amp.bias().isCathode()
                ? new StandsFinding.OnResistor(amp.cathodeOhms().orElseThrow(), amp.sharedBy(), plate, screen)
                : new StandsFinding.AtBias(amp.biasVolts().orElseThrow(), plate, screen);
    }

    private Finding whyNot() {
        if (amp.plateVolts().isEmpty()) {
            return new SwapFinding.ReadPlatesFirst();
        }
        if (there.known().isEmpty()) {
            return new SwapFinding.NoModel(wants.name());
        }
        return amp.bias().isCathode() ? new StandsFinding.ResistorNotKnown() : new StandsFinding.BiasNotRead();
    }
}
