package yellowrail.core.drawer;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Target;
import yellowrail.core.idle.LastRead;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.reading.Moment;

/**
 * Where an amp would have new tubes idle, by what was read in it last.
 *
 * @param plate  plate to cathode, V
 * @param screen screen to cathode, V
 * @param mean   cathode current at the target, A
 */
public record AmpOutlook(double plate, double screen, double mean) {

    /** @return empty while a plate voltage or a current is not known */
    public static Optional<AmpOutlook> of(StageIdle stage, Moment moment) {
        AmpSheet sheet = stage.sheet();
        LastRead read = LastRead.of(stage, Optional.of(moment));
        if (read.plateVolts().isEmpty() || read.cathodeAmps().isEmpty()) {
            return Optional.empty();
        }
        double plate = read.plateVolts().getAsDouble();
        double screen = read.screenVolts().orElse(plate);
        Target target = sheet.target();
        double mean = switch (target.school().basis()) {
            case PERCENT -> target.aim() * stage.rating().plateWatts() / plate / (1 - stage.type().screenShare());
            case MILLIAMPS -> target.aim();
            case TEST_POINT -> read.cathodeAmps().getAsDouble();
        };
        return Optional.of(new AmpOutlook(plate, Math.min(screen, plate), mean));
    }
}
