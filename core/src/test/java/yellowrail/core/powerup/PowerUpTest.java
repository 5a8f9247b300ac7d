package yellowrail.core.powerup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.balance.BalanceFinding;
import yellowrail.core.balance.PotSwing;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.reading.Moment;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.MainsRange;

class PowerUpTest {

    private static Moment moment(String... lines) {
        return new Moment(Amps.readings(Amps.pair(), lines));
    }

    @ParameterizedTest
    @CsvSource({
        "6.3,GOOD",
        "6.61,GOOD",
        "5.99,GOOD",
        "6.62,ALLOWED",
        "6.93,ALLOWED",
        "5.67,ALLOWED",
        "6.94,TOO_HIGH",
        "5.6,TOO_LOW"
    })
    void heatersWithinFivePerCentAreGoodWithinTenAllowed(double volts, HeaterCheck.Verdict verdict) {
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("heater " + volts))
                        .orElseThrow()
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void heatersAreToldAtTheMainsReadAndWithoutTubesNotJudged() {
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("plate 400"))).isEmpty();
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("heater 7.1 bare"))
                        .orElseThrow()
                        .verdict())
                .isEqualTo(HeaterCheck.Verdict.NO_TUBES);
        assertThat(HeaterCheck.of(Amps.type("6L6GC"), 120, moment("heater 7.1 bare", "mains 126", "heater 6.6"))
                        .orElseThrow()
                        .says())
                .isInstanceOfSatisfying(PowerUpFinding.HeatersRead.class, read -> {
                    assertThat(read.off()).isCloseTo(0.0476, within(1e-4));
                    assertThat(((PowerUpFinding.HeatersAtMains) read.mains()).there())
                            .isCloseTo(6.286, within(1e-3));
                    assertThat(read.bare()).contains(new PowerUpFinding.HeatersWithoutTubes(7.1));
                });
    }

    private static ColdStart cold(Supply supply, String rectifier, double mains) {
        Fittings f = Fittings.UNKNOWN;
        Fittings with = new Fittings(
                f.heaterAmps(),
                f.otherHeaterAmps(),
                rectifier,
                f.firstFarads(),
                f.transformerAmps(),
                f.chokeAmps(),
                f.outputAmps(),
                f.heightMm(),
                f.widthMm(),
                f.gridLeakOhms(),
                f.loadOhms(),
                f.biasColdest(),
                f.biasHottest(),
                f.driveVolts(),
                f.screenVolts(),
                f.tiedPins(),
                f.pinOne(),
                f.familySwitch(),
                f.iron());
        return ColdStart.of(Amps.pair().with(supply).with(with), mains).orElseThrow();
    }

    private static Supply supply(
            Rectifier rectifier, boolean standby, OptionalDouble regulation, boolean behindStandby) {
        return new Supply(
                rectifier,
                standby,
                OptionalDouble.of(350),
                OptionalDouble.of(500),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                regulation,
                behindStandby);
    }

    /** sqrt(2) 350 V 1.05 1.07 = 556.1 V; measured without regulation 519.7 V. */
    @Test
    void theColdStartStandsAtThePeakOfTheUnloadedWinding() {
        ColdStart usual = cold(supply(Rectifier.SILICON, true, OptionalDouble.empty(), false), "", 1.05);
        assertThat(usual.volts()).isCloseTo(556.1, within(0.05));
        assertThat(usual.over()).isTrue();
        assertThat(usual.when()).isEqualTo(new PowerUpFinding.AtOnce());
        ColdStart measured = cold(supply(Rectifier.SILICON, true, OptionalDouble.of(0), false), "", 1);
        assertThat(measured.volts()).isCloseTo(495.0, within(0.05));
        assertThat(measured.says()).isInstanceOf(PowerUpFinding.PeakNear.class);
        assertThat(ColdStart.of(Amps.pair(), 1)).isEmpty();
    }

    @Test
    void everyRectifierHasItsTime() {
        Supply tube = supply(Rectifier.TUBE, true, OptionalDouble.empty(), false);
        assertThat(cold(tube, "5U4GB", 1).when()).isEqualTo(new PowerUpFinding.BeforeThePowerTubes("5U4GB"));
        assertThat(cold(tube, "5U4GB", 1).over()).isTrue();
        assertThat(cold(tube, "GZ34", 1).when())
                .as("the reservoir charges while standby is open")
                .isEqualTo(new PowerUpFinding.WhileOnStandby());
        Supply behind = supply(Rectifier.TUBE, true, OptionalDouble.empty(), true);
        assertThat(cold(behind, "GZ34", 1).when()).isEqualTo(new PowerUpFinding.WithThePowerTubes("GZ34"));
        assertThat(cold(behind, "GZ34", 1).over()).isFalse();
    }

    @Test
    void highMainsShowTheirDissipation() {
        List<TubeIdle> tubes = Amps.idle(Amps.pair(), "V1 36.4 V2 33.9 plate 452");
        MainsRange range =
                MainsRange.of(Amps.stage(Amps.pair()), tubes, 1, Mains.customary(Amps.pair()), MainsRange.USUAL);
        assertThat(range.rows()).hasSize(5);
        assertThat(range.rows().get(4).mains()).isCloseTo(132, within(1e-9));
        assertThat(range.rows().get(4).watts()).isCloseTo(15.63 * Math.pow(1.1, 2.5), within(0.01));
        assertThat(range.rows().get(2).ratio()).isCloseTo(0.521, within(0.0005));
        assertThat(range.rows().get(0).label()).isEqualTo("V1");
    }

    /** Each channel has a pot of its own: one pair may be matched and the other not, and one may be half swung. */
    @Test
    void aStereoAmpSwingsChannelByChannel() {
        AmpSheet stereo =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("6L6GC"), 4, true).sheet();
        List<PotSwing> both = swing(stereo, "swing a V1 38.2 V2 31 V3 45 V4 31", "swing b V1 31.5 V2 38 V3 38 V4 37");
        assertThat(both).extracting(PotSwing::channel).containsExactly(Channel.LEFT, Channel.RIGHT);
        assertThat(both).extracting(PotSwing::matched).containsExactly(true, false);
        assertThat(both.get(1).says())
                .isInstanceOfSatisfying(
                        BalanceFinding.OneStronger.class,
                        says -> assertThat(says.stronger()).isEqualTo("V3"));
        assertThat(swing(stereo, "swing a V1 38.2 V2 31 V3 45 V4 31", "swing b V3 38 V4 37"))
                .extracting(PotSwing::channel)
                .containsExactly(Channel.RIGHT);
    }

    @Test
    void aMatchedPairSwingsInMirrorImages() {
        PotSwing matched = swing(Amps.pair(), "swing a V1 38.2 V2 31", "swing b V1 31.5 V2 38")
                .get(0);
        assertThat(matched.matched()).isTrue();
        assertThat(matched.apart()).isCloseTo(0.016, within(0.0005));
        assertThat(swing(Amps.pair(), "swing a V1 45 V2 31", "swing b V1 38 V2 37")
                        .get(0)
                        .says())
                .isInstanceOfSatisfying(
                        BalanceFinding.OneStronger.class,
                        says -> assertThat(says.stronger()).isEqualTo("V1"));
        assertThat(swing(Amps.pair(), "swing a V1 45 V2 45", "swing b V1 38 V2 38")
                        .get(0)
                        .says())
                .isInstanceOf(BalanceFinding.SameWay.class);
        assertThat(swing(Amps.pair(), "swing a V1 45 V2 31", "swing b V1 31 V2 45")
                        .get(0)
                        .matched())
                .isTrue();
        assertThat(swing(Amps.pair(), "swing a V1 45 V2 31", "swing b V1 38")).isEmpty();
    }

    @Test
    void eachChannelHasASwingOfItsOwn() {
        AmpSheet stereo =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("EL34"), 4, true).sheet();
        assertThat(swing(stereo, "swing a V1 38 V2 31 V3 44 V4 30", "swing b V1 31 V2 38 V3 36 V4 35"))
                .extracting(PotSwing::channel, PotSwing::matched)
                .containsExactly(tuple(Channel.LEFT, true), tuple(Channel.RIGHT, false));
    }

    private static List<PotSwing> swing(AmpSheet sheet, String... lines) {
        return PotSwing.of(sheet, new Moment(Amps.readings(sheet, lines)));
    }
}
