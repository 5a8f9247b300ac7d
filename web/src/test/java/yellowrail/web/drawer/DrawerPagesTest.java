package yellowrail.web.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Thorough;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.SeatService;

@ExtendWith(RunningApplication.class)
class DrawerPagesTest {

    /** The columns there were before a tester had a scale of its own. */
    private static final String HEADER = String.join(",", DrawerRow.COLUMNS.subList(0, 19));

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private HttpResponse<String> bring(String csv) {
        return visitor.upload("/drawer/import", "/drawer", "tubes.csv", csv, Map.of());
    }

    private List<String> exported(String type) {
        return visitor.get("/drawer.csv")
                .body()
                .lines()
                .filter(line -> line.startsWith(type + ","))
                .sorted()
                .toList();
    }

    private Map<String, String> typed(String page, String action, String... changes) {
        Map<String, String> fields = new HashMap<>(visitor.form(page, action));
        for (int i = 0; i < changes.length; i += 2) {
            fields.put(changes[i], changes[i + 1]);
        }
        return fields;
    }

    private static String body(HttpResponse<String> response, int status) {
        assertThat(response.statusCode()).as(response.body()).isEqualTo(status);
        return response.body().replace("&#39;", "'").replace("&quot;", "\"");
    }

    /** The must-show: two thousand in, matched, out, in again: the same. */
    @Test
    void twoThousandTubesInAndOutAndInAgain() {
        int tubes = Thorough.of(2000, 200);
        Random chance = new Random(4);
        String file = String.join(",", DrawerRow.COLUMNS) + "\r\n"
                + IntStream.range(0, tubes)
                        .mapToObj(
                                i -> ("KT66,\"S %d, \"\"shelf\"\"\",Fen Electric,,2026-01-%02d,used,,2026-02-03,bridge,"
                                                + "250,250,-15,plate,%.2f,%.2f,10,%.2f,faint,,,")
                                        .formatted(
                                                i,
                                                1 + i % 28,
                                                85 + 8 * chance.nextGaussian(),
                                                84 + 8 * chance.nextGaussian(),
                                                7 + 0.4 * chance.nextGaussian()))
                        .collect(Collectors.joining("\r\n"));
        assertThat(body(bring(file), 200)).contains(tubes + " rows");
        List<String> first = exported("KT66");
        assertThat(first).hasSize(tubes);
        assertThat(body(
                        visitor.post(
                                "/drawer/match",
                                typed("/drawer?type=KT66", "/drawer/match", "size", "4", "tolerance", "3")),
                        200))
                .contains("groups of KT66")
                .contains("exchanges");
        assertThat(body(
                        visitor.post(
                                "/drawer/match",
                                typed("/drawer?type=KT66", "/drawer/match", "size", "2", "tolerance", "")),
                        200))
                .contains(tubes / 2 + " groups of KT66")
                .contains("minimum-weight matching");
        assertThat(body(bring(visitor.get("/drawer.csv").body()), 200)).contains("rows");
        assertThat(exported("KT66")).isEqualTo(first);
    }

