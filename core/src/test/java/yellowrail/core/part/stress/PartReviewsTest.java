package yellowrail.core.part.stress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.part.CapacitorLife;
import yellowrail.core.part.Fuse;
import yellowrail.core.part.ScreenStopper;
import yellowrail.core.part.SenseResistor;
import yellowrail.core.part.SenseResistor.Kind;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.model.TubeModels;

class PartReviewsTest {

    /** Two EL34 at 420 V, 36 mA of plate current each, 3.5 k plate to plate. */
    private static final Performance DRIVEN = new FullDrive(AmpStage.atIdle(
                    new OutputStage(
                            TubeModels.published()
                                    .of(TubeCatalogue.published().find("EL34").orElseThrow())
                                    .orElseThrow()
                                    .model(),
                            Topology.PUSH_PULL,
                            1,
                            420,
                            415,
                            Connection.PENTODE,
                            0,
                            OutputStage.Bias.fixed(0),
                            3500),
                    0.036,
                    false))
            .compute();

    private static final StageCurrents FLOWS = new StageCurrents(DRIVEN, 1, 0.02);

    @Test
    void atRestDrivenAndWithoutBias() {
        assertThat(FLOWS.idle()).isBetween(0.036, 0.045);
        assertThat(FLOWS.drive()).isGreaterThan(DRIVEN.plateAmps() / 2).isLessThan(FLOWS.most());
        assertThat(FLOWS.supplyIdle()).isCloseTo(2 * FLOWS.idle() + 0.02, within(1e-12));
        assertThat(FLOWS.supplyAtMost()).isCloseTo(FLOWS.idle() + FLOWS.most() + 0.02, within(1e-12));
        assertThat(FLOWS.sideAtMost()).isEqualTo(FLOWS.most());
    }

    private static List<PartRemark> sense(double ohms, double watts, Kind kind) {
        return SenseReview.of(new SenseResistor(ohms, 0.01, watts, kind), FLOWS);
    }

    @Test
    void aStrongResistorProtectsNothingAndASmallOneOpensInUse() {
        assertThat(sense(1, 1, Kind.METAL_FILM))
                .hasAtLeastOneElementOfType(PartRemark.SenseNeverOpens.class)
                .hasAtLeastOneElementOfType(PartRemark.CopperGoesFirst.class)
                .contains(new PartRemark.NotMadeToOpen());
        assertThat(sense(10, 0.05, Kind.FUSIBLE))
                .hasAtLeastOneElementOfType(PartRemark.SenseOverAtDrive.class)
                .doesNotContain(new PartRemark.NotMadeToOpen());
        assertThat(sense(100, 0.05, Kind.FUSIBLE)).hasAtLeastOneElementOfType(PartRemark.SenseOpensInUse.class);
    }

    /** 2.3e-8 (2.5e6 x 2)^2 / (385 x 8960) is 0.167 K a second, so 100 K in 600 s. */
    @Test
    void copperWarmsWithTheSquareOfTheCurrent() {
        OutputCopper copper = new OutputCopper(0.1);
        assertThat(copper.seconds(0.1)).isInfinite();
        assertThat(copper.seconds(0.2)).isCloseTo(599.9, within(1.0));
        assertThat(copper.seconds(0.4)).isCloseTo(150.0, within(0.3));
        assertThat(copper.seconds(copper.ampsFor(60))).isCloseTo(60, within(1e-9));
    }

