package yellowrail.core.drift;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.LongFunction;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/**
 * What the verdict on a soak is worth, over many simulated tubes: {@code ./yellow-rail soakstudy}. Prints how many
 * creeps and runaways are caught by when, how many good tubes are accused, and whether a tube is lost in a watched soak
 * whose alarm is obeyed.
 */
class SoakStudy {

    private static final int TUBES = Integer.getInteger("tubes", 2000);

    /** How the readings of a row of the study are made. */
    private record Way(String name, LongFunction<List<Sample>> samples) {}

    @Test
    void prints() {
        System.out.printf("%d simulated tubes a row%n", TUBES);
        System.out.println("\nlogged every 20 s, 0.3 % noise, alone, nothing said of the noise");
        for (double minutes : new double[] {5, 10, 20, 30}) {
            double[] times = SimulatedSoak.logged(minutes);
            row(minutes, times, 0.3);
        }
        System.out.println("\nby hand, 13 readings an hour, 0.4 % noise, alone");
        for (double minutes : new double[] {15, 20, 30, 60}) {
            row(minutes, SimulatedSoak.byHand(minutes), 0.4);
        }
        System.out.println("\nby hand, with a second slow settling and a mains that nobody logged, 0.4 % noise");
        for (int tubes : new int[] {1, 2, 4}) {
            neighbours(tubes, SimulatedSoak.byHand(30), 0.4, 30);
        }
        System.out.println("\nthe same, logged every 20 s");
        for (int tubes : new int[] {1, 2, 4}) {
            neighbours(tubes, SimulatedSoak.logged(30), 0.3, 30);
        }
        watched();
        time();
    }

    private static void row(double minutes, double[] times, double noise) {
        double slow = share(
                seed -> {
                    SimulatedSoak soak = new SimulatedSoak(seed);
                    return soak.read(soak.tube(soak.between(0.2, 0.5)), times, noise);
                },
                DriftState::isTrouble);
        double fast = share(
                seed -> {
                    SimulatedSoak soak = new SimulatedSoak(seed);
                    return soak.read(soak.tube(soak.between(0.5, 1)), times, noise);
                },
                DriftState::isTrouble);
        LongFunction<List<Sample>> good = seed -> {
            SimulatedSoak soak = new SimulatedSoak(seed);
            return soak.read(soak.tube(0), times, noise);
        };
        double accused = share(good, DriftState::isTrouble);
        double cleared = share(good, state -> state == DriftState.STEADY || state == DriftState.SETTLING);
        LongFunction<List<Sample>> runaway = seed -> {
            SimulatedSoak soak = new SimulatedSoak(seed);
            return soak.read(soak.runaway(), times, noise);
        };
        double runs = share(runaway, state -> state == DriftState.RUNNING_AWAY);
        double caught = share(runaway, DriftState::isTrouble);
        double named = share(
                seed -> {
                    SimulatedSoak soak = new SimulatedSoak(seed);
                    return soak.read(soak.tube(soak.between(0.2, 1)), times, noise);
                },
                state -> state == DriftState.RUNNING_AWAY);
        System.out.printf(
                "%4.0f min: creeps of 0.2 to 0.5 %%/min caught %5.1f %%, of 0.5 to 1 %5.1f %%; good tubes accused"
                        + " %4.1f %%, cleared %5.1f %%; runaways caught %5.1f %%, called so %5.1f %%;"
                        + " creeps called runaways %4.1f %%%n",
                minutes, slow, fast, accused, cleared, caught, runs, named);
    }

    private static double share(LongFunction<List<Sample>> samples, java.util.function.Predicate<DriftState> counts) {
        return 100.0
                * LongStream.range(0, TUBES)
                        .parallel()
                        .filter(seed -> counts.test(SimulatedSoak.state(samples.apply(seed))))
                        .count()
                / TUBES;
    }

