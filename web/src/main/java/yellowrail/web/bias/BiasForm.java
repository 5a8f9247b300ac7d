package yellowrail.web.bias;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.form.Query;

/**
 * A bias supply as it stands in the fields of the bench; those of its parts are called as the parts are. A part that is
 * left blank is not there.
 */
record BiasForm(Map<String, String> fields) {

    private static final double MOST_KILOHMS = 10_000;
    private static final double METER_OHMS = 10e6;
    private static final int DIGITS = 5;
    static final double USUAL_HIGH = 10;

    BiasForm {
        fields = Map.copyOf(fields);
    }

    /** A supply with its pot in the middle, overlaid by what was typed. */
    static BiasForm of(BiasSupply supply, String type, Map<String, String> typed) {
        Map<String, String> fields = written(supply);
        fields.put("wiper", "50");
        fields.put("balance-wiper", "50");
        fields.put("high", plain(USUAL_HIGH));
        fields.put("type", type);
        fields.put("needed", "");
        fields.put("room", "");
        fields.put("wiring", "");
        fields.replaceAll((name, value) -> typed.getOrDefault(name, value).strip());
        if (typed.containsKey("winding")) {
            // A box that is not ticked is not sent.
            fields.computeIfPresent("meter", (name, value) -> typed.getOrDefault(name, ""));
            fields.computeIfPresent("tied", (name, value) -> typed.getOrDefault(name, ""));
        }
        return new BiasForm(fields);
    }

    private static Map<String, String> written(BiasSupply supply) {
        BiasSource source = supply.source();
        Smoothing smoothing = supply.smoothing();
        BiasNetwork network = supply.network();
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("winding", plain(source.volts()));
        fields.put("source", plain(source.ohms()));
        fields.put("hertz", plain(source.hertz()));
        fields.put("rectifier", source.rectification().name());
        fields.put(
                "coupling",
                source.coupling().isPresent() ? micro(source.coupling().getAsDouble()) : "");
        fields.put("series", kilo(smoothing.seriesOhms()));
        fields.put("reservoir", micro(smoothing.reservoir()));
        fields.put("reservoirRating", volts(smoothing.reservoirRating()));
        fields.put("feed", kilo(smoothing.feedOhms()));
        fields.put("second", micro(smoothing.second()));
        fields.put("secondRating", volts(smoothing.secondRating()));
        fields.put("kind", network.kind().name());
        fields.put("upper", kilo(network.upper()));
        fields.put("pot", kilo(network.pot()));
        fields.put("lower", kilo(network.lower()));
        fields.put("wiper-to-cold", kilo(network.wiperToCold().orElse(0)));
        fields.put("balance", kilo(network.balance()));
        fields.put("pots", String.valueOf(network.pots()));
        fields.put("tied", network.tied() ? "yes" : "");
        fields.put("tremolo", kilo(network.tremolo().orElse(0)));
        BiasSupply.RATED.forEach(kind -> fields.put(
                rating(kind),
                Optional.ofNullable(supply.rated().get(kind))
                        .map(BiasForm::plain)
                        .orElse("")));
        fields.put("leak", kilo(supply.leak()));
        fields.put("meter", supply.meter().isPresent() ? "yes" : "");
        return fields;
    }

    private static String kilo(double ohms) {
        return ohms > 0 ? plain(Unit.KILOHM.fromSi(ohms)) : "";
    }

    private static String micro(double farads) {
        return farads > 0 ? plain(Unit.MICROFARAD.fromSi(farads)) : "";
    }

    private static String volts(OptionalDouble volts) {
        return volts.isPresent() ? plain(volts.getAsDouble()) : "";
    }

    private static String plain(double value) {
        return new BigDecimal(value, new MathContext(DIGITS))
                .stripTrailingZeros()
                .toPlainString();
    }

    public String of(String field) {
        return fields.get(field);
    }

    /** What stands in the fields as the end of an address. */
    String query() {
        return Query.of(fields);
    }

    /** The same fields with another supply in them. */
    BiasForm with(BiasSupply supply) {
        Map<String, String> other = new LinkedHashMap<>(fields);
        other.putAll(written(supply));
        return new BiasForm(other);
    }

