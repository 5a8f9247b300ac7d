package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import yellowrail.core.Amps;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

class FullDriveTest {

    static TubeModel model(String type) {
        return TubeModels.published().of(Amps.type(type)).orElseThrow().model();
    }

    private static OutputStage stage(Topology topology, Connection connection, OutputStage.Bias bias) {
        return new OutputStage(
                model("6L6GC"),
                topology,
                1,
                400,
                350,
                connection,
                0.4,
                bias,
                topology == Topology.PUSH_PULL ? 6600 : 3500);
    }

    @TestFactory
    List<DynamicTest> publishedOperationIsMet() {
        return PublishedOperation.all().stream()
                .map(published -> DynamicTest.dynamicTest(published.toString(), () -> {
                    Performance found = AsPublished.of(published, model(published.type()));
                    assertThat(found.powerWatts() / published.watts())
                            .as("power")
                            .isCloseTo(1, within(published.triode() ? 0.11 : 0.15));
                    assertThat(published.tubes() * found.idle().plateAmps() / published.idlePlateAmps())
                            .as("idle")
                            .isCloseTo(1, within(0.05));
                    // What a pair of triodes leaves over is the mismatch of the published pair.
                    if (!published.triode() || !published.pushPull()) {
                        assertThat(published.distortion() / found.distortion())
                                .as("distortion, a size only")
                                .isBetween(Opinion.LEAST_DISTORTION, Opinion.MOST_DISTORTION + 0.1);
                    }
                    published
                            .fullPlateAmps()
                            .ifPresent(amps -> assertThat(found.plateAmps() / amps)
                                    .as("plates at full drive")
                                    .isCloseTo(1, within(0.15)));
                    published
                            .fullScreenAmps()
                            .ifPresent(amps -> assertThat(found.screenAmps() / amps)
                                    .as("screens at full drive")
                                    .isCloseTo(1, within(0.35)));
                }))
                .toList();
    }

