package yellowrail.web.bias;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
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
}
