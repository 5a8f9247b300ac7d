package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.chart.Point;
import yellowrail.core.iron.Impedance;

/**
 * A speaker's own line through the rest of the tubes: an ellipse, for its current does not keep step with its voltage,
 * as far as the nominal line carries current. It is drawn, not driven through the stage.
 *
 * @param points volts and amperes of one tube, closed
 */
public record LoadEllipse(Impedance speaker, List<Point> points) {

    private static final int DEGREES = 5;
    /** Of the supply: a tube does not pull its plate down to nothing. */
    private static final double MOST_SWING = 0.95;

    /** @param nominalOhms the speaker that the stage's load is meant for */
    public static LoadEllipse of(Performance found, Impedance speaker, double nominalOhms) {
        OutputStage stage = found.stage();
        double nominal = stage.loadOhms() * stage.tubesPerSide() / (stage.isPushPull() ? 4 : 1);
        double rest = stage.isPushPull() ? 0 : found.plateAmps() / stage.tubes();
        double swing = found.samples().get(found.samples().size() - 1).plateAmps() - rest;
        double ohms = nominal * speaker.ohms() / nominalOhms;
        double amps = Math.min(swing, MOST_SWING * found.supplyVolts() / ohms);
        double behind = Math.toRadians(speaker.degrees());
        List<Point> points = new ArrayList<>();
        for (int degrees = 0; degrees <= 360; degrees += DEGREES) {
            double at = Math.toRadians(degrees);
            points.add(
                    new Point(found.supplyVolts() - amps * ohms * Math.cos(at + behind), rest + amps * Math.cos(at)));
        }
        return new LoadEllipse(speaker, List.copyOf(points));
    }
}
