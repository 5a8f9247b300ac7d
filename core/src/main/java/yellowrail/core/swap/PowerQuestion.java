package yellowrail.core.swap;

import java.util.Optional;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.UnsettledException;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

/** What each of the two tubes makes of this circuit at full drive, both idling in the middle of their windows. */
final class PowerQuestion {

    private static final String QUESTION = "power in this circuit";
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
        String source = "Load line of either type by its model at these voltages, supply taken as stiff; power known to \u00b1 15 % from the type alone.";
        Optional<Performance> after = performance(wants);
        if (after.isEmpty()) {
            return new Line(QUESTION, Outcome.UNKNOWN, amp.plateVolts().isEmpty() ? "Read the plates first." : amp.fittings().loadOhms().isEmpty() ? "Put the load on the tubes on the sheet."
                    : TubeModels.published().of(wants).isPresent() ? "No operating point found at these voltages." : "No published points to compute %s from.".formatted(wants.name()), "", source);
        }
        double watts = after.get().powerWatts();
        Optional<Performance> before = performance(in);
        String both = before.map(found -> "About %s W with %s, %s W with %s: %s.".formatted(Figures.fixed(watts, 0), wants.name(), Figures.fixed(found.powerWatts(), 0), in.name(),
                compared(watts / found.powerWatts()))).orElse("About %s W; %s has no model to compare with.".formatted(Figures.fixed(watts, 0), in.name()));
        double plates = after.get().plateWatts();
        double rated = wants.customaryRating().plateWatts();
        String dissipation = plates > rated ? " At full drive the plates take %s of %s: a lower supply, a lighter load or a colder idle.".formatted(Figures.watts(plates), Figures.watts(rated)) : "";
        String arithmetic = "%s on %.1f k, %s on the screens; %s: drive %s peak, plates %s of %s at full drive, screens %s.".formatted(Figures.volts(amp.plateVolts().getAsDouble()),
                after.get().stage().loadOhms() / 1000, Figures.volts(after.get().stage().screenVolts()), wants.name(), Figures.volts(after.get().peakDrive()), Figures.watts(plates), Figures.watts(rated),
                Figures.watts(after.get().screenWatts()));
        return new Line(QUESTION, dissipation.isEmpty() ? Outcome.HOLDS : Outcome.CHANGE, both + dissipation, arithmetic, source);
    }

    private static String compared(double ratio) {
        return Math.abs(ratio - 1) <= MODEL_ERROR ? "the same within what the models know" : ratio > 1 ? "more" : "less";
    }

    private Optional<Performance> performance(TubeType type) {
        Optional<KnownModel> known = TubeModels.published().of(type);
        if (known.isEmpty() || amp.plateVolts().isEmpty() || amp.fittings().loadOhms().isEmpty() || amp.tubesPerSide() > OutputStage.MOST_PER_SIDE) {
            return Optional.empty();
        }
        double plate = amp.plateVolts().getAsDouble();
        double idle = amp.aim(type, plate) * (1 - type.screenShare());
        OutputStage stage = new OutputStage(known.get().model(), amp.topology(), amp.tubesPerSide(), plate, amp.screenOr(plate), amp.connection(),
                OutputStage.USUAL_TAP, OutputStage.Bias.fixed(0), amp.fittings().loadOhms().getAsDouble());
        try {
            return Optional.of(new FullDrive(AmpStage.atIdle(stage, idle, amp.bias().isCathode()), STEPS).compute());
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }
}
