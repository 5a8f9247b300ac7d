package yellowrail.web.api;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/** Makes an amp sheet of a request; what is left out is as it usually is. */
final class AmpRequestReader {

    static final Map<String, CurrentMethod> METHODS = Map.of(
            "cathode-sense",
            CurrentMethod.SENSE_EACH,
            "sense-shared",
            CurrentMethod.SENSE_SHARED,
            "stage",
            CurrentMethod.STAGE_TEST_POINT,
            "cathode-milliamps",
            CurrentMethod.SOCKET_ADAPTER,
            "plate-milliamps",
            CurrentMethod.PLATE_ADAPTER,
            "cathode-bias",
            CurrentMethod.CATHODE_RESISTOR,
            "half-primary-drop",
            CurrentMethod.HALF_PRIMARY,
            "supply-drop",
            CurrentMethod.SUPPLY_DROP,
            "panel",
            CurrentMethod.PANEL_METER);
    private static final List<String> BIAS = List.of("fixed-adjustable", "fixed", "cathode-shared", "cathode-per-tube");
    private static final List<BiasKind> KINDS =
            List.of(BiasKind.FIXED_ADJUSTABLE, BiasKind.FIXED, BiasKind.CATHODE_SHARED, BiasKind.CATHODE_EACH);
    private static final List<String> ACTIONS = List.of("range", "group", "balance", "tube");
    private static final List<Pot.Action> ACTS =
            List.of(Pot.Action.ALL, Pot.Action.GROUP, Pot.Action.BALANCE, Pot.Action.ONE);
    private static final int LONGEST_NAME = 20;
    private static final int MOST_POTS = 12;

    private final JsonFields fields;
    private final TubeCatalogue catalogue;

    AmpRequestReader(JsonFields fields, TubeCatalogue catalogue) {
        this.fields = fields;
        this.catalogue = catalogue;
    }

    static Set<String> known(Class<? extends Record> of) {
        return Arrays.stream(of.getRecordComponents())
                .map(component -> component.getName())
                .collect(Collectors.toUnmodifiableSet());
    }

    AmpSheet read() {
        fields.only(known(RunRequest.AmpRequest.class));
        TubeType type = fields.tubeType("tubeType", catalogue);
        Topology topology = fields.choice("topology", List.of("push-pull", "single-ended"), true)
                        .equals("push-pull")
                ? Topology.PUSH_PULL
                : Topology.SINGLE_ENDED;
        BiasKind bias = KINDS.get(BIAS.indexOf(fields.choice("biasKind", BIAS, true)));
        int tubes = fields.whole("tubes", 1, AmpSheet.MOST_SOCKETS, "power tubes in all channels");
        boolean stereo = fields.flag("stereo");
        if (tubes < AmpDefaults.least(topology, stereo)) {
            fields.fault("tubes", "Such a stage has at least %d.".formatted(AmpDefaults.least(topology, stereo)));
        }
        CurrentMethod method = method(bias);
        AmpSheet usual = new AmpDefaults(topology, bias, type, tubes, stereo).sheet(method);
        CurrentSense current = current(usual.current());
        PlateSense plate = new PlateSense(
                PlateSense.Point.PLATE,
                fields.choice("plateReference", List.of("ground", "cathode"), true)
                                .equals("cathode")
                        ? PlateSense.Reference.CATHODE
                        : PlateSense.Reference.GROUND,
                OptionalDouble.empty());
        ScreenSense screen = new ScreenSense(
                ScreenSense.Way.valueOf(fields.choice("screenWay", List.of("typical", "measured", "not-deducted"), true)
                        .toUpperCase(Locale.ROOT)
                        .replace('-', '_')),
                OptionalDouble.empty(),
                ScreenSense.Connection.PENTODE,
                OptionalDouble.empty());
        AmpSheet sheet = usual.with(current)
                .with(plate)
                .with(screen)
                .withSockets(sockets(usual))
                .with(target(usual, current.shows(), type))
                .with(new Accepted(
                        fields.number("acceptedPlateVolts", 1, 2000), fields.number("acceptedScreenVolts", 1, 2000)))
                .at(
                        fields.number("mainsVolts", 20, 500).orElse(usual.mainsVolts()),
                        fields.number("settleMinutes", 0, 120).orElse(usual.settleMinutes()));
        return supplied(sheet.withPots(pots(sheet)));
    }

    private CurrentMethod method(BiasKind bias) {
        return fields.has("method")
                ? METHODS.get(fields.choice(
                        "method", METHODS.keySet().stream().sorted().toList(), false))
                : AmpDefaults.usualMethod(bias);
    }

    private CurrentSense current(CurrentSense usual) {
        OptionalDouble ohms = fields.number("ohms", 0.01, 100_000);
        if (!usual.method().acrossResistance()) {
            ohms = OptionalDouble.empty();
        } else if (ohms.isEmpty() && usual.ohms().isEmpty()) {
            fields.fault("ohms", "Missing: the current is read across a resistance.");
        } else if (ohms.isEmpty()) {
            ohms = usual.ohms();
        }
        Unit shows = !fields.has("shows")
                ? usual.shows()
                : switch (fields.choice("shows", List.of("mv", "v", "ma"), false)) {
                    case "mv" -> Unit.MILLIVOLT;
                    case "v" -> Unit.VOLT;
                    default -> Unit.MILLIAMP;
                };
        if (!usual.method().acrossResistance() && shows != Unit.MILLIAMP) {
            fields.fault("shows", "A current shows in mA.");
        }
        return new CurrentSense(
                usual.method(),
                ohms,
                usual.tolerance(),
                shows,
                usual.copperCold(),
                usual.copperHot(),
                usual.otherAmps());
    }

