package yellowrail.web.bias;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.BiasNetlist;
import yellowrail.core.bias.design.BiasDesign;
import yellowrail.core.bias.design.Wish;
import yellowrail.core.bias.fault.FaultTable;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.review.BiasRemark;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.station.Station;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The bias supply of an amp on the bench. */
@Controller
class BiasController {

    /** A design without a wish of the builder's own is to reach so far beyond what tubes of the type scatter, V. */
    private static final double BESIDE = 1;

    private final BiasService bench;
    private final Words words;

    BiasController(BiasService bench, Words words) {
        this.bench = bench;
        this.words = words;
    }

    /**
     * A supply as it was asked for.
     *
     * @param needed what its grids are to reach, V
     * @param wiring how a design is to be wired; empty for whatever reaches it
     */
    private record Asked(
            BiasService.OnTheBench amp,
            BiasForm form,
            Faults faults,
            Optional<BiasSupply> supply,
            PotStand stand,
            double high,
            OptionalDouble needed,
            OptionalDouble room,
            Optional<Kind> wiring) {

        /** The tubes, where what is needed is theirs and was not typed. */
        Optional<GridNeed> need() {
            return amp.need();
        }
    }

    private Asked asked(long id, Map<String, String> typed) {
        BiasService.OnTheBench amp = bench.amp(id, typed.getOrDefault("type", ""));
        BiasForm form = BiasForm.of(amp.supply(), amp.type().name(), typed);
        Faults faults = new Faults(words);
        Optional<BiasSupply> supply = form.supply(faults);
        PotStand stand = form.stand(faults);
        double high = form.high(faults);
        OptionalDouble typedNeed = form.needed(faults);
        OptionalDouble needed = typedNeed.isPresent() || amp.need().isEmpty()
                ? typedNeed
                : OptionalDouble.of(amp.need().get().volts());
        OptionalDouble room = form.room(faults);
        Optional<Kind> wiring = form.wiring(faults);
        return new Asked(
                amp, form, faults, faults.any() ? Optional.empty() : supply, stand, high, needed, room, wiring);
    }

    @GetMapping("/amps/{id}/bias")
    ModelAndView page(@PathVariable long id, @RequestParam Map<String, String> typed) {
        return page(asked(id, typed), false);
    }

    private ModelAndView page(Asked asked, boolean quick) {
        return drawn("bias/page", asked, quick)
                .addObject(
                        "rail",
                        Rail.ofAmp(asked.amp().amp().id(), asked.amp().sheet().name(), Station.PLAN, words))
                .addObject("title", words.say(asked.amp().sheet().told()))
                .addObject("example", asked.amp().example())
                .addObject("cathode", asked.amp().sheet().bias().isCathode())
                .addObject(
                        "disagrees",
                        BiasStops.disagreement(asked.amp().sheet())
                                .map(words::say)
                                .orElse(null))
                .addObject("basis", bench.basis(asked.amp(), words))
                .addObject("kinds", Choice.of(Kind.values(), Enum::name, words))
                .addObject(
                        "wirings",
                        Stream.concat(
                                        Stream.of(new Choice("", words.message("page.bias.wiring-any"))),
                                        Choice.of(Kind.values(), Enum::name, words).stream()
                                                .filter(kind -> !kind.value().equals(Kind.FIXED.name())))
                                .toList())
                .addObject("rectifiers", Choice.of(Rectification.values(), Enum::name, words))
                .addObject(
                        "ratings",
                        BiasSupply.RATED.stream()
                                .map(kind -> new Choice(BiasForm.rating(kind), words.name(kind)))
                                .toList())
                .addObject("mains", List.of(new Choice("50", "50 Hz"), new Choice("60", "60 Hz")))
                .addObject("types", bench.types());
    }

    /** What changes while something is dragged; {@code quick} leaves out faults and proposals. */
    @GetMapping("/amps/{id}/bias/drawn")
    ModelAndView fragment(@PathVariable long id, @RequestParam Map<String, String> typed) {
        return drawn("bias/page :: drawn", asked(id, typed), typed.containsKey("quick"));
    }

