package yellowrail.core.soak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.chart.Point;

class SoakChartTest {

    private final Amps.Typed typed = new Amps.Typed(Amps.pair()).lines("on", "V1 30 V2 30 plate 440");

    private void read(int minutes, double perMinute) {
        for (int t = 0; t < minutes; t++) {
            typed.line(String.format(Locale.ROOT, "V1 %.2f V2 30", 30 * (1 + perMinute * t)));
        }
    }

    private SoakChart chart(boolean percent) {
        return SoakChart.of(Soak.of(typed.timeline()), typed.timeline(), percent);
    }

    private static SoakChart.Line present(SoakChart chart, String label) {
        return chart.lines().stream()
                .filter(line -> line.present() && line.label().equals(label))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theCurveLiesInItsBandAndInTheDrawing() {
        read(25, 0.006);

        SoakChart chart = chart(false);

        SoakChart.Line creeps = present(chart, "V1");
        assertThat(creeps.readings()).isSortedAccordingTo(Comparator.comparingDouble(Point::x));
        assertThat(creeps.fit()).isNotEmpty();
        for (int i = 0; i < creeps.fit().size(); i++) {
            assertThat(creeps.fit().get(i).y())
                    .isBetween(creeps.low().get(i).y(), creeps.high().get(i).y())
                    .isBetween(chart.least(), chart.most());
        }
        assertThat(chart.to()).isGreaterThan(last(creeps.readings()).x());
        assertThat(last(creeps.readings()).y())
                .isGreaterThan(creeps.readings().get(0).y());
    }

    @Test
    void inPercentACurveBeginsAtNothing() {
        read(25, 0.006);

        SoakChart chart = chart(true);

        assertThat(present(chart, "V1").fit().get(0).y()).isZero();
        assertThat(last(present(chart, "V1").fit()).y()).isBetween(11.0, 17.0);
        assertThat(last(present(chart, "V2").fit()).y()).isCloseTo(0, within(0.5));
        assertThat(chart.least()).isNegative();
    }

    @Test
    void whatHappenedIsMarkedAtItsMinute() {
        read(8, 0);
        typed.lines("turn RANGE anticlockwise", "mains 120", "V1 28 V2 28 plate 444");
        read(8, 0);
        typed.line("mains 112");
        read(3, 0);

        SoakChart chart = chart(false);

        assertThat(chart.lines()).as("a stretch of before the turn too").anyMatch(line -> !line.present());
        assertThat(chart.from()).as("left of the setting").isNegative();
        assertThat(chart.marks()).isSortedAccordingTo(Comparator.comparingDouble(SoakChart.Mark::minutes));
        assertThat(chart.marks().stream().map(SoakChart.Mark::what)).contains(new SoakFinding.MarkMains(112));
    }

    private static Point last(List<Point> points) {
        return points.get(points.size() - 1);
    }
}
