package yellowrail.core.part.stress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.part.stress.PartRemark.Working;

/** The first capacitor and the mains of an amp. */
class SupplyPartsOfAnAmpTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    /** 350 V AC, 7 % more unloaded: 529.6 V cold, 582.6 V at mains 10 % up. */
    private static AmpSheet winding(Rectifier rectifier) {
        return Amps.pair().with(new Supply(rectifier, false, OptionalDouble.of(350), NO, NO, NO, NO, NO));
    }

    @Test
    void whatItStandsAtRunningAndCold() {
        CapacitorReview review = new CapacitorReview(winding(Rectifier.SILICON), 450, 1.1);
        assertThat(review.volts()).containsOnlyKeys(Working.values());
        assertThat(review.volts().get(Working.RUNNING_AT_HIGH_MAINS)).isCloseTo(495, within(1e-9));
        assertThat(review.volts().get(Working.COLD)).isCloseTo(529.6, within(0.1));
        assertThat(review.most()).isCloseTo(582.6, within(0.1));
        assertThat(review.voltage(NO))
                .containsExactly(new PartRemark.CapacitorNotRated(Working.COLD_AT_HIGH_MAINS, review.most()));
    }

    @Test
    void everyRatingThatIsPassedIsToldElseTheWorstThatIsHeld() {
        CapacitorReview review = new CapacitorReview(winding(Rectifier.SILICON), 450, 1.1);
        assertThat(review.voltage(OptionalDouble.of(500)))
                .containsExactly(
                        new PartRemark.CapacitorPassed(
                                Working.COLD, review.volts().get(Working.COLD), 500),
                        new PartRemark.CapacitorPassed(Working.COLD_AT_HIGH_MAINS, review.most(), 500));
        assertThat(review.voltage(OptionalDouble.of(600)))
                .containsExactly(new PartRemark.CapacitorHolds(
                        Working.COLD_AT_HIGH_MAINS, review.most(), 600, 1 - review.most() / 600));
    }

    /** A rectifier of its own heater comes up with the power tubes; without a winding nothing is known of cold. */
    @Test
    void whereTheColdPeakIsNotKnownItIsNotTold() {
        assertThat(new CapacitorReview(Amps.pair(), 450, 1.1).volts())
                .containsOnlyKeys(Working.RUNNING, Working.RUNNING_AT_HIGH_MAINS);
    }

    /** (2 x 6.3 x 0.9 + 200) 1.1 / 120 = 1.937 A. */
    @Test
    void theMainsGiveHeatersAndPlatesAndATenth() {
        double heaters = MainsDraw.heaters(Amps.pair(), Amps.type("6L6GC"), Amps.CATALOGUE);
        assertThat(heaters).isCloseTo(2 * 6.3 * 0.9, within(1e-9));
        assertThat(new MainsDraw(heaters, 200, 120).amps()).isCloseTo(1.937, within(1e-3));
    }

    /** The windings on the chart count before the power tubes: 6.3 V with two 6L6GC and two 12AX7. */
    @Test
    void heatersAreThoseOfTheChartWhereItHasAny() {
        HeaterWinding winding = new HeaterWinding(
                "H1",
                6.3,
                OptionalDouble.of(4),
                NO,
                NO,
                List.of(new HeaterWinding.Load("6L6GC", 2, NO), new HeaterWinding.Load("12AX7", 2, NO)));
        AmpSheet sheet = Amps.pair().with(Amps.pair().chart().withWindings(List.of(winding)));
        assertThat(MainsDraw.heaters(sheet, Amps.type("6L6GC"), Amps.CATALOGUE))
                .isCloseTo(6.3 * (2 * 0.9 + 2 * 0.3), within(1e-9));
    }
}
