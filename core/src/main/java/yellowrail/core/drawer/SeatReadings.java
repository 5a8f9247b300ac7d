package yellowrail.core.drawer;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.timeline.Setting;
import yellowrail.core.tube.model.OwnTube;

/**
 * What was read of the tube in a socket, with the volts it stood at: one reading of each setting that tells them all.
 */
public final class SeatReadings {

    /** Of the current, for screen volts that are not quite those of the moment. */
    private static final double SCREENS = 0.03;

    /** A meter loads the grid it reads. */
    private static final double GRID = 0.02;

    private static final double SELF_BIAS = 0.01;

    private SeatReadings() {}

    public static List<OwnTube.Reading> of(SeatIdles idles) {
        return idles.all().stream()
                .flatMap(at -> reading(idles.stage(), at.setting(), at.tube()).stream())
                .toList();
    }

    private static Optional<OwnTube.Reading> reading(StageIdle stage, Setting setting, TubeIdle tube) {
        OptionalDouble grid = grid(stage, setting, tube);
        OptionalDouble screen = screen(stage, tube);
        if (tube.figures().isEmpty() || grid.isEmpty() || screen.isEmpty()) {
            return Optional.empty();
        }
        IdleFigures figures = tube.figures().get();
        Estimate cathode = figures.cathode();
        return Optional.of(new OwnTube.Reading(
                figures.plateVolts().value(),
                screen.getAsDouble(),
                grid.getAsDouble(),
                OwnTube.What.CATHODE_CURRENT,
                cathode.value(),
                Math.hypot(cathode.plusMinus() / cathode.value(), SCREENS),
                (stage.sheet().bias().isCathode() ? SELF_BIAS : GRID) * -grid.getAsDouble()));
    }

    /** Read in this very setting: since the pots were turned, an older one is of other grids. */
    private static OptionalDouble grid(StageIdle stage, Setting setting, TubeIdle tube) {
        if (stage.sheet().bias().isCathode()) {
            return tube.figures()
                    .map(figures -> OptionalDouble.of(-figures.cathodeVolts()))
                    .orElse(OptionalDouble.empty());
        }
        return tube.bias()
                .filter(setting.own()::contains)
                .map(read -> OptionalDouble.of(read.value()))
                .orElse(OptionalDouble.empty());
    }

    /** As it was read or is on the sheet; where the screen hangs on the plate, as that. */
    private static OptionalDouble screen(StageIdle stage, TubeIdle tube) {
        if (tube.figures().isEmpty()) {
            return OptionalDouble.empty();
        }
        IdleFigures figures = tube.figures().get();
        return switch (stage.sheet().screen().connection()) {
            case TRIODE, ULTRALINEAR -> OptionalDouble.of(figures.plateVolts().value());
            case PENTODE -> {
                if (figures.screenVolts().isPresent()) {
                    yield OptionalDouble.of(figures.screenVolts().get().value());
                }
                OptionalDouble sheet = stage.sheet().fittings().screenVolts();
                yield sheet.isPresent() ? OptionalDouble.of(sheet.getAsDouble() - figures.cathodeVolts()) : sheet;
            }
        };
    }
}
