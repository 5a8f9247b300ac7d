package yellowrail.web.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.DrawerTube;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.trace.PointSource;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.drawer.OwnTubeService;
import yellowrail.web.drawer.PointRow;
import yellowrail.web.drawer.PointService;
import yellowrail.web.meter.LyingMeter;

@ExtendWith(RunningApplication.class)
class TracePagesTest {

    /** A listed type of which no point is published. */
    private static final String WITHOUT = "KT77";

    private static int made;

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final PointService points = RunningApplication.bean(PointService.class);
    private final OwnTubeService own = RunningApplication.bean(OwnTubeService.class);

    private long tube;

    @BeforeEach
    void aTube() {
        tube = tube("EL34");
    }

    private static long tube(String type) {
        return RunningApplication.bean(DrawerService.class)
                .add(new DrawerRow(
                        new DrawerTube(type, "trace " + ++made, "", "", Optional.empty(), TubeState.USED, ""),
                        Optional.empty(),
                        Map.of()))
                .orElseThrow();
    }

    private static long amp() {
        return RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("EL34").orElseThrow(),
                                2,
                                false)
                        .sheet());
    }

    private String page() {
        return "/drawer/" + tube + "/curves";
    }

    private HttpResponse<String> send(String by, String... changes) {
        Map<String, String> fields = new HashMap<>(visitor.form(page(), page()));
        fields.put("by", by);
        for (int i = 0; i < changes.length; i += 2) {
            fields.put(changes[i], changes[i + 1]);
        }
        return visitor.post(page(), fields);
    }

    @Test
    void aPracticeTubeIsTracedByItsListAndTheAmpIsComputedWithIt() {
        visitor.post(page() + "/practice", visitor.form(page(), page() + "/practice"));
        long practised =
                RunningApplication.bean(DrawerService.class).tube(tube + 1).id();
        tube = practised;
        Document first = visitor.page(page());
        assertThat(first.text()).contains("A made-up tube, for practice").contains("0 of");
        int steps = first.select(".trace .step").size();
        assertThat(steps).isGreaterThan(13);
        for (int i = 0; i < steps; i++) {
            assertThat(send("practice").statusCode()).isEqualTo(302);
        }
        Document traced = visitor.page(page());
        assertThat(traced.select(".trace .tube-path")).isNotEmpty();
        assertThat(traced.select(".trace .point")).hasSizeGreaterThanOrEqualTo(steps - 3);
        assertThat(traced.text()).contains("a point it did not see lies about");
        OwnTubeService.Own found = own.of(tube).orElseThrow();
        assertThat(found.traced().orElseThrow().unseen().orElseThrow()).isLessThan(0.003);
        assertThat(points.ofTube(tube)).allMatch(row -> row.by() == PointSource.PRACTICE);

        long amp = amp();
        assertThat(visitor.page("/amps/%d/load-line?own=%d".formatted(amp, tube))
                        .text())
                .contains("the points traced of it");
        assertThat(visitor.page("/amps/%d/swap?own=%d".formatted(amp, tube)).text())
                .contains(found.name() + " for EL34");
    }

    @Test
    void aRealTubeHasNoPracticeMeter() {
        assertThat(visitor.page(page()).select("#practice-meter")).isEmpty();
        assertThat(send("practice").statusCode()).isEqualTo(404);
    }

    @Test
    void whatCannotBeIsSaidBesideItAndNothingTypedIsLost() {
        HttpResponse<String> refused =
                send("typed", "plate_volts", "400", "grid_volts", "-10", "plate_milliamps", "900");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains("no tube stands that for a reading")
                .contains("value=\"900\"")
                .contains("value=\"400\"");
        assertThat(points.ofTube(tube)).isEmpty();
    }

    @Test
    void pointsComeAsLinesAndGoOutAsAFile() {
        String lines = "250 250 -14 71.5 11\n250 250 -18 44 -\n100;250;-18;40,2;6";
        Map<String, String> form = new HashMap<>(visitor.form(page(), page() + "/lines"));
        form.put("lines", lines + "\n250 250 -14 tall");
        HttpResponse<String> refused = visitor.upload(page() + "/lines", page(), "points.txt", "", form);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Line 4 plate_milliamps").contains("250 250 -18 44 -");
        assertThat(points.ofTube(tube)).isEmpty();
        assertThat(visitor.upload(page() + "/lines", page(), "points.csv", lines, Map.of())
                        .statusCode())
                .isEqualTo(302);
        assertThat(points.ofTube(tube)).extracting(PointRow::amps).containsExactly(0.0715, 0.044, 0.0402);
        String file = visitor.get(page() + ".csv").body();
        assertThat(file).contains("250,250,-14,71.5,11").contains("100,250,-18,40.2,6");
        long first = points.ofTube(tube).get(0).id();
        visitor.post(page() + "/" + first, visitor.form(page(), page() + "/" + first));
        assertThat(points.ofTube(tube).get(0).leftOut()).isTrue();
        assertThat(visitor.get(page() + ".csv").body()).doesNotContain("71.5");
        assertThat(visitor.page("/drawer/" + tube).text()).contains("the points traced of it (2)");
    }

    @Test
    void aMeterOnTheNetworkIsReadForThePoint() throws Exception {
        try (LyingMeter amperes = new LyingMeter("+4.46700000E-02\n", 0)) {
            assertThat(send("meter", "meter", amperes.link().toString()).statusCode())
                    .isEqualTo(302);
            assertThat(amperes.asked()).isEqualTo("MEAS:CURR:DC?");
        }
        try (LyingMeter volts = new LyingMeter("+4.46700000E-01\n", 0)) {
            HttpResponse<String> kept = send("meter", "meter", volts.link().toString(), "sense", "10");
            assertThat(kept.headers().firstValue("Location").orElseThrow())
                    .contains("meter=127.0.0.1")
                    .contains("sense=10");
            assertThat(volts.asked()).isEqualTo("MEAS:VOLT:DC?");
        }
        assertThat(points.ofTube(tube)).extracting(PointRow::amps).containsExactly(0.04467, 0.04467);
        HttpResponse<String> nobody = send("meter", "meter", "127.0.0.1:1");
        assertThat(nobody.statusCode()).isEqualTo(422);
        for (String address : new String[] {"somewhere", "127.0.0.1:99999", "127.0.0.1:0", ""}) {
            assertThat(send("meter", "meter", address).body()).as(address).contains("An address with its port");
        }
    }

    /** Nothing is published of what it draws: its own points are all there is, and they give a load line. */
    @Test
    void aTypeWithoutAModelGetsCurvesOfItsPoints() {
        TubeModel truth = TubeModels.published()
                .of(TubeCatalogue.published().find("EL34").orElseThrow())
                .orElseThrow()
                .model();
        tube = tube(WITHOUT);
        assertThat(visitor.page(page()).text()).contains("there is no list").contains("None yet");
        List<TracedPoint> read = new ArrayList<>();
        for (double grid : new double[] {-26, -22, -18, -14}) {
            for (double plate : new double[] {40, 100, 200, 300}) {
                read.add(new TracedPoint(
                        plate,
                        OptionalDouble.of(250),
                        grid,
                        truth.plateCurrent(plate, 250, grid),
                        OptionalDouble.of(truth.screenCurrent(plate, 250, grid))));
            }
        }
        points.keep(tube, read, PointSource.TYPED);
        assertThat(visitor.page(page()).select(".trace .tube-path")).isNotEmpty();
        OwnTubeService.Own found = own.of(tube).orElseThrow();
        assertThat(found.known()).isEmpty();
        assertThat(found.model().model().plateCurrent(250, 250, -20))
                .isCloseTo(truth.plateCurrent(250, 250, -20), withinPercentage(4));
        long amp = amp();
        Document line = visitor.page("/amps/%d/load-line?type=%s&own=%d".formatted(amp, WITHOUT, tube));
        assertThat(line.text()).contains("the points traced of it").contains(WITHOUT);
        assertThat(visitor.page("/amps/%d/swap?own=%d".formatted(amp, tube)).text())
                .contains(found.name() + " for EL34");
    }

    @Test
    void aTypeThatIsNotListedHasNoRatingToGoBy() {
        tube = tube("XYZ77");
        Document page = visitor.page(page());
        assertThat(page.text()).contains("The catalog lists no XYZ77");
        assertThat(page.select("#curves")).isEmpty();
    }
}
