package yellowrail.web.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.Side;
import yellowrail.core.chart.Point;

class PlotTest {

    private final Plot plain = new Plot(200, 100, 20, 30, 10, 15, 0, 300, 0, 0.075, false);
    private final Plot decades = new Plot(500, 100, 50, 50, 10, 10, 20, 20_000, 0, 100, true);

    @Test
    void theCornersOfTheFieldAreItsMargins() {
        assertThat(plain.place(new Point(0, 0))).isEqualTo(new Place("20.0", "85.0"));
        assertThat(plain.place(new Point(300, 0.075))).isEqualTo(new Place("170.0", "10.0"));
        assertThat(plain.axes()).isEqualTo("M20 10V85H170");
        assertThat(plain.bothAxes()).isEqualTo("M20 10V85H170V10");
        assertThat(plain.viewBox()).isEqualTo("0 0 200 100");
        assertThat(plain.handed()).isEqualTo("200 100 20 30 10 15");
    }

    @Test
    void aPlaceBesideAPointIsSoFarRightAndSoFarDown() {
        assertThat(plain.place(new Point(150, 0), 4, -5)).isEqualTo(new Place("99.0", "80.0"));
        assertThat(new Place("99.0", "80.0").moved()).isEqualTo("translate(99.0 80.0)");
    }

    @Test
    void aCrossReachesAsFarAsItIsUnsure() {
        assertThat(plain.cross(new Point(150, 0.0375), 30, 0.0075)).isEqualTo("M80.0 47.5H110.0M95.0 55.0V40.0");
    }

    @Test
    void equalRatiosAreEqualSteps() {
        assertThat(decades.x(200) - decades.x(20)).isEqualTo(decades.x(2000) - decades.x(200));
        assertThat(decades.across(0, 1))
                .extracting(Plot.Tick::text)
                .containsExactly("20", "50", "100", "200", "500", "1000", "2000", "5000", "10000", "20000");
    }

    @Test
    void scalesAreWrittenInTheUnitAsked() {
        assertThat(plain.up(5, 1e3)).extracting(Plot.Tick::text).containsExactly("0", "20", "40", "60");
        assertThat(plain.up(5, 1e3).get(1).at()).isEqualTo("65.0");
        assertThat(plain.up(5, 1e3).get(1).path()).isEqualTo("M20 65.0H170");
        assertThat(plain.across(3, 1)).extracting(Plot.Tick::path).first().isEqualTo("M20.0 10V85");
    }

    @Test
    void aLineRunsThroughItsPoints() {
        assertThat(plain.line(List.of(new Point(0, 0), new Point(150, 0.0375), new Point(300, 0.075))))
                .isEqualTo("M20.0 85.0 L95.0 47.5 L170.0 10.0");
        assertThat(plain.distance(new Point(0, 0), new Point(60, 0.04))).isEqualTo(50);
    }

    @Test
    void theSidesDifferByShape() {
        assertThat(SideSign.path(Side.PUSH, 50, 40, 8)).isEqualTo("M50.0 32.0l8.0 14.0h-16.0z");
        assertThat(SideSign.path(Side.PULL, 50, 40, 8)).isEqualTo("M50.0 48.0l8.0 -14.0h-16.0z");
        assertThat(SideSign.path(Side.SINGLE, 50, 40, 8)).isEqualTo("M50.0 32.0l8.0 8.0l-8.0 8.0l-8.0 -8.0z");
    }
}
