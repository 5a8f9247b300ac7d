package yellowrail.core.bias;

import java.util.OptionalDouble;
import java.util.Random;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.standard.StandardValues;

/** A supply as one might meet it: a seed decides what. */
final class RandomSupply {

    private static final double[] POTS = {5e3, 10e3, 20e3, 22e3, 25e3, 47e3, 50e3, 100e3};

    private final Random chance;

    RandomSupply(long seed) {
        this.chance = new Random(seed);
    }

    BiasSupply supply() {
        Rectification rectification = Rectification.values()[chance.nextInt(Rectification.values().length)];
        boolean coupled = chance.nextInt(4) == 0;
        boolean tap = coupled || chance.nextBoolean();
        double volts = tap ? 150 + 250 * chance.nextDouble() : 35 + 50 * chance.nextDouble();
        BiasSource source = new BiasSource(
                volts,
                tap ? 40 + 100 * chance.nextDouble() : 5 + 60 * chance.nextDouble(),
                chance.nextBoolean() ? 50 : 60,
                rectification,
                coupled ? OptionalDouble.of(pick(22e-9, 220e-9)) : OptionalDouble.empty());
        double feed = chance.nextBoolean() ? value(1e3, 33e3) : 0;
        Smoothing smoothing = new Smoothing(
                coupled ? value(100, 4700) : tap ? value(22e3, 150e3) : chance.nextInt(3) == 0 ? 0 : value(100, 4700),
                chance.nextInt(3) == 0 ? pick(0.47e-6, 4.7e-6) : pick(4.7e-6, 100e-6),
                OptionalDouble.empty(),
                feed,
                feed > 0 && chance.nextBoolean() ? pick(4.7e-6, 47e-6) : 0,
                OptionalDouble.empty());
        return new BiasSupply(source, smoothing, network(), 220_000, meter());
    }

    private BiasNetwork network() {
        Kind kind = Kind.values()[chance.nextInt(Kind.values().length)];
        double pot = POTS[chance.nextInt(POTS.length)];
        return new BiasNetwork(
                kind,
                kind == Kind.RANGE_AND_BALANCE || kind == Kind.FIXED || chance.nextBoolean() ? value(1e3, 22e3) : 0,
                pot,
                value(10e3, 68e3),
                chance.nextBoolean() ? OptionalDouble.of(220e3) : OptionalDouble.empty(),
                10e3,
                2,
                chance.nextBoolean(),
                chance.nextInt(4) == 0 ? OptionalDouble.of(250e3) : OptionalDouble.empty());
    }

    private OptionalDouble meter() {
        return chance.nextInt(3) == 0 ? OptionalDouble.of(10e6) : OptionalDouble.empty();
    }

    PotStand stand() {
        return new PotStand(chance.nextDouble(), chance.nextDouble());
    }

    private double value(double from, double to) {
        return StandardValues.E12.nearest(pick(from, to));
    }

    private double pick(double from, double to) {
        return from * Math.pow(to / from, chance.nextDouble());
    }
}
