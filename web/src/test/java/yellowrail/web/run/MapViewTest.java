package yellowrail.web.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.chart.Point;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.BundledWords;

class MapViewTest {

    private static final TubeType TYPE = TubeCatalogue.published().find("6L6GC").orElseThrow();
    private static final AmpSheet SHEET =
            new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, TYPE, 2, false).sheet();

    private static MapView map(Track... tracks) {
        return MapView.of(
                OperatingMap.of(StageIdle.of(SHEET, TubeCatalogue.published()), List.of(tracks)),
                SHEET,
                BundledWords.read());
    }

    private static Track track(String label, double volts, double amps) {
        return new Track(label, List.of(new Point(volts, amps)), 2, 0.0005);
    }

    @Test
    void higherCurrentIsHigherUpAndHigherVoltageFurtherRight() {
        MapView view = map(track("V1", 440, 0.050), track("V2", 460, 0.030));
        MapView.Mark hot = view.marks().get(0);
        MapView.Mark cold = view.marks().get(1);
        // A sign that points up begins at its tip, half a sign above its place.
        Point up = begins(hot.sign());
        Point further = begins(cold.sign());
        assertThat(up.y()).isLessThan(further.y());
        assertThat(up.x()).isLessThan(further.x());
        assertThat(hot.side()).isEqualTo("push");
        assertThat(hot.cross()).matches("M[\\d.]+ [\\d.]+H[\\d.]+M[\\d.]+ [\\d.]+V[\\d.]+");
        assertThat(begins(hot.cross()).x()).isLessThan(up.x());
    }

    private static Point begins(String path) {
        String[] at = path.substring(1).split("[ A-Za-z]");
        return new Point(Double.parseDouble(at[0]), Double.parseDouble(at[1]));
    }

    @Test
    void tubesInOnePlaceShareALabel() {
        MapView view = map(track("V1", 450, 0.0350), track("V2", 450, 0.0351));
        assertThat(view.marks()).extracting(MapView.Mark::label).containsExactly("V1 V2", "");
    }

    @Test
    void theScaleHasRoundNumbersInsideThePicture() {
        MapView view = map(track("V1", 452, 0.0346));
        assertThat(view.across()).hasSizeBetween(4, 9).allSatisfy(tick -> {
            assertThat(Integer.parseInt(tick.text()) % 5).isZero();
            assertThat(Double.parseDouble(tick.at())).isBetween((double) MapView.LEFT, (double) MapView.WIDTH);
        });
        assertThat(view.up()).first().extracting(Plot.Tick::text).isEqualTo("0");
    }

    @Test
    void saysInWordsWhatItShows() {
        assertThat(map().told()).contains("no tube has both");
        assertThat(map(track("V1", 452, 0.0346)).told())
                .isEqualTo("Operating map: V1 at 452 V and 34.6 mA of plate current.");
    }
}
