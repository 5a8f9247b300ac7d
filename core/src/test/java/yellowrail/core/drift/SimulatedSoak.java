package yellowrail.core.drift;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** Tubes that soak, made up: what they truly do, and what a meter shows of it. */
final class SimulatedSoak {

    /** When a builder reads by hand, min. */
    static final double[] BY_HAND = {0, 2, 5, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60};

    /** Spread of the first settling, %, and its time constants, min. */
    private static final double SETTLES = 5;

    private static final double SECOND = 1.5;
    private final Random chance;

    SimulatedSoak(long seed) {
        this.chance = new Random(seed);
    }

    /** Every 20 s. */
    static double[] logged(double minutes) {
        return DoubleStream.iterate(0, t -> t <= minutes + 1e-9, t -> t + 1.0 / 3)
                .toArray();
    }

    static double[] byHand(double minutes) {
        return DoubleStream.of(BY_HAND).filter(t -> t <= minutes).toArray();
    }

    double between(double low, double high) {
        return low + (high - low) * chance.nextDouble();
    }

    /** A tube as a ratio of its settled current, that drifts by so much, %/min. */
    DoubleUnaryOperator tube(double rate) {
        double settles = SETTLES * chance.nextGaussian();
        double tau = between(1.5, 8);
        return t -> 1 + settles / 100 * Math.exp(-t / tau) + rate / 100 * t;
    }

    /** The same with a second, slow settling. */
    DoubleUnaryOperator slowTube(double rate) {
        DoubleUnaryOperator tube = tube(rate);
        double settles = SECOND * chance.nextGaussian();
        double tau = between(15, 40);
        return t -> tube.applyAsDouble(t) + settles / 100 * Math.exp(-t / tau);
    }

    /** One that runs away: it is 30 % up at some time between 12 and 22 min. */
    DoubleUnaryOperator runaway() {
        DoubleUnaryOperator tube = tube(0);
        double time = between(2.5, 8);
        double third = between(12, 22);
        double growth = 0.3 / Math.expm1(third / time);
        return t -> tube.applyAsDouble(t) + growth * Math.expm1(t / time);
    }

    /** A mains that wanders by about 0.7 %, over a quarter of an hour, as a ratio; the same for every tube. */
    DoubleUnaryOperator mains() {
        double[] periods = {between(4, 8), between(12, 25), between(40, 90)};
        double[] sizes = {0.002, 0.005, 0.007};
        double[] phases =
                DoubleStream.generate(() -> between(0, 2 * Math.PI)).limit(3).toArray();
        return t -> 1
                + IntStream.range(0, 3)
                        .mapToDouble(i -> sizes[i] * Math.sin(2 * Math.PI * t / periods[i] + phases[i]))
                        .sum();
    }

    /** What a meter shows of it, with a scatter in %. */
    List<Sample> read(DoubleUnaryOperator truth, double[] times, double noise) {
        List<Sample> samples = new ArrayList<>();
        for (double time : times) {
            samples.add(new Sample(time, 36.4 * truth.applyAsDouble(time) * (1 + noise / 100 * chance.nextGaussian())));
        }
        return samples;
    }

    static Series series(String label, List<Sample> samples) {
        return new Series(label, samples, OptionalDouble.empty(), 0.01);
    }

    static Drift.Result judge(Series... points) {
        return new Drift(new DriftProblem(
                        List.of(points), List.of(), DriftProblem.USUAL_EXPONENT, List.of(), OptionalDouble.empty()))
                .judge();
    }

    static DriftState state(List<Sample> samples) {
        return judge(series("V1", samples)).points().get(0).state();
    }
}
