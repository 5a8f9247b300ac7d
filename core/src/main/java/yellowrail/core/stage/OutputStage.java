package yellowrail.core.stage;

import java.util.OptionalDouble;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
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
 * @param primaryOhms copper of the half primary, single-ended of the primary, ohm; at the supply's end of it
 * @param lossOhms copper of the secondary as the primary sees it, in series with the load, ohm
 * @param plateSagOhms resistance of the plate supply: its voltage falls as the mean current rises over the idle's, ohm
 * @param screenSagOhms the same for the screens' own supply, ohm
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
        double primaryOhms,
        double lossOhms,
        double plateSagOhms,
        double screenSagOhms) {

    public static final int MOST_PER_SIDE = 4;
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
        for (double ohms : new double[] {primaryOhms, lossOhms, plateSagOhms, screenSagOhms}) {
            if (!(ohms >= 0 && Double.isFinite(ohms))) {
                throw new IllegalArgumentException("a resistance is 0 ohm or more, was " + ohms);
            }
        }
        connection = model.isTriode() ? Connection.TRIODE : connection;
        tap = switch (connection) {
            case PENTODE -> 0;
            case ULTRALINEAR -> tap;
            case TRIODE -> 1;
        };
        screenVolts = connection == Connection.PENTODE ? screenVolts : plateVolts;
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
        this(model, topology, tubesPerSide, plateVolts, screenVolts, connection, tap, bias, loadOhms, 0, 0, 0, 0);
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

    /** Grid volts at which a tube of the stage idles at a plate current, V, at most 0. */
    public double gridFor(double plateAmps) {
        return model.gridForPlate(plateAmps, plateVolts, screenVolts);
    }

    public OutputStage withLoad(double ohms) {
        return copy(model, plateVolts, screenVolts, bias, ohms);
    }

    /** The same at other idle volts, V. */
    public OutputStage at(double plate, double screen) {
        return copy(model, plate, screen, bias, loadOhms);
    }

    public OutputStage with(Bias other) {
        return copy(model, plateVolts, screenVolts, other, loadOhms);
    }

    public OutputStage with(TubeModel other) {
        return copy(other, plateVolts, screenVolts, bias, loadOhms);
    }

    /** The same on supplies that give way, ohm. */
    public OutputStage sagging(double plates, double screens) {
        return new OutputStage(
                model,
                topology,
                tubesPerSide,
                plateVolts,
                screenVolts,
                connection,
                tap,
                bias,
                loadOhms,
                primaryOhms,
                lossOhms,
                plates,
                screens);
    }

    private OutputStage copy(TubeModel tube, double plate, double screen, Bias grids, double load) {
        return new OutputStage(
                tube,
                topology,
                tubesPerSide,
                plate,
                screen,
                connection,
                tap,
                grids,
                load,
                primaryOhms,
                load == loadOhms ? lossOhms : lossOhms * load / loadOhms,
                plateSagOhms,
                screenSagOhms);
    }
}
