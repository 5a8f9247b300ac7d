package yellowrail.core.proof;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import yellowrail.core.idle.LastRead;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.StageFinding;
import yellowrail.core.stage.SupplySag;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.tone.ClippingPoint.Point;
import yellowrail.core.tube.model.TubeModels;

/**
 * What the load line makes of a setting, to hold what was measured against: a sine driven step by step to the edge of
 * grid current from the idle that was read.
 *
 * @param rising power into the load, W, and its distortion, as the drive rises to that edge
 * @param clips where the output bends over, at the edge if not before, W
 * @param second harmonic there, of the fundamental; both sides alike make none
 * @param third the same
 * @param sag resistance of the supply that was taken, ohm; 0 for a stiff one
 * @param assumed what the sheet and the readings do not tell, and what was taken for it
 */
public record ComputedPower(
        List<Point> rising, double clips, double second, double third, double sag, List<StageFinding> assumed) {

    /** Published operations against the models: power within 14 % of itself. */
    private static final double MODEL = 0.14;

    /** What is left of the power on a supply that sags much. */
    private static final double MOST_SAG = 0.5;

    private static final int STEPS = 64;
    private static final double[] PARTS = {0.1, 0.16, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75, 0.83, 0.9, 0.95, 1};

    public ComputedPower {
        rising = List.copyOf(rising);
        assumed = List.copyOf(assumed);
    }

    /**
     * @param then the amp
     * @param sag of its supply by the run's own readings, ohm; 0 where it is not known
     * @return empty where the idle was not read, or the tubes have no model, or it does not settle
     */
    public static Optional<ComputedPower> of(Snapshot then, double sag) {
        StageIdle stage = StageIdle.of(then);
        LastRead read = LastRead.of(stage, Optional.of(then));
        if (read.plateAmps().isEmpty() || !stage.isOfOneType()) {
            return Optional.empty();
        }
        double other = then.sheet().supply().otherAmps().orElse(SupplySag.USUAL_REST);
        try {
            return stage.mainType()
                    .flatMap(type -> TubeModels.published().of(type).map(known -> {
                        AmpStage amp = AmpStage.of(then.sheet(), read, type, known.model());
                        return of(amp.stage(), sag, other, amp.assumed());
                    }));
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }

    /**
     * @param stiff the stage on supplies that do not sag
     * @param other what the rest of the amp draws behind the screens, A
     */
    public static ComputedPower of(OutputStage stiff, double sag, double other, List<StageFinding> assumed) {
        OutputStage sagging = SupplySag.of(stiff, sag, other);
        List<Performance> rising = DoubleStream.of(PARTS)
                .mapToObj(part -> new FullDrive(sagging, STEPS, part).compute())
                .toList();
        double clips = rising.get(rising.size() - 1).clipping().watts();
        Performance there = rising.stream()
                .min(Comparator.comparingDouble(each -> Math.abs(each.powerWatts() - clips)))
                .orElseThrow();
        return new ComputedPower(
                rising.stream()
                        .filter(at -> at.powerWatts() > 0 && at.distortion() > 0)
                        .map(at -> new Point(at.powerWatts(), at.distortion()))
                        .toList(),
                clips,
                there.harmonics().get(0),
                there.harmonics().get(1),
                sag,
                assumed);
    }

    /** Where it clips, W, as sure as a model is of it. */
    public Estimate watts() {
        return new Estimate(clips, MODEL * clips, List.of());
    }

    /**
     * What leads of the first harmonics, where it clips, beside it.
     *
     * @param measuredSecond of the fundamental
     * @param measuredThird the same
     */
    public ProofFinding beside(double measuredSecond, double measuredThird) {
        boolean alike = measuredSecond > measuredThird == second > third;
        if (alike) {
            return new ProofFinding.HarmonicsAsComputed(second, third);
        }
        return second > third
                ? new ProofFinding.ThirdLeads(second, third)
                : new ProofFinding.SecondLeads(second, third);
    }

    /** What was measured where the tops flatten, W, beside it. */
    public ProofFinding beside(Estimate measured) {
        Estimate apart = measured.less(watts());
        if (Math.abs(apart.value()) <= apart.plusMinus()) {
            return new ProofFinding.AsComputed();
        }
        if (apart.value() > 0) {
            return new ProofFinding.MoreThanComputed(clips, apart.plusMinus());
        }
        return sag > 0 || measured.value() < MOST_SAG * clips
                ? new ProofFinding.LessThanComputed(clips, apart.plusMinus())
                : new ProofFinding.LessThanStiff(clips);
    }
}
