package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Topology;
import yellowrail.core.station.Safety;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.RunningApplication;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;

/** A chart is pasted, walked round by the keyboard alone, and what is wrong is found. */
class WalkDayTest extends BrowserTest {

    private static final List<String> CHART = List.of(
            "name;volts;stage;twin;from;ohms;ground-ohms;uf;capacitor-volts;feeds",
            "reservoir;455;;;;;220k;100;550;plates",
            "screens;448;;;reservoir;choke 150;;50;500;screens",
            "splitter supply;392;;;screens;4k7;;22;500;",
            "preamp supply;310;;;splitter supply;10k;;22;500;",
            "V1a plate;195;V1a;V1b plate;preamp supply;100k;;;;",
            "V1a cathode;1,7;V1a;V1b cathode;;;1k5;;;",
            "V1b plate;195;V1b;;preamp supply;100k;;;;",
            "V1b cathode;1,7;V1b;;;;1k5;;;",
            "V2a plate;180;V2a;;preamp supply;100k;;;;",
            "V2a cathode;1,95;V2a;;;;1k5;;;",
            "V2b cathode;182;V2b;;preamp supply;;100k;;;",
            "V3 plate 1;245;V3;V3 plate 2;splitter supply;82k;;;;",
            "V3 plate 2;240;V3;;splitter supply;100k;;;;",
            "V3 cathode;34,6;V3;;;;10k47;;;",
            "V3 grid;33;V3;;;;;;;",
            "LFO plate;210;LFO;;splitter supply;220k;;;;",
            "LFO cathode;2,2;LFO;;;;2k7;;;",
            "bias feed;-62 to -55;;;;;;100;100;",
            "heater line;6,3 AC;;;;;;;;",
            "low-voltage line;12,2 to 12,9;;;;;;;;");
    /** As read; three are wrong: no current in V1b, and the cathode of V2a twice as high as it should be. */
    private static final Map<String, String> READ = Map.ofEntries(
            Map.entry("mains", "120.4"),
            Map.entry("reservoir", "456.1"),
            Map.entry("screens", "449"),
            Map.entry("splitter supply", "394"),
            Map.entry("preamp supply", "316"),
            Map.entry("V1a plate", "201"),
            Map.entry("V1a cathode", "1.71"),
            Map.entry("V1b plate", "315"),
            Map.entry("V1b cathode", "0.01"),
            Map.entry("V2a plate", "160"),
            Map.entry("V2a cathode", "3.9"),
            Map.entry("V2b cathode", "184"),
            Map.entry("V3 plate 1", "247"),
            Map.entry("V3 plate 2", "242"),
            Map.entry("V3 cathode", "35.1"),
            Map.entry("V3 grid", "33.4"),
            Map.entry("LFO plate", "212"),
            Map.entry("LFO cathode", "2.18"),
            Map.entry("bias feed", "-58.2"),
            Map.entry("heater line", "6.35"),
            Map.entry("low-voltage line", "12.6"));