    @Test
    void badRowsAreToldByLineAndColumnAndGoodOnesKeptOnlyIfSaid() {
        String file = "label,type,milliamps,plate_volts,state,bought\nG1,7189,48,250,used,2026-01-02\nG2,7189,much,"
                + "250,used,2026-01-02\nG3,7189,48,250,broken,2 Jan\nG4,7189,49,250\n";
        String answer = body(bring(file), 422);
        assertThat(answer).contains("Nothing is stored yet: 1 good rows");
        assertThat(Jsoup.parse(answer).select("table tr:has(td)").eachText())
                .satisfiesExactly(
                        fault -> assertThat(fault).startsWith("3 milliamps Not usable: \u201cmuch\u201d"),
                        fault -> assertThat(fault).startsWith("4 state \u201cbroken\u201d is not one of"),
                        fault -> assertThat(fault).startsWith("4 bought \u201c2 Jan\u201d is no date"),
                        fault -> assertThat(fault).startsWith("5 4 columns where the header has 6"));
        assertThat(exported("7189")).isEmpty();
        Map<String, String> keep = typed("/drawer", "/drawer/import");
        keep.put("text", file);
        keep.put("keep", "good");
        assertThat(body(visitor.post("/drawer/import", keep), 200)).contains("1 row");
        assertThat(exported("7189")).hasSize(1).first().asString().startsWith("7189,G1");
        assertThat(body(bring(""), 422)).contains("The file is empty");
        assertThat(body(bring("tube,no\nA,1\n"), 422)).contains("There is no such column", "This column is missing");
        assertThat(body(bring("\u0000\u0001binary\u00ff"), 422)).contains("There is no such column");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "type||type the",
                "label||what is written on the tube",
                "bought|last spring|is no date; write 2026-03-01",
                "state|shiny|is not one of",
                "milliamps|-4|is out of range; from 0.01 to 2000 mA",
                "milliamps|38V|not usable",
                "plate_volts|9e9|too large",
                "grid_volts|14|is out of range; from -300 to 0 V",
                "transconductance_ma_v|six|a plain number, from 0.01 to 100",
                "warm_minutes|ten|a plain number",
                "tested|2026-02-31|is no date",
                "tap|loud|is not one of"
            })
    void whatATiredPersonTypesIsToldBesideTheField(String field, String value, String message) {
        Map<String, String> form = typed(
                "/drawer/new?type=6V6GT",
                "/drawer",
                "label",
                "B1",
                "milliamps",
                "45",
                "plate_volts",
                "250",
                field,
                value == null ? "" : value);
        String answer = body(visitor.post("/drawer", form), 422);
        assertThat(Jsoup.parse(answer).getElementById(field + "-fault").text().toLowerCase())
                .contains(message.toLowerCase());
        assertThat(answer).as("what else was typed").contains(field.equals("label") ? "value=\"45\"" : "value=\"B1\"");
        assertThat(exported("6V6GT")).isEmpty();
    }

    @Test
    void aTubeWithItsTestsAndItsHistory() {
        String page = Visitor.location(visitor.post(
                "/drawer",
                typed(
                        "/drawer/new?type=6CA7",
                        "/drawer",
                        "label",
                        "N1",
                        "maker",
                        "Fen Electric",
                        "milliamps",
                        "96",
                        "milliamps_before",
                        "70",
                        "plate_volts",
                        "250",
                        "grid_volts",
                        "-12.2",
                        "current",
                        "plate",
                        "warm_minutes",
                        "10")));
        assertThat(body(visitor.get(page), 200))
                .contains("EL34 N1")
                .contains("70.00 mA before, +37.1 % in 10 min")
                .contains("unstable")
                .contains("In no run yet");
        assertThat(body(visitor.get("/drawer?type=EL34&q=n1"), 200)).contains("unstable: +37 % over its warm-up");
        assertThat(body(visitor.post("/drawer", typed("/drawer/new", "/drawer", "type", "EL34", "label", "N1")), 422))
                .contains("There is a EL34 with this label in the drawer already");
        assertThat(body(visitor.post(page + "/tests", typed(page, page + "/tests", "milliamps", "")), 422))
                .contains("Type what the tester showed");
        assertThat(visitor.post(
                                page + "/tests",
                                typed(page, page + "/tests", "milliamps", "101", "plate_volts", "250", "tap", "rings"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(body(visitor.get(page), 200)).contains("101.00 mA cathode").contains("tap: rings");
        assertThat(body(visitor.get(page), 200)).doesNotContain("Beside its type");
        assertThat(visitor.post(
                                page + "/tests",
                                typed(
                                        page,
                                        page + "/tests",
                                        "milliamps",
                                        "66",
                                        "plate_volts",
                                        "250",
                                        "screen_volts",
                                        "250",
                                        "grid_volts",
                                        "-13.5"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(body(visitor.get(page), 200))
                .contains("Beside its type")
                .containsPattern("Its perveance is 0\\.\\d\\d ± 0\\.\\d\\d of a typical EL34")
                .contains("by its tests (1), the settings of its runs (0) and the points traced of it (0)");
        assertThat(visitor.post(page, typed(page + "/edit", page, "state", "waste"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(body(visitor.get("/drawer?type=EL34&q=waste"), 200)).contains("N1");
        assertThat(body(visitor.get("/drawer/999999"), 404)).contains("Not here");
    }

    /** 30, 31, 32, 33.5 mA in six minutes while the neighbour stands still. */
    @Test
    void aTubeThatCreptInARunIsSuspectWithoutAnyoneWritingItDown() {
        bring(HEADER
                + "\n6550A,X1,,,,used,,,,250,,-14,cathode,100,,,,,\n6550A,X2,,,,used,,,,250,,-14,cathode,101,,,,,\n");
        long amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("6550A").orElseThrow(),
                                2,
                                false)
                        .sheet());
        List<Long> tubes =
                RunningApplication.bean(DrawerService.class).select(10, new DrawerFilter("6550A", "")).first().stream()
                        .map(Kept::id)
                        .toList();
        OffsetDateTime begun = OffsetDateTime.now().minusHours(1);
        RunningApplication.bean(SeatService.class).place(amp, Map.of("V1", tubes.get(0), "V2", tubes.get(1)), begun);
        RunService runs = RunningApplication.bean(RunService.class);
        long run = runs.begin(amp).id();
        String[] lines = {
            "tick closed", "on", "V1 30", "V2 30", "V1 31", "V2 30.1", "V1 32", "V2 30", "V1 33.5", "V2 30.1", "off"
        };
        for (int i = 0; i < lines.length; i++) {
            RunningApplication.bean(RunEntries.class).enter(run, lines[i], "bench", true, begun.plusMinutes(1 + i));
        }
        String page = body(visitor.get("/drawer?type=6550A"), 200);
        assertThat(page)
                .contains("<b>suspect</b>")
                .contains("crept by 11.7 % in 6 min while the others stood still")
                .contains("V2 of ");
        String first = body(visitor.get("/drawer/" + tubes.get(0)), 200);
        assertThat(first).contains("9 min on");
        assertThat(Jsoup.parse(first).select("a[href=/runs/" + run + "]"))
                .as("what it did in the run")
                .hasSize(1);
        assertThat(body(visitor.get("/drawer/" + tubes.get(1)), 200)).doesNotContain("crept");
    }

    @Test
    void matchingSaysWhatItCannotDo() {
        bring(HEADER
                + "\nKT77,K1,,,,used,,,,250,,-14,cathode,70,,,,,\nKT77,K2,,,,used,,,,250,,-14,plate,70,,"
                + ",,,\nKT77,K3,,,,used,,,,,,,,,,,,,\nKT77,K4,,,,waste,,,,250,,-14,cathode,71,,,,,"
                + "\nKT77,K5,,,,used,,,,400,,-24,cathode,72,,,,,\n");
        String all = body(visitor.post("/drawer/match", typed("/drawer?type=KT77", "/drawer/match")), 200);
        assertThat(all)
                .contains(
                        "0 groups of KT77",
                        "never tested",
                        "waste",
                        "tested for plate current, the others for cathode current",
                        "too far from the others");
        assertThat(body(
                        visitor.post(
                                "/drawer/match",
                                typed("/drawer?type=KT77", "/drawer/match", "tolerance", "close", "size", "40")),
                        422))
                .contains("A group has 2 to 8 tubes", "close");
        assertThat(body(visitor.post("/drawer/match", typed("/drawer?type=KT77", "/drawer/match", "q", "nobody")), 422))
                .contains("No tube is selected");
    }

    @Test
    void whatSomebodyElseHasSavedMeanwhileIsNotOverwritten() {
        bring(HEADER + "\n6GW8,C1,,,,used,,,,,,,,,,,,,\n");
        long id = RunningApplication.bean(DrawerService.class)
                .select(1, new DrawerFilter("6GW8", ""))
                .first()
                .get(0)
                .id();
        String page = "/drawer/" + id;
        Map<String, String> mine = typed(page + "/edit", page, "maker", "Fen Electric", "notes", "mine");
        assertThat(visitor.post(page, typed(page + "/edit", page, "maker", "Bog Valve"))
                        .statusCode())
                .isEqualTo(302);
        String answer = body(visitor.post(page, mine), 409);
        assertThat(answer)
                .contains("stored is \u201cBog Valve\u201d")
                .contains("value=\"Fen Electric\"")
                .contains(">mine</textarea>");
        assertThat(body(visitor.get(page), 200)).contains("Bog Valve").doesNotContain("Fen Electric");
        mine.put("version", "2");
        assertThat(visitor.post(page, mine).statusCode()).isEqualTo(302);
        assertThat(body(visitor.get(page), 200)).contains("Fen Electric", "mine");
    }

    /** The filter's words are searched where the page shows them: here, in the amp. */
    @Test
    void allShownIsWhatIsShown() {
        bring(HEADER
                + "\nEL37,M1,,,,used,,,,250,,-14,cathode,70,,,,,\nEL37,M2,,,,used,,,,250,,-14,cathode,71,,,,,"
                + "\nEL37,M3,,,,suspect,,,,250,,-14,cathode,72,,,,,\n");
        String amp = Visitor.location(visitor.post("/amps", typed("/amps/new", "/amps", "name", "Osier 100%")));
        DrawerService drawer = RunningApplication.bean(DrawerService.class);
        List<Long> tubes = drawer.select(9, new DrawerFilter("EL37", "")).first().stream()
                .map(Kept::id)
                .toList();
        RunningApplication.bean(SeatService.class)
                .place(
                        Long.parseLong(amp.replaceAll("\\D", "")),
                        Map.of("V1", tubes.get(0), "V2", tubes.get(1)),
                        OffsetDateTime.now());
        assertThat(labels(drawer, "OSIER 100%")).containsExactly("M1", "M2");
        assertThat(labels(drawer, "v2 of osier")).containsExactly("M2");
        assertThat(labels(drawer, "suspect")).containsExactly("M3");
        assertThat(labels(drawer, "%")).containsExactly("M1", "M2");
        assertThat(labels(drawer, "_")).isEmpty();
        String page = body(visitor.get("/drawer?type=EL37&q=osier"), 200);
        assertThat(page).contains("2 tubes", "M1", "M2").doesNotContain(">M3<");
        assertThat(drawer.select(1, new DrawerFilter("EL37", "osier")).count()).isEqualTo(2);
    }

    private static List<String> labels(DrawerService drawer, String q) {
        DrawerFilter filter = new DrawerFilter("EL37", q);
        List<String> first = drawer.select(9, filter).first().stream()
                .map(kept -> kept.tube().label())
                .toList();
        assertThat(drawer.find(filter, 0).lines().stream().map(DrawerLine::label))
                .as("shown")
                .isEqualTo(first);
        return first;
    }

    @Test
    void pagesFollowEachOtherAndNoneIsBeyondTheLast() {
        bring("type,label\n"
                + IntStream.range(0, 205).mapToObj(i -> "PCL86,P" + i).collect(Collectors.joining("\n")));
        assertThat(body(visitor.get("/drawer?type=PCL86"), 200))
                .contains("205 tubes", ">P0<", ">P99<")
                .doesNotContain(">P100<");
        assertThat(body(visitor.get("/drawer?type=PCL86&page=1"), 200)).contains(">P100<", ">P199<");
        assertThat(body(visitor.get("/drawer?type=PCL86&page=900"), 200))
                .contains(">P204<")
                .doesNotContain(">P199<");
    }

    @Test
    void aTestThatIsThereAlreadyComesInOnceWhateverWasNotNoted() {
        String file = "type,label,plate_volts,milliamps,gas\n7591,T1,250,45,\n7591,T1,250,45,\n7591,T1,250,45,slight\n";
        bring(file);
        bring(file);
        assertThat(exported("7591A")).as("under the number that is listed").hasSize(2);
        assertThat(body(visitor.get("/drawer?type=7591"), 200)).contains(">T1<");
    }
}