    /** The supply; empty if there are faults. */
    Optional<BiasSupply> supply(Faults faults) {
        FormReader read = new FormReader(faults);
        Kind kind = read.choice("kind", of("kind"), Kind.class);
        BiasSource source = new BiasSource(
                read.required("winding", of("winding"), Unit.VOLT, 1, 1000),
                read.number("source", of("source"), Unit.OHM, 0, 100_000).orElse(0),
                read.required("hertz", of("hertz"), Unit.HERTZ, 40, 70),
                read.choice("rectifier", of("rectifier"), Rectification.class),
                read.number("coupling", of("coupling"), Unit.MICROFARAD, 0.001, 100));
        Smoothing smoothing = new Smoothing(
                ohms(read, "series"),
                read.required("reservoir", of("reservoir"), Unit.MICROFARAD, 0.01, 10_000),
                read.number("reservoirRating", of("reservoirRating"), Unit.VOLT, 1, 1000),
                ohms(read, "feed"),
                read.number("second", of("second"), Unit.MICROFARAD, 0, 10_000).orElse(0),
                read.number("secondRating", of("secondRating"), Unit.VOLT, 1, 1000));
        BiasNetwork network = network(read, kind, faults);
        double leak = ohms(read, "leak");
        OptionalDouble meter = of("meter").isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(METER_OHMS);
        Map<PartKind, Double> rated = rated(read);
        return faults.any()
                ? Optional.empty()
                : Optional.of(new BiasSupply(source, smoothing, network, leak, meter, rated));
    }

    /** The field of what a part is rated for. */
    static String rating(PartKind kind) {
        return Code.of(kind) + "-watts";
    }

    private Map<PartKind, Double> rated(FormReader read) {
        Map<PartKind, Double> rated = new EnumMap<>(PartKind.class);
        for (PartKind kind : BiasSupply.RATED) {
            read.number(rating(kind), of(rating(kind)), Unit.WATT, 0.05, 200)
                    .ifPresent(watts -> rated.put(kind, watts));
        }
        return rated;
    }

    private BiasNetwork network(FormReader read, Kind kind, Faults faults) {
        boolean balanced = kind == Kind.RANGE_AND_BALANCE;
        double upper = balanced ? needed(read, "upper") : ohms(read, "upper");
        double pot = kind.hasPot() && !balanced ? needed(read, "pot") : ohms(read, "pot");
        double lower = kind == Kind.FIXED ? needed(read, "lower") : ohms(read, "lower");
        double balance = balanced ? needed(read, "balance") : ohms(read, "balance");
        double cold = ohms(read, "wiper-to-cold");
        double tremolo = ohms(read, "tremolo");
        if (balanced && !faults.any() && !(pot + lower > 0)) {
            faults.say("lower", "page.bias.nothing-to-ground");
        }
        return new BiasNetwork(
                kind,
                upper,
                pot,
                lower,
                some(cold),
                balance,
                (int) read.count("pots", of("pots"), 1, 4),
                !of("tied").isEmpty(),
                some(tremolo));
    }

    private double ohms(FormReader read, String field) {
        return read.number(field, of(field), Unit.KILOHM, 0, MOST_KILOHMS).orElse(0);
    }

    private double needed(FormReader read, String field) {
        return read.required(field, of(field), Unit.KILOHM, 0.1, MOST_KILOHMS);
    }

    private static OptionalDouble some(double ohms) {
        return ohms > 0 ? OptionalDouble.of(ohms) : OptionalDouble.empty();
    }

    /** Where the pots stand. */
    PotStand stand(Faults faults) {
        FormReader read = new FormReader(faults);
        return new PotStand(
                read.required("wiper", of("wiper"), Unit.PERCENT, 0, 100),
                read.required("balance-wiper", of("balance-wiper"), Unit.PERCENT, 0, 100));
    }

    /** The highest mains over the sheet's. */
    double high(Faults faults) {
        return 1 + new FormReader(faults).required("high", of("high"), Unit.PERCENT, 0, 30);
    }

    /** Grid volts that were typed as what is needed, V. */
    OptionalDouble needed(Faults faults) {
        return new FormReader(faults).number("needed", of("needed"), Unit.VOLT, -500, -0.1);
    }

    /** How a design is to be wired; empty for whatever reaches it. */
    Optional<Kind> wiring(Faults faults) {
        return of("wiring").isEmpty()
                ? Optional.empty()
                : Optional.of(new FormReader(faults).choice("wiring", of("wiring"), Kind.class));
    }

    /** How far to both sides of that a design is to reach, V. */
    OptionalDouble room(Faults faults) {
        return new FormReader(faults).number("room", of("room"), Unit.VOLT, 0.1, 200);
    }
}
