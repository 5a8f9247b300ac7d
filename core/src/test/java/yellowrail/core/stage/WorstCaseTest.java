package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.stage.OutputStage.Bias;

class WorstCaseTest {

    private static OutputStage pair(double grid, double load) {
        return new OutputStage(
                FullDriveTest.model("6L6GC"),
                Topology.PUSH_PULL,
                1,
                450,
                400,
                Connection.PENTODE,
                0,
                Bias.fixed(grid),
                load);
    }

    /** Near class B the plates take most where the peak is about two thirds of the supply, not at full drive. */
    @Test
    void aColdPairIsWorstBelowFullDrive() {
        OutputStage stage = pair(-48, 6600);
        WorstCase.Worst plates = WorstCase.of(stage).plates();
        double full = new FullDrive(stage).compute().plateWatts();
        assertThat(plates.watts()).isGreaterThan(1.05 * full);
        assertThat(plates.part()).isBetween(0.3, 0.95);
    }

    @Test
    void aHotSingleEndedStageIsWorstAtRest() {
        OutputStage stage = new OutputStage(
                FullDriveTest.model("6L6GC"),
                Topology.SINGLE_ENDED,
                1,
                300,
                250,
                Connection.PENTODE,
                0,
                Bias.fixed(-15),
                3500);
        WorstCase.Worst plates = WorstCase.of(stage).plates();
        assertThat(plates.part()).isZero();
        assertThat(plates.watts()).isEqualTo(300 * Idle.of(stage).plateAmps());
    }

    /** Overdriven, the plate of a lit tube stays at its knee for half the time. */
    @Test
    void screensAreWorstUnderASquareWave() {
        OutputStage stage = pair(-37, 5600);
        WorstCase.Worst screens = WorstCase.of(stage).screens();
        assertThat(screens.wave()).isEqualTo(WorstCase.Wave.SQUARE);
        assertThat(screens.watts()).isGreaterThan(new FullDrive(stage).compute().screenWatts());
        Performance square = FullDrive.square(stage).compute();
        Sample lit = square.samples().get(1);
        Sample other = square.samples().get(0);
        assertThat(square.screenWatts())
                .isEqualTo(0.5 * (lit.screenVolts() * lit.screenAmps() + other.screenVolts() * other.screenAmps()));
    }

    @Test
    void noFinerSearchFindsMore() {
        for (double grid : new double[] {-30, -37, -45, -52}) {
            OutputStage stage = pair(grid, 4300);
            double finer = IntStream.rangeClosed(1, 200)
                    .mapToDouble(i -> Math.max(
                            new FullDrive(stage, 64, i / 200.0).compute().plateWatts(),
                            FullDrive.square(stage).then(i / 200.0).compute().plateWatts()))
                    .max()
                    .orElseThrow();
            assertThat(WorstCase.of(stage).plates().watts())
                    .isCloseTo(Math.max(finer, 450 * Idle.of(stage).plateAmps()), withinPercentage(1));
        }
    }
}
