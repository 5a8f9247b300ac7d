package yellowrail.core.bias;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.bias.design.BiasDesign;
import yellowrail.core.bias.design.Proposal;
import yellowrail.core.bias.design.Wish;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.tube.model.TubeModels;

class BiasDesignTest {

    @Test
    void aFixedResistorIsReplacedByWhatCanBeSet() {
        BiasSupply fixed = Supplies.tapped().with(BiasNetwork.of(Kind.FIXED, 0, 0, 27_000));
        List<Proposal> proposals = new BiasDesign(
                        fixed,
                        Wish.of(-44, 6, EnumSet.of(Kind.DIVIDER_POT, Kind.RHEOSTAT_SHUNT)),
                        1.1,
                        Optional.empty())
                .proposals();
        assertThat(proposals).hasSizeGreaterThanOrEqualTo(3);
        assertThat(proposals).allSatisfy(each -> {
            assertThat(each.range().coldestVolts()).isLessThanOrEqualTo(-50);
            assertThat(each.range().hottestVolts()).isGreaterThanOrEqualTo(-38);
            assertThat(each.range().isFailSafe()).isTrue();
            assertThat(each.range().reservoirMost())
                    .isLessThanOrEqualTo(0.9
                            * each.range()
                                    .supply()
                                    .smoothing()
                                    .reservoirRating()
                                    .orElseThrow());
        });
        assertThat(proposals.stream().map(each -> each.changes().size()).toList())
                .isSorted();
    }

    /** EL34 at 428 V: the plates reach 25 W 4 V beyond what they need, and a wish of 7 V stops half way there. */
    @Test
    void noWishGoesPastTheRating() {
        GridNeed need = GridNeed.of(
                TubeModels.published().of(Amps.type("EL34")).orElseThrow(), 428, 423, 0.0416, 25, Optional.empty());
        Wish wish = Wish.within(need.volts(), 7, Optional.of(need), EnumSet.of(Kind.DIVIDER_POT, Kind.RHEOSTAT_SHUNT))
                .orElseThrow();
        assertThat(wish.hotRoom()).isLessThan(need.hottestAllowed() - need.volts());
        List<Proposal> proposals = new BiasDesign(Supplies.tapped(), wish, 1.1, Optional.of(need)).proposals();
        assertThat(proposals).isNotEmpty().allSatisfy(each -> {
            assertThat(each.range().hottestVolts()).isLessThanOrEqualTo(need.hottestAllowed());
            assertThat(each.range().reaches(need.volts())).isTrue();
        });
        assertThat(Wish.within(need.hottestAllowed() + 1, 7, Optional.of(need), EnumSet.of(Kind.DIVIDER_POT)))
                .as("the plates stand at their rating already")
                .isEmpty();
    }

    /** From one wiring to the other by choice: rewiring counts as a deed, and each reaches what was wished. */
    @ParameterizedTest
    @CsvSource({"RANGE_AND_BALANCE, DIVIDER_POT", "DIVIDER_POT, RANGE_AND_BALANCE", "DIVIDER_POT, POT_EACH"})
    void aPotIsRebuiltByChoice(Kind from, Kind to) {
        BiasSupply present = Supplies.wound()
                .with(new BiasNetwork(
                        from, 15_000, 10e3, 22e3, OptionalDouble.empty(), 10e3, 2, true, OptionalDouble.empty()));
        List<Proposal> proposals =
                new BiasDesign(present, Wish.of(-40, 4, EnumSet.of(to)), 1.1, Optional.empty()).proposals();
        assertThat(proposals).isNotEmpty().allSatisfy(each -> {
            assertThat(each.range().supply().network().kind()).isEqualTo(to);
            assertThat(each.rewired()).isTrue();
            assertThat(each.deeds()).isEqualTo(each.changes().size() + 1);
            assertThat(each.range().coldestVolts()).isLessThanOrEqualTo(-44);
            assertThat(each.range().hottestVolts()).isGreaterThanOrEqualTo(-36);
            assertThat(each.range().isFailSafe()).isTrue();
        });
    }
}