    private static long amp() {
        AmpSheet sheet = new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.FIXED_ADJUSTABLE,
                        TubeCatalogue.published().find("6L6GC").orElseThrow(),
                        2,
                        false)
                .sheet();
        return RunningApplication.bean(AmpService.class).create(sheet);
    }

    /** A run on a closed chassis: nothing waits for its safety. */
    private static long run(long amp) {
        long run = RunningApplication.bean(RunService.class).begin(amp).id();
        StationService stations = RunningApplication.bean(StationService.class);
        AmpSheet sheet = RunningApplication.bean(AmpService.class).newest(amp).sheet();
        stations.tick(run, stations.progress(run, sheet).item(Safety.CLOSED).orElseThrow(), true);
        return run;
    }

    private static void paste(Page page, long amp, List<String> lines) {
        page.navigate("/amps/" + amp + "/chart");
        page.locator("#text").fill(String.join("\n", lines));
        page.locator("#save").click();
        page.waitForURL("**/amps/" + amp + "/chart");
    }

    @Test
    void twentyNodesAreWalkedByTheKeyboardAloneAndThreeWrongOnesFound() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        paste(page, amp, CHART);
        assertThat(page.locator("svg.schematic:visible .probe")).hasCount(20);
        page.navigate("/runs/" + run(amp) + "?at=measure");
        page.locator("#line").blur();
        keys.press("n");
        page.waitForURL("**/walk**");
        int presses = 1;
        int read = 0;
        while (page.locator("#volts").count() > 0) {
            assertThat(page.locator("#volts")).isFocused();
            String stop = page.locator(".stop b").textContent();
            String volts = READ.getOrDefault(stop, "");
            page.keyboard().type(volts);
            keys.press("Enter");
            presses++;
            read += volts.isEmpty() ? 0 : 1;
            assertThat(page.locator(".stop b")).not().hasText(stop);
        }
        assertEquals(READ.size(), read);
        assertTrue(presses < 60, presses + " key presses besides the numbers");
        assertThat(page.locator(".todo.wrong li")).hasCount(3);
        assertThat(page.locator(".todo.wrong"))
                .containsText("V1b plate carries no current and V1b cathode stands at 0");
        assertThat(page.locator(".todo.wrong")).containsText("V2a cathode");
        assertThat(page.locator("svg.schematic:visible .probe.wrong")).hasCount(3);
        assertThat(page.locator("svg.schematic:visible .probe.missing")).hasCount(0);
        assertThat(page.locator(".walk")).containsText("Where the current goes");
    }

    @Test
    void whatAnotherDeviceReadsStandsThereWhileOneTypes() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        paste(page, amp, List.of("reservoir 455", "V1 plate 195", "V1 cathode 1.7"));
        String walk = "/runs/" + run(amp) + "/walk?node=";
        page.navigate(walk + "at%20V1%20plate");
        page.locator("#volts").fill("19");
        page.keyboard().press("ArrowLeft");
        Page phone = chromium.phone(RunningApplication.url());
        phone.navigate(walk + "at%20reservoir");
        phone.locator("#volts").fill("300");
        phone.locator("#volts").press("Enter");
        assertThat(phone.locator(".stop b")).containsText("V1 plate");

        assertThat(page.locator(".todo.wrong")).containsText("reservoir");
        assertThat(page.locator("svg.schematic:visible .probe.wrong")).hasCount(1);
        assertThat(page.locator("#volts")).hasValue("19");
        assertThat(page.locator("#volts")).isFocused();
        page.keyboard().type("2");
        assertThat(page.locator("#volts")).hasValue("129");
    }

    @Test
    void whatIsReadWhileTheConnectionIsGoneIsStoredOnceWhenItIsBack() {
        long amp = amp();
        Page phone = chromium.phone(RunningApplication.url());
        paste(phone, amp, List.of("reservoir 455", "V1 plate 195"));
        long run = run(amp);
        phone.navigate("/runs/" + run + "/walk?node=at%20reservoir");
        phone.context().setOffline(true);
        phone.locator("#volts").fill("451");
        phone.locator("#volts").press("Enter");
        assertThat(phone.locator(".unsent")).containsText("Not stored");
        assertThat(phone.locator("#volts")).hasValue("451");
        RunningApplication.bean(RunEntries.class).enterAsFound(run, "at V1 plate 194", OffsetDateTime.now());
        phone.context().setOffline(false);
        assertThat(phone.locator(".stop b")).containsText("V1 plate");
        assertThat(phone.locator(".unsent")).hasCount(0);
        phone.navigate("/runs/" + run + "/log");
        assertThat(phone.locator(".log .typed")).hasText(new String[] {"at reservoir 451V", "at V1 plate 194V"});
        wasOffline();
    }

    @Test
    void whatAnotherDeviceDrainedIsNotAskedAgain() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        String discharge = "/runs/" + run(amp) + "/discharge";
        page.navigate(discharge);
        page.locator("#off").click();
        assertThat(page.locator(".sentence")).containsText("under 5 V: reservoir");
        Page phone = chromium.phone(RunningApplication.url());
        phone.navigate(discharge);
        phone.locator("#volts").fill("0.8");
        phone.locator("#volts").press("Enter");
        assertThat(phone.locator(".sentence")).containsText("under 5 V: screens");
        assertThat(page.locator(".sentence")).containsText("under 5 V: screens");
    }

    @Test
    void bGoesBackEnterSkipsAndAQuestionIsAnsweredByEnter() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        paste(page, amp, List.of("reservoir 455", "V1 plate 195", "V1 cathode 1.7"));
        page.navigate("/runs/" + run(amp) + "/walk");
        assertThat(page.locator(".stop b")).containsText("mains");
        keys.press("Enter");
        assertThat(page.locator(".stop b")).hasText("reservoir");
        keys.press("Enter");
        assertThat(page.locator(".stop b")).hasText("V1 plate");
        keys.press("b");
        assertThat(page.locator(".stop b")).hasText("reservoir");
        page.keyboard().type("4000");
        keys.press("Enter");
        assertThat(page.locator(".question")).containsText("4000");
        assertThat(page.locator("#volts")).hasValue("4000");
        keys.press("Enter");
        assertThat(page.locator(".stop b")).hasText("V1 plate");
        page.keyboard().type("abc");
        keys.press("Enter");
        assertThat(page.locator("#answer.fault")).containsText("V1 plate");
        assertThat(page.locator("#volts")).hasValue("abc");
    }

    @Test
    void aNodeOfTheDrawingIsTouchedOnAPhone() {
        long amp = amp();
        Page page = chromium.phone(RunningApplication.url());
        paste(page, amp, CHART);
        page.navigate("/runs/" + run(amp) + "/walk");
        page.locator("svg.schematic:visible .probe[data-node='at V2a cathode']").click();
        assertThat(page.locator(".stop b")).hasText("V2a cathode");
        page.locator("#volts").fill("1.93");
        page.locator("#volts").press("Enter");
        assertThat(page.locator("svg.schematic:visible")).containsText("1.93 V");
        assertThat(page.locator("svg.schematic:visible .probe.fresh")).hasCount(1);
        page.locator("#walk-back").click();
        assertThat(page.locator(".stop b")).hasText("V2a cathode");
        page.locator("svg.schematic:visible .probe[data-node='at LFO plate']").click();
        page.locator("#volts").fill("180");
        page.locator("[name=pulsing]").click();
        assertThat(page.locator("svg.schematic:visible")).containsText("180.0 V pulses");
    }

    /** The audit arrives a moment after each reading, while the next number is half typed. */
    @Test
    void whatIsBeingTypedStaysWhenTheAuditArrives() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        paste(page, amp, CHART);
        page.navigate("/runs/" + run(amp) + "/walk");
        keys.type("120.4").press("Enter");
        assertThat(page.locator(".stop b")).hasText("reservoir");
        page.waitForResponse("**/walk/audit", () -> page.keyboard().type("45"));
        assertThat(page.locator(".htmx-request, .htmx-swapping, .htmx-settling"))
                .hasCount(0);
        page.keyboard().type("6.1");
        assertThat(page.locator("#volts")).hasValue("456.1");
    }

    /** From the measure station to a tube's plate, and from there to a node of the chart. */
    @Test
    void everyPointHasItsKey() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        Keys keys = new Keys(page);
        paste(page, amp, CHART);
        page.navigate("/runs/" + run(amp) + "?at=measure");
        page.locator("#line").blur();
        goTo(page, "V2 plate");
        page.waitForURL("**/walk**");
        assertThat(page.locator(".stop b")).hasText("V2 plate voltage");
        assertThat(page.locator("#volts")).isFocused();
        goTo(page, "at V2a cathode");
        assertThat(page.locator(".stop b")).hasText("V2a cathode");
        keys.press("g");
        assertThat(page.locator(".point-key")).hasCount(20);
        keys.press("Escape");
        assertThat(page.locator(".point-key")).hasCount(0);
        page.keyboard().type("1.93");
        keys.press("Enter");
        assertThat(page.locator("svg.schematic:visible")).containsText("1.93 V");
    }

    private static void goTo(Page page, String typed) {
        Keys keys = new Keys(page);
        assertThat(page.locator("svg.schematic:visible [data-node='" + typed + "']"))
                .hasCount(1);
        keys.press("g");
        page.keyboard()
                .type(page.locator("svg.schematic:visible [data-node='" + typed + "'] .point-key")
                        .textContent());
    }

    @Test
    void whatIsWrongWithALineIsSaidAndNothingIsLost() {
        long amp = amp();
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/amps/" + amp + "/chart");
        page.locator("#text").fill("reservoir 455\nnonsense\nV1 plate 19,500");
        page.locator("#save").click();
        assertThat(page.locator("#text-wrong")).containsText("Line 2");
        assertThat(page.locator("#text-wrong")).containsText("Line 3");
        assertThat(page.locator("#text")).hasValue("reservoir 455\nnonsense\nV1 plate 19,500");
        page.locator("#text").fill("B1 455\n");
        page.locator("#stage").fill("V1a");
        page.locator("[value=gain-stage]").click();
        assertThat(page.locator("svg.schematic:visible .triode")).hasCount(1);
        assertThat(page.locator("#text")).hasValue(Pattern.compile("V1a plate[^#]*100k"));
    }
}
