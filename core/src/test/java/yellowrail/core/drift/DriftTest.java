package yellowrail.core.drift;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class DriftTest {

    private static final double[] TWENTY = SimulatedSoak.logged(20);
    private static final double[] HOUR = SimulatedSoak.logged(60);

    private static List<Sample> read(DoubleUnaryOperator truth, double[] times) {
        return new SimulatedSoak(7).read(truth, times, 0.3);
    }

    private static PointDrift one(List<Sample> samples) {
        return SimulatedSoak.judge(SimulatedSoak.series("V1", samples)).points().get(0);
    }

    private static Drift.Result under(List<Sample> mains, List<Sample> plates, List<List<Sample>> points) {
        List<Series> series = new ArrayList<>();
        points.forEach(samples -> series.add(SimulatedSoak.series("V" + (series.size() + 1), samples)));
        return new Drift(new DriftProblem(series, mains, 1.5, plates, OptionalDouble.empty())).judge();
    }

    private static List<DriftState> states(Drift.Result result) {
        return result.points().stream().map(PointDrift::state).toList();
    }

    @Test
    void aTubeThatWarmsThroughSettlesAndThenStands() {
        DoubleUnaryOperator tube = t -> 1 + 0.06 * Math.exp(-t / 4);

        assertEquals(
                DriftState.SETTLING, one(read(tube, SimulatedSoak.logged(8))).state());
        PointDrift later = one(read(tube, HOUR));
        assertEquals(DriftState.STEADY, later.state());
        assertTrue(later.rateLow() < 0.01 && later.rateHigh() > -0.01, later.toString());
        assertTrue(later.toLimit().isEmpty());
    }

    @Test
    void aCreepIsToldWithItsRateAndWhenItReachesTheLimit() {
        // 0.5 %/min of 36.4 mV is 0.182 mV/min; at 20 min it stands at 40.04 mV, so 45.5 mV is 30 min on.
        List<Sample> samples = read(t -> 1 + 0.04 * Math.exp(-t / 3) + 0.005 * t, TWENTY);

        PointDrift found = new Drift(new DriftProblem(
                        List.of(new Series("V1", samples, OptionalDouble.of(45.5), 0.01)),
                        List.of(),
                        1.5,
                        List.of(),
                        OptionalDouble.of(0.3)))
                .judge()
                .points()
                .get(0);

        assertEquals(DriftState.CREEPING, found.state());
        assertTrue(found.rateLow() <= 0.5 && 0.5 <= found.rateHigh() + 0.05, found.toString());
        assertEquals(30, found.toLimit().getAsDouble(), 4);
        assertTrue(found.toLimitSoonest().getAsDouble() < found.toLimit().getAsDouble());
        assertEquals(25, found.askAgain().getAsDouble(), 1e-9);
    }

    @Test
    void aCurveThatAcceleratesRunsAway() {
        PointDrift found = one(read(t -> 1 + 0.02 * Math.expm1(t / 5), TWENTY));

        assertEquals(DriftState.RUNNING_AWAY, found.state());
        // The slope at 20 min is 0.02/5 e^4 = 21.8 % of the first value a minute.
        assertTrue(found.rate() > 10, found.toString());
        assertEquals(20, found.askAgain().getAsDouble(), 1e-9);
    }

    @Test
    void thatALimitIsPassedIsToldWhateverTheTrend() {
        List<Sample> samples = read(t -> 1, TWENTY);

        PointDrift found = new Drift(new DriftProblem(
                        List.of(new Series("V1", samples, OptionalDouble.of(30), 0)),
                        List.of(),
                        1.5,
                        List.of(),
                        OptionalDouble.empty()))
                .judge()
                .points()
                .get(0);

        assertEquals(DriftState.STEADY, found.state());
        assertEquals(0, found.toLimit().getAsDouble());
    }

    /**
     * The supply's rise is nobody's fault, and the plates get to their rating all the same: 7.2 % more at 0.3 %/min.
     */
    @Test
    void whatRisesWithAllTheOthersReachesItsLimitToo() {
        DoubleUnaryOperator up = t -> 1 + 0.003 * t;
        Drift.Result result = new Drift(new DriftProblem(
                        List.of(
                                new Series("V1", read(up, TWENTY), OptionalDouble.of(41.4), 0),
                                new Series(
                                        "V2", new SimulatedSoak(9).read(up, TWENTY, 0.3), OptionalDouble.empty(), 0)),
                        List.of(),
                        1.5,
                        List.of(),
                        OptionalDouble.empty()))
                .judge();

        assertEquals(Common.SUPPLY, result.common());
        assertFalse(result.points().get(0).state().isTrouble());
        assertEquals(25.8, result.points().get(0).toLimit().getAsDouble(), 4);
    }

    @Test
    void aLoggedMainsIsTakenOut() {
        DoubleUnaryOperator mains = t -> 1 + 0.002 * t;
        List<Sample> volts = read(t -> mains.applyAsDouble(t), TWENTY);
        DoubleUnaryOperator tube = t -> Math.pow(mains.applyAsDouble(t), 1.5);

        Drift.Result result =
                under(volts, List.of(), List.of(read(tube, TWENTY), new SimulatedSoak(8).read(tube, TWENTY, 0.3)));

        assertEquals(Common.MAINS, result.common());
        assertEquals(List.of(DriftState.STEADY, DriftState.STEADY), states(result));
    }

    @Test
    void aCreepIsSeenThroughAMainsThatFalls() {
        DoubleUnaryOperator mains = t -> 1 - 0.003 * t;
        List<Sample> volts = read(t -> mains.applyAsDouble(t), TWENTY);
        DoubleUnaryOperator good = t -> Math.pow(mains.applyAsDouble(t), 1.5);
        DoubleUnaryOperator creeps = t -> good.applyAsDouble(t) * (1 + 0.004 * t);

        Drift.Result result =
                under(volts, List.of(), List.of(read(creeps, TWENTY), new SimulatedSoak(8).read(good, TWENTY, 0.3)));

        assertEquals(List.of(DriftState.CREEPING, DriftState.STEADY), states(result));
    }

    @Test
    void whatMovesEveryTubeAlikeIsTheSupply() {
        DoubleUnaryOperator up = t -> 1 + 0.003 * t;

        Drift.Result result =
                under(List.of(), List.of(), List.of(read(up, TWENTY), new SimulatedSoak(9).read(up, TWENTY, 0.3)));

        assertEquals(Common.SUPPLY, result.common());
        assertFalse(states(result).get(0).isTrouble());
        assertFalse(states(result).get(1).isTrouble());
    }

    @Test
    void allRisingWhileThePlatesFallIsTroubleOfAll() {
        DoubleUnaryOperator up = t -> 1 + 0.003 * t;
        List<Sample> plates = List.of(new Sample(0, 452), new Sample(10, 448), new Sample(20, 444));

        Drift.Result result =
                under(List.of(), plates, List.of(read(up, TWENTY), new SimulatedSoak(9).read(up, TWENTY, 0.3)));

        assertEquals(Common.SUPPLY, result.common());
        assertEquals(List.of(DriftState.CREEPING, DriftState.CREEPING), states(result));
    }

    @Test
    void aCommonRunawayIsNoMains() {
        DoubleUnaryOperator away = t -> 1 + 0.02 * Math.expm1(t / 5);

        Drift.Result result =
                under(List.of(), List.of(), List.of(read(away, TWENTY), new SimulatedSoak(9).read(away, TWENTY, 0.3)));

        assertEquals(List.of(DriftState.RUNNING_AWAY, DriftState.RUNNING_AWAY), states(result));
    }

    @Test
    void aTurnThatWasNotLoggedIsToldAsAStepAndTheRestIsJudged() {
        PointDrift found = one(read(t -> t < 30 ? 1 : 1.06, HOUR));

        assertEquals(DriftState.STEADY, found.state());
        assertEquals(30, found.stepAt().getAsDouble(), 0.4);
        assertEquals(6, found.stepPercent(), 0.5);
        assertTrue(found.notes().contains(SeriesNote.STEP));
    }

    @Test
    void tooFewReadingsSayNothing() {
        assertEquals(DriftState.UNKNOWN, one(List.of()).state());
        assertEquals(DriftState.UNKNOWN, one(List.of(new Sample(0, 36.4))).state());
        PointDrift three = one(List.of(new Sample(0, 36.4), new Sample(5, 37), new Sample(10, 37.5)));
        assertEquals(DriftState.UNKNOWN, three.state());
        assertTrue(three.askAgain().getAsDouble() > 10, three.toString());
    }

    @Test
    void aConstantStands() {
        List<Sample> constant =
                DoubleStream.of(TWENTY).mapToObj(t -> new Sample(t, 36.4)).toList();

        assertEquals(DriftState.STEADY, one(constant).state());
    }

    @Test
    void theLastDigitOfACoarseMeterIsPartOfTheNoise() {
        // 36 and then 37 of a meter that shows whole millivolts: 2.8 % that may be next to nothing.
        List<Sample> coarse = DoubleStream.of(SimulatedSoak.byHand(30))
                .mapToObj(t -> new Sample(t, t < 13 ? 36 : 37))
                .toList();

        assertFalse(SimulatedSoak.judge(new Series("V1", coarse, OptionalDouble.empty(), 1))
                .points()
                .get(0)
                .state()
                .isTrouble());
    }

    @Test
    void orderDoesNotMatterAndIsTold() {
        List<Sample> samples = read(t -> 1 + 0.005 * t, TWENTY);
        List<Sample> mixed = new ArrayList<>(samples);
        Collections.shuffle(mixed, new Random(1));

        PointDrift found = one(mixed);

        assertEquals(one(samples).rate(), found.rate(), 1e-9);
        assertTrue(found.notes().contains(SeriesNote.OUT_OF_ORDER));
    }

    @Test
    void severalOfOneMomentCountOnce() {
        List<Sample> twice = new ArrayList<>();
        read(t -> 1, TWENTY).forEach(sample -> {
            twice.add(sample);
            twice.add(sample);
        });

        assertTrue(one(twice).notes().contains(SeriesNote.SAME_TIME));
        assertEquals(DriftState.STEADY, one(twice).state());
    }

    @Test
    void aClockSetBackAndAGapOfHoursBeginAnotherSoak() {
        List<Sample> first = read(t -> 1.3, TWENTY);
        List<Sample> second = read(t -> 1, TWENTY);
        List<Sample> setBack = new ArrayList<>(first);
        setBack.addAll(second.stream()
                .map(sample -> new Sample(sample.minutes() + 5, sample.value()))
                .toList());
        List<Sample> gap = new ArrayList<>(first);
        gap.addAll(second.stream()
                .map(sample -> new Sample(sample.minutes() + 400, sample.value()))
                .toList());

        assertEquals(DriftState.STEADY, one(setBack).state());
        assertTrue(one(setBack).notes().contains(SeriesNote.CLOCK_SET_BACK));
        assertEquals(DriftState.STEADY, one(gap).state());
        assertTrue(one(gap).notes().contains(SeriesNote.GAP));
    }

    @Test
    void aSlippedLeadIsLeftOut() {
        List<Sample> samples = new ArrayList<>(read(t -> 1, TWENTY));
        samples.set(20, new Sample(samples.get(20).minutes(), 3.6));

        PointDrift found = one(samples);

        assertEquals(DriftState.STEADY, found.state());
        assertTrue(found.notes().contains(SeriesNote.OUTLIER));
    }

    @Test
    void aHundredThousandAreThinned() {
        Random chance = new Random(3);
        List<Sample> many = new ArrayList<>();
        for (int i = 0; i < 100_000; i++) {
            double t = i / 1000.0;
            many.add(new Sample(t, 36.4 * (1 + 0.003 * t) * (1 + 0.003 * chance.nextGaussian())));
        }

        PointDrift found = one(many);

        assertEquals(DriftState.CREEPING, found.state());
        assertTrue(found.notes().contains(SeriesNote.THINNED));
    }

    @Test
    void aSampleIsANumberAboveZeroAtATime() {
        assertThrows(IllegalArgumentException.class, () -> new Sample(1, 0));
        assertThrows(IllegalArgumentException.class, () -> new Sample(1, Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> new Sample(Double.NaN, 1));
        assertEquals(
                "a sample has a time and a value above 0, was -3.0 at 1.0 min",
                assertThrows(IllegalArgumentException.class, () -> new Sample(1, -3))
                        .getMessage());
    }
}
