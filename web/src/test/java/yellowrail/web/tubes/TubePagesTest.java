package yellowrail.web.tubes;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeType;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;

@ExtendWith(RunningApplication.class)
class TubePagesTest {

    private static final String OWN = "/tubes/own";

    private final Visitor visitor = new Visitor(RunningApplication.url());

    private Map<String, String> form(String from, String watts) {
        Map<String, String> form = visitor.form(OWN + "?from=" + from, OWN);
        form.put("name", "XT77");
        form.put("plateWatts", watts);
        form.put("source", "the sheet in the box");
        return form;
    }

    @Test
    void figuresThatSomebodyElseSavedMeanwhileAreNotOverwritten() {
        assertThat(visitor.post(OWN, form("EL34", "27")).statusCode()).isEqualTo(302);
        Map<String, String> mine = form("XT77", "26");
        assertThat(mine).containsEntry("version", "1");
        assertThat(visitor.post(OWN, form("XT77", "24")).statusCode()).isEqualTo(302);
        HttpResponse<String> conflict = visitor.post(OWN, mine);
        assertThat(conflict.statusCode()).isEqualTo(409);
        assertThat(conflict.body()).contains("stored is \u201c24\u201d", "value=\"26\"", "value=\"2\"");
        assertThat(visitor.form(OWN + "?from=XT77", OWN)).containsEntry("plateWatts", "24");
        mine.put("version", "2");
        assertThat(visitor.post(OWN, mine).statusCode()).isEqualTo(302);
        assertThat(visitor.form(OWN + "?from=XT77", OWN)).containsEntry("plateWatts", "26");
    }

    @Test
    void figuresThatAreAddedTwiceUnderOneNameAreToldOnce() {
        Map<String, String> first = form("EL34", "30");
        first.put("name", "XT78");
        Map<String, String> second = form("EL34", "31");
        second.put("name", "XT78");
        assertThat(visitor.post(OWN, first).statusCode()).isEqualTo(302);
        assertThat(visitor.post(OWN, second).statusCode()).isEqualTo(409);
    }

    @Test
    void threeLettersOfAnyOfItsNumbersFindAType() {
        assertThat(visitor.get("/tubes?q=bq5").body()).contains(">EL84<").doesNotContain(">EL34<");
        assertThat(visitor.get("/tubes?q=xyz").body()).contains("None of the types");
        assertThat(visitor.get("/amps/new").body()).contains("<option value=\"EL84\">6BQ5");
    }

    @Test
    void aNearRelativeIsToldWithItsNearestBesideWhatWasTyped() {
        Map<String, String> form = visitor.form("/amps/new", "/amps");
        form.put("name", "Sedge");
        form.put("stage.tubeType", "6P3S-E");
        assertThat(visitor.post("/amps", form).body()).contains("Nearest are 5881, 6L6GC", "value=\"6P3S-E\"");
        form.put("stage.tubeType", "6bq5");
        form.put("stage.ratingSystem", "DESIGN_CENTRE");
        assertThat(visitor.post("/amps", form).statusCode()).isEqualTo(302);
    }

    private void save(String name, String watts) {
        Map<String, String> form = form("EL34", watts);
        form.putAll(Map.of("name", name, "version", "0"));
        assertThat(visitor.post(OWN, form).statusCode()).isEqualTo(302);
    }

    private HttpResponse<String> remove(String name, String removed) {
        Map<String, String> form = new HashMap<>(visitor.form("/tubes", OWN + "/removed"));
        form.putAll(Map.of("name", name, "removed", removed));
        return visitor.post(OWN + "/removed", form);
    }

    private Elements own(String name) {
        return visitor.page("/tubes?q=" + name).select("form:has([name=name][value=" + name + "]) button[aria-label]");
    }

    @Test
    void ownFiguresAreDeletedAndUndone() {
        save("XT81", "27");
        assertThat(own("XT81")).hasSize(1);
        Document after = visitor.page(Visitor.location(remove("XT81", "true")));
        assertThat(after.select("[role=status]").text()).contains("Your own figures for XT81 are deleted.");
        assertThat(own("XT81")).isEmpty();
        assertThat(after.select("button[value=XT81]").text()).isEqualTo("Bring back XT81");
        remove("XT81", "false");
        assertThat(own("XT81")).hasSize(1);
        remove("XT81", "true");
        save("XT81", "21");
        assertThat(visitor.page("/tubes?q=XT81").text()).contains("21 W").doesNotContain("27 W");
        assertThat(remove("XT82", "true").statusCode()).isEqualTo(404);
    }

    /** Without it an amp could not be judged any more; figures beside published ones may go at any time. */
    @Test
    void aTypeThatIsNamedAndInNoOtherCatalogueStays() {
        save("XT80", "27");
        TubeType type = RunningApplication.bean(TubeService.class)
                .catalogue()
                .find("XT80")
                .orElseThrow();
        RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED, type, 2, false).sheet());
        HttpResponse<String> refused = remove("XT80", "true");
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body()).contains("XT80 is in no other catalogue");
        assertThat(own("XT80")).hasSize(1);
        save("6V6GT", "13");
        assertThat(remove("6V6GT", "true").statusCode()).isEqualTo(302);
        assertThat(own("6V6GT")).isEmpty();
    }
}
