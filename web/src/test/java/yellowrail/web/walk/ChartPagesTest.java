package yellowrail.web.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.station.Safety;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;

@ExtendWith(RunningApplication.class)
class ChartPagesTest {

    /** The worked example: a choke of 152 ohm, two output tubes behind it, four triodes of 3.9 mA. */
    private static final String WORKED = """
            name,volts,stage,from,ohms,ground-ohms,ohms-tolerance,feeds
            A,402,,,,220k,,
            B,381.5,,A,choke 152,,1,stage
            V11 plate,265,V11,B,30k,,1,
            V12 plate,265,V12,B,30k,,1,
            V13 plate,265,V13,B,30k,,1,
            V14 plate,265,V14,B,30k,,1,
            """;

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private static long amp() {
        AmpSheet sheet = new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.CATHODE_EACH,
                        TubeCatalogue.published().find("EL34").orElseThrow(),
                        2,
                        false)
                .sheet()
                .with(CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 470, 0.01, Unit.VOLT));
        return RunningApplication.bean(AmpService.class).create(sheet);
    }

    private HttpResponse<String> chart(long amp, String text, Map<String, String> others) {
        Map<String, String> form = visitor.form("/amps/" + amp + "/chart", "/amps/" + amp + "/chart");
        form.put("text", text);
        form.put("what", "save");
        form.putAll(others);
        return visitor.post("/amps/" + amp + "/chart", form);
    }

    private static long run(long amp) {
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        StationService stations = RunningApplication.bean(StationService.class);
        AmpSheet sheet = RunningApplication.bean(AmpService.class).newest(amp).sheet();
        stations.tick(run, stations.progress(run, sheet).item(Safety.CLOSED).orElseThrow(), true);
        return run;
    }

    private HttpResponse<String> read(long run, String node, String volts) {
        Map<String, String> form =
                visitor.form("/runs/" + run + "/walk?node=" + node.replace(' ', '+'), "/runs/" + run + "/walk");
        form.put("volts", volts);
        return visitor.post("/runs/" + run + "/walk", form);
    }

    @Test
    void theWorkedExampleIsAccountedForOnThePage() {
        long amp = amp();
        assertThat(chart(amp, WORKED, Map.of()).statusCode()).isEqualTo(302);
        long run = run(amp);
        read(run, "mains", "120");
        read(run, "at A", "402.0");
        read(run, "at B", "381.5");
        read(run, "V1 plate", "381.5");
        read(run, "V2 plate", "381.5");
        read(run, "V1", "28.2V");
        read(run, "V2", "28.2V");
        for (String stage : new String[] {"V11", "V12", "V14"}) {
            read(run, "at " + stage + " plate", "264.5");
        }
        String missing = visitor.page("/runs/" + run + "/walk/audit").text();
        assertThat(missing)
                .contains(
                        "134.9 \u00b1 2.4 mA",
                        "3.2 mA \u00b1 2.6 mA flows in that is not accounted for",
                        "Not read: V13 plate");
        read(run, "at V13 plate", "264.5");
        String all = visitor.page("/runs/" + run + "/walk/audit").text();
        assertThat(all)
                .contains("B: all accounted for, -0.7 mA \u00b1 2.6 mA left over")
                .doesNotContain("Not read: V13");
        assertThat(visitor.get("/runs/" + run + "/run.json").body())
                .as("the chart it was read by goes with it")
                .contains("\"label\" : \"V13 plate\"", "\"choke\" : true");
    }

    @Test
    void whatIsTypedIsKeptWhereItCannotBeSaved() {
        long amp = amp();
        HttpResponse<String> refused = chart(amp, "A 402\nB from nowhere", Map.of("mains", "12"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("B from nowhere", "Line 2", "between 40 and 500 V");
        chart(amp, "A 402", Map.of());
        HttpResponse<String> conflict = chart(amp, "A 410", Map.of("version", "1"));
        assertThat(conflict.statusCode()).isEqualTo(409);
        assertThat(conflict.body()).contains("A 410", "saved elsewhere");
        assertThat(visitor.get("/amps/" + amp + "/chart.csv").body()).contains("A,402");
    }

    /** A line half typed leaves the drawing as it was. */
    @Test
    void theDrawingStaysWhileALineIsAtFault() {
        String drawn = "/amps/" + amp() + "/chart/drawn";
        Map<String, String> form = new HashMap<>(visitor.form("/amps/new", "/amps"));
        form.put("text", "A 402\nB from nowhere");
        assertThat(visitor.post(drawn, form).headers().firstValue("HX-Reswap")).hasValue("none");
        form.put("text", "A 402\nB 390");
        HttpResponse<String> two = visitor.post(drawn, form);
        assertThat(two.headers().firstValue("HX-Reswap")).isEmpty();
        assertThat(two.body()).contains("<svg", "at B");
    }

    /** The form of the sheet knows nothing of the chart, and leaves it as it is. */
    @Test
    void editingTheSheetKeepsTheChart() {
        long amp = amp();
        chart(amp, "A 402", Map.of());
        Map<String, String> form = visitor.form("/amps/" + amp + "/edit", "/amps/" + amp);
        form.put("name", "Renamed");
        assertThat(visitor.post("/amps/" + amp, form).statusCode()).isEqualTo(302);
        assertThat(visitor.get("/amps/" + amp + "/chart.csv").body()).contains("A,402");
        assertThat(RunningApplication.bean(AmpService.class).newest(amp).sheet().name())
                .isEqualTo("Renamed");
    }

    @Test
    void whatTheLastRunReadIsExpectedNext() {
        long amp = amp();
        chart(amp, "A 402\nV1 cathode 1.5", Map.of());
        long first = run(amp);
        read(first, "mains", "118.2");
        read(first, "at A", "396.4");
        RunningApplication.bean(RunService.class).close(first);
        String offered =
                chart(amp, "A 402\nV1 cathode 1.5", Map.of("what", "as-left")).body();
        assertThat(offered).contains("A,396.4,earlier-run,118.2");
        long second = run(amp);
        read(second, "mains", "118.2");
        read(second, "at A", "330");
        assertThat(visitor.page("/runs/" + second + "/walk?node=end").text())
                .contains("out of family", "as it was left in the last run it read 396.4 V");
    }

    @Test
    void nothingLiveIsReadBeforeItIsSafe() {
        long amp = amp();
        chart(amp, "A 402", Map.of());
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        HttpResponse<String> held = read(run, "at A", "402");
        assertThat(held.statusCode()).isEqualTo(422);
        assertThat(held.body()).contains("Not before it is safe", "value=\"402\"");
        assertThat(RunningApplication.bean(RunService.class).readings(run)).isEmpty();
    }

    @Test
    void anAmpWithoutAChartOrARunSaysWhatToDo() {
        long amp = amp();
        assertThat(Visitor.location(visitor.get("/amps/" + amp + "/walk"))).isEqualTo("/amps/" + amp + "/run");
        assertThat(visitor.page("/amps/" + amp + "/chart").text()).contains("No nodes yet");
        long run = run(amp);
        assertThat(visitor.page("/runs/" + run + "/walk").text()).contains("no voltage chart yet");
        assertThat(visitor.get("/amps/" + amp + "/chart/drawing").body()).doesNotContain("<svg");
    }
}
