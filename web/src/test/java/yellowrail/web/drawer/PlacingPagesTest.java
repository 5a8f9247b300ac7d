package yellowrail.web.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;

/** Which tube goes where: proposed, drawn, and logged when it is done. Each test has a type of its own. */
@ExtendWith(RunningApplication.class)
class PlacingPagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final SeatService seats = RunningApplication.bean(SeatService.class);

    private static AmpSheet sheet(String type, int tubes) {
        return new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.FIXED_ADJUSTABLE,
                        TubeCatalogue.published().find(type).orElseThrow(),
                        tubes,
                        false)
                .sheet();
    }

    private String page(long amp) {
        return "/amps/" + amp + "/placing";
    }

    /** Tubes of the drawer by their currents, labelled by them: T70 draws 70 mA. */
    private List<Long> tubes(String type, String... milliamps) {
        String rows = List.of(milliamps).stream()
                .map(each -> "%s,T%s,used,250,-14,cathode,%s".formatted(type, each, each))
                .collect(Collectors.joining("\n"));
        HttpResponse<String> kept = visitor.upload(
                "/drawer/import",
                "/drawer",
                "tubes.csv",
                "type,label,state,plate_volts,grid_volts,current,milliamps\n" + rows,
                Map.of());
        assertThat(kept.statusCode()).as(kept.body()).isEqualTo(200);
        Map<String, Long> ids =
                RunningApplication.bean(DrawerService.class).select(99, new DrawerFilter(type, "")).first().stream()
                        .collect(Collectors.toMap(each -> each.tube().label(), Kept::id));
        return List.of(milliamps).stream().map(each -> ids.get("T" + each)).toList();
    }

    private String asked(long amp, List<Long> tubes) {
        return page(amp) + "?tubes=" + tubes.stream().map(String::valueOf).collect(Collectors.joining(","));
    }

    private Document look(String path) {
        HttpResponse<String> answer = visitor.get(path);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return Jsoup.parse(answer.body());
    }

    private void read(long amp, String... lines) {
        long run = runs.begin(amp).id();
        RunEntries entries = RunningApplication.bean(RunEntries.class);
        entries.enter(run, "tick closed", "bench", true);
        for (String line : lines) {
            entries.enter(run, line, "bench", true);
        }
    }

    private Map<String, Long> seated(long amp) {
        return seats.ofAmp(amp).stream().collect(Collectors.toMap(Seat::socket, Seat::tubeId));
    }

    /** 70 + 73 against 71 + 72: the sides differ by nothing. */
    @Test
    void aQuadOfTheDrawerIsPutWhereTheSidesAreEqualAndLogged() {
        long amp = amps.create(sheet("KT120", 4));
        List<Long> quad = tubes("KT120", "70", "71", "72", "73");
        Document page = look(asked(amp, quad));
        assertThat(page.select("section h2").eachText()).containsExactly("Proposed");
        assertThat(page.select("svg tspan").eachText()).hasSize(8).contains("T70", "70.00 mA", "T73");
        assertThat(page.select("section p").text()).contains("apart by 0.00 mA");
        assertThat(page.select(".caution").text()).as("before a hand goes in").containsIgnoringCase("off");
        Map<String, String> form = visitor.form(asked(amp, quad), page(amp));
        HttpResponse<String> done = visitor.post(page(amp), form);
        assertThat(done.statusCode()).isEqualTo(302);
        assertThat(Visitor.location(done)).endsWith("?at=tubes");
        assertThat(seated(amp)).hasSize(4).containsValues(quad.toArray(Long[]::new));
        assertThat(runs.timeline(runs.newestOf(amp).orElseThrow()).present().occupants())
                .allSatisfy(each -> assertThat(each.logged()).isTrue());
        assertThat(look("/drawer/" + quad.get(0)).text()).contains("V");
    }

    /** By what was read in it: 36 and 34 push, 30 and 32 pull are better mixed. */
    @Test
    void theTubesInTheAmpAreProposedByWhatWasReadLast() {
        long amp = amps.create(sheet("7591A", 4));
        List<Long> quad = tubes("7591A", "40", "41", "42", "43");
        seats.place(amp, Map.of("V1", quad.get(0), "V2", quad.get(1), "V3", quad.get(2)), OffsetDateTime.now());
        read(amp, "plate 400", "V1 36", "V2 34", "V3 30", "V4 32", "off");
        Document page = look(page(amp));
        assertThat(page.select("section h2").eachText()).containsExactly("Present", "Proposed");
        assertThat(page.select("svg tspan").eachText())
                .as("by their names where the drawer knows them")
                .contains("T40", "T41", "T42", "of V4");
        List<String> balances = page.select("section > p").eachText();
        assertThat(balances.get(0)).contains("apart by");
        assertThat(balances.get(1)).contains("apart by 0.00 mA");
        HttpResponse<String> done = visitor.post(page(amp), visitor.form(page(amp), page(amp)));
        assertThat(done.statusCode()).isEqualTo(302);
        assertThat(look(page(amp)).text())
                .as("each is to be read again in its new socket")
                .contains("Not every tube has been read in this amp");
    }

    @Test
    void whileTheAmpIsOnNothingIsMoved() {
        long amp = amps.create(sheet("KT150", 2));
        List<Long> pair = tubes("KT150", "60", "61");
        read(amp, "on");
        HttpResponse<String> refused = visitor.post(page(amp), visitor.form(asked(amp, pair), page(amp)));
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(Jsoup.parse(refused.body()).select(".fault").text()).contains("The log says this amp is on");
        assertThat(seated(amp)).isEmpty();
        read(amp, "off");
        assertThat(visitor.post(page(amp), visitor.form(asked(amp, pair), page(amp)))
                        .statusCode())
                .isEqualTo(302);
        assertThat(seated(amp)).hasSize(2);
    }

    /** Six ticked, a stereo amp of four: the two pairs that are nearest, one in each channel. */
    @Test
    void fromAnySelectionTheNearestAreSeatedInOneStep() {
        long amp = amps.create(new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.FIXED_ADJUSTABLE,
                        TubeCatalogue.published().find("6GK6").orElseThrow(),
                        4,
                        true)
                .sheet());
        tubes("6GK6", "40", "44.1", "47", "44", "60", "60.2");
        Map<String, String> form = new HashMap<>(visitor.form("/drawer?type=6GK6", "/drawer/match"));
        assertThat(visitor.post("/drawer/place", form).body()).contains("Choose the amp");
        form.put("amp", String.valueOf(amp));
        HttpResponse<String> shown = visitor.post("/drawer/place", form);
        assertThat(shown.statusCode()).isEqualTo(302);
        Document page =
                look(shown.headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", ""));
        assertThat(page.text()).contains("The 4 of 6 tubes that are nearest");
        assertThat(page.select(".say").text())
                .contains("T44")
                .contains("T44.1")
                .contains("T60")
                .contains("T60.2")
                .doesNotContain("T40", "T47");
        visitor.post(
                page(amp),
                Map.of(
                        "tubes", page.select("input[name=tubes]").val(),
                        "_csrf", page.select("input[name=_csrf]").val()));
        assertThat(seated(amp)).hasSize(4);
    }

    @Test
    void whatCannotBeProposedSaysWhy() {
        long amp = amps.create(sheet("EL84", 2));
        List<Long> three = tubes("EL84", "50", "51", "52");
        assertThat(look(asked(amp, three.subList(0, 1))).text()).contains("1 tubes for 2 sockets");
        List<Long> other = tubes("6973", "50");
        assertThat(look(asked(amp, List.of(three.get(0), other.get(0)))).text())
                .contains("These tubes are of different types");
        assertThat(look(page(amp)).text()).contains("Not every tube has been read");
        assertThat(look(page(amp)).select("form[action$=placing]")).isEmpty();
        assertThat(visitor.get(asked(amp, List.of(three.get(0), 999_999_999L))).statusCode())
                .isEqualTo(404);
        assertThat(visitor.get(asked(amp, List.of()) + "x,-1,;").statusCode())
                .as("no numbers at all")
                .isEqualTo(200);
        long shared = amps.create(sheet("EL84", 2)
                .with(CurrentSense.across(CurrentMethod.SENSE_SHARED, 10, 0.01, Unit.MILLIVOLT))
                .withSockets(sheet("EL84", 2).sockets().stream()
                        .map(socket -> new Socket(socket.label(), socket.side(), socket.channel(), "TP"))
                        .toList()));
        assertThat(look(page(shared)).text()).contains("One test point reads several tubes here");
    }

    /** A pair of another type is put in, and the swap check is named first. */
    @Test
    void anotherTypeAsksForTheSwapCheckFirst() {
        long amp = amps.create(sheet("6V6GT", 2));
        List<Long> pair = tubes("6AQ5A", "44", "45");
        String said = look(asked(amp, pair)).select("p").text();
        assertThat(said).contains("The sheet says 6V6GT, these are 6AQ5A: look at the swap check first");
        assertThat(runs.newestOf(amp)).as("looking begins no run").isEmpty();
    }
}
