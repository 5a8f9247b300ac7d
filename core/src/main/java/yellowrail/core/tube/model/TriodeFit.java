package yellowrail.core.tube.model;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The parameters of a {@link TriodeModel} that meet a type’s figures best. The points alone tell little of the plate
 * current at the grid’s edge, so the published powers of the single-ended stages are met as well.
 */
final class TriodeFit {

    /** What the published figures deserve, ratios: plate current, plate resistance, amplification, slope, power. */
    private static final double PLATE = 0.015;

    private static final double RESISTANCE = 0.04;
    private static final double AMPLIFICATION = 0.03;
    private static final double SLOPE = 0.08;
    private static final double POWER = 0.026;
    /** Usual parameters and how far, as a ratio, a type may lie from them: mu, ex, kg1, kp, kvb. */
    private static final double[] USUAL = {4.2, 1.35, 1500, 60, 500};

    private static final double[] LATITUDE = {0.3, 0.2, 3, 0.7, 1.5};

    private final List<StaticPoint> points;
    private final List<PublishedOperation> operations;
    /** Of the points, by which the fit begins. */
    private final double mu;

    TriodeFit(List<StaticPoint> points, List<PublishedOperation> operations) {
        this.points = points;
        this.operations =
                operations.stream().filter(operation -> !operation.pushPull()).toList();
        this.mu = points.stream()
                .filter(p ->
                        p.transconductance().isPresent() && p.plateResistance().isPresent())
                .mapToDouble(p ->
                        p.transconductance().getAsDouble() * p.plateResistance().getAsDouble())
                .average()
                .orElse(USUAL[0]);
    }

    /** What is usual, with an amplification. */
    static TriodeModel usual(double mu) {
        return new TriodeModel(mu, USUAL[1], USUAL[2], USUAL[3], USUAL[4]);
    }

    static double[] latitude() {
        return LATITUDE.clone();
    }

    TriodeModel settle() {
        return model(new LogLeastSquares(USUAL.length, this::residuals).settle());
    }

    private TriodeModel model(double[] x) {
        double[] p = IntStream.range(0, USUAL.length)
                .mapToDouble(i -> (i == 0 ? mu : USUAL[i]) * Math.exp(x[i]))
                .toArray();
        return new TriodeModel(p[0], p[1], p[2], p[3], p[4]);
    }

    private double[] residuals(double[] x) {
        TriodeModel model = model(x);
        List<Double> residuals = new ArrayList<>();
        for (StaticPoint p : points) {
            double gm = model.transconductance(p.plate(), p.screen(), p.grid());
            double ra = model.plateResistance(p.plate(), p.screen(), p.grid());
            residuals.add(off(model.plateCurrent(p.plate(), p.screen(), p.grid()), p.plateAmps(), PLATE));
            p.transconductance().ifPresent(published -> residuals.add(off(gm, published, SLOPE)));
            p.plateResistance().ifPresent(published -> {
                residuals.add(off(ra, published, RESISTANCE));
                p.transconductance().ifPresent(slope -> residuals.add(off(gm * ra, slope * published, AMPLIFICATION)));
            });
        }
        operations.forEach(
                operation -> residuals.add(off(FiveOrdinates.watts(model, operation), operation.watts(), POWER)));
        for (int i = 0; i < x.length; i++) {
            residuals.add(x[i] / LATITUDE[i]);
        }
        return residuals.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static double off(double computed, double published, double deserves) {
        return Math.log(computed / published) / deserves;
    }
}
