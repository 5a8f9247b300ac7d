package yellowrail.core.tube.model;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Fits a model to the published points of one type: least squares over the logarithms of the parameters, each residual
 * relative and divided by how well the published figure deserves to be met. A type has fewer figures than the model has
 * parameters, so each parameter is also held, weakly, to what is usual for power tubes.
 */
public final class ModelFit {

    private final String type;
    private final List<StaticPoint> points;
    private final List<PublishedOperation> operations;

    /**
     * @param type the type number
     * @param points its published points, at least one
     * @param operations its published operation: a pentode’s all give their idle, the first in push-pull, else the
     *     first, the knee; a triode’s single-ended ones give their power
     */
    public ModelFit(String type, List<StaticPoint> points, List<PublishedOperation> operations) {
        if (points.isEmpty()) {
            throw new IllegalArgumentException("%s has no published points to fit to".formatted(type));
        }
        this.type = type;
        this.points = List.copyOf(points);
        this.operations = List.copyOf(operations);
    }

    /**
     * @return the fitted model with its errors
     * @throws org.hipparchus.exception.MathIllegalStateException if the fit does not settle within its evaluations
     */
    public KnownModel fit() {
        boolean triode = points.stream().allMatch(StaticPoint::triode);
        TubeModel model = triode
                ? new TriodeFit(points, operations).settle()
                : new PentodeFit(points, operations, knee()).settle();
        double plate = points.stream()
                .mapToDouble(p -> Math.abs(model.plateCurrent(p.plate(), p.screen(), p.grid()) / p.plateAmps() - 1))
                .max()
                .orElseThrow();
        OptionalDouble screen = points.stream()
                .filter(p -> p.screenAmps().isPresent())
                .mapToDouble(p -> Math.abs(model.screenCurrent(p.plate(), p.screen(), p.grid())
                                / p.screenAmps().getAsDouble()
                        - 1))
                .max();
        return new KnownModel(type, model, points.size(), plate, screen, knee(), Optional.empty(), Optional.empty());
    }

    /** The operation whose power placed the model, and is no check of it any more. */
    private Optional<PublishedOperation> knee() {
        return operations.stream()
                .filter(operation -> operation.triode() != operation.pushPull())
                .findFirst()
                .or(() -> operations.stream()
                        .filter(operation -> !operation.triode())
                        .findFirst());
    }
}
