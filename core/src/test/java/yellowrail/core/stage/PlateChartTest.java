package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.chart.Point;

class PlateChartTest {

    private static final double RATED = 30;

    private static OutputStage stage(Topology topology, Connection connection) {
        OutputStage fixed = new OutputStage(
                FullDriveTest.model("6L6GC"),
                topology,
                1,
                400,
                connection == Connection.PENTODE ? 350 : 400,
                connection,
                0.4,
                OutputStage.Bias.fixed(0),
                topology == Topology.PUSH_PULL ? 6600 : 3500);
        return AmpStage.atIdle(fixed, topology == Topology.PUSH_PULL ? 0.040 : 0.065, false);
    }

    private static PlateChart chart(Performance found) {
        return PlateChart.of(found, RATED, PlateChart.Frame.around(found));
    }

    @ParameterizedTest
    @EnumSource(Topology.class)
    void theFrameHoldsAllThatIsDrawn(Topology topology) {
        for (Connection connection : Connection.values()) {
            Performance found = new FullDrive(stage(topology, connection)).compute();
            PlateChart chart = chart(found);
            assertThat(chart.volts())
                    .isGreaterThan(found.peakPlateVolts())
                    .isEqualTo(50 * Math.rint(chart.volts() / 50));
            assertThat(chart.path()).isNotEmpty().allSatisfy(point -> {
                assertThat(point.x()).isBetween(0.0, chart.volts());
                assertThat(point.y()).isBetween(0.0, chart.amps());
            });
        }
    }

    @Test
    void theRatingIsAHyperbolaFromEdgeToEdge() {
        PlateChart chart = chart(new FullDrive(stage(Topology.PUSH_PULL, Connection.PENTODE)).compute());
        assertThat(chart.rating())
                .allSatisfy(point -> assertThat(point.x() * point.y()).isCloseTo(RATED, within(1e-9)));
        assertThat(chart.rating().get(0).y()).isCloseTo(chart.amps(), within(1e-9));
        assertThat(chart.rating().get(chart.rating().size() - 1).x()).isEqualTo(chart.volts());
    }

    @Test
    void plateCurvesStepDownFromZeroInRoundVolts() {
        PlateChart chart = chart(new FullDrive(stage(Topology.PUSH_PULL, Connection.PENTODE)).compute());
        List<PlateChart.Curve> curves = chart.curves();
        double step = -curves.get(1).gridVolts();
        assertThat(step).isIn(5.0, 10.0, 20.0);
        for (int i = 0; i < curves.size(); i++) {
            assertThat(curves.get(i).gridVolts()).isEqualTo(-i * step);
            if (i > 0) {
                assertThat(last(curves.get(i)).y())
                        .isLessThan(last(curves.get(i - 1)).y());
            }
            assertThat(curves.get(i).points()).extracting(Point::x).isSorted();
        }
        assertThat(last(curves.get(0)).x()).isEqualTo(chart.volts());
    }

    private static Point last(PlateChart.Curve curve) {
        return curve.points().get(curve.points().size() - 1);
    }

    /**
     * Push-pull, a side sees a quarter of plate to plate: 400 V over 1650 ohm are 242 mA, and nothing at the supply.
     */
    @Test
    void thePushPullLineIsTheCompositeOne() {
        PlateChart chart = chart(new FullDrive(stage(Topology.PUSH_PULL, Connection.PENTODE)).compute());
        assertThat(chart.load().get(0)).isEqualTo(new Point(0, 400 / 1650.0));
        assertThat(chart.load().get(1)).isEqualTo(new Point(400, 0));
        assertThat(chart.classAEnd())
                .hasValueSatisfying(
                        end -> assertThat(end.y()).isGreaterThan(chart.idle().y()));
    }

    /** Single-ended the line goes through the rest, with the slope of the whole load, and there is no other tube. */
    @Test
    void theSingleEndedLineGoesThroughItsRest() {
        Performance found = new FullDrive(stage(Topology.SINGLE_ENDED, Connection.PENTODE)).compute();
        PlateChart chart = chart(found);
        Point left = chart.load().get(0);
        Point right = chart.load().get(1);
        assertThat((right.x() - left.x()) / (left.y() - right.y())).isCloseTo(3500, within(1e-6));
        assertThat(left.y() - found.supplyVolts() / 3500).isCloseTo(found.plateAmps(), within(1e-9));
        assertThat(chart.classAEnd()).isEmpty();
        assertThat(chart.idle()).isEqualTo(new Point(400, found.idle().plateAmps()));
    }

    @Test
    void aFrameThatIsHeldStillStaysWhileSomethingIsDragged() {
        Performance found = new FullDrive(stage(Topology.PUSH_PULL, Connection.PENTODE)).compute();
        PlateChart chart = PlateChart.of(found, RATED, new PlateChart.Frame(1234, 0.5));
        assertThat(chart.volts()).isEqualTo(1234);
        assertThat(chart.amps()).isEqualTo(0.5);
        assertThat(last(chart.curves().get(0)).x()).isEqualTo(1234);
    }
}