    /** Half the time at its peak: the RMS of that is the peak over the root of two. */
    @Test
    void anOverdrivenStopperBurnsMoreThanADrivenOne() {
        ScreenCurrents bare = ScreenCurrents.of(DRIVEN, new ScreenStopper(0, 1));
        ScreenCurrents stopped = ScreenCurrents.of(DRIVEN, new ScreenStopper(1000, 5));
        assertThat(bare.idle()).isCloseTo(DRIVEN.idle().screenAmps(), within(1e-8));
        assertThat(bare.overdriven()).isCloseTo(bare.peak() / Math.sqrt(2), within(1e-4));
        assertThat(bare.overdriven()).isGreaterThan(bare.drive());
        assertThat(stopped.peak()).isLessThan(bare.peak());
        assertThat(stopped.idle()).isLessThan(bare.idle());
        double burns = 1000 * stopped.overdriven() * stopped.overdriven();
        assertThat(StopperReview.of(new ScreenStopper(1000, 5), stopped))
                .isInstanceOfSatisfying(
                        PartRemark.StopperHolds.class,
                        holds -> assertThat(holds.overdriven()).isCloseTo(burns, within(1e-9)));
        assertThat(StopperReview.of(new ScreenStopper(1000, 0.25), stopped)).isInstanceOf(PartRemark.StopperOver.class);
        assertThat(StopperReview.of(new ScreenStopper(0, 1), bare)).isEqualTo(new PartRemark.NoStopper());
    }

    @ParameterizedTest
    @CsvSource({"0.25, 0.315", "0.252, 0.315", "0.253, 0.4", "1.6, 2", "100, 10"})
    void aFuseCarriesFullDriveWithAQuarterToSpare(double carries, double amps) {
        assertThat(Fuse.carrying(carries).amps()).isEqualTo(amps);
    }

    @Test
    void aFuseThatTiresAndOneThatIsTooStrong() {
        assertThat(FuseReview.carrying(Optional.of(new Fuse(0.25)), 0.25))
                .containsExactly(new PartRemark.FuseTires(0.25, 0.25, 0.315));
        assertThat(FuseReview.carrying(Optional.of(new Fuse(1)), 0.25))
                .containsExactly(new PartRemark.FuseTooStrong(1, 0.315));
        assertThat(FuseReview.carrying(Optional.of(new Fuse(0.315)), 0.25))
                .containsExactly(new PartRemark.FuseHolds(0.315, 0.25));
        assertThat(FuseReview.carrying(Optional.empty(), 0.25)).containsExactly(new PartRemark.Take(0.315, 0.25));
    }

    @Test
    void aTubeWithoutBiasOpensOnlyASmallFuse() {
        double lost = FLOWS.supplyAtMost();
        assertThat(FuseReview.ofPlateSupply(Optional.of(new Fuse(1)), FLOWS))
                .contains(new PartRemark.LostBiasDoesNot(lost, 1));
        assertThat(FuseReview.ofPlateSupply(Optional.of(new Fuse(0.1)), FLOWS))
                .contains(new PartRemark.LostBiasOpens(lost, 0.1));
        assertThat(FuseReview.ofPlateSupply(Optional.of(new Fuse(lost / 1.8)), FLOWS))
                .contains(new PartRemark.LostBiasMayOpen(lost, lost / 1.8));
    }

    /** 2000 h at 85 degrees are 11,314 h at 60; at 40 h a week that is 5.4 years. */
    @Test
    void aCapacitorLivesByBeingCool() {
        CapacitorLife life = new CapacitorLife(2000, 85);
        assertThat(life.hoursAt(60)).isCloseTo(11_313.7, within(0.1));
        assertThat(life.yearsAt(60, 40)).isCloseTo(5.42, within(0.01));
        assertThat(CapacitorReview.life(life, 30, 10)).isEqualTo(new PartRemark.LastsAsLongAsItsSeal(15));
        assertThat(CapacitorReview.ripple(0.4, OptionalDouble.of(0.3))).isEqualTo(new PartRemark.RippleOver(0.4, 0.3));
        assertThat(CapacitorReview.ripple(0.2, OptionalDouble.of(0.3))).isEqualTo(new PartRemark.RippleHolds(0.2, 0.3));
        assertThat(CapacitorReview.ripple(0.2, OptionalDouble.empty())).isEqualTo(new PartRemark.RippleToBear(0.2));
    }
}
