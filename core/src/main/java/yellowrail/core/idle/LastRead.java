package yellowrail.core.idle;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Snapshot;

/**
 * What an amp was read as last, the mean of its tubes; SI, to the cathode; empty where it was not read.
 *
 * @param plateVolts V
 * @param screenVolts V; as read, else from the sheet; with triode connection the plate\u2019s
 * @param cathodeAmps of one tube, A
 * @param plateAmps of one tube, A
 * @param sidesApart plate current of the push side less that of the pull side, of their mean, in the channel where they
 *     are farthest apart, as a ratio; empty where one of the two was not read
 * @param cathodeVolts cathodes to ground, V; 0 where nothing was read
 * @param biasVolts grid to cathode, V, negative: as read, with cathode bias from the cathodes
 * @param unusable what of it cannot be used
 */
public record LastRead(
        OptionalDouble plateVolts,
        OptionalDouble screenVolts,
        OptionalDouble cathodeAmps,
        OptionalDouble plateAmps,
        OptionalDouble sidesApart,
        double cathodeVolts,
        OptionalDouble biasVolts,
        Optional<IdleFinding> unusable) {

    /** Screens stand between these, V; a reading outside was kept against all sense and is not used. */
    private static final double LEAST_SCREEN = 30;

    private static final double MOST_SCREEN = 2000;

    /** @param now what is on the bench; empty where nothing was ever read */
    public static LastRead of(StageIdle stage, Optional<Snapshot> now) {
        AmpSheet sheet = stage.sheet();
        Optional<Moment> moment = now.map(Snapshot::moment);
        List<TubeIdle> tubes = now.map(stage::at).orElse(List.of());
        List<IdleFigures> figures =
                tubes.stream().map(TubeIdle::figures).flatMap(Optional::stream).toList();
        OptionalDouble plate =
                figures.stream().mapToDouble(tube -> tube.plateVolts().value()).average();
        double lift = figures.stream()
                .mapToDouble(IdleFigures::cathodeVolts)
                .average()
                .orElse(0);
        Optional<Reading> screen = moment.flatMap(at -> at.last(ReadingKind.SCREEN_VOLTS, labels(sheet)));
        return new LastRead(
                plate,
                screen(sheet, screen, plate, lift),
                figures.stream().mapToDouble(tube -> tube.cathode().value()).average(),
                figures.stream()
                        .mapToDouble(tube -> tube.plateCurrent().value())
                        .average(),
                sidesApart(tubes),
                lift,
                bias(sheet, moment, lift, figures.isEmpty()),
                unusable(screen));
    }

    /** The same with the plates at other volts, to plan by, V. */
    public LastRead withPlates(OptionalDouble volts) {
        return volts.isEmpty()
                ? this
                : new LastRead(
                        volts, screenVolts, cathodeAmps, plateAmps, sidesApart, cathodeVolts, biasVolts, unusable);
    }

    /** What is to be said of a screen reading that cannot be one. */
    static Optional<IdleFinding> unusable(Optional<Reading> screen) {
        return screen.filter(reading -> !isScreen(reading))
                .map(reading -> new IdleFinding.ScreenUnusable(reading.value()));
    }

    /** Whether a screen can stand at what was read. */
    static boolean isScreen(Reading reading) {
        return reading.value() > LEAST_SCREEN && reading.value() < MOST_SCREEN;
    }

    private static OptionalDouble sidesApart(List<TubeIdle> tubes) {
        double farthest = 0;
        boolean read = false;
        for (Channel channel : Channel.values()) {
            OptionalDouble push = amps(tubes, socket -> socket.channel() == channel && socket.side() == Side.PUSH);
            OptionalDouble pull = amps(tubes, socket -> socket.channel() == channel && socket.side() == Side.PULL);
            if (push.isPresent() && pull.isPresent()) {
                double apart =
                        2 * (push.getAsDouble() - pull.getAsDouble()) / (push.getAsDouble() + pull.getAsDouble());
                farthest = !read || Math.abs(apart) > Math.abs(farthest) ? apart : farthest;
                read = true;
            }
        }
        return read ? OptionalDouble.of(farthest) : OptionalDouble.empty();
    }

    private static OptionalDouble amps(List<TubeIdle> tubes, Predicate<Socket> which) {
        return tubes.stream()
                .filter(tube -> which.test(tube.socket()))
                .map(TubeIdle::figures)
                .flatMap(Optional::stream)
                .mapToDouble(tube -> tube.plateCurrent().value())
                .filter(amps -> amps > 0)
                .average();
    }

    private static String[] labels(AmpSheet sheet) {
        return sheet.sockets().stream().map(Socket::label).toArray(String[]::new);
    }

    private static OptionalDouble screen(AmpSheet sheet, Optional<Reading> screen, OptionalDouble plate, double lift) {
        if (sheet.screen().connection() == ScreenSense.Connection.TRIODE) {
            return plate;
        }
        OptionalDouble toGround = screen.filter(LastRead::isScreen)
                .map(reading -> OptionalDouble.of(reading.value()))
                .orElse(sheet.fittings().screenVolts());
        return toGround.isPresent() && toGround.getAsDouble() - lift > LEAST_SCREEN
                ? OptionalDouble.of(toGround.getAsDouble() - lift)
                : OptionalDouble.empty();
    }

    private static OptionalDouble bias(AmpSheet sheet, Optional<Moment> moment, double lift, boolean unread) {
        if (sheet.bias().isCathode()) {
            return unread ? OptionalDouble.empty() : OptionalDouble.of(-lift);
        }
        String[] places = sheet.sockets().stream()
                .flatMap(socket -> List.of(socket.label(), socket.testPoint()).stream())
                .distinct()
                .toArray(String[]::new);
        return moment.flatMap(at -> at.last(ReadingKind.BIAS, places))
                .map(reading -> OptionalDouble.of(reading.value()))
                .orElse(OptionalDouble.empty());
    }
}
