package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.CircuitSimulator;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.model.TubeModels;

/** The exported netlist in a general circuit simulator, against our own solution of the same circuit. */
@Execution(ExecutionMode.CONCURRENT)
class NetlistTest {

    static OutputStage stage(
            String type,
            Topology topology,
            int perSide,
            double plate,
            double screen,
            Connection connection,
            double bias,
            double load,
            double copper) {
        return new OutputStage(
                TubeModels.published().of(Amps.type(type)).orElseThrow().model(),
                topology,
                perSide,
                plate,
                screen,
                connection,
                connection == Connection.ULTRALINEAR ? 0.43 : 0,
                bias < 0 ? OutputStage.Bias.fixed(bias) : OutputStage.Bias.cathode(bias),
                load,
                new OutputStage.Losses(copper, copper * load / 4000, 0, 0, 0));
    }

    @ParameterizedTest
    @CsvSource({
        "6L6GC, PUSH_PULL, 1, 450, 400, PENTODE, -37, 5600, 0",
        "6L6GC, PUSH_PULL, 2, 440, 430, PENTODE, -44, 2200, 40",
        "EL84, PUSH_PULL, 1, 300, 300, PENTODE, 270, 8000, 120",
        "EL34, PUSH_PULL, 1, 430, 430, ULTRALINEAR, -38, 6600, 0",
        "KT88, PUSH_PULL, 1, 400, 400, ULTRALINEAR, 250, 5000, 60",
        "KT88, PUSH_PULL, 1, 400, 400, TRIODE, -46, 4000, 0",
        "EL84, SINGLE_ENDED, 1, 250, 250, PENTODE, -7.3, 5200, 0",
        "6V6GT, SINGLE_ENDED, 1, 250, 250, PENTODE, 250, 5000, 200",
        "KT88, SINGLE_ENDED, 1, 350, 350, ULTRALINEAR, -33, 3500, 0",
        "6L6GC, SINGLE_ENDED, 2, 300, 300, ULTRALINEAR, 110, 2000, 90"
    })
    void runsAsWrittenAndAgrees(
            String type,
            Topology topology,
            int perSide,
            double plate,
            double screen,
            Connection connection,
            double bias,
            double load,
            double copper)
            throws Exception {
        agrees(type, stage(type, topology, perSide, plate, screen, connection, bias, load, copper));
    }

    /** Two sides that are not alike, as tubes or as grid volts, and screens behind stoppers. */
    @ParameterizedTest
    @CsvSource({
        "6L6GC, 1, 450, 400, PENTODE, -37, 5600, 0, 0.8, 0, 0",
        "6L6GC, 1, 450, 400, PENTODE, -37, 5600, 60, 1, -3, 0",
        "EL34, 2, 430, 425, PENTODE, -36, 3400, 40, 1.25, 1.5, 0",
        "EL84, 1, 300, 300, PENTODE, 270, 8000, 120, 0.75, 0, 0",
        "KT88, 1, 420, 420, ULTRALINEAR, -52, 5000, 60, 0.85, 0, 0",
        "300B, 1, 400, 400, TRIODE, -85, 5000, 30, 0.85, 0, 0",
        "EL34, 1, 430, 425, PENTODE, -36, 3400, 0, 1, 0, 1000",
        "EL34, 2, 430, 425, PENTODE, -36, 3400, 40, 1, 0, 470",
        "6L6GC, 1, 450, 400, PENTODE, 250, 5600, 0, 1, 0, 2200",
        "KT88, 1, 420, 420, ULTRALINEAR, -52, 5000, 60, 0.9, 0, 220"
    })
    void sidesUnlikeAndStoppersAgreeToo(
            String type,
            int perSide,
            double plate,
            double screen,
            Connection connection,
            double bias,
            double load,
            double copper,
            double current,
            double offset,
            double stopper)
            throws Exception {
        OutputStage alike = stage(type, Topology.PUSH_PULL, perSide, plate, screen, connection, bias, load, copper);
        OutputStage stopped = alike.with(new OutputStage.Losses(copper, copper * load / 4000, 0, 0, stopper));
        boolean unlike = current != 1 || offset != 0;
        agrees(
                type,
                unlike ? stopped.with(new OutputStage.OtherSide(stopped.model().scaled(current), offset)) : stopped);
    }

    private static void agrees(String type, OutputStage stage) throws Exception {
        assumeThat(CircuitSimulator.isInstalled()).isTrue();
        Performance ours = new FullDrive(stage).compute();
        SimulatedStage theirs = SimulatedStage.run(new Netlist(ours, type).write());
        double watts = theirs.volts() * theirs.volts() / (2 * stage.loadOhms());
        System.out.printf(
                "%s %s %s: %.3f W, simulator %.3f W (%+.3f %%); THD %.3f %%, simulator %.3f %% (%+.2f %%); %.2f s%n",
                type,
                stage.topology(),
                stage.connection(),
                ours.powerWatts(),
                watts,
                100 * (ours.powerWatts() / watts - 1),
                100 * ours.distortion(),
                100 * theirs.distortion(),
                100 * (ours.distortion() / theirs.distortion() - 1),
                theirs.seconds());
        assertThat(ours.powerWatts() / watts).isCloseTo(1, within(0.005));
        assertThat(ours.distortion() / theirs.distortion()).isCloseTo(1, within(0.02));
    }
}