    @Test
    void aCathodeResistorStandsWhereTheMeanCurrentPutsIt() {
        Performance found =
                new FullDrive(stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.cathode(250))).compute();
        assertThat(found.idle().cathodeVolts())
                .isCloseTo(250 * 2 * (found.idle().plateAmps() + found.idle().screenAmps()), within(1e-6));
        assertThat(-found.gridVolts())
                .as("at full drive")
                .isCloseTo(250 * (found.plateAmps() + found.screenAmps()), within(1e-3))
                .isGreaterThan(found.idle().cathodeVolts());
        assertThat(found.supplyVolts())
                .as("the plates lose what the cathodes gain")
                .isCloseTo(400 + found.idle().cathodeVolts() + found.gridVolts(), within(1e-9));
    }

    @Test
    void aSaggingSupplyGivesLess() {
        OutputStage stiff = stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.fixed(-33));
        OutputStage soft = new OutputStage(
                stiff.model(),
                stiff.topology(),
                1,
                400,
                350,
                Connection.PENTODE,
                0,
                stiff.bias(),
                6600,
                new OutputStage.Losses(100, 200, 300, 1000, 0));
        Performance one = new FullDrive(stiff).compute();
        Performance other = new FullDrive(soft).compute();
        assertThat(other.powerWatts()).isLessThan(0.9 * one.powerWatts());
        double more = other.plateAmps() - 2 * other.idle().plateAmps();
        assertThat(other.supplyVolts()).isCloseTo(400 + 100 * other.idle().plateAmps() - 300 * more, within(0.01));
    }

    @Test
    void sixtyFourStepsGiveTheSame() {
        OutputStage stage = stage(Topology.SINGLE_ENDED, Connection.ULTRALINEAR, OutputStage.Bias.cathode(350));
        Performance fine = new FullDrive(stage, 1024).compute();
        Performance coarse = new FullDrive(stage, 64).compute();
        assertThat(coarse.powerWatts()).isCloseTo(fine.powerWatts(), within(0.001 * fine.powerWatts()));
        assertThat(coarse.distortion()).isCloseTo(fine.distortion(), within(0.002));
    }

    @Test
    void harmonicsOfAKnownCurve() {
        double[] half = new double[129];
        for (int j = 0; j < half.length; j++) {
            double e = Math.sin(Math.PI * (j / 128.0 - 0.5));
            half[j] = 3 * e + 0.4 * e * e - 0.2 * e * e * e;
        }
        // sin^2 = (1 - cos 2x)/2, sin^3 = (3 sin x - sin 3x)/4.
        List<Double> found = Harmonics.of(half);
        assertThat(found.get(0)).isCloseTo(3 - 0.15, within(1e-12));
        assertThat(found.get(1)).isCloseTo(-0.2, within(1e-12));
        assertThat(found.get(2)).isCloseTo(0.05, within(1e-12));
        assertThat(found.get(8)).isCloseTo(0, within(1e-12));
        assertThat(Harmonics.mean(half)).isCloseTo(0.2, within(1e-12));
    }

    /** Second harmonic falls and third rises as a single-ended load gets lighter; the power has a hump. */
    @Test
    void theLoadMovesTheHarmonics() {
        Sweep sweep = Sweep.loads(
                stage(Topology.SINGLE_ENDED, Connection.PENTODE, OutputStage.Bias.fixed(-28)), 1000, 9000, 40);
        assertThat(sweep.points().get(4).second())
                .isGreaterThan(sweep.points().get(18).second());
        assertThat(sweep.points().get(30).third())
                .isGreaterThan(sweep.points().get(4).third());
        assertThat(sweep.best().at()).isBetween(1500.0, 7000.0);
        assertThat(sweep.within(0.1)[0]).isLessThan(sweep.best().at());
        assertThat(sweep.within(0.1)[1]).isGreaterThan(sweep.best().at());
    }

    @Test
    void clippingIsNamed() {
        OutputStage light = stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.fixed(-33))
                .withLoad(20_000);
        Performance found = new FullDrive(light).compute();
        assertThat(found.clipping().limit()).isEqualTo(Performance.Limit.KNEE);
        assertThat(found.clipping().drive()).isLessThan(found.peakDrive());
        assertThat(new FullDrive(light.withLoad(3000)).compute().clipping().limit())
                .isEqualTo(Performance.Limit.GRID);
        assertThat(new FullDrive(stage(Topology.SINGLE_ENDED, Connection.PENTODE, OutputStage.Bias.fixed(-40))
                                .withLoad(1500))
                        .compute()
                        .clipping()
                        .limit())
                .isEqualTo(Performance.Limit.CUT_OFF);
        Performance heavy = new FullDrive(light.withLoad(3000)).compute();
        assertThat(heavy.classAWatts().orElseThrow()).isPositive().isLessThan(heavy.powerWatts());
    }

    /** Up to cut-off a stage draws little more than at idle, and gives no more than that. */
    @Test
    void classAIsNeverMoreThanTheIdleInputGives() {
        Random chance = new Random(16);
        List<KnownModel> models = TubeModels.published().all();
        int ends = 0;
        for (int i = 0; i < 400; i++) {
            double volts = 250 + 250 * chance.nextDouble();
            KnownModel known = models.get(i % models.size());
            OutputStage stage = new OutputStage(
                    known.model(),
                    Topology.PUSH_PULL,
                    1,
                    volts,
                    0.8 * volts,
                    Connection.PENTODE,
                    0,
                    OutputStage.Bias.fixed(0),
                    2000 + 8000 * chance.nextDouble());
            OutputStage set = stage.with(OutputStage.Bias.fixed(stage.gridFor(0.02 + 0.06 * chance.nextDouble())));
            Performance found = new FullDrive(set, 64).compute();
            double input = 2 * volts * found.idle().plateAmps();
            if (found.classAWatts().isPresent()) {
                ends++;
                assertThat(found.classAWatts().getAsDouble())
                        .as(known.type() + " " + set)
                        .isLessThanOrEqualTo(0.5 * input);
            }
        }
        assertThat(ends).isGreaterThan(100);
    }

    @Test
    void anyStageThatCanBeBuiltIsSolved() {
        Random chance = new Random(11);
        List<String> types =
                TubeModels.published().all().stream().map(known -> known.type()).toList();
        for (int i = 0; i < 600; i++) {
            double volts = 150 + 500 * chance.nextDouble();
            OutputStage stage = new OutputStage(
                    model(types.get(i % types.size())),
                    i % 2 == 0 ? Topology.PUSH_PULL : Topology.SINGLE_ENDED,
                    1 + i % 4,
                    volts,
                    volts * (0.5 + 0.5 * chance.nextDouble()),
                    Connection.values()[i % 3],
                    0.1 + 0.8 * chance.nextDouble(),
                    chance.nextBoolean()
                            ? OutputStage.Bias.fixed(-70 * chance.nextDouble())
                            : OutputStage.Bias.cathode(20 * Math.pow(100, chance.nextDouble())),
                    300 * Math.pow(100, chance.nextDouble()),
                    new OutputStage.Losses(
                            300 * chance.nextDouble(),
                            300 * chance.nextDouble(),
                            chance.nextBoolean() ? 0 : 600 * chance.nextDouble(),
                            3000 * chance.nextDouble(),
                            0));
            Performance found;
            try {
                found = new FullDrive(stage).compute();
            } catch (UnsettledException e) {
                throw new AssertionError(i + ": " + stage, e);
            }
            assertThat(found.powerWatts()).as("%d: %s", i, stage).isNotNaN().isGreaterThanOrEqualTo(0);
            assertThat(found.efficiency()).as("%d: %s", i, stage).isLessThan(0.86);
        }
    }

    @Test
    void whatHasNoOperatingPointIsSaidAndNeverGuessed() {
        OutputStage hopeless = new OutputStage(
                model("6V6GT"),
                Topology.SINGLE_ENDED,
                4,
                178,
                254,
                Connection.PENTODE,
                0,
                OutputStage.Bias.cathode(2.5),
                463_818,
                new OutputStage.Losses(0, 0, 0, 8882, 0));
        assertThatThrownBy(() -> new FullDrive(hopeless, 64).compute())
                .isInstanceOfSatisfying(
                        UnsettledException.class, e -> assertThat(e.rounds()).isPositive());
        Sweep sweep = Sweep.loads(hopeless, 2000, 400_000, 30);
        assertThat(sweep.points()).as("the loads that work are swept").hasSizeBetween(10, 30);
    }

    @Test
    void whatCannotBeBuiltIsRefused() {
        assertThatThrownBy(() -> stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.fixed(3)))
                .hasMessageContaining("grids stand at 0 V or below, was 3.0");
        assertThatThrownBy(() -> stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.fixed(-3))
                        .withLoad(0))
                .hasMessageContaining("the load is more than 0, was 0.0");
        assertThatThrownBy(() -> stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.fixed(-3))
                        .withLoad(Double.POSITIVE_INFINITY))
                .hasMessageContaining("the load");
        assertThatThrownBy(() ->
                        new FullDrive(stage(Topology.PUSH_PULL, Connection.PENTODE, OutputStage.Bias.fixed(-3)), 10))
                .hasMessageContaining("multiple of 4");
    }
}
