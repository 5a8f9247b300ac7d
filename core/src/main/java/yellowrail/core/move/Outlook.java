package yellowrail.core.move;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.idle.IdleValues;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;

/**
 * Tells currents and voltages to come as the builder's own meter will show them: in proportion to what it showed in the
 * newest setting, so that the errors of resistor and meter, which it will repeat, drop out.
 */
final class Outlook {

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final ReadingSet newest;
    private final Mains mains;

    Outlook(StageIdle stage, ReadingSet newest, Mains mains) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.newest = newest;
        this.mains = mains;
    }

    /**
     * @param tube its place on the sheet
     * @param currents of every cathode, A
     * @param volts its plate to its cathode, V
     * @param share its share of screen current
     */
    Landing.Tube tube(int tube, double[] currents, double volts, double share) {
        double plate = currents[tube] * (1 - share);
        double watts = volts * plate;
        double ratio = mains.convertDissipation(watts, newest.mainsRatio(), 1)
                / stage.goal(tube).orElseThrow().rating().plateWatts();
        Socket socket = sheet.sockets().get(tube);
        return new Landing.Tube(socket, currents[tube], plate, volts, watts, ratio, reading(tube, currents), 0);
    }

    /** What the meter will show at a tube's test point: its reading grows with the current of all that hang on it. */
    double reading(int tube, double[] currents) {
        Socket socket = sheet.sockets().get(tube);
        List<Integer> on = IntStream.range(0, currents.length)
                .boxed()
                .filter(i -> sheet.sockets().get(i).testPoint().equals(socket.testPoint()))
                .toList();
        double before = on.stream().mapToDouble(newest::cathode).sum();
        double after = on.stream().mapToDouble(i -> currents[i]).sum();
        double extra = sheet.current().method() == CurrentMethod.SUPPLY_DROP
                ? sheet.current().otherAmps().orElse(0)
                : 0;
        double shown = newest.values(on.get(0)).problem().senseReading();
        return shown * (after + extra) / (before + extra);
    }

    /**
     * What will be read where plate voltage is read: as much more or less as the plates will stand higher or lower.
     *
     * @param volts plates on the supply line, V
     * @param lift of the cathodes then, V
     */
    double plateReading(double volts, double lift, List<Landing.Tube> after) {
        IdleValues figures = newest.values(0);
        boolean toGround = sheet.plate().reference() == PlateSense.Reference.GROUND;
        double reading = figures.problem().plateReading()
                + volts
                - newest.plateVolts()
                - (toGround ? 0 : lift - newest.meanLift());
        if (sheet.plate().point() == PlateSense.Point.B_PLUS) {
            double drop =
                    figures.problem().plateReading() - figures.plateVolts() - (toGround ? figures.cathodeVolts() : 0);
            double rise = after.stream().mapToDouble(Landing.Tube::plateAmps).sum()
                    / newest.tubes().stream()
                            .mapToDouble(tube -> tube.values().plateCurrent())
                            .sum();
            reading += drop * (rise - 1);
        }
        return reading;
    }
}
