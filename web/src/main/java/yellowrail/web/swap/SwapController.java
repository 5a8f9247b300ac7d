package yellowrail.web.swap;

import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.idle.LastRead;
import yellowrail.core.station.Station;
import yellowrail.core.swap.CurrentPath;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.swap.SwapCheck;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.typed.Quantity;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.drawer.DrawerService;
import yellowrail.web.drawer.OwnTubeService;
import yellowrail.web.layout.Rail;
import yellowrail.web.run.RunService;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.tubes.TypeOffers;
import yellowrail.web.words.Words;

/** What another tube, or another rectifier, would meet in this amp. */
@Controller
class SwapController {

    private final AmpService amps;
    private final RunService runs;
    private final TubeService tubes;
    private final DrawerService drawer;
    private final OwnTubeService owns;
    private final Words words;

    SwapController(
            AmpService amps,
            RunService runs,
            TubeService tubes,
            DrawerService drawer,
            OwnTubeService owns,
            Words words) {
        this.amps = amps;
        this.runs = runs;
        this.tubes = tubes;
        this.drawer = drawer;
        this.owns = owns;
        this.words = words;
    }

    /**
     * @param wants the type that wants in; blank for the table of all
     * @param own a tube of the drawer that wants in; blank for any of its type
     * @param rectifier the rectifier that wants in; blank for none
     * @param small the driver or splitter tube that goes out; blank for none
     * @param smallWants the one that wants in its place
     * @param base of the table only those on the same base
     * @param fits only those that fit
     * @param mine only those in the drawer
     */
    @GetMapping("/amps/{id}/swap")
    ModelAndView swap(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String wants,
            @RequestParam(defaultValue = "") String own,
            @RequestParam(defaultValue = "") String rectifier,
            @RequestParam(defaultValue = "") String small,
            @RequestParam(defaultValue = "") String smallWants,
            @RequestParam(defaultValue = "false") boolean base,
            @RequestParam(defaultValue = "false") boolean fits,
            @RequestParam(defaultValue = "false") boolean mine) {
        SwapFilter filter = new SwapFilter(base, fits, mine);
        Amp amp = amps.newest(id);
        TubeCatalogue catalogue = tubes.catalogue();
        TubeType in = catalogue
                .find(amp.sheet().tubeType())
                .map(type -> type.with(List.of(amp.sheet().rating(type))))
                .orElseThrow();
        LastRead read = runs.lastKnown(amp).read();
        Optional<OwnTubeService.Own> tube = owns.of(own).filter(one -> wants.isBlank() || wants.equals(one.name()));
        SwapAmp met = SwapAmp.of(amp.sheet(), read, tube.map(one -> new SwapAmp.OwnModel(one.name(), one.model())));
        SwapCheck check = new SwapCheck(met, in);
        Optional<TubeType> type = tube.flatMap(one -> catalogue.find(one.type()).map(of -> of.called(one.name())))
                .or(() -> catalogue.find(wants));
        Optional<CurrentPath> path = type.map(check::path);
        OtherSources sources = new OtherSources(amp.sheet(), met, in, catalogue);
        OtherAsked asked = new OtherAsked(rectifier, small, smallWants);
        boolean elsewhere = asked.isUnknown();
        boolean unknown = !wants.isBlank() && type.isEmpty() || elsewhere;
        ModelAndView page = new ModelAndView("swap/page")
                .addObject("rail", Rail.ofAmp(id, amp.sheet().name(), Station.TUBES, words))
                .addObject("id", id)
                .addObject("filter", filter)
                .addObject("in", in.name())
                .addObject("wants", type.map(TubeType::name).orElse(wants))
                .addObject("own", tube.isPresent() ? own : "")
                .addObject(
                        "types",
                        TypeOffers.of(catalogue, words).stream()
                                .filter(offer -> !offer.value().equals(in.name()))
                                .toList())
                .addObject(
                        "fault",
                        !unknown
                                ? ""
                                : elsewhere
                                        ? words.message("page.swap.no-such-type", Quantity.quote(asked.typed()))
                                        : words.say(catalogue.unlisted(wants)))
                .addObject("basis", SwapView.basis(met, words))
                .addObject("unusable", read.unusable().map(words::say).orElse(""))
                .addObject(
                        "report",
                        type.map(check::of)
                                .map(found -> SwapView.of(found, words))
                                .orElse(null))
                .addObject(
                        "drawing",
                        path.map(found ->
                                        SchematicView.lit(amp.sheet(), catalogue, PathView.lights(found, words), words))
                                .orElse(null))
                .addObject(
                        "path",
                        path.map(found ->
                                        PathView.of(found, in.name(), type.get().name(), words))
                                .orElse(null))
                .addObject(
                        "table",
                        type.isPresent()
                                ? List.of()
                                : filter.of(check, in, catalogue, filter.mine() ? drawer.types() : List.of()).stream()
                                        .map(found -> SwapView.Row.of(found, words))
                                        .toList());
        asked.on(page, sources, words);
        page.setStatus(unknown ? HttpStatus.NOT_FOUND : HttpStatus.OK);
        return page;
    }
}
