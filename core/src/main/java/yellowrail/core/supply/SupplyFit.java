package yellowrail.core.supply;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Fits the supply line to points: weighted least squares for {@code V = Voc m - Rs I}. A point far from the present
 * current counts for less, because a real supply is curved and the next move needs the slope where it starts. Of four
 * points or more, one that the others contradict is left out and named. One point alone gives a line with a guessed
 * source resistance.
 *
 * <p>Source: ordinary weighted least squares; the error is the parameters' covariance, widened by the scatter where
 * there are more points than two.
 */
public final class SupplyFit {

    /** How much a supply bends, as a part of its voltage, between no current and the present one. */
    private static final double CURVATURE = 0.005;
    /** Currents nearer to one another than this, as a ratio, show no slope. */
    private static final double APART = 0.02;
    /** How far a guessed source resistance may lie from the true one, as a ratio, at one sigma. */
    private static final double GUESS = 0.4;
    /** A slope less sure than this part of the guess, at one sigma, is held to the guess as well. */
    private static final double VAGUE = 0.25;
    /** Outside these no amp that works has its source resistance, ohm. */
    private static final double LEAST_OHMS = 20;

    private static final double MOST_OHMS = 5000;
    /** A point is left out when it lies this many sigmas and this part of its voltage away from what the others say. */
    private static final double OUT_SIGMAS = 4;

    private static final double OUT_RATIO = 0.008;
    private static final double OUT_UNLOADED = 0.05;
    private static final int ENOUGH_TO_NAME = 4;
    /** A point with less than this to share its leverage with is the only one to show the slope. */
    private static final double ALONE = 1e-3;
    /** Where more than one in so many would be left out, the readings make no line at all. */
    private static final int MOST_OUT = 3;

    private final List<SupplyPoint> points;
    private final double guessedOhms;
    private final SupplyFinding guessedFrom;

    /**
     * @param points oldest first, at least one; the newest says what the present current is
     * @param guessedOhms what to take for a source resistance while the points show no slope, ohm, &gt; 0
     * @param guessedFrom what that guess rests on
     */
    public SupplyFit(List<SupplyPoint> points, double guessedOhms, SupplyFinding guessedFrom) {
        if (points.isEmpty()) {
            throw new IllegalArgumentException("a supply line needs at least one point");
        }
        this.points = List.copyOf(points);
        this.guessedOhms = guessedOhms;
        this.guessedFrom = guessedFrom;
    }

    public SupplyLine fit() {
        List<SupplyPoint> used = new ArrayList<>(points);
        List<SupplyPoint> outliers = new ArrayList<>();
        while (used.size() >= ENOUGH_TO_NAME && showsSlope(used) && outliers.size() <= points.size() / MOST_OUT) {
            Optional<SupplyPoint> worst = worst(used);
            if (worst.isEmpty()) {
                break;
            }
            used.remove(worst.get());
            outliers.add(worst.get());
        }
        if (!showsSlope(used)) {
            return guessed(used.get(used.size() - 1), outliers, Optional.empty());
        }
        SupplyLine line = leastSquares(used);
        if (!isSupply(line, used)) {
            return guessed(
                    used.get(used.size() - 1),
                    outliers,
                    Optional.of(new SupplyFinding.NoSupplyLine(line.source(), line.resistance())));
        }
        SupplyLine sure = line.covariance().resistance() > VAGUE * VAGUE * guessedOhms * guessedOhms
                ? leastSquares(used, guessedOhms)
                : line;
        return new SupplyLine(
                sure.source(),
                sure.resistance(),
                sure.covariance(),
                used,
                outliers,
                Optional.empty(),
                Optional.empty());
    }

    /** Whether a supply can be so: no less open than under load, and with a source resistance that amps have. */
    private static boolean isSupply(SupplyLine line, List<SupplyPoint> used) {
        return line.resistance() >= LEAST_OHMS
                && line.resistance() <= MOST_OHMS
                && used.stream()
                        .allMatch(point -> line.source() * point.mainsRatio()
                                >= point.volts() - OUT_UNLOADED * point.volts() * (point.unloaded() ? 1 : 0));
    }

    private static boolean showsSlope(List<SupplyPoint> used) {
        double least = used.stream()
                .mapToDouble(point -> point.amps() / point.mainsRatio())
                .min()
                .orElseThrow();
        double most = used.stream()
                .mapToDouble(point -> point.amps() / point.mainsRatio())
                .max()
                .orElseThrow();
        return most - least > APART * most;
    }

