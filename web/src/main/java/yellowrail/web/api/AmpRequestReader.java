package yellowrail.web.api;

import static yellowrail.core.typed.Quantity.quote;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
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
    private static final List<BiasKind> KINDS =
            List.of(BiasKind.FIXED_ADJUSTABLE, BiasKind.FIXED, BiasKind.CATHODE_SHARED, BiasKind.CATHODE_EACH);
    private static final List<Pot.Action> ACTS =
            List.of(Pot.Action.ALL, Pot.Action.GROUP, Pot.Action.BALANCE, Pot.Action.ONE);
    private static final int LONGEST_NAME = 20;

    private final JsonFields fields;
    private final TubeCatalogue catalogue;

    AmpRequestReader(JsonFields fields, TubeCatalogue catalogue) {
        this.fields = fields;
        this.catalogue = catalogue;
    }

    AmpSheet read() {
        TubeType type = fields.tubeType(AmpShape.TUBE_TYPE, catalogue);
        Topology topology =
                fields.choice(AmpShape.TOPOLOGY).equals("push-pull") ? Topology.PUSH_PULL : Topology.SINGLE_ENDED;
        BiasKind bias = KINDS.get(AmpShape.BIAS_KIND.choices().indexOf(fields.choice(AmpShape.BIAS_KIND)));
        int tubes = fields.whole(AmpShape.TUBES);
        boolean stereo = fields.flag(AmpShape.STEREO);
        if (tubes < AmpDefaults.least(topology, stereo)) {
            fields.fault(AmpShape.TUBES, new RequestFault.TooFewTubes(AmpDefaults.least(topology, stereo)));
        }
        CurrentMethod method = method(bias);
        AmpSheet usual = new AmpDefaults(topology, bias, type, tubes, stereo).sheet(method);
        CurrentSense current = current(usual.current());
        PlateSense plate = new PlateSense(
                PlateSense.Point.PLATE,
                fields.choice(AmpShape.PLATE_REFERENCE).equals("cathode")
                        ? PlateSense.Reference.CATHODE
                        : PlateSense.Reference.GROUND,
                OptionalDouble.empty());
        ScreenSense screen = new ScreenSense(
                ScreenSense.Way.valueOf(fields.choice(AmpShape.SCREEN_WAY)
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
                        fields.number(AmpShape.ACCEPTED_PLATE_VOLTS), fields.number(AmpShape.ACCEPTED_SCREEN_VOLTS)))
                .at(
                        fields.number(AmpShape.MAINS_VOLTS).orElse(usual.mainsVolts()),
                        fields.number(AmpShape.SETTLE_MINUTES).orElse(usual.settleMinutes()));
        return supplied(sheet.withPots(pots(sheet)));
    }

    private CurrentMethod method(BiasKind bias) {
        return fields.has(AmpShape.METHOD)
                ? METHODS.get(fields.choice(AmpShape.METHOD))
                : AmpDefaults.usualMethod(bias);
    }

    private CurrentSense current(CurrentSense usual) {
        OptionalDouble ohms = fields.number(AmpShape.OHMS);
        if (!usual.method().acrossResistance()) {
            ohms = OptionalDouble.empty();
        } else if (ohms.isEmpty() && usual.ohms().isEmpty()) {
            fields.fault(AmpShape.OHMS, new RequestFault.ResistanceMissing());
        } else if (ohms.isEmpty()) {
            ohms = usual.ohms();
        }
        Unit shows = !fields.has(AmpShape.SHOWS)
                ? usual.shows()
                : switch (fields.choice(AmpShape.SHOWS)) {
                    case "mV" -> Unit.MILLIVOLT;
                    case "V" -> Unit.VOLT;
                    default -> Unit.MILLIAMP;
                };
        if (!usual.method().acrossResistance() && shows != Unit.MILLIAMP) {
            fields.fault(AmpShape.SHOWS, new RequestFault.CurrentShowsInMilliamps());
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
        if (!fields.has(AmpShape.SOCKETS)) {
            return usual.sockets();
        }
        List<JsonFields> given = fields.objects(
                AmpShape.SOCKETS.within(usual.sockets().size(), usual.sockets().size()));
        List<Socket> sockets = new ArrayList<>();
        Set<String> labels = new HashSet<>();
        for (int i = 0; i < given.size(); i++) {
            JsonFields each = given.get(i);
            Socket usually = usual.sockets().get(i);
            String label = name(each, AmpShape.SOCKET_LABEL);
            if (!labels.add(label.toLowerCase(Locale.ROOT))) {
                each.fault(AmpShape.SOCKET_LABEL, new RequestFault.LabelTwice(quote(label)));
            }
            Side side = each.has(AmpShape.SOCKET_SIDE)
                    ? Side.valueOf(each.choice(AmpShape.SOCKET_SIDE).toUpperCase(Locale.ROOT))
                    : usually.side();
            Channel channel = each.has(AmpShape.SOCKET_CHANNEL)
                    ? Channel.valueOf(each.choice(AmpShape.SOCKET_CHANNEL).toUpperCase(Locale.ROOT))
                    : usually.channel();
            sockets.add(new Socket(
                    label,
                    side,
                    channel,
                    each.has(AmpShape.SOCKET_TEST_POINT) ? name(each, AmpShape.SOCKET_TEST_POINT) : label));
        }
        return sockets.size() == usual.sockets().size() ? sockets : usual.sockets();
    }

    /** Names are typed on the entry line, as one word. */
    private static String name(JsonFields from, JsonField field) {
        String name = from.words(field).strip();
        if (!name.matches("\\p{L}[\\p{L}\\p{N}_.-]*") || name.length() > LONGEST_NAME) {
            from.fault(field, new RequestFault.NotOneWord(LONGEST_NAME, quote(name)));
            return "X";
        }
        return name;
    }

    private List<Pot> pots(AmpSheet sheet) {
        if (!fields.has(AmpShape.POTS)) {
            return sheet.pots();
        }
        List<Pot> pots = new ArrayList<>();
        for (JsonFields each : fields.objects(AmpShape.POTS)) {
            List<String> acts = each.texts(AmpShape.POT_SOCKETS);
            acts.stream()
                    .filter(label -> sheet.socket(label).isEmpty())
                    .findFirst()
                    .ifPresent(label -> each.fault(AmpShape.POT_SOCKETS, new RequestFault.NoSuchSocket(quote(label))));
            String hotter = each.choice(AmpShape.POT_HOTTER);
            Pot.Action action = ACTS.get(AmpShape.POT_ACTION.choices().indexOf(each.choice(AmpShape.POT_ACTION)));
            if (action == Pot.Action.ONE && acts.size() != 1) {
                each.fault(AmpShape.POT_SOCKETS, new RequestFault.OneTubeOneSocket());
            }
            pots.add(new Pot(
                    name(each, AmpShape.POT_NAME),
                    action,
                    String.join(" ", acts),
                    Pot.Turn.valueOf(hotter.toUpperCase(Locale.ROOT)),
                    !hotter.equals("unknown")));
        }
        return pots;
    }

    private AmpSheet supplied(AmpSheet sheet) {
        String rectifier = fields.wordsOr(AmpShape.RECTIFIER);
        OptionalDouble other = fields.number(AmpShape.OTHER_MILLIAMPS);
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
                            AmpShape.RECTIFIER,
                            new RequestFault.NoSuchRectifier(
                                    quote(rectifier),
                                    Stream.concat(
                                                    Stream.of("silicon", "tube", "unknown"),
                                                    RectifierType.published().stream()
                                                            .map(RectifierType::name))
                                            .toList()));
                }
                yield supplied.with(supplied.supply().with(Rectifier.TUBE))
                        .with(supplied.fittings().withRectifier(rectifier));
            }
        };
    }

    private Target target(AmpSheet usual, Unit shows, TubeType type) {
        if (!fields.has(AmpShape.AIMED_AT)) {
            return usual.target();
        }
        return fields.object(AmpShape.AIMED_AT)
                .map(of -> target(of, usual, shows, type))
                .orElse(usual.target());
    }

    private Target target(JsonFields of, AmpSheet usual, Unit shows, TubeType type) {
        School school = School.valueOf(
                of.choice(AmpShape.SCHOOL).toUpperCase(Locale.ROOT).replace('-', '_'));
        if (school == School.HOT_CATHODE
                && (!usual.bias().isCathode() || type.customaryRating().system() != RatingSystem.DESIGN_CENTRE)) {
            of.fault(AmpShape.SCHOOL, new RequestFault.NotByChoice());
        }
        Unit unit = school.unit(shows);
        double most = unit != Unit.PERCENT ? 5000 : school == School.HOT_CATHODE ? 100 * Target.MOST_BY_CHOICE : 100;
        double low = of.required(AmpShape.LOW.within(0, most));
        double aim = of.required(AmpShape.AIM.within(0, most));
        double high = of.required(AmpShape.HIGH.within(0, most));
        if (!(low <= aim && aim <= high && low < high)) {
            of.fault(AmpShape.AIM, new RequestFault.AimOutside());
            return usual.target();
        }
        return new Target(school, unit.toSi(low), unit.toSi(aim), unit.toSi(high));
    }
}
