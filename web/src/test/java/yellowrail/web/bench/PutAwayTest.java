package yellowrail.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Identity;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunService;

/** What has left the bench is still there, and found; what is being worked on does not leave it. */
@ExtendWith(RunningApplication.class)
class PutAwayTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final RunService runs = RunningApplication.bean(RunService.class);

    private static long amp(String name) {
        return RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED,
                                TubeCatalogue.published().find("6AQ5A").orElseThrow(),
                                2,
                                false)
                        .sheet()
                        .with(new Identity(name, "", "")));
    }

    private HttpResponse<String> put(long amp, String away) {
        Map<String, String> form = visitor.form("/amps/" + amp, "/amps/" + amp + "/away");
        form.put("away", away);
        return visitor.post("/amps/" + amp + "/away", form);
    }

    private static String names(Document bench) {
        return bench.select(".amps .name").text();
    }

    @Test
    void anAmpLeavesTheBenchIsFoundAndComesBack() {
        long amp = amp("Quaking grass");
        runs.close(runs.begin(amp).id());
        assertThat(names(visitor.page("/"))).contains("Quaking grass");
        HttpResponse<String> left = put(amp, "true");
        assertThat(Visitor.location(left)).isEqualTo("/?away=" + amp);
        Document bench = visitor.page(Visitor.location(left));
        assertThat(names(bench)).doesNotContain("Quaking grass");
        assertThat(bench.select("[role=status]").text()).contains("Quaking grass has left the bench.");
        assertThat(names(visitor.page("/?find=quaking"))).isEqualTo("Quaking grass");
        assertThat(names(visitor.page("/?find=6aq5a"))).contains("Quaking grass");
        assertThat(names(visitor.page("/?away=all"))).contains("Quaking grass");
        assertThat(visitor.page("/amps/" + amp + "/runs").select("a"))
                .as("its runs")
                .isNotEmpty();
        assertThat(visitor.page("/?find=%3Cb%3Eno+such").select(".amps")).isEmpty();
        assertThat(visitor.page("/?find=%3Cb%3Eno+such").text()).contains("No amp has <b>no such in its name");

        assertThat(Visitor.location(put(amp, "false"))).as("undo").isEqualTo("/");
        assertThat(names(visitor.page("/"))).contains("Quaking grass");
        assertThat(names(visitor.page("/?away=all"))).doesNotContain("Quaking grass");
    }

    @Test
    void anAmpWhoseRunIsOpenStays() {
        long amp = amp("Cuckoo flower");
        runs.begin(amp);
        HttpResponse<String> refused = put(amp, "true");
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body())
                .contains("The run of Cuckoo flower is open: close it first.")
                .contains("</html>");
        assertThat(names(visitor.page("/"))).contains("Cuckoo flower");
    }

    @Test
    void whatIsNoAmpIsNotFound() {
        long amp = amp("Marsh marigold");
        Map<String, String> form = visitor.form("/amps/" + amp, "/amps/" + amp + "/away");
        assertThat(visitor.post("/amps/999999999/away", form).statusCode()).isEqualTo(404);
        assertThat(visitor.get("/?away=999999999999999999").statusCode()).isEqualTo(200);
    }

    @Test
    void whoeverBeginsARunHasTheAmpOnTheBench() {
        long amp = amp("Water avens");
        runs.close(runs.begin(amp).id());
        put(amp, "true");
        remove(amp, "true");
        Document sheet = visitor.page("/amps/" + amp);
        assertThat(sheet.select("[role=status]").text()).contains("This amp is deleted");
        assertThat(sheet.select("#put-away")).isEmpty();

        visitor.post("/amps/" + amp + "/runs", visitor.form("/amps/" + amp, "/amps/" + amp + "/runs"));

        assertThat(names(visitor.page("/"))).contains("Water avens");
        assertThat(names(visitor.page("/?away=all"))).doesNotContain("Water avens");
        assertThat(visitor.page("/amps/" + amp).text()).doesNotContain("This amp is deleted");
    }

    private HttpResponse<String> remove(long amp, String removed) {
        Map<String, String> form = visitor.form("/?away=all", "/amps/" + amp + "/removed");
        form.put("removed", removed);
        return visitor.post("/amps/" + amp + "/removed", form);
    }

    @Test
    void whatHasLeftTheBenchIsDeletedAndBroughtBack() {
        long amp = amp("Bog asphodel");
        Map<String, String> form = visitor.form("/practice", "/practice");
        assertThat(visitor.post("/amps/" + amp + "/removed", form).statusCode())
                .as("not while it stands on the bench")
                .isEqualTo(404);
        long run = runs.begin(amp).id();
        runs.close(run);
        put(amp, "true");
        Document deleted = visitor.page(Visitor.location(remove(amp, "true")));
        assertThat(deleted.select("[role=status]").text()).contains("Bog asphodel is deleted.");
        assertThat(names(deleted)).doesNotContain("Bog asphodel");
        assertThat(names(visitor.page("/?find=asphodel"))).isEmpty();
        assertThat(visitor.get("/runs/" + run).statusCode())
                .as("what was measured is kept")
                .isEqualTo(200);
        remove(amp, "false");
        assertThat(names(visitor.page("/?away=all"))).contains("Bog asphodel");
    }
}