    private List<Socket> sockets(AmpSheet usual) {
        if (!fields.has("sockets")) {
            return usual.sockets();
        }
        List<JsonFields> given = fields.objects(
                "sockets", usual.sockets().size(), usual.sockets().size());
        List<Socket> sockets = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        for (int i = 0; i < given.size(); i++) {
            JsonFields each = given.get(i);
            each.only(known(RunRequest.SocketRequest.class));
            Socket usually = usual.sockets().get(i);
            String label = name(each, "label");
            if (!labels.add(label.toLowerCase(Locale.ROOT))) {
                each.fault("label", "Another socket is called so.");
            }
            Side side = each.has("side")
                    ? Side.valueOf(each.choice("side", List.of("push", "pull", "single"), false)
                            .toUpperCase(Locale.ROOT))
                    : usually.side();
            Channel channel = each.has("channel")
                    ? Channel.valueOf(each.choice("channel", List.of("mono", "left", "right"), false)
                            .toUpperCase(Locale.ROOT))
                    : usually.channel();
            sockets.add(new Socket(label, side, channel, each.has("testPoint") ? name(each, "testPoint") : label));
        }
        return sockets.size() == usual.sockets().size() ? sockets : usual.sockets();
    }

    /** Names are typed on the entry line, as one word. */
    private static String name(JsonFields from, String field) {
        String name = from.words(field).strip();
        if (!name.matches("\\p{L}[\\p{L}\\p{N}_.-]*") || name.length() > LONGEST_NAME) {
            from.fault(
                    field,
                    "Expected one word of at most %d letters and digits that begins with a letter, got %s."
                            .formatted(LONGEST_NAME, quote(name)));
            return "X";
        }
        return name;
    }

    private List<Pot> pots(AmpSheet sheet) {
        if (!fields.has("pots")) {
            return sheet.pots();
        }
        List<Pot> pots = new ArrayList<>();
        for (JsonFields each : fields.objects("pots", 0, MOST_POTS)) {
            each.only(known(RunRequest.PotRequest.class));
            List<String> acts = each.list("sockets");
            acts.stream()
                    .filter(label -> sheet.socket(label).isEmpty())
                    .findFirst()
                    .ifPresent(label -> each.fault("sockets", "There is no socket %s.".formatted(quote(label))));
            String hotter = each.choice("hotter", List.of("unknown", "clockwise", "anticlockwise"), true);
            Pot.Action action = ACTS.get(ACTIONS.indexOf(each.choice("action", ACTIONS, true)));
            if (action == Pot.Action.ONE && acts.size() != 1) {
                each.fault("sockets", "A pot for one tube acts on one socket.");
            }
            pots.add(new Pot(
                    name(each, "name"),
                    action,
                    String.join(" ", acts),
                    Pot.Turn.valueOf(hotter.toUpperCase(Locale.ROOT)),
                    !hotter.equals("unknown")));
        }
        return pots;
    }

    private AmpSheet supplied(AmpSheet sheet) {
        String rectifier = fields.wordsOr("rectifier");
        OptionalDouble other = fields.number("otherMilliamps", 0, 5000);
        AmpSheet supplied = other.isPresent()
                ? sheet.with(sheet.supply().withOther(Unit.MILLIAMP.toSi(other.getAsDouble())))
                : sheet;
        return switch (rectifier.toLowerCase(Locale.ROOT)) {
            case "", "unknown" -> supplied;
            case "silicon" -> supplied.with(supplied.supply().with(Rectifier.SILICON));
            case "tube" -> supplied.with(supplied.supply().with(Rectifier.TUBE));
            default -> {
                if (RectifierType.find(rectifier).isEmpty()) {
                    fields.fault(
                            "rectifier",
                            "%s is not known; known are silicon, tube, unknown, %s."
                                    .formatted(
                                            quote(rectifier),
                                            String.join(
                                                    ", ",
                                                    RectifierType.published().stream()
                                                            .map(RectifierType::name)
                                                            .toList())));
                }
                yield supplied.with(supplied.supply().with(Rectifier.TUBE))
                        .with(supplied.fittings().withRectifier(rectifier));
            }
        };
    }

    private Target target(AmpSheet usual, Unit shows, TubeType type) {
        if (!fields.has("target")) {
            return usual.target();
        }
        return fields.object("target").map(of -> target(of, usual, shows, type)).orElse(usual.target());
    }

    private Target target(JsonFields of, AmpSheet usual, Unit shows, TubeType type) {
        of.only(known(RunRequest.TargetRequest.class));
        School school = School.valueOf(of.choice(
                        "school",
                        List.of("share-of-rating", "current-window", "makers-figure", "by-ear", "hot-cathode"),
                        true)
                .toUpperCase(Locale.ROOT)
                .replace('-', '_'));
        if (school == School.HOT_CATHODE
                && (!usual.bias().isCathode() || type.customaryRating().system() != RatingSystem.DESIGN_CENTRE)) {
            of.fault("school", "Over the rating by choice is for cathode bias and a design-centre rating alone.");
        }
        Unit unit = school.unit(shows);
        double most = unit != Unit.PERCENT ? 5000 : school == School.HOT_CATHODE ? 100 * Target.MOST_BY_CHOICE : 100;
        double low = of.required("low", 0, most, "the cold edge of the window");
        double aim = of.required("aim", 0, most, "where it should land");
        double high = of.required("high", 0, most, "the hot edge of the window");
        if (!(low <= aim && aim <= high && low < high)) {
            of.fault("aim", "The window runs from cold to hot: the aim lies between the two.");
            return usual.target();
        }
        return new Target(school, unit.toSi(low), unit.toSi(aim), unit.toSi(high));
    }
}
