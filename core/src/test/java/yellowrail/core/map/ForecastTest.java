package yellowrail.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.chart.Point;
import yellowrail.core.move.Landing;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.Reading;

class ForecastTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static OperatingMap map(String... lines) {
        List<Reading> readings = Amps.readings(PAIR, lines);
        NextMove move = Amps.move(PAIR, readings).orElseThrow();
        return OperatingMap.of(Amps.stage(PAIR), Track.of(Amps.stage(PAIR), Amps.timeline(PAIR, readings)), move);
    }

    /**
     * At any voltage of the line the rail gives what both tubes draw: it passes through what was read and what will be.
     */
    @Test
    void theSupplyLinePassesThroughTheReadingsAndTheLanding() {
        OperatingMap map = map("V1 24 V2 24 plate 462", "V1 35 V2 35 plate 451.5");
        Point from = map.forecast().line().get(0);
        Point to = map.forecast().line().get(1);
        double slope = (to.y() - from.y()) / (to.x() - from.x());
        Point read = map.tracks().get(0).last();
        assertThat(from.y() + slope * (read.x() - from.x())).isCloseTo(read.y(), within(1e-4));
        Point landing = map.forecast().landings().get(0);
        assertThat(from.y() + slope * (landing.x() - from.x())).isCloseTo(landing.y(), within(1e-4));
        assertThat(to.y()).isGreaterThanOrEqualTo(-1e-12);
        assertThat(map.forecast().landings()).as("two alike land in one place").hasSize(1);
    }

    @Test
    void theMapReachesToTheLandingAndToEachTubeThatLandsElsewhere() {
        OperatingMap map = map("V1 10 V2 14 plate 480", "V1 12 V2 17 plate 477");
        assertThat(map.forecast().landings()).hasSize(2).allSatisfy(point -> {
            assertThat(point.x()).isBetween(map.fromVolts(), map.toVolts());
            assertThat(point.y()).isLessThan(map.toAmps());
        });
        assertThat(OperatingMap.of(Amps.stage(PAIR), List.of()).forecast()).isEqualTo(Forecast.NONE);
    }

    @Test
    void whatCannotBeReachedHasNoForecast() {
        OperatingMap map = map("plate 300 unloaded", "V1 60 V2 60 plate 150");
        assertThat(map.forecast()).isEqualTo(Forecast.NONE);
    }

    @Test
    void theLandingIsWhatTheMoveSays() {
        List<Reading> readings = Amps.readings(PAIR, "V1 24 V2 24 plate 462", "V1 35 V2 35 plate 451.5");
        Landing landing = Amps.move(PAIR, readings).orElseThrow().landing().orElseThrow();
        Point point = map("V1 24 V2 24 plate 462", "V1 35 V2 35 plate 451.5")
                .forecast()
                .landings()
                .get(0);
        assertThat(point.y()).isEqualTo(landing.tubes().get(0).plateAmps());
        assertThat(point.x()).isEqualTo(landing.tubes().get(0).plateVolts());
    }
}
