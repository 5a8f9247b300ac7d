package yellowrail.core.swap;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Topology;
import yellowrail.core.stage.Idle;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;

/** What a type would do at an amp's voltages, by its model; empty where the type has none or the amp was not read. */
final class TypeInAmp {

    /** At rest the load does not matter. */
    private static final double ANY_LOAD = 5000;

    private final SwapAmp amp;
    private final TubeType type;
    private final Optional<KnownModel> known;

    /** A current and what makes the tube draw it. */
    record Drawn(double cathodeAmps, OptionalDouble gridVolts) {}

    TypeInAmp(SwapAmp amp, TubeType type) {
        this.amp = amp;
        this.type = type;
        this.known = amp.model(type);
    }

    Optional<KnownModel> known() {
        return known;
    }

    /** Grid volts that bring it to the middle of its window. */
    OptionalDouble needed() {
        if (known.isEmpty() || amp.plateVolts().isEmpty()) {
            return OptionalDouble.empty();
        }
        double plate = amp.plateVolts().getAsDouble();
        return OptionalDouble.of(known.get().model().gridFor(amp.aim(type, plate), plate, amp.screenOr(plate)));
    }

    /** Its cathode current at a grid voltage, A. */
    private double at(double grid) {
        double plate = amp.plateVolts().getAsDouble();
        return known.orElseThrow().model().cathodeCurrent(plate, amp.screenOr(plate), grid);
    }

    /** What it would draw at the bias the old one left. */
    OptionalDouble atPresentGrid() {
        return known.isEmpty()
                        || amp.plateVolts().isEmpty()
                        || amp.biasVolts().isEmpty()
                        || amp.bias().isCathode()
                ? OptionalDouble.empty()
                : OptionalDouble.of(at(amp.biasVolts().getAsDouble()));
    }

    /** What it would draw in the place of the old one: at the bias that was read, or on the resistor that is in. */
    Optional<Drawn> withNothingChanged() {
        OptionalDouble there = atPresentGrid();
        return there.isPresent() ? Optional.of(new Drawn(there.getAsDouble(), amp.biasVolts())) : asItStands();
    }

    /**
     * How far that may lie off, A: the type’s grid volts are not known better than to their spread, which a cathode
     * resistor evens out.
     */
    double plusMinus(Drawn drawn) {
        double plate = amp.plateVolts().getAsDouble();
        double screen = amp.screenOr(plate);
        KnownModel type = known.orElseThrow();
        double grid = type.model().gridFor(drawn.cathodeAmps(), plate, screen);
        double slope = type.model().transconductance(plate, screen, grid) / (1 - this.type.screenShare());
        double ohms =
                amp.bias().isCathode() ? amp.sharedBy() * amp.cathodeOhms().getAsDouble() : 0;
        return type.biasSpread() * slope / (1 + slope * ohms);
    }

    /**
     * What it would draw if nothing were changed: on the present cathode resistor, or at a bias that cannot be turned.
     * With an adjustable bias nothing stands, and it is empty.
     */
    Optional<Drawn> asItStands() {
        if (amp.bias() == BiasKind.FIXED && atPresentGrid().isPresent()) {
            return Optional.of(new Drawn(atPresentGrid().getAsDouble(), amp.biasVolts()));
        }
        if (!amp.bias().isCathode()
                || known.isEmpty()
                || amp.plateVolts().isEmpty()
                || amp.cathodeOhms().isEmpty()) {
            return Optional.empty();
        }
        double plate = amp.plateVolts().getAsDouble();
        Idle idle = Idle.of(new OutputStage(
                known.get().model(),
                Topology.SINGLE_ENDED,
                1,
                plate,
                amp.screenOr(plate),
                ScreenSense.Connection.PENTODE,
                0,
                OutputStage.Bias.cathode(amp.sharedBy() * amp.cathodeOhms().getAsDouble()),
                ANY_LOAD));
        return Optional.of(new Drawn(idle.plateAmps() + idle.screenAmps(), OptionalDouble.empty()));
    }
}
