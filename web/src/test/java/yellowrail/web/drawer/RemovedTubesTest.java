package yellowrail.web.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.TubeState;
import yellowrail.web.NewRun;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.SeatService;

/** A tube is deleted, with all that is told of it kept, and comes back. */
@ExtendWith(RunningApplication.class)
class RemovedTubesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());
    private final DrawerService drawer = RunningApplication.bean(DrawerService.class);

    private long tube(String label) {
        Map<String, String> told = Map.of(
                "type",
                "6L6GC",
                "label",
                label,
                "maker",
                "Fen Electric",
                "plate_volts",
                "250",
                "screen_volts",
                "250",
                "milliamps",
                "70");
        return drawer.add(DrawerRow.read(column -> told.getOrDefault(column, "")))
                .orElseThrow();
    }

    private HttpResponse<String> remove(long id, String removed) {
        Map<String, String> form = new HashMap<>(visitor.form("/drawer/" + id, "/drawer/" + id + "/removed"));
        form.put("removed", removed);
        return visitor.post("/drawer/" + id + "/removed", form);
    }

    private String listed(String query) {
        return visitor.page("/drawer?q=gone&" + query).select("th[scope=row] a").text();
    }

    @Test
    void aTubeIsDeletedAndUndone() {
        long id = tube("gone1");
        assertThat(listed("")).contains("gone1");
        Document after = visitor.page(Visitor.location(remove(id, "true")));
        assertThat(after.select("[role=status]").text()).contains("gone1 is deleted.");
        assertThat(after.select("#undo-removed")).hasSize(1);
        assertThat(listed("")).doesNotContain("gone1");
        assertThat(listed("removed=all")).contains("gone1");
        assertThat(visitor.get("/drawer.csv").body()).doesNotContain(",gone1,");
        Document page = visitor.page("/drawer/" + id);
        assertThat(page.text()).contains("gone1 is deleted.", "70");
        assertThat(page.select("#remove")).isEmpty();
        assertThat(Visitor.location(remove(id, "false"))).isEqualTo("/drawer/" + id);
        assertThat(listed("")).contains("gone1");
        assertThat(listed("removed=all")).doesNotContain("gone1");
    }

    @Test
    void oneThatSitsInAnAmpIsNot() {
        long id = tube("gone2");
        long amp = RunningApplication.bean(RunService.class)
                .run(NewRun.of("6L6GC"))
                .ampId();
        RunningApplication.bean(SeatService.class).place(amp, Map.of("V1", id), OffsetDateTime.now());
        HttpResponse<String> refused = remove(id, "true");
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(Jsoup.parse(refused.body()).select("[role=alert]").text()).contains("take it out there first");
        assertThat(listed("")).contains("gone2");
    }

    /** Whoever writes the same label on it again has the same tube, with its tests. */
    @Test
    void itComesBackWhenItIsToldAgain() {
        long id = tube("gone3");
        remove(id, "true");
        assertThat(tube("gone3")).isEqualTo(id);
        assertThat(drawer.tests(id)).hasSize(1);
        remove(id, "true");
        String file = String.join(",", DrawerRow.COLUMNS.subList(0, 6)) + "\r\n6L6GC,gone3,Fen Electric,,,used\r\n";
        visitor.upload("/drawer/import", "/drawer", "tubes.csv", file, Map.of());
        assertThat(listed("")).contains("gone3");
        assertThat(drawer.tube(id).tube().state()).isEqualTo(TubeState.USED);
    }

    @Test
    void whatIsNotThereIsNotDeleted() {
        Map<String, String> form = visitor.form("/drawer/new", "/drawer");
        assertThat(visitor.post("/drawer/999999999/removed", form).statusCode()).isEqualTo(404);
        assertThat(visitor.get("/drawer?removed=999999999").statusCode()).isEqualTo(200);
    }
}
