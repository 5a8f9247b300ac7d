package yellowrail.web.drawer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class OwnScalePagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    /** A tester that tells no volts: its like are matched by its marks, and nothing is said of milliamperes. */
    @Test
    void aTestersOwnScaleIsMatchedWithItsLike() {
        for (String typed : List.of("59 at test 6L6", "61 at Test 6l6", "70 at shorts")) {
            Map<String, String> form = new HashMap<>(visitor.form("/drawer/new", "/drawer"));
            form.put("type", "6F6GT");
            form.put("label", "S" + typed.substring(0, 2));
            form.put("milliamps", typed);
            form.put("warm_up", "0 50, 3 57, 6 59");
            assertThat(visitor.post("/drawer", form).statusCode()).isEqualTo(302);
        }
        String groups = visitor.post("/drawer/match", visitor.form("/drawer?type=6F6GT", "/drawer/match"))
                .body();
        assertThat(Jsoup.parse(groups).text())
                .contains("S59 59")
                .contains("S61 61")
                .contains("setting test 6L6")
                .contains("what tubes would draw in an amp it does not tell")
                .doesNotContain("59.00 mA");
        assertThat(visitor.page("/drawer?type=6F6GT").text()).contains("59 on its scale");
        Document tube = visitor.page(visitor.page("/drawer?type=6F6GT")
                .select("th a[href^=/drawer/]")
                .get(0)
                .attr("href"));
        assertThat(tube.select("svg.warm-up circle")).hasSize(3);
        assertThat(tube.select("svg.warm-up title").text()).contains("from 50 to 59 in 6 min, and still moving");
    }
}
