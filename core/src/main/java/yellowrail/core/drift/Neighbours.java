package yellowrail.core.drift;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A test point beside the others under the same mains: what moves them all is not its doing. */
final class Neighbours {

    private final List<Judged> all;
    private final OptionalDouble noise;

    Neighbours(List<Judged> all, OptionalDouble noise) {
        this.all = all;
        this.noise = noise;
    }

    /** A point less the middle one of the others; empty where none of them was read over the same time. */
    Optional<Beside> difference(Judged of) {
        List<Curve> others = all.stream()
                .filter(each -> each != of && each.drift().isPresent())
                .map(Judged::curve)
                .toList();
        Curve curve = of.curve();
        List<Integer> kept = new ArrayList<>();
        double[] less = new double[curve.size()];
        for (int i = 0; i < curve.size(); i++) {
            double when = curve.minutes()[i];
            double[] there = others.stream()
                    .mapToDouble(other -> other.at(when))
                    .filter(Double::isFinite)
                    .sorted()
                    .toArray();
            if (there.length > 0) {
                less[i] = curve.percent()[i] - median(there);
                kept.add(i);
            }
        }
        if (kept.size() < Judged.FEWEST) {
            return Optional.empty();
        }
        Curve apart = new Curve(
                kept.stream().mapToDouble(i -> curve.minutes()[i]).toArray(),
                kept.stream().mapToDouble(i -> less[i]).toArray(),
                curve.middle(),
                curve.notes());
        double factor = Math.sqrt(1 + 1.0 / Math.max(1, others.size()));
        Noise.Source scatter = new Noise.Source(noise, 0).times(factor);
        return Optional.of(new Beside(apart, scatter, new DriftFitter(apart, scatter).fit()));
    }

    /** What a point does that its neighbours do not. */
    record Beside(Curve curve, Noise.Source scatter, DriftFit drift) {

        boolean runsAway() {
            return Growth.of(curve, drift, scatter).isRunaway(curve);
        }
    }

    private static double median(double[] sorted) {
        int n = sorted.length;
        return n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2;
    }

    /** How alike the residuals of the points are that were read at the same times: from -1 to 1; 0 where none were. */
    double likeness() {
        List<double[]> residuals = new ArrayList<>();
        Curve first = null;
        for (Judged each : all) {
            if (each.drift().isEmpty() || each.curve().size() < 12) {
                continue;
            }
            Curve curve = each.curve();
            if (first == null) {
                first = curve;
            }
            double[] at = new double[first.size()];
            for (int i = 0; i < at.length; i++) {
                double when = first.minutes()[i];
                at[i] = curve.at(when) - each.drift().get().at(when);
            }
            residuals.add(at);
        }
        double sum = 0;
        int pairs = 0;
        for (int i = 0; i < residuals.size(); i++) {
            for (int j = 0; j < i; j++) {
                sum += correlation(residuals.get(i), residuals.get(j));
                pairs++;
            }
        }
        return pairs == 0 ? 0 : sum / pairs;
    }

    private static double correlation(double[] one, double[] other) {
        double both = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < one.length; i++) {
            if (Double.isFinite(one[i]) && Double.isFinite(other[i])) {
                both += one[i] * other[i];
                first += one[i] * one[i];
                second += other[i] * other[i];
            }
        }
        return first * second == 0 ? 0 : both / Math.sqrt(first * second);
    }

    /** Largest scatter among them, %. */
    double scatter() {
        return all.stream()
                .flatMap(each -> each.drift().stream())
                .mapToDouble(drift -> drift.noise().deviation())
                .max()
                .orElse(0);
    }
}
