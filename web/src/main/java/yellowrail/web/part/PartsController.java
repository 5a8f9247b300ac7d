package yellowrail.web.part;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.part.ColourCode;
import yellowrail.core.part.ColourCode.Colour;
import yellowrail.core.part.DrawerText;
import yellowrail.core.part.Joined;
import yellowrail.core.part.ResistorBank;
import yellowrail.core.part.SenseResistor;
import yellowrail.core.part.SenseResistor.Kind;
import yellowrail.core.part.TwoResistors;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** Parts without an amp: the sense resistor, values made of two, the bands a resistor is marked with. */
@Controller
class PartsController {

    private static final Map<String, String> USUAL = Map.of(
            "ohms",
            "10",
            "tolerance",
            "1",
            "watts",
            "0.25",
            "kind",
            "FUSIBLE",
            "idle",
            "45",
            "drive",
            "150",
            "wanted",
            "",
            "drawer",
            "",
            "burns",
            "");
    private static final int MOST_BANDS = 5;

    private final Words words;

    PartsController(Words words) {
        this.words = words;
    }

    @GetMapping("/parts")
    ModelAndView parts(@RequestParam Map<String, String> sent) {
        Map<String, String> typed = new LinkedHashMap<>(USUAL);
        typed.replaceAll((name, usual) -> sent.getOrDefault(name, usual).strip());
        Faults faults = new Faults(words);
        FormReader read = new FormReader(faults);
        double ohms = read.required("ohms", typed.get("ohms"), Unit.OHM, 0.01, 1000);
        double tolerance = read.required("tolerance", typed.get("tolerance"), Unit.PERCENT, 0.01, 20);
        double watts = read.required("watts", typed.get("watts"), Unit.WATT, 0.05, 100);
        Kind kind = read.choice("kind", typed.get("kind"), Kind.class);
        double idle = read.required("idle", typed.get("idle"), Unit.MILLIAMP, 1, 2000);
        double drive = read.required("drive", typed.get("drive"), Unit.MILLIAMP, 1, 5000);
        OptionalDouble wanted = read.number("wanted", typed.get("wanted"), Unit.OHM, 1, 1_000_000);
        List<Joined.One> drawer = DrawerText.read("drawer", typed.get("drawer"), faults);
        double burns =
                read.number("burns", typed.get("burns"), Unit.WATT, 0, 1000).orElse(0);
        List<Colour> bands = bands(sent);
        ModelAndView page = new ModelAndView("part/page")
                .addObject("rail", Rail.plain(words.message("page.parts.title")))
                .addObject("typed", typed)
                .addObject("faults", faults)
                .addObject("kinds", Choice.of(Kind.values(), Enum::name, words))
                .addObject("colours", colours())
                .addObject("bands", BandView.of(bands, words))
                .addObject(
                        "chosen",
                        IntStream.range(0, MOST_BANDS)
                                .mapToObj(i -> i < bands.size() ? bands.get(i).name() : "")
                                .toList())
                .addObject("read", read(bands));
        if (!faults.any()) {
            page.addObject(
                            "senses",
                            SenseView.beside(new SenseResistor(ohms, tolerance, watts, kind), idle, drive, words))
                    .addObject("says", words.message("page.parts.fuse." + (kind == Kind.FUSIBLE ? "made" : "not-made")))
                    .addObject("values", wanted.isPresent() ? values(wanted.getAsDouble()) : List.of())
                    .addObject("banks", banks(drawer, wanted, burns));
        }
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    private List<Choice> colours() {
        List<Choice> colours = new ArrayList<>(List.of(new Choice("", "\u2013")));
        colours.addAll(Choice.of(Colour.values(), Enum::name, words));
        return colours;
    }

    private static List<Colour> bands(Map<String, String> sent) {
        List<Colour> bands = new ArrayList<>();
        for (int i = 1; i <= MOST_BANDS; i++) {
            String band = sent.getOrDefault("band" + i, "");
            Stream.of(Colour.values())
                    .filter(colour -> colour.name().equals(band))
                    .findFirst()
                    .ifPresent(bands::add);
        }
        return bands.isEmpty() ? List.of(Colour.YELLOW, Colour.VIOLET, Colour.ORANGE, Colour.GOLD) : bands;
    }

    private String read(List<Colour> bands) {
        try {
            ColourCode code = new ColourCode(bands);
            return words.message(
                    "page.parts.reads",
                    Figures.in(code.ohms() < 1000 ? Unit.OHM : Unit.KILOHM, code.ohms()),
                    Figures.plain(Unit.PERCENT.fromSi(code.tolerance())));
        } catch (IllegalArgumentException e) {
            return words.message("page.parts.no-such-bands");
        }
    }

    /** The nearest of each series, then pairs. */
    private List<ValueView> values(double ohms) {
        List<ValueView> values = new ArrayList<>();
        for (StandardValues series : StandardValues.values()) {
            values.add(ValueView.of(
                    series.name(), series.nearest(ohms), ohms, series == StandardValues.E96 ? 3 : 2, words));
        }
        for (TwoResistors pair : TwoResistors.near(ohms, StandardValues.E24)) {
            values.add(ValueView.of(pair, ohms, words));
        }
        return values;
    }

    /** What of the drawer makes it; null where nothing was asked. */
    private List<ValueView> banks(List<Joined.One> drawer, OptionalDouble wanted, double burns) {
        return drawer.isEmpty() || wanted.isEmpty()
                ? null
                : new ResistorBank(drawer)
                        .near(wanted.getAsDouble(), burns).stream()
                                .map(joined -> ValueView.of(joined, wanted.getAsDouble()))
                                .toList();
    }

    /** A band of the drawn resistor. */
    record BandView(int x, String look, String name) {

        private static final int FIRST = 60;
        private static final int STEP = 34;

        static List<BandView> of(List<Colour> bands, Words words) {
            List<BandView> views = new ArrayList<>();
            for (Colour band : bands) {
                boolean last = views.size() == bands.size() - 1;
                views.add(new BandView(
                        FIRST + STEP * views.size() + (last ? STEP / 2 : 0), look(band), words.name(band)));
            }
            return views;
        }

        private static String look(Colour colour) {
            return switch (colour) {
                case BLACK -> "band-black";
                case BROWN -> "band-brown";
                case RED -> "band-red";
                case ORANGE -> "band-orange";
                case YELLOW -> "band-yellow";
                case GREEN -> "band-green";
                case BLUE -> "band-blue";
                case VIOLET -> "band-violet";
                case GREY -> "band-grey";
                case WHITE -> "band-white";
                case GOLD -> "band-gold";
                case SILVER -> "band-silver";
            };
        }
    }

    /** A value that comes near, with its bands. */
    record ValueView(String how, String value, String off, List<BandView> bands) {

        static ValueView of(String series, double value, double wanted, int digits, Words words) {
            return new ValueView(
                    series,
                    told(value),
                    off(value, wanted),
                    ColourCode.of(value, digits == 2 ? 0.05 : 0.01, digits)
                            .map(code -> BandView.of(code.bands(), words))
                            .orElse(List.of()));
        }

        static ValueView of(TwoResistors pair, double wanted, Words words) {
            return new ValueView(
                    words.message(
                            pair.parallel() ? "page.parts.parallel" : "page.parts.series",
                            told(pair.first()),
                            told(pair.second()),
                            Figures.fixed(100 * pair.shareOfFirst(), 0)),
                    told(pair.ohms()),
                    off(pair.ohms(), wanted),
                    List.of());
        }

        static ValueView of(Joined joined, double wanted) {
            return new ValueView(joined.written(), told(joined.ohms()), off(joined.ohms(), wanted), List.of());
        }

        private static String told(double ohms) {
            return Figures.in(ohms < 1000 ? Unit.OHM : Unit.KILOHM, Math.round(ohms * 1000) / 1000.0);
        }

        private static String off(double value, double wanted) {
            double off = 100 * (value / wanted - 1);
            return (off >= 0 ? "+" : "") + Figures.fixed(off, 2) + " %";
        }
    }
}
