package yellowrail.web.heater;

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
class HeaterPagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

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

    private HttpResponse<String> save(long amp, String text) {
        Map<String, String> form = visitor.form("/amps/" + amp + "/heaters", "/amps/" + amp + "/heaters");
        form.put("text", text);
        return visitor.post("/amps/" + amp + "/heaters", form);
    }

    @Test
    void windingsAreSummedUpAndTheFirstIsTheOneTheRunReads() {
        long amp = amp();
        assertThat(save(amp, "main 6.3V 4A: 2 EL34, 4 12AX7\nrectifier 5V 3A: GZ34")
                        .statusCode())
                .isEqualTo(302);
        String page = visitor.page("/amps/" + amp + "/heaters").text();
        assertThat(page).contains("All of it takes 4.20 A, 105 % of the winding\u2019s 4 A: too much", "1.90 A, 63 %");
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        RunningApplication.bean(RunEntries.class)
                .enterAsFound(run, "heater 6.9 bare; heater 6.35", OffsetDateTime.now());
        assertThat(visitor.page("/amps/" + amp + "/heaters").text())
                .contains("Bare 6.90 V, loaded 6.35 V: regulation 8.7 %");
    }

    @Test
    void whatIsWrongIsSaidAndWhatWasTypedStays() {
        long amp = amp();
        HttpResponse<String> refused = save(amp, "main 6.3V: 2 EL34\nmoonlight");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Line 2", "moonlight");
        assertThat(visitor.page("/amps/" + amp + "/heaters").text()).contains("No windings yet");
    }
}