    /** One creeping tube among good ones, all with a slow second settling, under one mains. */
    private static void neighbours(int tubes, double[] times, double noise, double minutes) {
        double[] sums = LongStream.range(0, TUBES)
                .parallel()
                .mapToObj(seed -> {
                    SimulatedSoak soak = new SimulatedSoak(seed);
                    DoubleUnaryOperator mains = soak.mains();
                    double rate = soak.between(0.5, 1);
                    List<DriftState> good = states(soak, mains, tubes, 0, times, noise);
                    List<DriftState> bad = states(soak, mains, tubes, rate, times, noise);
                    return new double[] {
                        good.stream().filter(DriftState::isTrouble).count(),
                        bad.get(0).isTrouble() ? 1 : 0,
                        bad.stream().skip(1).filter(DriftState::isTrouble).count()
                    };
                })
                .reduce(new double[3], (one, other) ->
                        new double[] {one[0] + other[0], one[1] + other[1], one[2] + other[2]});
        System.out.printf(
                "%4.0f min, %d tubes: good ones accused %4.1f %%, creeps of 0.5 to 1 %%/min caught %5.1f %%,"
                        + " their good neighbours accused %4.1f %%%n",
                minutes,
                tubes,
                100 * sums[0] / TUBES / tubes,
                100 * sums[1] / TUBES,
                tubes == 1 ? 0 : 100 * sums[2] / TUBES / (tubes - 1));
    }

    private static List<DriftState> states(
            SimulatedSoak soak, DoubleUnaryOperator mains, int tubes, double rate, double[] times, double noise) {
        Series[] points = IntStream.range(0, tubes)
                .mapToObj(i -> {
                    DoubleUnaryOperator tube = soak.slowTube(i == 0 ? rate : 0);
                    return SimulatedSoak.series(
                            "V" + (i + 1),
                            soak.read(
                                    t -> tube.applyAsDouble(t) * Math.pow(mains.applyAsDouble(t), 1.5), times, noise));
                })
                .toArray(Series[]::new);
        return SimulatedSoak.judge(points).points().stream()
                .map(PointDrift::state)
                .toList();
    }

    private static final double GIVES_UP_AT = 1.15;
    private static final double FAILS = 40;
    private static final double REACTS = 15;

    /**
     * Runaways watched every 20 s from an idle of 65 % of the rating; the amp is switched off a quarter of a minute
     * after the first alarm. A plate gives up after 40 s at its rating above what it sheds, as on the practice bench.
     */
    private static void watched() {
        long[] counts = LongStream.range(0, TUBES)
                .parallel()
                .mapToObj(seed -> {
                    SimulatedSoak soak = new SimulatedSoak(seed);
                    DoubleUnaryOperator tube = soak.runaway();
                    List<Sample> all = soak.read(tube, SimulatedSoak.logged(40), 0.3);
                    double heat = 0;
                    for (int i = 1; i < all.size(); i++) {
                        for (int s = 0; s < 20; s++) {
                            double ratio =
                                    0.65 * tube.applyAsDouble(all.get(i - 1).minutes() + s / 60.0);
                            heat = Math.max(0, heat + (ratio > GIVES_UP_AT ? ratio - GIVES_UP_AT : -0.05 * heat));
                        }
                        if (heat >= FAILS) {
                            return new long[] {1, 0};
                        }
                        if (SimulatedSoak.state(all.subList(0, i + 1)).isTrouble()) {
                            for (int s = 0; s < REACTS; s++) {
                                double ratio =
                                        0.65 * tube.applyAsDouble(all.get(i).minutes() + s / 60.0);
                                heat = Math.max(0, heat + (ratio > GIVES_UP_AT ? ratio - GIVES_UP_AT : -0.05 * heat));
                            }
                            return new long[] {heat >= FAILS ? 1 : 0, 1};
                        }
                    }
                    return new long[] {0, 0};
                })
                .reduce(new long[2], (one, other) -> new long[] {one[0] + other[0], one[1] + other[1]});
        System.out.printf(
                "%nwatched every 20 s, off 15 s after the alarm: %d runaways, %d alarms, %d tubes lost%n",
                TUBES, counts[1], counts[0]);
    }

    private static void time() {
        double[] times = SimulatedSoak.logged(60);
        Series[] four = IntStream.range(0, 4)
                .mapToObj(i -> {
                    SimulatedSoak soak = new SimulatedSoak(i);
                    return SimulatedSoak.series("V" + i, soak.read(soak.tube(0), times, 0.3));
                })
                .toArray(Series[]::new);
        double[] took = IntStream.range(0, 300)
                .mapToDouble(i -> {
                    long begin = System.nanoTime();
                    SimulatedSoak.judge(four);
                    return (System.nanoTime() - begin) / 1e6;
                })
                .skip(100)
                .sorted()
                .toArray();
        System.out.printf(
                "%nfour points of an hour at 20 s (%d readings): median %.1f ms, slowest %.1f ms%n",
                4 * times.length, took[took.length / 2], took[took.length - 1]);
    }
}
