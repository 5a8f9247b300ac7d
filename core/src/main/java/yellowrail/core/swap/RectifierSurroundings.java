package yellowrail.core.swap;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Supply;
import yellowrail.core.heater.HeaterExchange;
import yellowrail.core.rectifier.Exchange;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.TubeType;

/**
 * What a rectifier stands between: the windings before it and the power tubes behind it, as far as they are written
 * down.
 *
 * @param supply of the sheet
 * @param heaters windings with what hangs on them, if the rectifier is among it
 * @param tubes the power tubes; empty where they are of no listed type
 */
public record RectifierSurroundings(Supply supply, Optional<HeaterExchange> heaters, Optional<TubeType> tubes) {

    /** Nothing is known. */
    public static final RectifierSurroundings UNKNOWN =
            new RectifierSurroundings(Supply.UNKNOWN, Optional.empty(), Optional.empty());

    /** Power with either, W. */
    record Both(double before, double after) {}

    /** Of the unloaded winding by the sheet, V; 0 where it is not on it. */
    double peakVolts() {
        return Math.sqrt(2)
                * supply.secondaryVolts().orElse(0)
                * (1 + supply.regulation().orElse(Supply.USUAL_REGULATION));
    }

    /**
     * Two plates take turns on two halves of a winding; a bridge has the whole of one, with no middle to come back to.
     */
    Optional<Line> centreTap(RectifierType in, RectifierType wants) {
        return in.isSilicon() && !wants.isSilicon() && supply.bridge()
                ? Optional.of(Line.of(
                        SwapQuestion.CENTRE_TAP, Outcome.STOP, new RectifierFinding.NeedsCentreTap(wants.name())))
                : Optional.empty();
    }

    Line heater(RectifierType in, RectifierType wants) {
        if (wants.isSilicon()) {
            return Line.of(SwapQuestion.RECTIFIER_HEATER, Outcome.HOLDS, new RectifierFinding.SiliconNeedsNone());
        }
        if (in.isSilicon()) {
            return Line.of(
                    SwapQuestion.RECTIFIER_HEATER,
                    Outcome.UNKNOWN,
                    new RectifierFinding.NeedsWinding(wants.name(), wants.heaterVolts(), wants.heaterAmps()));
        }
        boolean volts = in.heaterVolts() == wants.heaterVolts();
        if (!volts) {
            return Line.of(
                    SwapQuestion.RECTIFIER_HEATER,
                    Outcome.STOP,
                    new RectifierFinding.HeaterFor(
                            wants.heaterVolts(), wants.heaterAmps(), in.heaterVolts(), in.heaterAmps()));
        }
        if (heaters.isPresent() && heaters.get().ratedAmps().isPresent()) {
            double rated = heaters.get().ratedAmps().getAsDouble();
            return Line.of(
                    SwapQuestion.RECTIFIER_HEATER,
                    heaters.get().after() > rated ? Outcome.STOP : Outcome.HOLDS,
                    new RectifierFinding.WindingTakes(
                            heaters.get().label(),
                            heaters.get().after(),
                            rated,
                            heaters.get().before()));
        }
        boolean amps = wants.heaterAmps() <= in.heaterAmps();
        return Line.of(
                SwapQuestion.RECTIFIER_HEATER,
                amps ? Outcome.HOLDS : Outcome.UNKNOWN,
                amps
                        ? new RectifierFinding.HeaterFor(
                                wants.heaterVolts(), wants.heaterAmps(), in.heaterVolts(), in.heaterAmps())
                        : new RectifierFinding.TakesMore(
                                wants.heaterVolts(), wants.heaterAmps(), in.heaterVolts(), in.heaterAmps()));
    }

    /** All of the rail’s current at full drive, A; empty where it is not computed. */
    OptionalDouble driven(SwapAmp amp) {
        return tubes.flatMap(type -> new StageInAmp(amp).set(type))
                .map(found -> OptionalDouble.of(amp.railWith(
                        (found.plateAmps() + found.screenAmps()) / found.stage().tubes())))
                .orElse(OptionalDouble.empty());
    }

    Optional<Both> power(SwapAmp amp, Exchange exchange) {
        double plate = amp.plateVolts().orElseThrow();
        double now = amp.cathodeAmps().orElseThrow();
        StageInAmp stage = new StageInAmp(amp);
        return tubes.flatMap(type -> {
            Optional<Performance> before =
                    stage.on(type, plate, now, exchange.before().slopeOhms(exchange.amps()));
            Optional<Performance> after = stage.on(
                    type,
                    plate + exchange.rise(),
                    now * plate / (plate + exchange.rise()),
                    exchange.after().slopeOhms(exchange.amps()));
            return before.isPresent() && after.isPresent()
                    ? Optional.of(new Both(
                            before.get().powerWatts() * amp.channels(),
                            after.get().powerWatts() * amp.channels()))
                    : Optional.empty();
        });
    }
}
