package yellowrail.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.amp.node.Bank;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.Feed;
import yellowrail.core.amp.node.Hangs;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Preset;
import yellowrail.core.amp.node.Resistor;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.walk.Route;
import yellowrail.core.walk.Stop;
import yellowrail.web.RunningApplication;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;

/** The drawing of amps of every kind: no two words lie on one another, none leaves it, at both sizes. */
class SchematicTest extends BrowserTest {

    private static final OptionalDouble NO = OptionalDouble.empty();
    /** What the pixels of two boxes may share without anybody seeing it. */
    private static final double TOUCH = 1.5;

    private static AmpSheet amp(String type, int tubes, BiasKind bias, CurrentMethod method, boolean stereo) {
        AmpSheet sheet = new AmpDefaults(
                        tubes == 1 ? Topology.SINGLE_ENDED : Topology.PUSH_PULL,
                        bias,
                        TubeCatalogue.published().find(type).orElseThrow(),
                        tubes,
                        stereo)
                .sheet(method);
        return sheet.with(
                method.acrossResistance()
                        ? CurrentSense.across(method, 12.4, 0.01, Unit.MILLIVOLT)
                        : CurrentSense.direct(method));
    }

    private static AmpSheet supplied(AmpSheet sheet, Rectifier rectifier, boolean behind) {
        return sheet.with(new Supply(
                rectifier,
                true,
                OptionalDouble.of(352),
                OptionalDouble.of(550),
                OptionalDouble.of(0.02),
                NO,
                NO,
                NO,
                NO,
                behind));
    }

    private static AmpSheet ultralinear(AmpSheet sheet) {
        Iron iron = new Iron(List.of(4.0, 8.0, 16.0), NO, List.of());
        return sheet.with(new ScreenSense(
                        ScreenSense.Way.TYPICAL, NO, ScreenSense.Connection.ULTRALINEAR, OptionalDouble.of(0.4)))
                .with(sheet.fittings().with(OptionalDouble.of(4300), iron));
    }

