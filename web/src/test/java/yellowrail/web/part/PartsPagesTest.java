package yellowrail.web.part;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.Visitor;
import yellowrail.web.amp.AmpService;

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
    void aValueIsMadeOfTheDrawer() {
        assertThat(visitor.page("/parts?wanted=250&burns=2&drawer=2x+470+5W,+15+5W,+1k+5W")
                        .select("#banks tr")
                        .first()
                        .text())
                .isEqualTo("(470 ohm || 470 ohm) + 15 ohm 250 ohm +0.00 %");
        assertThat(visitor.page("/parts?wanted=250&burns=20&drawer=2x+470+5W").text())
                .contains("Nothing in the drawer");
        assertThat(visitor.get("/parts?wanted=250&drawer=470,+some").body()).contains("id=\"drawer-fault\"");
    }

    /** Unread, so at what is customary: two 6L6GC whose resistors of 1 ohm and 1 W open at nothing that they draw. */
    @Test
    void thePartsOfAnAmpAreHeldAgainstWhatItAsks() {
        long amp = RunningApplication.bean(AmpService.class)
                .create(new AmpDefaults(
                                Topology.PUSH_PULL,
                                BiasKind.FIXED_ADJUSTABLE,
                                TubeCatalogue.published().find("6L6GC").orElseThrow(),
                                2,
                                false)
                        .sheet());
        Document page = visitor.page("/amps/" + amp + "/parts?sense=1&senseWatts=1&winding=352&rated=500&reservoir=47");
        assertThat(page.text()).contains("Not read or not on the sheet, so taken");
        assertThat(page.select("#of-sense").text())
                .contains("It protects nothing", "The output transformer goes first");
        assertThat(page.select("#of-stopper").text()).contains("Overdriven for long it burns");
        assertThat(page.select("#of-capacitor").text()).contains("Over its rating", "ripple current");
        assertThat(page.select("#of-plateFuse").text()).contains("does not save the tube");
        assertThat(page.select("#of-mainsFuse").text()).contains("time-lag");
        assertThat(page.select("svg.ladder .handle")).hasSize(5);
        assertThat(visitor.page("/amps/" + amp + "/parts/drawn?winding=150&reservoir=47")
                        .text())
                .contains("one of the two is not so");
        assertThat(visitor.get("/amps/" + amp + "/parts?rated=lots").body())
                .contains("id=\"rated-fault\"", "value=\"lots\"");
    }

    @Test
    void whatIsWrongIsSaidBesideTheField() {
        HttpResponse<String> refused = visitor.get("/parts?ohms=lots&idle=-4");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("id=\"ohms-fault\"", "id=\"idle-fault\"", "value=\"lots\"");
    }
}
