package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.chart.Point;
import yellowrail.core.iron.Impedance;
import yellowrail.core.tube.model.TubeModels;

class LoadEllipseTest {

    private static final Performance PAIR = new FullDrive(new OutputStage(
                    TubeModels.published().all().get(0).model(),
                    Topology.PUSH_PULL,
                    1,
                    430,
                    420,
                    Connection.PENTODE,
                    0.43,
                    OutputStage.Bias.fixed(-38),
                    5000,
                    new OutputStage.Losses(0, 0, 0, 0, 0)))
            .compute();

    private static LoadEllipse ellipse(double ohms, double degrees) {
        return LoadEllipse.of(PAIR, new Impedance(100, ohms, degrees), 8);
    }

    /** In step with its voltage it is the load line of a side: a quarter of the load from plate to plate. */
    @Test
    void aResistiveSpeakerIsTheLoadLine() {
        LoadEllipse line = ellipse(8, 0);
        Point first = line.points().get(0);
        assertThat(first.y()).isPositive();
        assertThat(line.points())
                .allSatisfy(point -> assertThat(430 - point.x()).isCloseTo(5000 / 4.0 * point.y(), within(1e-6)));
        assertThat(line.points().get(line.points().size() - 1).x()).isCloseTo(first.x(), within(1e-9));
    }

    @Test
    void aQuarterOfATurnBehindItIsAsWideAsHigh() {
        LoadEllipse ellipse = ellipse(8, 90);
        assertThat(ellipse.points().get(0).x())
                .as("all of the current, none of the voltage")
                .isCloseTo(430, within(1e-6));
    }

    @Test
    void aLightSpeakerIsHeldBackByTheSupply() {
        assertThat(ellipse(80, 0).points())
                .allSatisfy(point -> assertThat(point.x()).isPositive());
    }
}
