package yellowrail.web.walk;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.node.ChartDefaults;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.ChartText;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.amp.node.Preset;
import yellowrail.core.amp.node.VoltageChart;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.station.Station;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;
import yellowrail.core.walk.ChartCheck;
import yellowrail.core.walk.Earlier;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.run.RunService;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.words.Words;

/** The voltage chart of an amp: typed or pasted, drawn as it is typed, kept with the sheet. */
@Controller
class ChartController {

    private static final String PAGE = "walk/chart";

    private final AmpService amps;
    private final RunService runs;
    private final Words words;

    ChartController(AmpService amps, RunService runs, Words words) {
        this.amps = amps;
        this.runs = runs;
        this.words = words;
    }

    @GetMapping("/amps/{id}/chart")
    ModelAndView chart(@PathVariable long id) {
        Amp amp = amps.newest(id);
        String mains = Figures.plain(amp.sheet().mainsVolts());
        ChartForm form = new ChartForm(
                ChartText.write(amp.sheet().chart()), Code.of(Expected.Source.SCHEMATIC), mains, amp.version(), "", "");
        boolean empty = amp.sheet().chart().isEmpty();
        return page(amp, empty ? form.with("") : form, of(amp.sheet().chart().nodes()), new Faults(words));
    }

    /** The chart as a file. */
    @GetMapping("/amps/{id}/chart.csv")
    ResponseEntity<String> file(@PathVariable long id) {
        return Download.of(Download.CSV, "chart-%d.csv".formatted(id))
                .body(ChartText.write(amps.newest(id).sheet().chart()));
    }

