package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.design.Remedies;
import yellowrail.core.bias.fault.Fault;
import yellowrail.core.bias.review.BiasRemark;
import yellowrail.core.bias.review.BiasReview;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.standard.StandardValues;

class BiasRangeTest {

    private static final double HIGH = 1.1;

    @Test
    void aPotWhoseWiperIsAllThatHoldsTheGridsIsNotSafe() {
        BiasRange range = new BiasRange(Supplies.tapped(), HIGH);
        assertThat(range.coldestVolts()).isCloseTo(-45.7, within(0.05));
        assertThat(range.hottestVolts()).isCloseTo(-31.4, within(0.05));
        assertThat(range.reservoirHigh()).isCloseTo(50.3, within(0.05));
        assertThat(range.reservoirMost()).isCloseTo(50.3 + 0.35 * 1.1 / 2, within(0.05));
        assertThat(range.wiperOpenVolts().getAsDouble()).isCloseTo(0, within(0.01));
        assertThat(range.isFailSafe()).isFalse();

        BiasSupply better = Remedies.failSafe(range).orElseThrow().supply();
        assertThat(better.network().wiperToCold()).hasValue(220_000);
        BiasRange mended = new BiasRange(better, HIGH);
        assertThat(mended.isFailSafe()).isTrue();
        assertThat(mended.wiperOpenVolts().getAsDouble()).isCloseTo(-45.7, within(0.1));
        assertThat(mended.hottestVolts()).isCloseTo(-31.4, within(0.4));
    }

    @Test
    void aRheostatThatOpensIsSafeButItsCapacitorsStandHigher() {
        BiasRange range = new BiasRange(Supplies.wound(), HIGH);
        assertThat(range.coldestVolts()).isCloseTo(-48.1, within(0.05));
        assertThat(range.hottestVolts()).isCloseTo(-35.7, within(0.05));
        assertThat(range.wiperOpenVolts().getAsDouble()).isCloseTo(-73, within(0.5));
        assertThat(range.isFailSafe()).isTrue();
        assertThat(range.reservoirHigh()).isBetween(80.0, 81.0);
        BiasSupply tied = Supplies.wound().with(Supplies.wound().network().asTied());
        assertThat(new BiasRange(tied, HIGH).wiperOpenVolts().getAsDouble()).isCloseTo(-48.1, within(0.05));
    }

    @Test
    void whatATremolosPotDrawsTakesTheRemedyAway() {
        BiasSupply base = Supplies.tapped();
        BiasSupply supply = base.with(new BiasNetwork(
                base.network().kind(),
                0,
                10_000,
                22_000,
                OptionalDouble.of(220_000),
                0,
                1,
                false,
                OptionalDouble.of(250_000)));
        BiasRange range = new BiasRange(supply, HIGH);
        assertThat(range.isFailSafe()).isFalse();
        double atTheColdEnd = range.coldest().reservoir();
        assertThat(range.wiperOpenVolts().getAsDouble()).isCloseTo(-atTheColdEnd * 250 / 470, within(1.5));
        assertThat(Remedies.failSafe(range)).as("no resistor makes up for it").isEmpty();
    }

    @Test
    void ofSeveralPotsEachWiperIsMendedByItself() {
        BiasSupply bare = Supplies.tapped().with(BiasNetwork.of(Kind.POT_EACH, 0, 20_000, 47_000));
        BiasRange range = new BiasRange(bare, HIGH);
        assertThat(range.isFailSafe()).isFalse();
        assertThat(Remedies.failSafe(range).orElseThrow().isFailSafe()).isTrue();
    }

    @Test
    void theNeededVoltsLieOnTheTravel() {
        BiasRange range = new BiasRange(Supplies.tapped(), HIGH);
        double turn = range.travel(-40).orElseThrow();
        assertThat(BiasRange.grid(range.at(PotStand.at(turn)))).isCloseTo(-40, within(0.01));
        assertThat(range.perDegree(turn)).isCloseTo(14.3 / 270, within(0.01));
        assertThat(range.travel(-50)).isEmpty();
        assertThat(range.travel(-30)).isEmpty();
    }

    @Test
    void theWattsOfTheResistors() {
        var watts = new BiasRange(Supplies.tapped(), HIGH).watts(1);
        SteadyState cold = Supplies.solved(Supplies.tapped(), 0, 1);
        assertThat(watts.get(Part.of(PartKind.SERIES))).isCloseTo(seriesWatts(), within(2e-3));
        assertThat(watts.get(Part.of(PartKind.POT))).isCloseTo(cold.amps() * cold.amps() * 10_000, within(2e-4));
        assertThat(watts.get(Part.of(PartKind.LOWER))).isCloseTo(cold.amps() * cold.amps() * 22_000, within(2e-4));
    }

