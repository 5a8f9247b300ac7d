package yellowrail.web.amp.document;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.circuit.PartKind;
import yellowrail.core.bias.wiring.BiasNetwork;
import yellowrail.core.bias.wiring.BiasSource;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.bias.wiring.Rectification;
import yellowrail.core.bias.wiring.Smoothing;

/**
 * The bias supply as it is stored.
 *
 * @param rated what its resistors are rated for, W, by kind; missing where none is known
 */
record BiasPart(
        SourcePart source,
        SmoothingPart smoothing,
        NetworkPart network,
        double leak,
        OptionalDouble meter,
        Optional<Map<PartKind, Double>> rated) {

    /** Winding and rectifier. */
    record SourcePart(double volts, double ohms, double hertz, Rectification rectification, OptionalDouble coupling) {}

    /** Its resistors and capacitors. */
    record SmoothingPart(
            double seriesOhms,
            double reservoir,
            OptionalDouble reservoirRating,
            double feedOhms,
            double second,
            OptionalDouble secondRating) {}

    /** What divides it. */
    record NetworkPart(
            BiasNetwork.Kind kind,
            double upper,
            double pot,
            double lower,
            OptionalDouble wiperToCold,
            double balance,
            int pots,
            boolean tied,
            OptionalDouble tremolo) {}

    static BiasPart of(BiasSupply supply) {
        BiasSource source = supply.source();
        Smoothing smoothing = supply.smoothing();
        BiasNetwork network = supply.network();
        return new BiasPart(
                new SourcePart(
                        source.volts(), source.ohms(), source.hertz(), source.rectification(), source.coupling()),
                new SmoothingPart(
                        smoothing.seriesOhms(),
                        smoothing.reservoir(),
                        smoothing.reservoirRating(),
                        smoothing.feedOhms(),
                        smoothing.second(),
                        smoothing.secondRating()),
                new NetworkPart(
                        network.kind(),
                        network.upper(),
                        network.pot(),
                        network.lower(),
                        network.wiperToCold(),
                        network.balance(),
                        network.pots(),
                        network.tied(),
                        network.tremolo()),
                supply.leak(),
                supply.meter(),
                Optional.of(supply.rated()).filter(rated -> !rated.isEmpty()));
    }

    BiasSupply supply() {
        return new BiasSupply(
                new BiasSource(source.volts, source.ohms, source.hertz, source.rectification, source.coupling),
                new Smoothing(
                        smoothing.seriesOhms,
                        smoothing.reservoir,
                        smoothing.reservoirRating,
                        smoothing.feedOhms,
                        smoothing.second,
                        smoothing.secondRating),
                new BiasNetwork(
                        network.kind,
                        network.upper,
                        network.pot,
                        network.lower,
                        network.wiperToCold,
                        network.balance,
                        network.pots,
                        network.tied,
                        network.tremolo),
                leak,
                meter,
                rated.orElse(Map.of()));
    }
}
