package yellowrail.web.parcel;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.station.Safety;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;

/** An amp with a closed run, an edit, an open run and tubes of the drawer goes out and comes in. */
@ExtendWith(RunningApplication.class)
class ParcelPagesTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final String BEGUN = "{\"format\":\"yellow-rail-amp\",\"version\":1,\"name\":\"x\",";

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final SeatService seats = RunningApplication.bean(SeatService.class);
    private final DrawerService drawer = RunningApplication.bean(DrawerService.class);

    private long ampId;
    private String label;

    @BeforeEach
    void anAmp() {
        long run = NewRun.of("EL34");
        Amp amp = runs.amp(runs.run(run));
        ampId = amp.id();
        label = "P" + UUID.randomUUID().toString().substring(0, 6);
        drawer.keep(DrawerCsv.parse(
                        "type,label,plate_volts,milliamps,notes\nEL34,%s,250,71.5,\"two, words\"\n".formatted(label))
                .rows());
        seats.place(ampId, Map.of("V1", drawer.number("EL34", label).orElseThrow()), OffsetDateTime.now());
        read(run, "on", "V1 36.4", "V2 33.9");
        runs.close(run);
        amps.save(ampId, 1, amp.sheet().called("Second name " + label));
        read(runs.begin(ampId).id(), "on", "plate 452", "note a \u201cquoted\u201d word");
    }

    private void read(long run, String... lines) {
        StationService stations = RunningApplication.bean(StationService.class);
        stations.tick(
                run,
                stations.progress(run, runs.amp(runs.run(run)).sheet())
                        .item(Safety.CLOSED)
                        .orElseThrow(),
                true);
        for (String line : lines) {
            entries.enter(run, line, "me", true);
        }
    }

    private String file(long amp) {
        return visitor.get("/amps/" + amp + "/amp.json").body();
    }

    private HttpResponse<String> in(String file, String name) {
        return visitor.upload("/amps/import", "/amps/import", "amp.json", file, Map.of("name", name));
    }

    private static List<String> typed(JsonNode amp) {
        return amp.path("runs")
                .valueStream()
                .flatMap(run -> run.path("readings").valueStream())
                .map(row -> row.path("typed").asString() + " under "
                        + row.path("sheet").asInt())
                .toList();
    }

    @Test
    void itComesInUnderAnotherNameWithItsRunsAndTubes() {
        String out = file(ampId);
        String home = Visitor.location(in(out, "Friend's " + label));
        long other = Long.parseLong(home.substring(home.lastIndexOf('/') + 1));
        assertThat(other).isNotEqualTo(ampId);
        assertThat(amps.newest(other).sheet().name()).isEqualTo("Friend's " + label);
        assertThat(amps.newest(other).version()).isEqualTo(2);
        JsonNode before = JSON.readTree(out);
        JsonNode after = JSON.readTree(file(other));
        assertThat(typed(after)).isEqualTo(typed(before)).contains("V1 36.4mV under 1");
        assertThat(runs.ofAmp(other))
                .hasSize(2)
                .allSatisfy(run -> assertThat(run.isOpen()).isFalse());
        assertThat(seats.ofAmp(other))
                .singleElement()
                .satisfies(seat -> assertThat(seat.label()).isEqualTo(label + " (Friend's " + label + ")"));
        assertThat(seats.ofAmp(ampId)).extracting(Seat::label).containsExactly(label);
        assertThat(after.path("drawer").asString()).contains("71.5").contains("two, words");
    }

    @Test
    void twiceItComesInTwiceUnderNamesThatTellThemApart() {
        String out = file(ampId);
        in(out, "");
        String home = Visitor.location(in(out, ""));
        assertThat(amps.newest(Long.parseLong(home.substring(home.lastIndexOf('/') + 1)))
                        .sheet()
                        .name())
                .isEqualTo("Second name " + label + " (3)");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{}",
                "[1]",
                "null",
                "{\"format\":\"yellow-rail-run\"}",
                "{\"format\":\"yellow-rail-amp\",\"version\":1}",
                "{\"format\":\"yellow-rail-amp\",\"version\":99}",
                BEGUN + "\"sheets\":[{}],\"runs\":[],\"drawer\":\"\",\"seats\":{}}",
                BEGUN + "\"sheets\":[null],\"runs\":[7],\"drawer\":\"\",\"seats\":{}}"
            })
    void whatIsNoAmpIsToldAndNothingIsStored(String file) {
        int before = amps.names().size();
        HttpResponse<String> answer = in(file, "kept name");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("class=\"fault\"").contains("kept name");
        assertThat(amps.names()).hasSize(before);
    }

    @Test
    void oneRunThatCannotBeReadKeepsAllOfItOut() {
        int before = amps.names().size();
        String out = file(ampId);
        String broken = out.replaceFirst("\"kind\" : \"[A-Z_]+\"", "\"kind\" : \"NONE_SUCH\"");
        assertThat(broken).isNotEqualTo(out);
        assertThat(in(broken, "").statusCode()).isEqualTo(422);
        assertThat(amps.names()).hasSize(before);
    }

    @ParameterizedTest
    @CsvSource({
        "\"tubeType\" : \"EL34\", \"tubeType\" : \"EL9999\", of a tube type that is not known here",
        "\"label\" : \"V1\", \"label\" : \"V1/left\", begin with a letter",
        "\"ohms\" : 1.0, \"ohms\" : -1.0, current.ohms",
        "\"topology\" : \"PUSH_PULL\", \"topology\" : \"NONE_SUCH\", Sheet 1 of the file cannot be read",
    })
    void aSheetThatCannotBeReadIsTold(String here, String there, String says) {
        int before = amps.names().size();
        String out = file(ampId);
        assertThat(out).contains(here);
        HttpResponse<String> answer = in(out.replace(here, there), "");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(says);
        assertThat(amps.names()).hasSize(before);
    }

    @Test
    void aNameNobodyCouldReadIsNotTaken() {
        String longer = file(ampId).replaceAll("Second name [^\"]*", "x".repeat(5000));
        assertThat(in(longer, "").body()).contains("at most 80 characters, this one has 5000");
        assertThat(in(longer, "Shorter " + label).statusCode()).isEqualTo(302);
    }
}