    /**
     * The rheostat's hot stop leaves next to nothing of its track in the way, but what is left carries it all: the
     * whole would burn 25 k times the square of the current.
     */
    @Test
    void aTrackIsRatedForAllOfItself() {
        BiasRange range = new BiasRange(Supplies.wound(), HIGH);
        double amps = -range.hottestVolts() / 22_000;
        assertThat(range.worked(1).get(Part.of(PartKind.POT))).isCloseTo(amps * amps * 25_000, within(1e-3));
        assertThat(range.watts(1).get(Part.of(PartKind.POT)))
                .isLessThan(range.worked(1).get(Part.of(PartKind.POT)));
    }

    /** Of four pots that turn together one stands for all: what the others do, one of those left does too. */
    @Test
    void potsThatAreAlikeFailAlike() {
        BiasSupply four = Supplies.tapped()
                .with(new BiasNetwork(
                        Kind.POT_EACH, 0, 10e3, 22e3, OptionalDouble.empty(), 10e3, 4, false, OptionalDouble.empty()));
        BiasRange range = new BiasRange(four, HIGH);
        List<Double> unlike = Fault.unlike(four).stream()
                .map(fault ->
                        range.of(fault.in(four.circuit(PotStand.COLDEST, HIGH))).reservoir())
                .toList();
        assertThat(Fault.unlike(four)).hasSizeLessThan(Fault.all(four).size());
        assertThat(Fault.wipers(four)).hasSize(1);
        assertThat(Fault.all(four)).allSatisfy(fault -> {
            double reservoir =
                    range.of(fault.in(four.circuit(PotStand.COLDEST, HIGH))).reservoir();
            assertThat(unlike).anySatisfy(each -> assertThat(each).isCloseTo(reservoir, within(1e-6)));
        });
    }

    /** 82 k from the tap burns 0.42 W at high mains, the pot 25 mW, 22 k 55 mW. */
    @Test
    void ratingsAreHeldAgainstWhatTheyWorkAt() {
        BiasSupply rated =
                Supplies.tapped().rated(Map.of(PartKind.SERIES, 0.25, PartKind.LOWER, 0.1, PartKind.POT, 0.5));
        double series = new BiasRange(rated, HIGH).watts(HIGH).get(Part.of(PartKind.SERIES));
        double lower = new BiasRange(rated, HIGH).watts(HIGH).get(Part.of(PartKind.LOWER));
        List<BiasRemark> remarks = BiasReview.of(new BiasRange(rated, HIGH), OptionalDouble.empty(), Optional.empty());
        assertThat(remarks)
                .contains(
                        new BiasRemark.ResistorOver(PartKind.SERIES, series, 0.25, StandardValues.wattsFor(series)),
                        new BiasRemark.ResistorHot(PartKind.LOWER, lower, 0.1, StandardValues.wattsFor(lower)))
                .noneMatch(remark -> remark instanceof BiasRemark.ResistorHot hot && hot.part() == PartKind.POT);
    }

    /**
     * The current through 82 k while the tap exceeds the reservoir at the hotter stop, squared, in a thousand steps.
     */
    private static double seriesWatts() {
        double sum = 0;
        for (int i = 0; i < 1000; i++) {
            double across = 310 * Math.sqrt(2) * Math.sin(2 * Math.PI * i / 1000) - 45.73 - 0.6;
            sum += Math.pow(Math.max(0, across), 2) / 82_000 / 1000;
        }
        return sum;
    }

    @Property(tries = 60)
    void turningHotterIsAlwaysHotter(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
        BiasSupply supply = new RandomSupply(seed).supply();
        double before = Double.NEGATIVE_INFINITY;
        for (double turn : new double[] {0, 0.3, 0.7, 1}) {
            double grid = BiasRange.grid(Supplies.solved(supply, turn, 1));
            assertThat(grid).isLessThan(0).isGreaterThanOrEqualTo(before - 1e-6);
            before = grid;
        }
        double high = BiasRange.grid(Supplies.solved(supply, 0.5, HIGH));
        assertThat(high).isLessThan(BiasRange.grid(Supplies.solved(supply, 0.5, 1)));
    }
}
