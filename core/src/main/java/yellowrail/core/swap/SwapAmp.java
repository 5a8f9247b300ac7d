package yellowrail.core.swap;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Target;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Shown;
import yellowrail.core.idle.LastRead;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * The amp as the swap check sees it, SI; voltages to the cathode.
 *
 * @param tap ultralinear, part of the half primary; empty where it is not known
 * @param tubes in all its channels
 * @param channels each with an output transformer of its own
 * @param plateVolts V
 * @param screenVolts V; with triode connection the plate's
 * @param cathodeAmps present idle of each tube, A
 * @param biasVolts grid to cathode as read, V, negative
 * @param cathodeOhms cathode resistor, ohm
 * @param sharedBy tubes on it
 * @param partWatts rating of that resistor, W
 * @param otherAmps of the rail that is not the power tubes', A
 * @param mostAmps DC the transformer or choke is rated for, A
 * @param target the school's window
 * @param fittings what else it meets
 * @param stops what its bias pot reaches; empty where that is not known
 * @param testPoint where its current is read; empty where that is not known
 * @param own the model of one tube that wants in, by its name; empty where it is any of its type
 */
public record SwapAmp(
        Topology topology,
        BiasKind bias,
        ScreenSense.Connection connection,
        OptionalDouble tap,
        int tubes,
        int channels,
        OptionalDouble plateVolts,
        OptionalDouble screenVolts,
        OptionalDouble cathodeAmps,
        OptionalDouble biasVolts,
        OptionalDouble cathodeOhms,
        int sharedBy,
        OptionalDouble partWatts,
        OptionalDouble otherAmps,
        OptionalDouble mostAmps,
        Target target,
        Fittings fittings,
        Optional<TestPoint> testPoint,
        Optional<BiasStops> stops,
        Optional<OwnModel> own) {

    /** One tube\u2019s model under the name the tube is checked by. */
    public record OwnModel(String name, KnownModel model) {}

    /**
     * Where a current is read.
     *
     * @param name of the first of them
     * @param tubes that share it
     * @param sense how
     */
    public record TestPoint(String name, int tubes, CurrentSense sense) {

        /** A current as the builder's meter shows it: {@code 44.2 mA each = 1.38 V at L}. */
        SwapFinding shown(double each) {
            double total = tubes * each;
            boolean ohms = sense.shows().dimension() == Unit.Dimension.VOLTAGE
                    && sense.ohms().isPresent();
            return new SwapFinding.EachAt(
                    each,
                    Shown.toTurnTo(sense.shows(), ohms ? total * sense.ohms().getAsDouble() : total),
                    name);
        }
    }

    /** An amp of which nothing is known but its data. */
    public SwapAmp(
            Topology topology,
            BiasKind bias,
            ScreenSense.Connection connection,
            int tubes,
            int channels,
            OptionalDouble plateVolts,
            OptionalDouble screenVolts,
            OptionalDouble cathodeAmps,
            OptionalDouble biasVolts,
            OptionalDouble cathodeOhms,
            int sharedBy,
            OptionalDouble partWatts,
            OptionalDouble otherAmps,
            OptionalDouble mostAmps,
            Target target,
            Fittings fittings) {
        this(
                topology,
                bias,
                connection,
                OptionalDouble.empty(),
                tubes,
                channels,
                plateVolts,
                screenVolts,
                cathodeAmps,
                biasVolts,
                cathodeOhms,
                sharedBy,
                partWatts,
                otherAmps,
                mostAmps,
                target,
                fittings,
                Optional.empty(),
                BiasStops.read(fittings),
                Optional.empty());
    }

    /** @param read what was read in the amp last */
    public static SwapAmp of(AmpSheet sheet, LastRead read) {
        return of(sheet, read, Optional.empty());
    }

    /** @param own the one tube that is asked about */
    public static SwapAmp of(AmpSheet sheet, LastRead read, Optional<OwnModel> own) {
        boolean byResistor = sheet.current().method() == CurrentMethod.CATHODE_RESISTOR;
        return new SwapAmp(
                sheet.topology(),
                sheet.bias(),
                sheet.screen().connection(),
                sheet.screen().tap(),
                sheet.sockets().size(),
                sheet.channels(),
                read.plateVolts(),
                read.screenVolts(),
                read.cathodeAmps(),
                read.biasVolts(),
                byResistor ? sheet.current().ohms() : OptionalDouble.empty(),
                sheet.bias() == BiasKind.CATHODE_SHARED
                        ? sheet.sockets().size()
                                / Math.max(1, sheet.testPoints().size())
                        : 1,
                sheet.supply().resistorWatts(),
                sheet.supply().otherAmps(),
                sheet.mostRailAmps(),
                sheet.target(),
                sheet.fittings(),
                testPoint(sheet),
                BiasStops.of(sheet),
                own);
    }

    /** The model of a type, or of the one tube that is called so. */
    Optional<KnownModel> model(TubeType type) {
        return own.filter(one -> one.name().equals(type.name()))
                .map(OwnModel::model)
                .or(() -> TubeModels.published().of(type));
    }

    /** Where a cathode current is what is read, and its resistance is known. */
    private static Optional<TestPoint> testPoint(AmpSheet sheet) {
        boolean shown = sheet.current().method().yields() == CurrentMethod.Yields.CATHODE
                && (!sheet.current().method().acrossResistance()
                        || sheet.current().ohms().isPresent());
        String first = sheet.testPoints().get(0);
        return shown
                ? Optional.of(new TestPoint(first, sheet.socketsAt(first).size(), sheet.current()))
                : Optional.empty();
    }

    /** A current of each tube, as its meter shows it where that is known. */
    SwapFinding each(double amps) {
        return testPoint.map(point -> point.shown(amps)).orElseGet(() -> new SwapFinding.Each(amps));
    }

    /** All of the rail's current with a cathode current of each tube, A. */
    double railWith(double each) {
        return tubes * each + otherAmps.orElse(0);
    }

    /** Tubes on one end of an output transformer. */
    int tubesPerSide() {
        int perChannel = tubes / Math.max(1, channels);
        return Math.max(1, topology == Topology.SINGLE_ENDED ? perChannel : perChannel / 2);
    }

    /** The rest of the rail's current as an addend of a sum. */
    CurrentFinding restOfRail() {
        return otherAmps.isPresent()
                ? new CurrentFinding.RestOfRail(otherAmps.getAsDouble())
                : new CurrentFinding.RestOfRailUnknown();
    }

    /** Screen volts as known, else taken a little below the plate, as most stages have them. */
    double screenOr(double plate) {
        return screenVolts.orElse(connection == ScreenSense.Connection.TRIODE ? plate : plate - 5);
    }

    /** The school's window as a share of the rating; the customary one where the school goes by something else. */
    Target window() {
        return target.school().basis() == School.Basis.PERCENT ? target : Target.customary(bias, topology);
    }

    /** The limits of a type as it would be wired and biased here. */
    Rating rating(TubeType type) {
        return type.customaryRating().under(bias.isCathode(), connection == ScreenSense.Connection.TRIODE);
    }

    /** The cathode current that brings a type to the middle of the window at a plate voltage, A. */
    double aim(TubeType type, double plate) {
        return window().aim() * type.customaryRating().plateWatts() / plate / (1 - type.screenShare());
    }
}
