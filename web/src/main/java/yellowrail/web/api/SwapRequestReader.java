package yellowrail.web.api;

import static yellowrail.core.typed.Quantity.quote;

import java.util.Locale;
import java.util.OptionalDouble;
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

    private static final double MILLI = 1e-3;

    private final JsonFields fields;

    SwapRequestReader(JsonFields fields) {
        this.fields = fields;
    }

    SwapAmp read() {
        int tubes = fields.whole(SwapShape.TUBES);
        Topology topology =
                fields.choice(SwapShape.STAGE).equals("push-pull") ? Topology.PUSH_PULL : Topology.SINGLE_ENDED;
        boolean cathode = fields.choice(SwapShape.BIAS_KIND).equals("cathode");
        int channels = fields.whole(SwapShape.CHANNELS);
        int sharedBy = fields.whole(SwapShape.SHARED_BY);
        BiasKind bias =
                !cathode ? BiasKind.FIXED_ADJUSTABLE : sharedBy > 1 ? BiasKind.CATHODE_SHARED : BiasKind.CATHODE_EACH;
        ScreenSense.Connection connection = ScreenSense.Connection.valueOf(
                fields.choice(SwapShape.CONNECTION).toUpperCase(Locale.ROOT));
        OptionalDouble plate = fields.number(SwapShape.PLATE_VOLTS);
        OptionalDouble screen = fields.number(SwapShape.SCREEN_VOLTS);
        return new SwapAmp(
                topology,
                bias,
                connection,
                tubes,
                channels,
                plate,
                connection == ScreenSense.Connection.TRIODE ? plate : screen,
                milliamps(SwapShape.CATHODE_MILLIAMPS),
                fields.number(SwapShape.BIAS_VOLTS),
                fields.number(SwapShape.CATHODE_RESISTOR_OHMS),
                sharedBy,
                fields.number(SwapShape.CATHODE_RESISTOR_WATTS),
                milliamps(SwapShape.OTHER_MILLIAMPS),
                OptionalDouble.empty(),
                Target.customary(bias, topology),
                fittings());
    }

    private Fittings fittings() {
        String rectifier = fields.wordsOr(SwapShape.RECTIFIER);
        if (!rectifier.isBlank() && RectifierType.find(rectifier).isEmpty()) {
            fields.fault(
                    SwapShape.RECTIFIER,
                    new RequestFault.NoSuchRectifier(
                            quote(rectifier),
                            RectifierType.published().stream()
                                    .map(RectifierType::name)
                                    .toList()));
        }
        Fittings fittings = new Fittings(
                fields.number(SwapShape.HEATER_WINDING_AMPS),
                fields.number(SwapShape.OTHER_HEATER_AMPS),
                rectifier,
                OptionalDouble.empty(),
                milliamps(SwapShape.TRANSFORMER_MILLIAMPS),
                milliamps(SwapShape.CHOKE_MILLIAMPS),
                milliamps(SwapShape.OUTPUT_MILLIAMPS),
                fields.number(SwapShape.ROOM_HEIGHT_MM),
                fields.number(SwapShape.ROOM_WIDTH_MM),
                fields.number(SwapShape.GRID_LEAK_OHMS),
                fields.number(SwapShape.LOAD_OHMS),
                fields.number(SwapShape.BIAS_COLDEST_VOLTS),
                fields.number(SwapShape.BIAS_HOTTEST_VOLTS),
                fields.number(SwapShape.DRIVE_VOLTS),
                OptionalDouble.empty(),
                fields.wordsOr(SwapShape.TIED_PINS),
                Fittings.PinOne.valueOf(fields.choice(SwapShape.PIN_ONE).toUpperCase(Locale.ROOT)),
                "",
                Iron.UNKNOWN);
        if (fittings.biasColdest().isPresent()
                && fittings.biasHottest().isPresent()
                && fittings.biasColdest().getAsDouble()
                        >= fittings.biasHottest().getAsDouble()) {
            fields.fault(SwapShape.BIAS_COLDEST_VOLTS, new RequestFault.ColdestNotBelowHottest());
        }
        return fittings;
    }

    private OptionalDouble milliamps(JsonField field) {
        OptionalDouble number = fields.number(field);
        return number.isPresent() ? OptionalDouble.of(number.getAsDouble() * MILLI) : number;
    }
}
