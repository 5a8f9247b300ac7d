package yellowrail.web.tubes;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

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
}
