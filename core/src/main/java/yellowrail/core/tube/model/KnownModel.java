package yellowrail.core.tube.model;

import java.util.Optional;

/**
 * A type's model and how well the type is known.
 *
 * @param type the type number
 * @param model its parameters
 * @param points published points it was fitted to
 * @param plateError greatest deviation of plate current at those points, as a ratio
 * @param screenError the same for screen current
 * @param knee the published operation whose power placed the knee, and is no check of the model any more
 */
public record KnownModel(
        String type,
        PentodeModel model,
        int points,
        double plateError,
        double screenError,
        Optional<PublishedOperation> knee) {

    /**
     * From the type alone an idle's bias is not known better than this, V: tubes of one type scatter more than the
     * model errs.
     */
    private static final double BIAS_SPREAD = 3;
    /** With too few points the curve between them is a guess as well. */
    private static final double GUESSED_SPREAD = 6;
    /** Fewer points than this leave the model to guess between them. */
    private static final int ENOUGH = 3;

    /** How far the grid volts told from the type alone may lie off, V. */
    public double biasSpread() {
        return points < ENOUGH ? GUESSED_SPREAD : BIAS_SPREAD;
    }

    /** How far to trust it. */
    public ModelFinding trust() {
        ModelFinding placed = knee.<ModelFinding>map(
                        operation -> new ModelFinding.KneeByPower(operation.plateVolts(), operation.screenVolts()))
                .orElseGet(ModelFinding.KneeAsUsual::new);
        return points < ENOUGH
                ? new ModelFinding.FittedToFew(points, plateError, screenError, placed)
                : new ModelFinding.Fitted(points, plateError, screenError, placed);
    }
}
