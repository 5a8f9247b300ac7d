package yellowrail.web.closing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.wav.WavBytes;
import yellowrail.web.RunningApplication;
import yellowrail.web.Tapped;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.RunArchive;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** A run as a file, out of one bench and into another. */
@ExtendWith(RunningApplication.class)
class RunArchiveTest {

    private static final JsonMapper JSON = new JsonMapper();

    private final RunService runs = RunningApplication.bean(RunService.class);
    private final RunEntries entries = RunningApplication.bean(RunEntries.class);
    private final AmpService amps = RunningApplication.bean(AmpService.class);
    private final RunArchive archive = RunningApplication.bean(RunArchive.class);
    private final Visitor visitor = new Visitor(RunningApplication.url());
    private long id;

    /** With a sheet that was changed on the way, a tube, a struck reading, several on one line. */
    @BeforeEach
    void aRun() {
        AmpSheet sheet = new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.FIXED_ADJUSTABLE,
                        TubeCatalogue.published().find("6L6GC").orElseThrow(),
                        2,
                        false)
                .sheet();
        long amp = amps.create(sheet.with(new Identity("Sphagnum " + System.nanoTime(), "<script>", "\u00e4")));
        id = runs.begin(amp).id();
        type("tick closed; on 15", "mains 119.6", "V1 24.10 V2 22.3 plate 463", "V1 99", "undo");
        amps.save(amp, 1, amps.newest(amp).sheet().at(117, 12));
        type("turn RANGE clockwise", "V1 36.4 V2 33.9 plate 452", "tube V2 6L6GC B7 new", "must clean it", "note =1+1");
    }

    private void type(String... lines) {
        for (String line : lines) {
            assertThat(entries.enter(id, line, "me", true)).isInstanceOf(EntryOutcome.Accepted.class);
        }
    }

    @Test
    void outAndInAgainItIsTheSame() {
        runs.close(id);
        JsonNode out = JSON.readTree(archive.write(id));
        String record = Jsoup.parse(visitor.get("/runs/" + id + "/record").body())
                .select("#content table")
                .text();

        RunArchive.Read read = archive.read(JSON.writeValueAsString(out));

        assertThat(read.fault()).isEmpty();
        assertThat(read.runId()).isNotEqualTo(id);
        assertThat(runs.run(read.runId()).isOpen()).isFalse();
        assertThat(JSON.readTree(archive.write(read.runId()))).isEqualTo(out);
        assertThat(Jsoup.parse(visitor.get("/runs/" + read.runId() + "/record").body())
                        .select("#content table")
                        .text())
                .isEqualTo(record);
        assertThat(archive.read(JSON.writeValueAsString(out)).fault()).contains("on the bench already");
    }

    /** Whoever sits there later: the record of a run names the tubes that were in it, here and on another bench. */
    @Test
    void theLabelsOfItsTubesGoAlong() {
        ObjectNode out = document();
        out.putObject("tubes").put("V1", "A12").put("V2", "A13");
        long there = archive.read(out.toString()).runId();
        assertThat(JSON.readTree(archive.write(there)).get("tubes")).isEqualTo(out.get("tubes"));
        assertThat(Jsoup.parse(visitor.get("/runs/" + there + "/record").body())
                        .select("#content table")
                        .text())
                .contains("A12", "A13");
        out.putObject("tubes").putNull("V1");
        assertThat(archive.read(out.toString()).fault()).contains("damaged");
        out.remove("tubes");
        assertThat(archive.read(out.toString()).fault()).isEmpty();
    }

    /** What a card heard goes along as figures; the sound stays where it is. */
    @Test
    void whatWasProvenAndTappedGoesAlong() {
        type("on 5", "clips 16.9V 8R 1k");
        String run = "/runs/" + id;
        byte[] tone = WavBytes.pcm(48_000, 24, Tapped.tone());
        visitor.upload(run + "/proof", run + "/proof", "tone.wav", tone, Map.of("load", "8", "volts", "2.83"));
        byte[] tap = WavBytes.pcm(48_000, 24, Tapped.taps(842, 25, 0.05));
        visitor.upload(run + "/taps", run + "/taps", "tap.wav", tap, Map.of("tube", "V1", "gain", "40"));
        assertThat(visitor.page(run + "/record").select("#proven").text()).contains("Proven at", "Full power", "THD");
        runs.close(id);
        ObjectNode out = document();

        long there = archive.read(out.toString()).runId();

        assertThat(JSON.readTree(archive.write(there)).get("parts")).isEqualTo(out.get("parts"));
        assertThat(visitor.page("/runs/" + there + "/record").select("#proven").text())
                .isEqualTo(visitor.page(run + "/record").select("#proven").text());
        assertThat(visitor.page("/runs/" + there + "/proof").text()).contains("1 W", "Its sound is not on this bench");
        assertThat(visitor.page("/runs/" + there + "/taps").text()).contains("842", "Its sound is not on this bench");
        String sound =
                visitor.page("/runs/" + there + "/taps").select("a[href$=.wav]").attr("href");
        assertThat(visitor.get(sound).statusCode()).isEqualTo(404);
        for (String part : List.of("tone", "taps")) {
            ObjectNode bad = document();
            ((ObjectNode) bad.get("parts").get(part).get(0).get("heard"))
                    .put("mainsHertz", 7)
                    .remove("rings");
            ((ObjectNode) bad.get("parts").get(part).get(0).get("heard")).putArray("channels");
            assertThat(archive.read(bad.toString()).fault()).as(part).contains("damaged");
        }
    }

    @Test
    void anOpenRunComesInClosed() {
        RunArchive.Read read = archive.read(archive.write(id));
        assertThat(runs.run(read.runId()).isOpen()).isFalse();
        assertThat(runs.run(id).isOpen()).isTrue();
    }

    private ObjectNode document() {
        return (ObjectNode) JSON.readTree(archive.write(id));
    }

    @Test
    void aNewerOneSaysSoAndStoresNothing() {
        int before = amps.all().size();
        ObjectNode newer = document();
        newer.put("version", 9);
        assertThat(archive.read(newer.toString()).fault()).contains("is of version 9", "reads up to 3");
        ObjectNode sheet = document();
        ((ObjectNode) sheet.at("/sheets/0/sheet")).put("format", 99);
        assertThat(archive.read(sheet.toString()).fault()).contains("newer version of the application");
        assertThat(amps.all()).hasSize(before);
    }

    @Test
    void aDamagedOneSaysWhere() {
        String text = archive.write(id);
        assertThat(archive.read(text.substring(0, text.length() / 2)).fault()).contains("damaged in line");
        ObjectNode reading = document();
        ((ObjectNode) reading.at("/readings/2")).put("kind", "NO_SUCH");
        assertThat(archive.read(reading.toString()).fault()).contains("Reading 3 of the file");
        ObjectNode station = document();
        ((ObjectNode) station.at("/stations/0")).put("what", "NO_SUCH");
        assertThat(archive.read(station.toString()).fault()).contains("damaged");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"[] | no run of a Yellow Rail", "{} | no run of a Yellow Rail", "x | damaged in line 1"})
    void whatIsNoRunIsSaidToBeNone(String text, String why) {
        assertThat(archive.read(text).fault()).contains(why);
    }

    @Test
    void byTheFormOnThePageToo() {
        var answer = visitor.upload("/runs/import", "/runs/import", "run.json", archive.write(id), Map.of());
        assertThat(Visitor.location(answer)).matches("/runs/\\d+/record");
        var refused = visitor.upload("/runs/import", "/runs/import", "run.json", "{}", Map.of());
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(Jsoup.parse(refused.body()).select(".fault").text()).contains("no run of a Yellow Rail");
    }
}
