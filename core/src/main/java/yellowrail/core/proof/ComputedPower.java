package yellowrail.core.proof;

import java.util.List;
import java.util.Optional;
import yellowrail.core.idle.LastRead;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.StageFinding;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.tube.model.TubeModels;

/**
 * What the load line makes of a setting, to hold what was measured against: a sine driven to the edge of grid current
 * from the idle that was read.
 *
 * @param full at that drive
 * @param assumed what the sheet and the readings do not tell, and what was taken for it
 */
public record ComputedPower(Performance full, List<StageFinding> assumed) {

    /** Published operations against the models: power within 14 % of itself. */
    private static final double MODEL = 0.14;

    /** @return empty where the idle was not read, or the tubes have no model */
    public static Optional<ComputedPower> of(Snapshot then) {
        StageIdle stage = StageIdle.of(then);
        LastRead read = LastRead.of(stage, Optional.of(then));
        if (read.plateAmps().isEmpty() || !stage.isOfOneType()) {
            return Optional.empty();
        }
        return stage.mainType()
                .flatMap(type -> TubeModels.published().of(type).map(known -> {
                    AmpStage amp = AmpStage.of(then.sheet(), read, type, known.model());
                    return new ComputedPower(new FullDrive(amp.stage()).compute(), amp.assumed());
                }));
    }

    /** Watts, as sure as a model is of them. */
    public Estimate estimate() {
        return new Estimate(full.powerWatts(), MODEL * full.powerWatts(), List.of());
    }

    /** What was measured, W, beside it. */
    public ProofFinding beside(Estimate measured) {
        double computed = full.powerWatts();
        Estimate apart = measured.less(estimate());
        double together = apart.plusMinus();
        if (Math.abs(apart.value()) <= together) {
            return new ProofFinding.AsComputed();
        }
        return apart.value() < 0
                ? new ProofFinding.LessThanComputed(computed, together)
                : new ProofFinding.MoreThanComputed(computed, together);
    }
}
