package yellowrail.web.bias;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

@ExtendWith(RunningApplication.class)
class BiasPagesTest {

    private static final String TAPPED = "winding=310&source=&hertz=50&rectifier=HALF_WAVE&coupling=&series=82k"
            + "&reservoir=47&reservoirRating=50&feed=&second=&secondRating=&kind=DIVIDER_POT&upper=&pot=10&lower=22"
            + "&leak=220&wiper=40";

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private static long amp(BiasKind bias) {
        return RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                bias,
                                TubeCatalogue.published().find("6L6GC").orElseThrow(),
                                2,
                                false)
                        .sheet());
    }

    private String page(long amp, String query) {
        return visitor.page("/amps/" + amp + "/bias?" + query).text();
    }

    @Test
    void theWorkedExampleIsDrawnWithWhatItGivesAndWhatItLacks() {
        String page = page(amp(BiasKind.FIXED_ADJUSTABLE), TAPPED);
        assertThat(page)
                .contains("coldest -45.7 V", "hottest -31.4 V", "-40.0 V", "0.35 V on the reservoir")
                .contains("Not fail-safe: a wiper off its track leaves the grids at 0.0 V instead of -45.7 V")
                .contains("A resistor of 220 k from the wiper to the cold end of the pot mends it")
                .contains("stands at 50.5 V at the highest mains; it is rated for 50 V. Take 63 V.")
                .contains("The plates were not read yet");
        assertThat(page(amp(BiasKind.FIXED_ADJUSTABLE), TAPPED + "&wiper-to-cold=220"))
                .contains("Fail-safe: a wiper off its track leaves the grids at -45.7 V.");
    }

    @Test
    void aFixedResistorIsReplacedByWhatReachesTheWantedRange() {
        String page = page(
                amp(BiasKind.FIXED),
                TAPPED.replace("DIVIDER_POT", "FIXED").replace("lower=22", "lower=27") + "&needed=-44&room=6");
        assertThat(page)
                .contains("Supplies that reach it", "pot as a divider", "pot as a rheostat to ground", "Try it")
                .contains("lower resistor 27 k to 24 k", "reservoir capacitor 50 V to 80 V");
    }

    @Test
    void whatTheTubesNeedComesFromWhatWasRead() {
        long amp = amp(BiasKind.FIXED_ADJUSTABLE);
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        RunningApplication.bean(RunEntries.class)
                .enterAsFound(run, "mains 120; plate 450; V1 38mV; V2 38mV; bias -44", OffsetDateTime.now());
        assertThat(page(amp, TAPPED))
                .contains("by the model made to pass through what was read", "each plate here", "margin")
                .contains("runaway", "mA, ");
        assertThat(page(amp, TAPPED + "&type=EL34"))
                .as("a planned swap")
                .contains("EL34 at 45", "by the type\u2019s model alone");
    }

    @Test
    void aSupplyIsKeptWithTheAmp() {
        long amp = amp(BiasKind.FIXED_ADJUSTABLE);
        String address = "/amps/" + amp + "/bias";
        Map<String, String> form = visitor.form(address + "?" + TAPPED, address + "/kept");
        assertThat(visitor.post(address + "/kept", form).statusCode()).isEqualTo(302);
        String kept = visitor.page(address).text();
        assertThat(kept).contains("coldest -45.7 V").doesNotContain("An example to begin with");
        HttpResponse<String> late = visitor.post(address + "/kept", form);
        assertThat(late.statusCode()).isEqualTo(409);
        assertThat(late.body()).contains("saved elsewhere in the meantime");
        Map<String, String> sheet = visitor.form("/amps/" + amp + "/edit", "/amps/" + amp);
        sheet.put("name", "Figwort");
        visitor.post("/amps/" + amp, sheet);
        assertThat(visitor.page(address).text()).as("its sheet was edited").contains("Figwort", "coldest -45.7 V");
    }

    @Test
    void whatIsWrongIsSaidBesideTheFieldAndNothingIsLost() {
        String address = "/amps/" + amp(BiasKind.FIXED_ADJUSTABLE) + "/bias?";
        HttpResponse<String> refused = visitor.get(address + TAPPED.replace("pot=10", "pot=moon") + "&needed=40");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("value=\"moon\"", "moon", "id=\"pot-fault\"", "id=\"needed-fault\"");
        assertThat(visitor.get(address + TAPPED.replace("wiper=40", "wiper=140"))
                        .statusCode())
                .isEqualTo(422);
        assertThat(visitor.get(address + TAPPED.replace("DIVIDER_POT", "RANGE_AND_BALANCE"))
                        .body())
                .contains("id=\"upper-fault\"");
    }

    @Test
    void everyKindIsDrawnAndItsNetlistGoesOut() {
        String amp = "/amps/" + amp(BiasKind.FIXED_ADJUSTABLE);
        for (String kind : new String[] {"DIVIDER_POT", "RHEOSTAT_SHUNT", "FIXED", "RANGE_AND_BALANCE", "POT_EACH"}) {
            for (String rectifier : new String[] {"HALF_WAVE", "BRIDGE", "FULL_WAVE"}) {
                String query = TAPPED.replace("DIVIDER_POT", kind).replace("HALF_WAVE", rectifier)
                        + "&upper=4.7&balance=10&tied=yes&meter=yes&tremolo=250&coupling=0.1";
                query = query.replace("upper=&", "").replace("coupling=&", "");
                assertThat(visitor.get(amp + "/bias?" + query).statusCode())
                        .as(query)
                        .isEqualTo(200);
                assertThat(visitor.get(amp + "/bias.cir?" + query).body()).contains(".tran", "reservoir_mean");
            }
        }
    }

    @Test
    void aCathodeResistorIsFoundForWhatWasRead() {
        long amp = amp(BiasKind.FIXED_ADJUSTABLE);
        assertThat(visitor.page("/amps/" + amp + "/cathode").text()).contains("The plates were not read yet");
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        RunningApplication.bean(RunEntries.class)
                .enterAsFound(run, "mains 120; plate 400; V1 38mV; V2 38mV; bias -40", OffsetDateTime.now());
        String page = visitor.page("/amps/" + amp + "/cathode?count=2&own=270").text();
        assertThat(page)
                .contains("would be exactly right", "270 ohm", "beside a capacitor", "one tube dead", "mains +10 %");
        HttpResponse<String> refused = visitor.get("/amps/" + amp + "/cathode?count=0&own=-3");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("id=\"count-fault\"", "id=\"own-fault\"");
    }

    /** From the drawing to a run that waits for what is measured with the tubes out, and takes just that before. */
    @Test
    void whatIsSolderedIsMeasuredBeforeTheTubesGoIn() {
        long amp = amp(BiasKind.FIXED_ADJUSTABLE);
        String work = "/amps/" + amp + "/bias/work";
        String query = "?" + TAPPED.replace("reservoirRating=50", "reservoirRating=63")
                + "&wiper-to-cold=220&series-watts=0.5&pot-watts=0.25";
        assertThat(visitor.page(work + query).text())
                .contains("The grids reach from -45.7 V to -31.", "resistor from wiper to cold end", "82 k 2 W")
                .contains("The tap carries 310 V AC", "-45.7 V at the coldest stop", "252.0 k");
        assertThat(visitor.get(work.replace("work", "parts.csv") + query).body())
                .contains("what,count,part,value,rating", "fit,1,range pot,10 k,0.25 W");
        String run = Visitor.location(visitor.post(work, visitor.form(work + query, work)));
        assertThat(run).contains("at=make-safe");
        Document kept = visitor.page("/amps/" + amp + "/bias");
        assertThat(kept.select("#series-watts").val()).isEqualTo("0.5");
        assertThat(kept.text())
                .contains("The series resistor works at 0.54 W at the highest mains and is rated for 0.5 W");
        long id = Long.parseLong(run.replaceAll(".*/runs/(\\d+).*", "$1"));
        assertThat(visitor.page(run).text())
                .as("what was read before is of another setting")
                .contains("turn ");
        String tubes = "/runs/" + id + "?at=tubes";
        assertThat(visitor.page(tubes).text()).contains("both stops read, near -45.7 V and -31.");
        for (String item : new String[] {"load", "quiet", "hands", "ground", "range", "hot"}) {
            enter(id, "tick " + item);
        }
        assertThat(enter(id, "plate 400"))
                .isInstanceOfSatisfying(
                        EntryOutcome.Held.class,
                        held -> assertThat(held.together())
                                .as("a closed chassis is no answer to it")
                                .containsExactly("all"));
        assertThat(visitor.page("/runs/" + id + "?at=set").text())
                .contains("measure it with the tubes out")
                .doesNotContain("Next move");
        enter(id, "bias -40.1 stop");
        assertThat(visitor.page(tubes).text()).contains("not as drawn", "Read -40.1 V, the bench says -45.7 V");
        enter(id, "bias -44.9 stop");
        assertThat(visitor.page(tubes).text()).contains("as computed", "Read -44.9 V, the bench says -45.7 V");
    }

    @Test
    void fixedBiasIsPlannedAsCathodeBias() {
        long amp = amp(BiasKind.FIXED_ADJUSTABLE);
        assertThat(visitor.get("/amps/" + amp + "/cathode/work").statusCode()).isEqualTo(422);
        assertThat(visitor.page("/amps/" + amp + "/cathode?plates=400&count=2").text())
                .contains("This amp has fixed bias", "-3 dB at");
        String plan = visitor.page("/amps/" + amp + "/cathode/work?plates=400&count=2&ohms=270")
                .text();
        assertThat(plan).contains("cathode resistor 270 ohm", "The plates lose", "At full drive about", "take out");
        assertThat(visitor.get("/amps/" + amp + "/cathode/parts.csv?plates=400&count=2&ohms=270")
                        .body())
                .contains("take out,1,\"bias supply, off its winding\"");
    }

    private static EntryOutcome enter(long run, String line) {
        return RunningApplication.bean(RunEntries.class).enter(run, line, "", false);
    }
}
