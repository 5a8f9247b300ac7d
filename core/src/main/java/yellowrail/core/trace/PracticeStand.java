package yellowrail.core.trace;

import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Random;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;

/**
 * A made-up tube on a made-up stand, to practise tracing: it differs from its type as tubes do, and its meters read to
 * the last digit of theirs.
 */
public final class PracticeStand {

    private static final double CURRENT_SCATTERS = 0.15;
    private static final double MU_SCATTERS = 0.05;
    private static final double METER = 0.004;
    private static final double DIGIT = 1e-4;

    private final TubeModel tube;
    private final long seed;

    /** @param seed that decides the tube */
    public PracticeStand(TubeModel typical, long seed) {
        Random chance = new Random(seed);
        this.tube = typical.withMu(Math.exp(MU_SCATTERS * chance.nextGaussian()))
                .scaled(Math.exp(CURRENT_SCATTERS * chance.nextGaussian()));
        this.seed = seed;
    }

    /** What the meters show at these volts: the same at every look. */
    public TracedPoint read(double plate, OptionalDouble screen, double grid) {
        TubeModel.Currents drawn = tube.currents(plate, screen.orElse(plate), grid);
        Random chance = new Random(seed * 31 + Objects.hash(plate, screen, grid));
        return new TracedPoint(
                plate,
                screen,
                grid,
                shown(drawn.plate() + (screen.isPresent() ? 0 : drawn.screen()), chance),
                screen.isPresent() && !tube.isTriode()
                        ? OptionalDouble.of(shown(drawn.screen(), chance))
                        : OptionalDouble.empty());
    }

    private static double shown(double amps, Random chance) {
        return Math.round(amps * (1 + METER * chance.nextGaussian()) / DIGIT) * DIGIT;
    }
}
