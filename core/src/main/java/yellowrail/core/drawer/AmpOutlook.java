package yellowrail.core.drawer;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Target;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.ReadingKind;

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
        List<IdleFigures> figures = stage.at(moment).stream().map(TubeIdle::figures).flatMap(Optional::stream).toList();
        if (figures.isEmpty()) {
            return Optional.empty();
        }
        double plate = figures.stream().mapToDouble(tube -> tube.plateVolts().value()).average().orElseThrow();
        double cathode = figures.stream().mapToDouble(IdleFigures::cathodeVolts).average().orElseThrow();
        double screen = moment.last(ReadingKind.SCREEN_VOLTS, sheet.sockets().stream().map(socket -> socket.label()).toArray(String[]::new))
                .map(reading -> reading.value() - cathode).orElse(plate);
        Target target = sheet.target();
        double mean = switch (target.school().basis()) {
            case PERCENT -> target.aim() * stage.rating().plateWatts() / plate / (1 - stage.type().screenShare());
            case MILLIAMPS -> target.aim();
            case TEST_POINT -> figures.stream().mapToDouble(tube -> tube.cathode().value()).average().orElseThrow();
        };
        return Optional.of(new AmpOutlook(plate, Math.min(screen, plate), mean));
    }
}