    private SupplyLine guessed(SupplyPoint at, List<SupplyPoint> outliers, Optional<SupplyFinding> refused) {
        double variance = GUESS * guessedOhms * GUESS * guessedOhms;
        double perMains = at.amps() / at.mainsRatio();
        return new SupplyLine(
                (at.volts() + guessedOhms * at.amps()) / at.mainsRatio(),
                guessedOhms,
                new SupplyLine.Covariance(perMains * perMains * variance, perMains * variance, variance),
                List.of(at),
                outliers,
                Optional.of(guessedFrom),
                refused);
    }

    /**
     * The point that the others contradict most, if one is contradicted enough. What the others say is had without a
     * fit of its own for each: with the leverage {@code h} of a point, its distance from the line of the others is its
     * residual over {@code 1 - h}. Source: the deletion formulas of linear regression.
     */
    private static Optional<SupplyPoint> worst(List<SupplyPoint> used) {
        SupplyLine line = leastSquares(used);
        double squares = squares(used, line.source(), line.resistance());
        double widened = widen(used, squares);
        SupplyPoint worst = null;
        double most = 1;
        for (SupplyPoint point : used) {
            double sigma = sigma(point, used);
            double mainsPart =
                    point.mainsRatio() * point.mainsRatio() * line.covariance().source();
            double ampsPart = point.amps() * point.amps() * line.covariance().resistance();
            double leverage = (mainsPart
                            + ampsPart
                            - 2
                                    * point.mainsRatio()
                                    * point.amps()
                                    * line.covariance().both())
                    / widened
                    / (sigma * sigma);
            double residual = point.volts() - line.voltsAt(point.amps(), point.mainsRatio());
            double without = squares - residual * residual / (sigma * sigma) / (1 - leverage);
            double scatter = Math.max(1, without / (used.size() - 3));
            double predicted = sigma * Math.sqrt(1 + scatter * leverage / (1 - leverage));
            double allowed =
                    Math.max(OUT_SIGMAS * predicted, point.volts() * (point.unloaded() ? OUT_UNLOADED : OUT_RATIO));
            double excess = Math.abs(residual) / (1 - leverage) / allowed;
            if (1 - leverage > ALONE && excess > most) {
                most = excess;
                worst = point;
            }
        }
        return Optional.ofNullable(worst);
    }

    /** The residuals of a line in sigmas, squared and summed. */
    private static double squares(List<SupplyPoint> used, double source, double resistance) {
        double sum = 0;
        for (SupplyPoint point : used) {
            double residual =
                    (point.volts() - source * point.mainsRatio() + resistance * point.amps()) / sigma(point, used);
            sum += residual * residual;
        }
        return sum;
    }

    private static double sigma(SupplyPoint point, List<SupplyPoint> all) {
        double present = all.get(all.size() - 1).amps();
        double away = Math.abs(point.amps() - present) / Math.max(present, point.amps());
        double bend = CURVATURE * point.volts() * away * away;
        return Math.sqrt(point.noise() * point.noise() + bend * bend);
    }

    private static SupplyLine leastSquares(List<SupplyPoint> used) {
        return leastSquares(used, Double.NaN);
    }

    /** @param guess a source resistance to be held to as firmly as a guess deserves, ohm; NaN for none */
    private static SupplyLine leastSquares(List<SupplyPoint> used, double guess) {
        double mm = 0;
        double mi = 0;
        double ii = 0;
        double mv = 0;
        double iv = 0;
        for (SupplyPoint point : used) {
            double sigma = sigma(point, used);
            double weight = 1 / (sigma * sigma);
            mm += weight * point.mainsRatio() * point.mainsRatio();
            mi += weight * point.mainsRatio() * point.amps();
            ii += weight * point.amps() * point.amps();
            mv += weight * point.mainsRatio() * point.volts();
            iv += weight * point.amps() * point.volts();
        }
        if (!Double.isNaN(guess)) {
            double weight = 1 / (GUESS * guess * GUESS * guess);
            ii += weight;
            iv -= weight * guess;
        }
        double determinant = mm * ii - mi * mi;
        double source = (mv * ii - mi * iv) / determinant;
        double resistance = (mv * mi - mm * iv) / determinant;
        double widen = widen(used, squares(used, source, resistance));
        return new SupplyLine(
                source,
                resistance,
                new SupplyLine.Covariance(widen * ii / determinant, widen * mi / determinant, widen * mm / determinant),
                used,
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    /** Chi square per degree of freedom where there are any, never below one. */
    private static double widen(List<SupplyPoint> used, double squares) {
        return used.size() < 3 ? 1 : Math.max(1, squares / (used.size() - 2));
    }
}
