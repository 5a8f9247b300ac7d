package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * The grid voltage a tube will need: from two settings by the three-halves law, from one by the type's model made to
 * pass through it.
 */
final class BiasForecast {

    private static final int NEWEST = 4;
    /** A screen that was not read is taken this far below its plate, V. */
    private static final double SCREEN_BELOW = 5;

    private static final double LEAST_SCREEN = 30;

    private final StageIdle stage;
    private final List<ReadingSet> sets;
    private final int tube;
    private final Optional<BiasLaw> law;
    private final Optional<TubeModel> model;

    /**
     * @param volts grid to cathode, V
     * @param from what it rests on
     */
    record Bias(double volts, MoveFinding from) {}

    BiasForecast(StageIdle stage, List<ReadingSet> sets, List<Integer> group) {
        this.stage = stage;
        this.sets = sets;
        this.tube = group.get(0);
        this.law = BiasLaw.through(pairs());
        this.model = throughNewest();
    }

    /** The measured pairs of grid volts and cathode current, newest settings only. */
    private List<BiasLaw.Pair> pairs() {
        List<BiasLaw.Pair> pairs = new ArrayList<>();
        for (ReadingSet set : sets.subList(Math.max(0, sets.size() - NEWEST), sets.size())) {
            grid(set).ifPresent(grid -> pairs.add(new BiasLaw.Pair(grid, set.cathode(tube))));
        }
        return pairs;
    }

    /** Grid to cathode: as read with fixed bias, what the cathode stands above ground with cathode bias. */
    private OptionalDouble grid(ReadingSet set) {
        return stage.sheet().bias().isCathode()
                ? OptionalDouble.of(-set.values(tube).cathodeVolts())
                : set.bias(tube);
    }

    /**
     * @param amps cathode current to come, A
     * @param plate plate to cathode then, V
     */
    Optional<Bias> at(double amps, double plate) {
        return law.map(found -> new Bias(found.grid(amps), new MoveFinding.GridsByTheLaw()))
                .or(() -> model.map(found ->
                        new Bias(found.gridFor(amps, plate, screen(plate)), new MoveFinding.GridsByTheModel())));
    }

    /** The type's model, made to pass through the newest setting whose grid voltage was read. */
    Optional<TubeModel> model() {
        return model;
    }

    private Optional<TubeModel> throughNewest() {
        for (int i = sets.size() - 1; i >= 0; i--) {
            ReadingSet set = sets.get(i);
            OptionalDouble grid = grid(set);
            if (grid.isPresent()) {
                double plate = set.values(tube).plateVolts();
                return stage.type(tube)
                        .flatMap(type -> TubeModels.published().of(type))
                        .map(known ->
                                through(known.model(), set.cathode(tube), plate, screen(plate), grid.getAsDouble()));
            }
        }
        return Optional.empty();
    }

    private static TubeModel through(TubeModel model, double amps, double plate, double screen, double grid) {
        return model.scaled(amps / model.cathodeCurrent(plate, screen, grid));
    }

    double screen(double plate) {
        return Math.max(1, plate - screenDrop());
    }

    /** How far the screen stands below the plate: as last read, none in triode connection. */
    double screenDrop() {
        ReadingSet newest = sets.get(sets.size() - 1);
        if (stage.sheet().screen().connection() == ScreenSense.Connection.TRIODE) {
            return 0;
        }
        return newest.moment()
                .last(
                        ReadingKind.SCREEN_VOLTS,
                        newest.tubes().get(tube).socket().label())
                .filter(screen -> screen.value() > LEAST_SCREEN)
                .map(screen -> newest.values(tube).problem().plateReading() - screen.value())
                .orElse(SCREEN_BELOW);
    }
}
