package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.Fittings;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.model.KnownModel;

/** What a careful colleague would say of a computed performance: how far to trust it, and which limits it passes. */
public final class Opinion {

    /** From published operation: power, mean plate current, mean screen current, as ratios at about 95 %. */
    public static final double POWER = 0.15;

    public static final double PLATES = 0.10;
    public static final double SCREENS = 0.30;
    /** Published distortion is this many times the computed one, from least to most. */
    public static final double LEAST_DISTORTION = 0.3;

    public static final double MOST_DISTORTION = 3;

    private static final double CUT_OFF = 0.001;
    private static final double HARDLY_ANY = 0.005;
    private static final double SMALL = 0.03;

    private Opinion() {}

    /** Of a stage in no amp in particular. */
    public static List<StageFinding> of(Performance found, WorstCase worst, KnownModel known, Rating rating) {
        return of(found, worst, known, rating, Fittings.UNKNOWN);
    }

    /** @param fittings of the amp, among them what its iron stands */
    public static List<StageFinding> of(
            Performance found, WorstCase worst, KnownModel known, Rating rating, Fittings fittings) {
        List<StageFinding> notes = new ArrayList<>();
        double rated = rating.plateWatts();
        double idle = found.idle().plateWatts();
        if (found.idle().plateAmps() < CUT_OFF) {
            notes.add(new StageFinding.CutOffAtRest(found.idle().gridVolts()));
        }
        if (idle > rated) {
            notes.add(new StageFinding.IdleOverRating(idle, rated));
        }
        if (found.plateWatts() > rated) {
            notes.add(new StageFinding.PlatesOverRating(found.plateWatts(), rated));
        } else if (worst.plates().watts() > rated) {
            notes.add(new StageFinding.PlatesWorstOver(
                    worst.plates().watts(),
                    rated,
                    worst.plates().part(),
                    worst.plates().wave()));
        }
        rating.screenWatts().ifPresent(watts -> {
            if (found.screenWatts() > watts) {
                notes.add(new StageFinding.ScreensOverRating(found.screenWatts(), watts));
            } else if (worst.screens().watts() > watts) {
                notes.add(new StageFinding.ScreensWorstOver(
                        worst.screens().watts(),
                        watts,
                        worst.screens().part(),
                        worst.screens().wave()));
            }
        });
        rating.cathodeAmps().ifPresent(amps -> {
            double each = found.cathodeAmps();
            if (each > amps) {
                notes.add(new StageFinding.CathodesOverLimit(each, amps));
            }
        });
        core(found, fittings).ifPresent(notes::add);
        notes.add(
                known.model().isTriode()
                        ? new StageFinding.TriodeFromTheTypeAlone(POWER, PLATES, LEAST_DISTORTION, MOST_DISTORTION)
                        : new StageFinding.FromTheTypeAlone(POWER, PLATES, SCREENS, LEAST_DISTORTION, MOST_DISTORTION));
        notes.add(new StageFinding.ModelOf(known.type(), known.trust()));
        return notes;
    }

    private static Optional<StageFinding> core(Performance found, Fittings fittings) {
        Core core = fittings.iron().core();
        if (!found.stage().isPushPull()) {
            double dc = Math.max(found.plateAmps(), found.idle().allPlateAmps());
            return fittings.outputAmps().isPresent()
                            && dc > core.gapTolerates(fittings.outputAmps().getAsDouble())
                    ? Optional.of(
                            new StageFinding.GapOver(dc, fittings.outputAmps().getAsDouble()))
                    : Optional.empty();
        }
        double side = found.idle().allPlateAmps() / 2;
        double left = Math.abs(found.idle().coreAmps(found.stage()));
        if (found.stage().otherSide().isEmpty()
                || left <= Core.Kind.TOROID.usual() * side && core.equals(Core.UNKNOWN)) {
            return Optional.empty();
        }
        if (core.equals(Core.UNKNOWN)) {
            return Optional.of(new StageFinding.CoreUnbalanced(left, left / side));
        }
        double tolerated = core.tolerates(side);
        return Optional.of(
                left > tolerated
                        ? new StageFinding.CoreOver(left, tolerated, core.kind())
                        : new StageFinding.CoreWithin(left, tolerated, core.kind()));
    }

    /** The distortion as a size, with the harmonic that leads it. */
    public static StageFinding distortion(Performance found) {
        StageFinding.Harmonic leading = StageFinding.Harmonic.values()[found.leadingHarmonic() - 2];
        double ratio = found.distortion();
        if (ratio < HARDLY_ANY) {
            return new StageFinding.HardlyAnyDistortion(leading);
        }
        return ratio < SMALL
                ? new StageFinding.SmallDistortion(ratio, leading)
                : new StageFinding.Distortion(ratio, leading);
    }
}