    private ModelAndView drawn(String view, Asked asked, boolean quick) {
        ModelAndView page = new ModelAndView(view)
                .addObject("id", asked.amp().amp().id())
                .addObject("version", asked.amp().amp().version())
                .addObject("form", asked.form())
                .addObject("faults", asked.faults())
                .addObject("query", asked.form().query());
        if (asked.supply().isPresent()) {
            try {
                compute(page, asked, asked.supply().get(), quick);
            } catch (UnsettledException e) {
                asked.faults().add("winding", new BiasRemark.Unsettled(e.rounds()));
            }
        }
        page.setStatus(asked.faults().any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    private void compute(ModelAndView page, Asked asked, BiasSupply supply, boolean quick) {
        BiasRange range = new BiasRange(supply, asked.high());
        BiasView view = BiasView.of(range, asked.stand(), asked.needed(), asked.need(), quick, words);
        if (!quick) {
            page.addObject("watts", BiasView.watts(range, words))
                    .addObject(
                            "failed",
                            new FaultTable(supply, asked.stand(), asked.need())
                                    .effects().stream()
                                            .map(effect -> BiasView.failed(
                                                    effect, supply.smoothing().reservoirRating(), words))
                                            .toList())
                    .addObject("proposals", proposals(asked, supply));
        }
        page.addObject("view", view);
    }

    private List<ProposalView> proposals(Asked asked, BiasSupply supply) {
        if (asked.needed().isEmpty()) {
            return List.of();
        }
        double needed = asked.needed().getAsDouble();
        double room = asked.room()
                .orElse(asked.need().map(tubes -> tubes.spread() + BESIDE).orElse(2 * BESIDE));
        Optional<Wish> wish = Wish.within(needed, room, asked.need(), kinds(asked, supply));
        if (wish.isEmpty()) {
            return List.of();
        }
        return new BiasDesign(supply, wish.get(), asked.high(), asked.need())
                .proposals().stream()
                        .map(proposal -> ProposalView.of(proposal, asked.form(), words))
                        .toList();
    }

    /** As it was asked for; else what sets the range, and what is there where that is something else. */
    private static Set<Kind> kinds(Asked asked, BiasSupply supply) {
        return asked.wiring().<Set<Kind>>map(EnumSet::of).orElseGet(() -> {
            Set<Kind> kinds = EnumSet.of(Kind.DIVIDER_POT, Kind.RHEOSTAT_SHUNT);
            if (supply.network().kind().hasPot()) {
                kinds.add(supply.network().kind());
            }
            return kinds;
        });
    }

    /** Keeps the supply with the amp. */
    @PostMapping("/amps/{id}/bias/kept")
    ModelAndView save(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "0") int version) {
        Asked asked = asked(id, typed);
        if (asked.supply().isPresent()
                && bench.save(asked.amp().amp(), version, asked.supply().get()).isEmpty()) {
            asked.faults().say("kept", "page.bias.saved-meanwhile");
            ModelAndView again = page(asked, false);
            again.setStatus(HttpStatus.CONFLICT);
            return again;
        }
        return asked.faults().any()
                ? page(asked, false)
                : new ModelAndView(
                        "redirect:/amps/%d/bias?%s".formatted(id, asked.form().query()));
    }

    @GetMapping("/amps/{id}/bias.cir")
    ResponseEntity<String> netlist(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        if (asked.supply().isEmpty()) {
            return ResponseEntity.unprocessableContent()
                    .contentType(MediaType.TEXT_PLAIN)
                    .body(String.join("\n", asked.faults().byField().values()));
        }
        BiasRange range = new BiasRange(asked.supply().get(), asked.high());
        return Download.of(Download.TEXT, "bias-supply.cir")
                .body(new BiasNetlist(
                                range.at(asked.stand()), asked.amp().sheet().name())
                        .write());
    }
}
