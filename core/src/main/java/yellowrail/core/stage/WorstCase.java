package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import yellowrail.core.root.UnsettledException;

/**
 * The most that plate and screen of a tube take anywhere from rest to the edge of grid current. Full drive is not the
 * worst of it: a plate takes most where its tube is half way down, a screen where the plate stays low longest, which is
 * under a square wave, as from a stage before that is overdriven.
 *
 * @param plates the worst of the plates
 * @param screens the worst of the screens
 */
public record WorstCase(Worst plates, Worst screens) {

    /** What drives the grids. */
    public enum Wave {
        SINE,
        SQUARE
    }

    /**
     * A dissipation and where it lies.
     *
     * @param watts of one tube, mean, W
     * @param part of the drive that brings the grids to their edge; 0 at rest
     */
    public record Worst(double watts, double part, Wave wave) {}

    /** So many drives from rest to the edge: between two of them a dissipation moves by less than 1 %. */
    private static final int DRIVES = 20;

    private static final int STEPS = 32;

    /** One drive, with what a tube takes there. */
    private record Taken(double plate, double screen, double part, Wave wave) {}

    /** @throws UnsettledException if no drive settles */
    public static WorstCase of(OutputStage stage) {
        Idle idle = Idle.of(stage);
        List<Taken> all = new ArrayList<>();
        all.add(new Taken(idle.plateWatts(), idle.screenWatts(), 0, Wave.SINE));
        UnsettledException unsettled = null;
        FullDrive sine = new FullDrive(stage, STEPS);
        FullDrive square = FullDrive.square(stage);
        for (int i = 1; i <= DRIVES; i++) {
            double part = (double) i / DRIVES;
            sine = sine.then(part);
            square = square.then(part);
            try {
                all.add(taken(sine.compute(), part, Wave.SINE));
                all.add(taken(square.compute(), part, Wave.SQUARE));
            } catch (UnsettledException e) {
                unsettled = e;
            }
        }
        if (all.size() == 1 && unsettled != null) {
            throw unsettled;
        }
        return new WorstCase(worst(all, Taken::plate), worst(all, Taken::screen));
    }

    private static Taken taken(Performance found, double part, Wave wave) {
        return new Taken(found.plateWatts(), found.screenWatts(), part, wave);
    }

    private static Worst worst(List<Taken> all, ToDoubleFunction<Taken> watts) {
        Taken most = all.get(0);
        for (Taken each : all) {
            most = watts.applyAsDouble(each) > watts.applyAsDouble(most) ? each : most;
        }
        return new Worst(watts.applyAsDouble(most), most.part(), most.wave());
    }
}
