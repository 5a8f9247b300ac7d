package yellowrail.core.bias.cathode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.standard.StandardValues;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

class CathodeDesignTest {

    private static final TubeModel EL84 =
            TubeModels.published().of(Amps.type("EL84")).orElseThrow().model();

    private static CathodeGroup group(int count) {
        return new CathodeGroup(Collections.nCopies(count, EL84), 310, 305);
    }

    /** A pair at 36 mA each: what the resistor drops is what the tubes need, and the value around it brackets it. */
    @Test
    void theStandardValuesAroundTheExactOne() {
        CathodeDesign design = new CathodeDesign(group(2), 0.036);
        CathodeIdle exact = design.group().at(design.exactOhms());
        assertThat(exact.meanAmps()).isCloseTo(0.036, within(1e-6));
        assertThat(exact.cathodeVolts()).isCloseTo(design.exactOhms() * 0.072, within(1e-3));
        List<CathodeIdle> two = design.around(StandardValues.E12);
        assertThat(two.get(0).meanAmps()).isLessThan(0.036);
        assertThat(two.get(1).meanAmps()).isGreaterThanOrEqualTo(0.036);
        assertThat(CathodeDesign.rating(exact)).isGreaterThanOrEqualTo(2 * exact.resistorWatts());
        assertThat(CathodeDesign.ratingBesideCapacitor(exact)).isGreaterThanOrEqualTo(3 * exact.resistorWatts());
        assertThat(CathodeDesign.bypassVolts(exact)).isGreaterThan(exact.cathodeVolts());
    }

    /** Half the current through the same resistor: less bias, and the tube that is left runs hotter. */
    @Test
    void aDeadTubeMakesItsNeighbourHotter() {
        CathodeGroup pair = group(2);
        CathodeIdle both = pair.at(pair.ohmsFor(0.036));
        CathodeIdle one = pair.withoutOne().at(both.ohms());
        assertThat(one.cathodeVolts()).isLessThan(both.cathodeVolts());
        assertThat(one.hottestWatts()).isGreaterThan(1.2 * both.hottestWatts());
        CathodeGroup single = group(1);
        assertThat(single.at(single.ohmsFor(0.036)).hottestWatts())
                .as("with a resistor of its own nothing changes")
                .isCloseTo(both.hottestWatts(), within(1e-6));
    }

    /** 30 % apart on a common resistor, on their own within what the standard values leave. */
    @Test
    void theirOwnResistorsBringUnmatchedTubesTogether() {
        List<OwnResistor> own = OwnResistor.of(
                List.of(
                        new OwnResistor.Tube("V1", EL84.scaled(1.15), 0.041),
                        new OwnResistor.Tube("V2", EL84.scaled(0.85), 0.030)),
                310,
                305,
                0.036,
                StandardValues.E24);
        assertThat(OwnResistor.spread(own.stream().map(OwnResistor::shared).toList()))
                .isGreaterThan(0.25);
        assertThat(OwnResistor.spread(
                        own.stream().map(each -> each.idle().meanAmps()).toList()))
                .isLessThan(0.06);
        assertThat(own.get(0).exact()).isGreaterThan(own.get(1).exact());
    }

    @Test
    void unmatchedTubesGetTheirOwn() {
        CathodeGroup pair = new CathodeGroup(List.of(EL84.scaled(1.15), EL84.scaled(0.85)), 310, 305);
        List<Double> ohms = new CathodeDesign(pair, 0.036).each();
        assertThat(ohms.get(0)).isGreaterThan(ohms.get(1));
        CathodeIdle shared = pair.at(pair.ohmsFor(0.036));
        assertThat(shared.amps().get(0) / shared.amps().get(1)).isGreaterThan(1.2);
    }

    /** Cathode bias gives way: with the mains at +10 % the dissipation grows by less than fixed bias would let it. */
    @Property(tries = 100)
    void moreOhmsLessCurrentAndTheMainsIsSoftened(
            @ForAll @IntRange(min = 1, max = 4) int count, @ForAll @DoubleRange(min = 60, max = 600) double each) {
        CathodeGroup group = group(count);
        CathodeIdle idle = group.at(each / count);
        CathodeIdle more = group.at(1.2 * each / count);
        assertThat(more.meanAmps()).isLessThan(idle.meanAmps());
        assertThat(more.cathodeVolts()).isGreaterThan(idle.cathodeVolts());
        double high = group.times(1.1).at(idle.ohms()).hottestWatts() / idle.hottestWatts();
        assertThat(high).isBetween(1.1, 1.45);
        assertThat(idle.cathodeVolts())
                .isCloseTo(
                        idle.ohms()
                                * idle.amps().stream()
                                        .mapToDouble(Double::doubleValue)
                                        .sum(),
                        within(1e-3));
    }
}
