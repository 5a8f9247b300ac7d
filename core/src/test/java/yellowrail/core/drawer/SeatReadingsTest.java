package yellowrail.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.model.OwnTube;

class SeatReadingsTest {

    private static final Timeline RUN = Amps.timeline(
            Amps.pair(),
            "V1 30 V2 28 plate 460 screen 450 bias -49",
            "turn RANGE clockwise",
            "V1 36 V2 34 plate 452 screen 442 bias -46.8",
            "turn RANGE clockwise",
            "V1 41 V2 38 plate 448 screen 438");

    /**
     * One of each setting in which current, plates, screens and grids were read; the last one tells no grid volts anew.
     */
    @Test
    void everyWholeSettingIsAReading() {
        List<OwnTube.Reading> readings = SeatReadings.of(SeatIdles.of(RUN, "V1", at -> true));
        assertThat(readings).hasSize(2);
        OwnTube.Reading second = readings.get(1);
        assertThat(second.grid()).isCloseTo(-46.8, within(1e-9));
        assertThat(second.plate()).isCloseTo(452, within(0.1));
        assertThat(second.screen()).isCloseTo(442, within(0.1));
        assertThat(second.value()).isCloseTo(0.036, within(1e-4));
        assertThat(second.error()).isBetween(0.03, 0.08);
        assertThat(second.gridError()).isCloseTo(0.936, within(1e-9));
        assertThat(SeatReadings.of(SeatIdles.of(RUN, "V1", at -> false))).isEmpty();
    }

    @Test
    void withoutGridVoltsNothingIsToldOfATube() {
        assertThat(SeatReadings.of(
                        SeatIdles.of(Amps.timeline(Amps.pair(), "V1 36 V2 34 plate 452 screen 442"), "V1", at -> true)))
                .isEmpty();
    }
}
