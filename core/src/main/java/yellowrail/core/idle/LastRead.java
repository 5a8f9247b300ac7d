package yellowrail.core.idle;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * What an amp was read as last, the mean of its tubes; SI, to the cathode; empty where it was not read.
 *
 * @param plateVolts   V
 * @param screenVolts  V; as read, else from the sheet; with triode connection the plate\u2019s
 * @param cathodeAmps  of one tube, A
 * @param plateAmps    of one tube, A
 * @param cathodeVolts cathodes to ground, V; 0 where nothing was read
 * @param biasVolts    grid to cathode, V, negative: as read, with cathode bias from the cathodes
 */
public record LastRead(OptionalDouble plateVolts, OptionalDouble screenVolts, OptionalDouble cathodeAmps, OptionalDouble plateAmps, double cathodeVolts, OptionalDouble biasVolts) {

    /** @param moment what was read; empty where nothing was */
    public static LastRead of(StageIdle stage, Optional<Moment> moment) {
        AmpSheet sheet = stage.sheet();
        List<IdleFigures> figures = moment.map(stage::at).orElse(List.of()).stream().map(TubeIdle::figures).flatMap(Optional::stream).toList();
        OptionalDouble plate = figures.stream().mapToDouble(tube -> tube.plateVolts().value()).average();
        double lift = figures.stream().mapToDouble(IdleFigures::cathodeVolts).average().orElse(0);
        return new LastRead(plate, screen(sheet, moment, plate, lift), figures.stream().mapToDouble(tube -> tube.cathode().value()).average(),
                figures.stream().mapToDouble(tube -> tube.plateCurrent().value()).average(), lift, bias(sheet, moment, lift, figures.isEmpty()));
    }

    private static OptionalDouble screen(AmpSheet sheet, Optional<Moment> moment, OptionalDouble plate, double lift) {
        if (sheet.screen().connection() == ScreenSense.Connection.TRIODE) {
            return plate;
        }
        Optional<Reading> read = moment.flatMap(at -> at.last(ReadingKind.SCREEN_VOLTS, sheet.sockets().stream().map(Socket::label).toArray(String[]::new)));
        return read.map(reading -> OptionalDouble.of(reading.value() - lift))
                .orElseGet(() -> sheet.fittings().screenVolts().isPresent() ? OptionalDouble.of(sheet.fittings().screenVolts().getAsDouble() - lift) : OptionalDouble.empty());
    }

    private static OptionalDouble bias(AmpSheet sheet, Optional<Moment> moment, double lift, boolean unread) {
        if (sheet.bias().isCathode()) {
            return unread ? OptionalDouble.empty() : OptionalDouble.of(-lift);
        }
        String[] places = sheet.sockets().stream().flatMap(socket -> List.of(socket.label(), socket.testPoint()).stream()).distinct().toArray(String[]::new);
        return moment.flatMap(at -> at.last(ReadingKind.BIAS, places)).map(reading -> OptionalDouble.of(reading.value())).orElse(OptionalDouble.empty());
    }
}