    /** @param what save; the code of a stage to add; as-left, to expect what the last run read */
    @PostMapping("/amps/{id}/chart")
    ModelAndView take(
            @PathVariable long id, @ModelAttribute ChartForm form, @RequestParam(defaultValue = "save") String what) {
        Amp amp = amps.newest(id);
        Faults faults = new Faults(words);
        ChartText read = read(form, faults);
        if (faults.any() || !read.faults().isEmpty()) {
            return refused(page(amp, form, read, faults), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        Optional<Preset> preset = Stream.of(Preset.values())
                .filter(each -> Code.of(each).equals(what))
                .findFirst();
        if (preset.isPresent()) {
            return added(amp, form, read, preset.get(), faults);
        }
        if (what.equals("as-left")) {
            return rewritten(amp, form, asLeft(read.nodes(), runs.nodesAsLeft(id)), faults);
        }
        return amps.save(
                                id,
                                form.version(),
                                amp.sheet().with(amp.sheet().chart().withNodes(read.nodes())))
                        .isPresent()
                ? new ModelAndView("redirect:/amps/" + id + "/chart")
                : conflict(amp, form, read, faults);
    }

    /** The drawing of a chart as it is typed so far; as it was while something of it is at fault. */
    @PostMapping("/amps/{id}/chart/drawn")
    ModelAndView drawn(@PathVariable long id, @ModelAttribute ChartForm form, HttpServletResponse response) {
        ChartText read = read(form, new Faults(words));
        if (!read.faults().isEmpty()) {
            response.setHeader("HX-Reswap", "none");
            return new ModelAndView("schematic/drawing :: nothing");
        }
        return !read.nodes().isEmpty()
                ? new ModelAndView("schematic/drawing :: both(both=${schematic})")
                        .addObject("schematic", drawing(amps.newest(id), new VoltageChart(read.nodes())))
                : new ModelAndView("schematic/drawing :: nothing");
    }

    private ChartText read(ChartForm form, Faults faults) {
        OptionalDouble mains = OptionalDouble.empty();
        if (!form.mains().isBlank()) {
            try {
                double volts = Quantity.parse(form.mains()).si(Unit.VOLT);
                if (volts >= 40 && volts <= 500) {
                    mains = OptionalDouble.of(volts);
                } else {
                    faults.say("mains", "page.walk.mains-range");
                }
            } catch (BadQuantityException e) {
                faults.add("mains", e.fault());
            }
        }
        Expected.Source source = Stream.of(Expected.Source.values())
                .filter(each -> Code.of(each).equals(form.source()))
                .findFirst()
                .orElse(Expected.Source.SCHEMATIC);
        return ChartText.parse(form.text(), new ChartDefaults(source, mains));
    }

    private ModelAndView added(Amp amp, ChartForm form, ChartText read, Preset preset, Faults faults) {
        String supply = form.supply().isEmpty()
                ? read.nodes().stream()
                        .filter(node -> node.kind() == NodeKind.SUPPLY)
                        .map(ChartNode::label)
                        .reduce((one, later) -> later)
                        .orElse("")
                : form.supply();
        if (form.stage().isEmpty() || form.stage().length() > ChartNode.LONGEST_LABEL - 10) {
            faults.say("stage", "page.walk.stage-name");
        }
        if (supply.isEmpty()) {
            faults.say("supply", "page.walk.stage-supply");
        }
        if (faults.any()) {
            return refused(page(amp, form, read, faults), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        List<ChartNode> all = new ArrayList<>(read.nodes());
        all.addAll(preset.nodes(form.stage(), supply));
        VoltageChart.faults(all).stream().findFirst().ifPresent(fault -> faults.add("stage", fault));
        return faults.any()
                ? refused(page(amp, form, read, faults), HttpStatus.UNPROCESSABLE_CONTENT)
                : rewritten(amp, form, all, faults);
    }

    private static List<ChartNode> asLeft(List<ChartNode> nodes, Map<String, Earlier> earlier) {
        return nodes.stream()
                .map(node -> Optional.ofNullable(earlier.get(ChartNode.key(node.label())))
                        .map(left ->
                                node.expecting(Expected.of(left.volts(), Expected.Source.EARLIER_RUN, left.mains())))
                        .orElse(node))
                .toList();
    }

    /** What is to be saved next, not saved yet. */
    private ModelAndView rewritten(Amp amp, ChartForm form, List<ChartNode> nodes, Faults faults) {
        return page(amp, form.with(ChartText.write(new VoltageChart(nodes))), of(nodes), faults);
    }

    private static ChartText of(List<ChartNode> nodes) {
        return new ChartText(nodes, List.of());
    }

    /** Somebody else saved in the meantime: what was typed stays, and is saved over it at the next try. */
    private ModelAndView conflict(Amp stored, ChartForm form, ChartText read, Faults faults) {
        faults.say("text", "page.walk.saved-meanwhile");
        return refused(page(stored, form.at(stored.version()), read, faults), HttpStatus.CONFLICT);
    }

    private ModelAndView page(Amp amp, ChartForm form, ChartText read, Faults faults) {
        VoltageChart chart = read.faults().isEmpty()
                ? new VoltageChart(read.nodes())
                : amp.sheet().chart();
        return new ModelAndView(PAGE)
                .addObject("rail", Rail.ofAmp(amp.id(), amp.sheet().name(), Station.MEASURE, words))
                .addObject("id", amp.id())
                .addObject("form", form)
                .addObject("faults", faults)
                .addObject("wrong", read.faults().stream().map(words::say).toList())
                .addObject(
                        "sources",
                        Stream.of(Expected.Source.values())
                                .map(source -> new Choice(Code.of(source), words.name(source)))
                                .toList())
                .addObject(
                        "presets",
                        Stream.of(Preset.values())
                                .map(preset -> new Choice(Code.of(preset), words.name(preset)))
                                .toList())
                .addObject("count", chart.nodes().size())
                .addObject("drawing", chart.isEmpty() ? null : drawing(amp, chart));
    }

    private SchematicView.Both drawing(Amp amp, VoltageChart chart) {
        return SchematicView.of(ChartCheck.unread(amp.sheet().with(chart)), Optional.empty(), words);
    }

    private static ModelAndView refused(ModelAndView page, HttpStatus status) {
        page.setStatus(status);
        return page;
    }
}
