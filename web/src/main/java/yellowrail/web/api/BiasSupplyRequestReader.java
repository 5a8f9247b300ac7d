package yellowrail.web.api;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;
import yellowrail.core.quantity.Unit;

/** Makes a bias supply of a request. */
final class BiasSupplyRequestReader {

    private static final double MICRO = 1e-6;

    private final JsonFields fields;

    /**
     * What was asked.
     *
     * @param high the highest mains over the sheet's
     * @param needed grid volts, V
     */
    record Asked(BiasSupply supply, double high, OptionalDouble needed) {}

    BiasSupplyRequestReader(JsonFields fields) {
        this.fields = fields;
    }

    /** @return what was asked, put together once no field is at fault */
    Supplier<Asked> read() {
        double volts = fields.required(BiasSupplyShape.SOURCE_VOLTS);
        double ohms = or(fields, BiasSupplyShape.SOURCE_OHMS, 0);
        double hertz = or(fields, BiasSupplyShape.HERTZ, 50);
        String rectifier = fields.choice(BiasSupplyShape.RECTIFIER);
        OptionalDouble coupling = fields.number(BiasSupplyShape.COUPLING);
        double series = or(fields, BiasSupplyShape.AC_SERIES_OHMS, 0);
        double reservoir = fields.required(BiasSupplyShape.RESERVOIR);
        OptionalDouble rating = fields.number(BiasSupplyShape.RESERVOIR_RATED_VOLTS);
        double feed = or(fields, BiasSupplyShape.FEED_OHMS, 0);
        double second = or(fields, BiasSupplyShape.SECOND, 0);
        OptionalDouble secondRating = fields.number(BiasSupplyShape.SECOND_RATED_VOLTS);
        Optional<Supplier<BiasNetwork>> network =
                fields.object(BiasSupplyShape.NETWORK).map(BiasSupplyRequestReader::network);
        double leak = or(fields, BiasSupplyShape.LEAK_OHMS, 0);
        double high = 1 + Unit.PERCENT.toSi(or(fields, BiasSupplyShape.MAINS_HIGH_PERCENT, 10));
        OptionalDouble needed = fields.number(BiasSupplyShape.NEEDED_VOLTS);
        return () -> new Asked(
                new BiasSupply(
                        new BiasSource(
                                volts,
                                ohms,
                                hertz,
                                Rectification.valueOf(constant(rectifier)),
                                coupling.isPresent() ? OptionalDouble.of(MICRO * coupling.getAsDouble()) : coupling),
                        new Smoothing(series, MICRO * reservoir, rating, feed, MICRO * second, secondRating),
                        network.orElseThrow().get(),
                        leak,
                        OptionalDouble.empty()),
                high,
                needed);
    }

    private static Supplier<BiasNetwork> network(JsonFields fields) {
        String kind = fields.choice(BiasSupplyShape.KIND);
        boolean fixed = kind.equals("fixed");
        double upper = or(fields, BiasSupplyShape.UPPER_OHMS, 0);
        double pot = fixed ? or(fields, BiasSupplyShape.POT_OHMS, 0) : fields.required(BiasSupplyShape.POT_OHMS);
        double lower = or(fields, BiasSupplyShape.LOWER_OHMS, 0);
        if (fixed && fields.has(BiasSupplyShape.KIND) && !(lower > 0)) {
            fields.fault(BiasSupplyShape.LOWER_OHMS, new RequestFault.LowerMissing());
        }
        OptionalDouble wiperToCold = fields.number(BiasSupplyShape.WIPER_TO_COLD_OHMS);
        return () ->
                BiasNetwork.of(Kind.valueOf(constant(kind)), upper, pot, lower).withWiperToCold(wiperToCold);
    }

    private static String constant(String code) {
        return code.toUpperCase(Locale.ROOT).replace('-', '_');
    }

    private static double or(JsonFields fields, JsonField field, double usual) {
        return fields.number(field).orElse(usual);
    }
}
