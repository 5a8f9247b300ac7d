package yellowrail.web.discharge;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

@ExtendWith(RunningApplication.class)
class DischargePagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private static long amp() {
        AmpSheet sheet = new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.CATHODE_SHARED,
                        TubeCatalogue.published().find("EL84").orElseThrow(),
                        2,
                        false)
                .sheet();
        return RunningApplication.bean(AmpService.class).create(sheet);
    }

    private void chart(long amp, String text) {
        Map<String, String> form = visitor.form("/amps/" + amp + "/chart", "/amps/" + amp + "/chart");
        form.put("text", text);
        form.put("what", "save");
        assertThat(visitor.post("/amps/" + amp + "/chart", form).statusCode()).isEqualTo(302);
    }

    private HttpResponse<String> enter(long run, String volts) {
        Map<String, String> form = visitor.form("/runs/" + run + "/discharge", "/runs/" + run + "/discharge");
        form.remove("instead");
        form.put("volts", volts);
        return visitor.post("/runs/" + run + "/discharge", form);
    }

    private String says(long run) {
        return visitor.page("/runs/" + run + "/discharge").select(".sentence").text();
    }

    @Test
    void everyCapacitorIsReadBeforeHandsGoIn() {
        long amp = amp();
        chart(amp, "name,volts,from,ohms,uf,rated,bleeder\nreservoir,330,,,50,450,220k\nB2,280,reservoir,10k,22,450,");
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        assertThat(says(run)).contains("switch off and unplug first");
        enter(run, "off");
        assertThat(says(run)).contains("Not yet read under 5 V: reservoir, B2");
        enter(run, "180");
        assertThat(visitor.page("/runs/" + run + "/discharge").text()).contains("reservoir still holds 180 V");
        enter(run, "0.8");
        assertThat(says(run)).contains("Not yet read under 5 V: B2");
        enter(run, "1.1");
        assertThat(says(run)).contains("Every capacitor was read under 5 V, 1.1 V at most");
        assertThat(visitor.page("/runs/" + run + "?at=make-safe").text()).contains("Every capacitor");
    }

    @Test
    void withTheAmpOnByTheLogItIsAsked() {
        long amp = amp();
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        RunningApplication.bean(RunEntries.class).enterAsFound(run, "on 20", OffsetDateTime.now());
        HttpResponse<String> asked = enter(run, "1.2");
        assertThat(asked.statusCode()).isEqualTo(422);
        assertThat(asked.body()).contains("By the log the amp is on");
        HttpResponse<String> nonsense = enter(run, "abc");
        assertThat(nonsense.body()).contains("value=\"abc\"", "is no reading");
    }

    /** 620 V on two of 350 V: 465 V on one without bleeders; 220 k each take 1.41 mA and 0.44 W. */
    @Test
    void theWorkedStackIsTold() {
        String page = visitor.page("/amps/" + amp()
                        + "/capacitors?count=2&farads=100&rated=350&volts=620&bleeder=220k&least=0.1&most=0.3")
                .text();
        assertThat(page)
                .contains(
                        "may take 465 V of its 350 V",
                        "that costs 1.41 mA, and 0.44 W in each",
                        "Under 5 V by itself: 106 s",
                        "through 10 k: 2.4 s");
    }

    /** A bleeder that is its own line of the chart drains too; what nobody knows of the winding is said. */
    @Test
    void whatIsNotKnownIsSaid() {
        long amp = amp();
        chart(amp, """
                name;volts;from;ohms;ground-ohms;uf;capacitor-volts
                reservoir;320;;;;47;450
                B2;302;reservoir;choke 220;220k;47;450
                B3;;;;;22;450
                """);
        assertThat(visitor.page("/amps/" + amp + "/capacitors").select(".bank").eachText())
                .satisfiesExactly(
                        reservoir -> assertThat(reservoir)
                                .contains("runs at 320 V", "before anything draws is not known")
                                .containsPattern("by itself: 9\\d s"),
                        second -> assertThat(second).contains("runs at 302 V"),
                        third -> assertThat(third).contains("What it stands at is not known", "by itself: not at all"));
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        assertThat(visitor.page("/runs/" + run + "/discharge").text()).contains("320.0 V or more");
        RunningApplication.bean(RunService.class).close(run);
    }

    @Test
    void whatCannotBeComputedIsSaidBesideTheField() {
        String page = visitor.get(
                        "/amps/" + amp() + "/capacitors?count=7&farads=abc&rated=0&volts=620&least=0.5&most=0.1")
                .body();
        assertThat(page).contains("count-fault", "farads-fault", "rated-fault", "most-fault", "value=\"abc\"");
    }

    @Test
    void everyNodeIsHeldAgainstItsOwnRatingCold() {
        long amp = amp();
        AmpService amps = RunningApplication.bean(AmpService.class);
        AmpSheet sheet = amps.newest(amp).sheet();
        amps.save(
                amp,
                1,
                sheet.with(new Supply(
                        Rectifier.SILICON,
                        true,
                        OptionalDouble.of(300),
                        OptionalDouble.of(450),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty())));
        chart(amp, "name,volts,from,ohms,uf,rated\nreservoir,390,,,50,500\nB2,280,reservoir,10k,22,400");
        assertThat(visitor.page("/amps/" + amp + "/capacitors")
                        .select(".bank.over h2")
                        .text())
                .startsWith("B2");
    }
}
