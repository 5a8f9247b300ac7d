package yellowrail.core.drawer;

import java.util.Optional;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.LastKnown;
import yellowrail.core.idle.LastRead;
import yellowrail.core.idle.StageIdle;

/**
 * Where an amp would have new tubes idle, by what was read in it last.
 *
 * @param plate plate to cathode, V
 * @param screen screen to cathode, V
 * @param mean cathode current at the target, A
 */
public record AmpOutlook(double plate, double screen, double mean) {

    /** @return empty while a plate voltage or a current is not known */
    public static Optional<AmpOutlook> of(LastKnown last) {
        StageIdle stage = last.stage();
        LastRead read = last.read();
        Optional<Goal> goal = stage.weakest();
        if (goal.isEmpty() || read.plateVolts().isEmpty() || read.cathodeAmps().isEmpty()) {
            return Optional.empty();
        }
        double plate = read.plateVolts().getAsDouble();
        double screen = read.screenVolts().orElse(plate);
        double aim = goal.get().at(plate).aim();
        double mean = switch (goal.get().window().school().basis()) {
            case PERCENT ->
                aim
                        * goal.get().rating().plateWatts()
                        / plate
                        / (1 - stage.mainType().orElseThrow().screenShare());
            case MILLIAMPS -> aim;
            case TEST_POINT -> read.cathodeAmps().getAsDouble();
        };
        return Optional.of(new AmpOutlook(plate, Math.min(screen, plate), mean));
    }
}
