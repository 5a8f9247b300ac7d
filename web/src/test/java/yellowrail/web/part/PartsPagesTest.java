package yellowrail.web.part;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;

@ExtendWith(RunningApplication.class)
class PartsPagesTest {

    private final Visitor visitor = new Visitor(RunningApplication.url());

    @Test
    void theSenseResistorBesideOneAndTenOhm() {
        String page = visitor.page("/parts?ohms=10&watts=0.25&tolerance=1&kind=FUSIBLE&idle=45&drive=150")
                .text();
        assertThat(page).contains("20 mW", "158 mA", "450", "Fusible types are made to open");
        assertThat(visitor.page("/parts?ohms=10&watts=1").text()).contains("316 mA");
        assertThat(visitor.page("/parts?ohms=10&watts=5&kind=WIRE_WOUND").text())
                .contains("707 mA", "Do not count on it as a fuse");
        assertThat(visitor.page("/parts?ohms=1&tolerance=5").text()).contains("5.0 %");
        assertThat(visitor.page("/parts?ohms=1&tolerance=0.1").text()).contains("0.7 %");
    }

    @Test
    void aValueIsFoundAndBandsAreRead() {
        assertThat(visitor.page("/parts?wanted=50k").text()).contains("49.9 k", "51 k", "+0.00 %");
        assertThat(visitor.page("/parts?band1=RED&band2=RED&band3=BLACK&band4=ORANGE&band5=BROWN")
                        .select("#reads")
                        .text())
                .isEqualTo("220 k \u00b1 1 %");
        assertThat(visitor.page("/parts?band1=GOLD&band2=RED&band3=BLACK&band4=ORANGE")
                        .select("#reads")
                        .text())
                .contains("Read it from the other end");
    }

    @Test
    void whatIsWrongIsSaidBesideTheField() {
        HttpResponse<String> refused = visitor.get("/parts?ohms=lots&idle=-4");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("id=\"ohms-fault\"", "id=\"idle-fault\"", "value=\"lots\"");
    }
}
