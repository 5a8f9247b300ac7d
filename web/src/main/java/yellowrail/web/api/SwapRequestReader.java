package yellowrail.web.api;

import static yellowrail.core.typed.Quantity.quote;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.swap.SwapAmp;
import yellowrail.core.tube.RectifierType;

/** Makes the amp of a swap check of a request. */
final class SwapRequestReader {

    private static final Set<String> KNOWN = Arrays.stream(SwapRequest.class.getRecordComponents())
            .map(component -> component.getName())
            .collect(Collectors.toUnmodifiableSet());
    private static final double MILLI = 1e-3;

    private final JsonFields fields;

    SwapRequestReader(JsonFields fields) {
        this.fields = fields;
    }

    SwapAmp read() {
        fields.only(KNOWN);
        int tubes = fields.whole("tubes", 1, AmpSheet.MOST_SOCKETS, "power tubes in the stage");
        Topology topology = fields.choice("stage", List.of("push-pull", "single-ended"), true)
                        .equals("push-pull")
                ? Topology.PUSH_PULL
                : Topology.SINGLE_ENDED;
        boolean cathode =
                fields.choice("biasKind", List.of("fixed", "cathode"), true).equals("cathode");
        int channels = fields.has("channels") ? fields.whole("channels", 1, 2, "output transformers") : 1;
        int sharedBy = fields.has("sharedBy")
                ? fields.whole("sharedBy", 1, AmpSheet.MOST_SOCKETS, "tubes on the resistor")
                : 1;
        BiasKind bias =
                !cathode ? BiasKind.FIXED_ADJUSTABLE : sharedBy > 1 ? BiasKind.CATHODE_SHARED : BiasKind.CATHODE_EACH;
        ScreenSense.Connection connection = ScreenSense.Connection.valueOf(
                fields.choice("connection", List.of("pentode", "ultralinear", "triode"), true)
                        .toUpperCase(Locale.ROOT));
        OptionalDouble plate = fields.number("plateVolts", 1, 2000);
        OptionalDouble screen = fields.number("screenVolts", 1, 2000);
        return new SwapAmp(
                topology,
                bias,
                connection,
                tubes,
                channels,
                plate,
                connection == ScreenSense.Connection.TRIODE ? plate : screen,
                number("cathodeMilliamps", 0.01, 2000, MILLI),
                fields.number("biasVolts", -300, 0),
                fields.number("cathodeResistorOhms", 0.01, 100_000),
                sharedBy,
                fields.number("cathodeResistorWatts", 0.01, 100),
                number("otherMilliamps", 0, 5000, MILLI),
                OptionalDouble.empty(),
                Target.customary(bias, topology),
                fittings());
    }

    private Fittings fittings() {
        String rectifier = fields.wordsOr("rectifier");
        if (!rectifier.isBlank() && RectifierType.find(rectifier).isEmpty()) {
            fields.fault(
                    "rectifier",
                    "%s is not known; known are %s."
                            .formatted(
                                    quote(rectifier),
                                    String.join(
                                            ", ",
                                            RectifierType.published().stream()
                                                    .map(RectifierType::name)
                                                    .toList())));
        }
        Fittings fittings = new Fittings(
                fields.number("heaterWindingAmps", 0.1, 50),
                fields.number("otherHeaterAmps", 0, 50),
                rectifier,
                OptionalDouble.empty(),
                number("transformerMilliamps", 1, 5000, MILLI),
                number("chokeMilliamps", 1, 5000, MILLI),
                number("outputMilliamps", 1, 5000, MILLI),
                fields.number("roomHeightMm", 10, 1000),
                fields.number("roomWidthMm", 10, 1000),
                fields.number("gridLeakOhms", 1e3, 1e7),
                fields.number("loadOhms", 100, 1e5),
                fields.number("biasColdestVolts", -300, 0),
                fields.number("biasHottestVolts", -300, 0),
                fields.number("driveVolts", 1, 500),
                OptionalDouble.empty(),
                fields.wordsOr("tiedPins"),
                Fittings.PinOne.valueOf(
                        fields.choice("pinOne", List.of("unknown", "cathode", "nothing", "ground"), true)
                                .toUpperCase(Locale.ROOT)),
                "",
                Iron.UNKNOWN);
        if (fittings.biasColdest().isPresent()
                && fittings.biasHottest().isPresent()
                && fittings.biasColdest().getAsDouble()
                        >= fittings.biasHottest().getAsDouble()) {
            fields.fault("biasColdestVolts", "The coldest stop is the more negative one: it lies below the hottest.");
        }
        return fittings;
    }

    private OptionalDouble number(String field, double least, double most, double inSi) {
        OptionalDouble number = fields.number(field, least, most);
        return number.isPresent() ? OptionalDouble.of(number.getAsDouble() * inSi) : number;
    }
}
