package yellowrail.core.swap;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.Topology;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.OutputStage.Bias;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.SupplySag;
import yellowrail.core.tube.TubeType;

/** One channel of an amp with a type in it, at full drive, by the type’s model; its supply is taken as stiff. */
final class StageInAmp {

    private static final int STEPS = 64;

    private final SwapAmp amp;
    private final Map<String, Optional<Performance>> set = new HashMap<>();
    private final Map<String, Optional<Performance>> left = new HashMap<>();

    StageInAmp(SwapAmp amp) {
        this.amp = amp;
    }

    /** Idling in the middle of its window; empty where the type, the plates or the load are not known. */
    Optional<Performance> set(TubeType type) {
        return set.computeIfAbsent(
                type.name(),
                name -> stage(type)
                        .flatMap(stage -> driven(AmpStage.atIdle(
                                stage,
                                amp.aim(type, stage.plateVolts()) * (1 - type.screenShare()),
                                amp.bias().isCathode()))));
    }

    /** At the bias, or on the cathode resistor, that is there; empty where that is not known either. */
    Optional<Performance> left(TubeType type) {
        return left.computeIfAbsent(
                type.name(), name -> bias().flatMap(bias -> stage(type).flatMap(stage -> driven(stage.with(bias)))));
    }

    /**
     * On other plates than were read, the screens moved with them, and a supply that gives way.
     *
     * @param cathodeAmps of each tube at rest
     */
    Optional<Performance> on(TubeType type, double plateVolts, double cathodeAmps, double supplyOhms) {
        return stage(type).flatMap(stage -> {
            double moved = plateVolts - stage.plateVolts();
            OutputStage stiff = AmpStage.atIdle(
                    stage.at(plateVolts, stage.screenVolts() + moved),
                    cathodeAmps * (1 - type.screenShare()),
                    amp.bias().isCathode());
            try {
                return driven(SupplySag.of(stiff, supplyOhms, amp.otherAmps().orElse(SupplySag.USUAL_REST)));
            } catch (UnsettledException e) {
                return Optional.empty();
            }
        });
    }

    private Optional<Bias> bias() {
        if (!amp.bias().isCathode()) {
            return amp.biasVolts().isPresent() && amp.biasVolts().getAsDouble() <= 0
                    ? Optional.of(Bias.fixed(amp.biasVolts().getAsDouble()))
                    : Optional.empty();
        }
        int tubes = amp.tubesPerSide() * (amp.topology() == Topology.PUSH_PULL ? 2 : 1);
        return amp.cathodeOhms().isPresent()
                ? Optional.of(Bias.cathode(amp.cathodeOhms().getAsDouble() * amp.sharedBy() / tubes))
                : Optional.empty();
    }

    private Optional<OutputStage> stage(TubeType type) {
        if (amp.plateVolts().isEmpty()
                || amp.fittings().loadOhms().isEmpty()
                || amp.tubesPerSide() > OutputStage.MOST_PER_SIDE) {
            return Optional.empty();
        }
        double plate = amp.plateVolts().getAsDouble();
        return amp.model(type)
                .map(known -> new OutputStage(
                        known.model(),
                        amp.topology(),
                        amp.tubesPerSide(),
                        plate,
                        amp.screenOr(plate),
                        amp.connection(),
                        amp.tap().orElse(OutputStage.USUAL_TAP),
                        Bias.fixed(0),
                        amp.fittings().loadOhms().getAsDouble()));
    }

    private static Optional<Performance> driven(OutputStage stage) {
        try {
            return Optional.of(new FullDrive(stage, STEPS).compute());
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }
}
