package yellowrail.core.stage;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.root.Root;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModel;

/**
 * An output stage as it stands at idle, and what hangs on it; SI. Plate and screen voltages are those of the idle, to
 * the cathode, as a builder reads them; what the supply gives to ground follows from them.
 *
 * @param model the tube
 * @param topology push-pull or single-ended
 * @param tubesPerSide tubes in parallel at one end of the primary, 1 to 4
 * @param plateVolts plate to cathode at idle, V
 * @param screenVolts screen to cathode at idle, V; ultralinear and triode take the plate's
 * @param connection what the screens hang on
 * @param tap ultralinear tap, part of the half primary (single-ended: of the primary) between supply and screen
 * @param bias what holds the grids
 * @param loadOhms plate to plate, or on the one plate, ohm
 * @param losses the resistances that take their part
 * @param otherSide the lower side of a push-pull stage where it is not like the upper one
 */
public record OutputStage(
        TubeModel model,
        Topology topology,
        int tubesPerSide,
        double plateVolts,
        double screenVolts,
        Connection connection,
        double tap,
        Bias bias,
        double loadOhms,
        Losses losses,
        Optional<OtherSide> otherSide) {

    public static final int MOST_PER_SIDE = 4;
    private static final double VOLT_TOLERANCE = 1e-9;
    /** Where an ultralinear tap is not known, part of the half primary. */
    public static final double USUAL_TAP = 0.43;

    /**
     * What holds the grids below their cathodes: one of the two.
     *
     * @param volts grid to cathode, V, 0 or less
     * @param ohms resistor common to all cathodes of the stage, bypassed, ohm
     */
    public record Bias(OptionalDouble volts, OptionalDouble ohms) {

        public static Bias fixed(double volts) {
            if (!(volts <= 0 && volts > -1000)) {
                throw new IllegalArgumentException("grids stand at 0 V or below, was " + volts);
            }
            return new Bias(OptionalDouble.of(volts), OptionalDouble.empty());
        }

        public static Bias cathode(double ohms) {
            return new Bias(OptionalDouble.empty(), OptionalDouble.of(positive("the cathode resistor", ohms)));
        }

        public boolean isCathode() {
            return ohms.isPresent();
        }
    }

    /**
     * Resistances between the supplies and the load, ohm, 0 or more.
     *
     * @param primary copper of the half primary, single-ended of the primary; at the supply’s end of it
     * @param secondary copper of the secondary as the primary sees it, in series with the load
     * @param plateSag of the plate supply: its voltage falls as the mean current rises over the idle’s
     * @param screenSag the same of the screens’ own supply
     * @param stopper in series with the screen of each tube
     */
    public record Losses(double primary, double secondary, double plateSag, double screenSag, double stopper) {

        /** Perfect copper on a stiff supply. */
        public static final Losses NONE = new Losses(0, 0, 0, 0, 0);

        public Losses {
            for (double ohms : new double[] {primary, secondary, plateSag, screenSag, stopper}) {
                if (!(ohms >= 0 && Double.isFinite(ohms))) {
                    throw new IllegalArgumentException("a resistance is 0 ohm or more, was " + ohms);
                }
            }
        }

        Losses sagging(double plates, double screens) {
            return new Losses(primary, secondary, plates, screens, stopper);
        }

        /** The same transformer with a load of so many times the ohms. */
        private Losses loaded(double times) {
            return secondary == 0 ? this : new Losses(primary, secondary * times, plateSag, screenSag, stopper);
        }
    }

    /**
     * The lower side of a push-pull stage that is not like the upper one.
     *
     * @param model its tubes
     * @param gridOffset its grids stand so much above those of the upper side, V
     */
    public record OtherSide(TubeModel model, double gridOffset) {}

    public OutputStage {
        positive("the plate voltage", plateVolts);
        positive("the screen voltage", screenVolts);
        positive("the load", loadOhms);
        if (tubesPerSide < 1 || tubesPerSide > MOST_PER_SIDE) {
            throw new IllegalArgumentException(
                    "a side has 1 to %d tubes, was %d".formatted(MOST_PER_SIDE, tubesPerSide));
        }
        if (connection == Connection.ULTRALINEAR && !(tap > 0 && tap < 1)) {
            throw new IllegalArgumentException("an ultralinear tap lies between 0 and 1, was " + tap);
        }
        if (otherSide.isPresent() && topology != Topology.PUSH_PULL) {
            throw new IllegalArgumentException("only push-pull has another side");
        }
        connection = model.isTriode() ? Connection.TRIODE : connection;
        tap = switch (connection) {
            case PENTODE -> 0;
            case ULTRALINEAR -> tap;
            case TRIODE -> 1;
        };
        screenVolts = connection == Connection.PENTODE ? screenVolts : plateVolts;
    }

    /** Both sides alike. */
    public OutputStage(
            TubeModel model,
            Topology topology,
            int tubesPerSide,
            double plateVolts,
            double screenVolts,
            Connection connection,
            double tap,
            Bias bias,
            double loadOhms,
            Losses losses) {
        this(
                model,
                topology,
                tubesPerSide,
                plateVolts,
                screenVolts,
                connection,
                tap,
                bias,
                loadOhms,
                losses,
                Optional.empty());
    }

    /** Perfect copper and a stiff supply. */
    public OutputStage(
            TubeModel model,
            Topology topology,
            int tubesPerSide,
            double plateVolts,
            double screenVolts,
            Connection connection,
            double tap,
            Bias bias,
            double loadOhms) {
        this(model, topology, tubesPerSide, plateVolts, screenVolts, connection, tap, bias, loadOhms, Losses.NONE);
    }

    /** A published operation with a tube\u2019s model. */
    public static OutputStage of(PublishedOperation operation, TubeModel model) {
        return new OutputStage(
                model,
                operation.pushPull() ? Topology.PUSH_PULL : Topology.SINGLE_ENDED,
                1,
                operation.plateVolts(),
                operation.screenVolts(),
                Connection.PENTODE,
                0,
                Bias.fixed(operation.gridVolts()),
                operation.loadOhms());
    }

    private static double positive(String what, double value) {
        if (!(value > 0 && Double.isFinite(value))) {
            throw new IllegalArgumentException("%s is more than 0, was %s".formatted(what, value));
        }
        return value;
    }

    public boolean isPushPull() {
        return topology == Topology.PUSH_PULL;
    }

    /** Tubes of the whole stage. */
    public int tubes() {
        return isPushPull() ? 2 * tubesPerSide : tubesPerSide;
    }

    /** Grid volts at which the tubes of the stage idle at a plate current, their mean, V, at most 0. */
    public double gridFor(double plateAmps) {
        double upper = model.gridForPlate(plateAmps, plateVolts, screenVolts);
        return otherSide
                .map(other -> {
                    double lower = other.model().gridForPlate(plateAmps, plateVolts, screenVolts) - other.gridOffset();
                    return Root.between(
                            grid -> mean(other, grid) - plateAmps,
                            Math.min(upper, lower),
                            Math.min(0, Math.max(upper, lower)),
                            VOLT_TOLERANCE);
                })
                .orElse(upper);
    }

    private double mean(OtherSide other, double grid) {
        double upper = model.plateCurrent(plateVolts, screenVolts, grid);
        double lower = other.model().plateCurrent(plateVolts, screenVolts, Math.min(0, grid + other.gridOffset()));
        return (upper + lower) / 2;
    }

    /** Whether the screens hang on the primary, so that their current runs through it. */
    boolean isTapped() {
        return tap > 0;
    }

    /** What the tubes of a side add to the core, counted in its half of the primary, A. */
    double magnetising(Sample tube) {
        return tubesPerSide * (tube.plateAmps() + tap * tube.screenAmps());
    }

    /** What a tube draws through the winding, A. */
    double throughPrimary(Sample tube) {
        return tube.plateAmps() + (isTapped() ? tube.screenAmps() : 0);
    }

    /** Ohms of the whole primary for each that one side\u2019s winding sees. */
    double perSideOhm() {
        return isPushPull() ? 4 : 1;
    }

    /** The load with the copper that lies in series with it, ohm. */
    double totalOhms() {
        return loadOhms + losses.secondary();
    }

    public OutputStage withLoad(double ohms) {
        return copy(model, plateVolts, screenVolts, bias, ohms, losses.loaded(ohms / loadOhms), otherSide);
    }

    /** The same at other idle volts, V. */
    public OutputStage at(double plate, double screen) {
        return copy(model, plate, screen, bias, loadOhms, losses, otherSide);
    }

    public OutputStage with(Bias other) {
        return copy(model, plateVolts, screenVolts, other, loadOhms, losses, otherSide);
    }

    /** With tubes of another model at both ends. */
    public OutputStage with(TubeModel other) {
        return copy(other, plateVolts, screenVolts, bias, loadOhms, losses, Optional.empty());
    }

    public OutputStage with(Losses other) {
        return copy(model, plateVolts, screenVolts, bias, loadOhms, other, otherSide);
    }

    /** With a lower side of its own. */
    public OutputStage with(OtherSide other) {
        return copy(model, plateVolts, screenVolts, bias, loadOhms, losses, Optional.of(other));
    }

    /** The same on supplies that give way, ohm. */
    public OutputStage sagging(double plates, double screens) {
        return with(losses.sagging(plates, screens));
    }

    private OutputStage copy(
            TubeModel tube,
            double plate,
            double screen,
            Bias grids,
            double load,
            Losses ohms,
            Optional<OtherSide> lower) {
        return new OutputStage(tube, topology, tubesPerSide, plate, screen, connection, tap, grids, load, ohms, lower);
    }
}