    static List<AmpSheet> amps() {
        List<AmpSheet> amps = new ArrayList<>();
        amps.add(amp("KT88", 1, BiasKind.CATHODE_EACH, CurrentMethod.CATHODE_RESISTOR, false));
        amps.add(amp("300B", 1, BiasKind.FIXED, CurrentMethod.PANEL_METER, false));
        AmpSheet pair = amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE, CurrentMethod.SENSE_EACH, false);
        amps.add(supplied(pair, Rectifier.SILICON, false));
        AmpSheet adapters = amp("EL34", 2, BiasKind.CATHODE_SHARED, CurrentMethod.SOCKET_ADAPTER, false);
        amps.add(supplied(adapters, Rectifier.TUBE, true));
        amps.add(amp("EL84", 4, BiasKind.CATHODE_SHARED, CurrentMethod.CATHODE_RESISTOR, false));
        amps.add(amp("EL34", 4, BiasKind.FIXED_ADJUSTABLE, CurrentMethod.SENSE_SHARED, true)
                .withPots(List.of(
                        new Pot("LEFT", Pot.Action.GROUP, "left", Pot.Turn.UNKNOWN, false),
                        new Pot("RIGHT", Pot.Action.GROUP, "right", Pot.Turn.UNKNOWN, false))));
        amps.add(amp("6V6GT", 4, BiasKind.FIXED, CurrentMethod.PLATE_ADAPTER, false));
        amps.add(ultralinear(amp("KT88", 6, BiasKind.FIXED_ADJUSTABLE, CurrentMethod.HALF_PRIMARY, false)));
        amps.add(amp("6L6GC", 8, BiasKind.FIXED_ADJUSTABLE, CurrentMethod.SUPPLY_DROP, false));
        AmpSheet octet = amp("EL34", 8, BiasKind.FIXED_ADJUSTABLE, CurrentMethod.STAGE_TEST_POINT, true);
        amps.add(supplied(octet, Rectifier.SILICON, false));
        return amps;
    }

    @Test
    void noWordsLieOnOneAnother() {
        List<AmpSheet> amps = amps();
        assertEquals(10, amps.size());
        AmpService service = RunningApplication.bean(AmpService.class);
        List<Long> ids = amps.stream().map(service::create).toList();
        for (Page page : List.of(chromium.laptop(RunningApplication.url()), chromium.phone(RunningApplication.url()))) {
            for (long id : ids) {
                page.navigate("/amps/" + id);
                assertEquals("[]", page.evaluate(OVERLAPS, TOUCH).toString(), "amp " + id);
                assertEquals("[]", page.evaluate(CROSSED).toString(), "amp " + id);
                assertTrue(page.locator(TUBES).count() > 0);
            }
        }
    }

    /** The same with every point of the stage read, at the station where they are. */
    @Test
    void noReadingsLieOnOneAnother() {
        AmpService service = RunningApplication.bean(AmpService.class);
        Page laptop = chromium.laptop(RunningApplication.url());
        Page phone = chromium.phone(RunningApplication.url());
        for (AmpSheet sheet : amps()) {
            long run = RunningApplication.bean(RunService.class)
                    .begin(service.create(sheet))
                    .id();
            OffsetDateTime now = OffsetDateTime.now();
            for (Stop stop : Stop.of(sheet, Route.LISTED)) {
                String volts = switch (stop.kind()) {
                    case MAINS -> "118.7";
                    case HEATER -> "6.38";
                    case PLATE -> "452.4";
                    case BIAS -> "-46.8";
                    default -> sense(sheet, stop.place());
                };
                RunningApplication.bean(RunEntries.class).enterAsFound(run, stop.typed() + " " + volts, now);
            }
            for (Page page : List.of(laptop, phone)) {
                page.navigate("/runs/" + run + "?at=measure");
                assertThat(page.locator("svg.schematic:visible .probe"))
                        .hasCount(Stop.of(sheet, Route.LISTED).size());
                assertThat(page.locator("svg.schematic:visible .probe.missing")).hasCount(0);
                assertEquals("[]", page.evaluate(OVERLAPS, TOUCH).toString(), sheet.tubeType());
                assertEquals("[]", page.evaluate(CROSSED).toString(), sheet.tubeType());
            }
            RunningApplication.bean(RunService.class).close(run);
        }
    }

    /** Some 30 mA in each tube, so that no page of another test tells of an alarm. */
    private static String sense(AmpSheet sheet, String point) {
        double amps = 0.03 * sheet.socketsAt(point).size();
        Unit shows = sheet.current().shows();
        double si = shows.dimension() == Unit.Dimension.VOLTAGE
                ? amps * sheet.current().ohms().orElse(1)
                : amps;
        return String.format(Locale.ROOT, "%.2f", shows.fromSi(si));
    }

    /** Two hundred nodes, every kind of stage among them, of names as long as they may be. */
    @Test
    void noWordsOfALargeChartLieOnOneAnother() {
        List<ChartNode> nodes = charted(12);
        while (nodes.size() < VoltageChart.MOST_NODES) {
            nodes.add(ChartNode.of("somewhere in the amp " + nodes.size(), NodeKind.OTHER, false, Optional.empty()));
        }
        VoltageChart chart = new VoltageChart(nodes.subList(0, VoltageChart.MOST_NODES));
        for (Page page : charts(chart)) {
            assertEquals("[]", page.evaluate(OVERLAPS, TOUCH).toString());
            assertThat(page.locator("svg.schematic:visible .probe")).hasCount(VoltageChart.MOST_NODES);
        }
        for (Page page : charts(new VoltageChart(charted(3)))) {
            assertEquals("[]", page.evaluate(CROSSED).toString());
        }
    }

    private List<Page> charts(VoltageChart chart) {
        long id = RunningApplication.bean(AmpService.class).create(amps().get(2).with(chart));
        List<Page> pages = List.of(chromium.laptop(RunningApplication.url()), chromium.phone(RunningApplication.url()));
        pages.forEach(page -> page.navigate("/amps/" + id + "/chart"));
        return pages;
    }

    private static List<ChartNode> charted(int rails) {
        List<ChartNode> nodes = new ArrayList<>();
        for (int rail = 0; rail < rails; rail++) {
            String name = "a supply of a long name ".substring(0, 21) + rail;
            nodes.add(new ChartNode(
                    name,
                    NodeKind.SUPPLY,
                    false,
                    Optional.of(Expected.of(1234.5, Expected.Source.SCHEMATIC, NO)),
                    "",
                    "",
                    rail == 0
                            ? Optional.empty()
                            : Optional.of(
                                    new Feed(nodes.get(0).label(), Optional.of(Resistor.of(123456)), rail % 2 == 0)),
                    Optional.of(Resistor.of(223456)),
                    Optional.of(new Bank(1e-4, 450, 2, NO)),
                    Hangs.STAGE,
                    Channel.MONO));
            for (Preset preset : Preset.values()) {
                nodes.addAll(preset.nodes("VALVE-" + rail + preset.name().charAt(0) + preset.ordinal(), name));
            }
        }
        return nodes;
    }

    /** What the two looks find is found: a word put on a line, and one put on another. */
    @Test
    void aWordOutOfPlaceIsFound() {
        long id = RunningApplication.bean(AmpService.class).create(amps().get(2));
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/amps/" + id);
        page.evaluate("""
                () => {
                  const drawings = [...document.querySelectorAll("svg.schematic")];
                  const svg = drawings.find(each => each.getClientRects().length > 0);
                  const [one, other, next] = svg.querySelectorAll("text");
                  const at = svg.querySelector("path.wire").getPointAtLength(1);
                  one.style.textAnchor = "start";
                  one.setAttribute("x", at.x - 2);
                  one.setAttribute("y", at.y + 4);
                  other.setAttribute("x", next.getAttribute("x"));
                  other.setAttribute("y", next.getAttribute("y"));
                }""");
        assertThat(page.evaluate(CROSSED).toString()).contains(" on wire");
        assertThat(page.evaluate(OVERLAPS, TOUCH).toString()).contains(" on ");
    }

    @Test
    void itFillsInWhileTheFormIsFilled() {
        Page page = chromium.laptop(RunningApplication.url());
        page.navigate("/amps/new");
        assertThat(page.locator("svg.schematic:visible .power-tube")).hasCount(2);
        page.locator("[id='stage.tubes']").selectOption("6");
        assertThat(page.locator("svg.schematic:visible .power-tube")).hasCount(6);
        page.locator("[id='stage.bias']").selectOption("CATHODE_SHARED");
        assertThat(page.locator("svg.schematic:visible .pot")).hasCount(0);
        page.locator("[id='sockets[0].label']").evaluate("field => field.closest('details').open = true");
        page.locator("[id='sockets[0].label']").fill("");
        page.locator("[id='sockets[1].label']").fill("V9");
        page.locator("[id='sockets[0].label']").fill("V7");
        page.locator("#name").fill("Six of them");
        assertThat(page.locator("svg.schematic:visible")).containsText("V7");
        assertThat(page.locator("svg.schematic:visible")).containsText("V9");
        assertThat(page.locator("#save")).isEnabled();
    }

    private static final String TUBES = "svg.schematic:visible .power-tube, svg.schematic:visible .power-triode";

    /**
     * Words on a line or in a symbol: all lines drawn once more without the words, and looked at where a word stands.
     */
    private static final String CROSSED = """
            () => {
              const wrong = [];
              const drawings = [...document.querySelectorAll("svg.schematic")];
              const svg = drawings.find(each => each.getClientRects().length > 0);
              const frame = svg.getBoundingClientRect();
              const canvas = new OffscreenCanvas(frame.width, frame.height);
              const lines = canvas.getContext("2d", {willReadFrequently: true});
              const paths = [...svg.querySelectorAll("path")];
              paths.forEach(path => {
                const {a, b, c, d, e, f} = path.getScreenCTM();
                lines.setTransform(a, b, c, d, e - frame.left, f - frame.top);
                lines.lineWidth = parseFloat(getComputedStyle(path).strokeWidth);
                const drawn = new Path2D(path.getAttribute("d"));
                lines.stroke(drawn);
                if (path.classList.contains("dot")) {
                  lines.fill(drawn);
                }
              });
              [...svg.querySelectorAll("text")].filter(text => text.textContent).forEach(text => {
                const box = text.getBoundingClientRect();
                const left = Math.round(box.left + 1 - frame.left);
                const top = Math.round(box.top + 4 - frame.top);
                const width = Math.max(1, Math.round(box.width - 2));
                const {data} = lines.getImageData(left, top, width, Math.max(1, Math.round(box.height - 8)));
                const hit = data.findIndex((value, i) => i % 4 === 3 && value > 127);
                if (hit >= 0) {
                  const pixel = (hit - 3) / 4;
                  const x = frame.left + left + pixel % width + 0.5;
                  const at = new DOMPoint(x, frame.top + top + Math.floor(pixel / width) + 0.5);
                  const on = path => path.isPointInStroke(at.matrixTransform(path.getScreenCTM().inverse()));
                  wrong.push(`${text.textContent} on ${paths.find(on)?.getAttribute("class")}`);
                }
              });
              return wrong;
            }""";

    private static final String OVERLAPS = """
            touch => {
              const shown = each => each.getClientRects().length > 0;
              const wrong = [];
              [...document.querySelectorAll("svg.schematic")].filter(shown).forEach(svg => {
                const frame = svg.getBoundingClientRect();
                const texts = [...svg.querySelectorAll("text")].filter(text => text.textContent);
                const boxes = texts.map(text => [text.textContent, text.getBoundingClientRect()]);
                boxes.forEach(([one, a], i) => {
                  if (a.left < frame.left - touch || a.right > frame.right + touch || a.top < frame.top - touch
                      || a.bottom > frame.bottom + touch || a.right > innerWidth) {
                    wrong.push(`${one} leaves the drawing`);
                  }
                  boxes.slice(0, i).forEach(([other, b]) => {
                    if (a.left < b.right - touch && b.left < a.right - touch && a.top < b.bottom - touch
                        && b.top < a.bottom - touch) {
                      wrong.push(`${one} on ${other}`);
                    }
                  });
                });
              });
              return wrong;
            }""";
}
