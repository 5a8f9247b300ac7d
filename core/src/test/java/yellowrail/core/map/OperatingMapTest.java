package yellowrail.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.idle.StageIdle;

class OperatingMapTest {

    private static OperatingMap map(AmpSheet sheet, String... lines) {
        StageIdle stage = Amps.stage(sheet);
        return OperatingMap.of(stage, Track.of(stage, Amps.timeline(sheet, lines)));
    }

    @Test
    void tracksATubeThroughItsReadings() {
        OperatingMap map = map(Amps.pair(), "V1 24", "plate 462", "plate 462", "V1 35", "plate 451.5");
        Track track = map.tracks().get(0);
        assertThat(track.label()).isEqualTo("V1");
        assertThat(track.points()).hasSize(3);
        assertThat(track.last().y()).isCloseTo(0.03325, within(1e-9));
        assertThat(map.fromVolts()).isLessThan(451);
        assertThat(map.toVolts()).isGreaterThan(462);
    }

    @Test
    void theRatingIsAHyperbolaAndCapsTheWindow() {
        OperatingMap map = map(Amps.with(Amps.pair(), new Target(School.CURRENT_WINDOW, 0.02, 0.05, 0.5)));
        assertThat(map.rating())
                .allSatisfy(point -> assertThat(point.x() * point.y()).isCloseTo(30, within(1e-9)));
        assertThat(map.high()).isEqualTo(map.rating());
        assertThat(map.low()).allSatisfy(point -> assertThat(point.y()).isCloseTo(0.019, within(1e-9)));
    }

    @Test
    void aLongRunShowsItsLatestPoints() {
        String[] lines = new String[101];
        for (int i = 0; i < 100; i++) {
            lines[i + 1] = "V1 " + (30 + i / 100.0);
        }
        lines[0] = "plate 450";
        assertThat(map(Amps.pair(), lines).tracks().get(0).points()).hasSize(Track.LONGEST);
    }
}
