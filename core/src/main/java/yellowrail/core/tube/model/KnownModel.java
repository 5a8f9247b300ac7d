package yellowrail.core.tube.model;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A type's model and how well the type is known.
 *
 * @param type the type number
 * @param model its parameters
 * @param points points it was fitted to
 * @param plateError greatest deviation of plate current at those points, as a ratio
 * @param screenError the same for screen current, where there are any
 * @param knee the published operation whose power placed it, and is no check of the model any more
 * @param like the type whose curves these are, where this one has none of its own
 * @param one where it is one tube's own
 */
public record KnownModel(
        String type,
        TubeModel model,
        int points,
        double plateError,
        OptionalDouble screenError,
        Optional<PublishedOperation> knee,
        Optional<Like> like,
        Optional<One> one) {

    /**
     * What makes a model one tube\u2019s own.
     *
     * @param biasSpread how far the grid volts told from it may lie off, V
     * @param traced by points of its curves; empty where its type\u2019s curves were fitted to what was read of it
     */
    public record One(double biasSpread, Optional<TracedTube> traced) {}

    /** A type with the same curves; not sure where it should be verified. */
    public record Like(String type, boolean sure) {}

    /**
     * From the type alone an idle's bias is not known better than this, V: tubes of one type scatter more than the
     * model errs.
     */
    private static final double BIAS_SPREAD = 3;
    /** With too few points the curve between them is a guess as well. */
    private static final double GUESSED_SPREAD = 6;
    /** Of one tube by its own points: what meters and another day's mains leave. */
    private static final double TRACED_SPREAD = 1;
    /** Fewer points than this leave the model to guess between them. */
    private static final int ENOUGH = 3;

    /** How far the grid volts told from the type alone may lie off, V. */
    public double biasSpread() {
        return one.map(One::biasSpread).orElse(points < ENOUGH ? GUESSED_SPREAD : BIAS_SPREAD);
    }

    /** Under the number a catalogue has it by, so many of them side by side. */
    KnownModel as(String number, int sections) {
        return new KnownModel(number, model.scaled(sections), points, plateError, screenError, knee, like, one);
    }

    /** This type’s curves as those of another, which has none of its own. */
    KnownModel sharedBy(String other, boolean sure) {
        return new KnownModel(
                other, model, points, plateError, screenError, knee, Optional.of(new Like(type, sure)), one);
    }

    /** Made into one tube of the type. */
    public KnownModel as(OwnTube own) {
        double spread = Math.max(TRACED_SPREAD, biasSpread() * Math.min(1, own.unsure()));
        return new KnownModel(
                type,
                own.of(model),
                points,
                plateError,
                screenError,
                knee,
                like,
                Optional.of(new One(spread, Optional.empty())));
    }

    /** One tube of a type by points of its own curves, which stands for nothing but them. */
    public static KnownModel of(String type, TracedTube tube) {
        return new KnownModel(
                type,
                tube.model(),
                tube.points(),
                tube.worstError(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new One(TRACED_SPREAD, Optional.of(tube))));
    }

    /** How far to trust it. */
    public ModelFinding trust() {
        Optional<TracedTube> traced = one.flatMap(One::traced);
        if (traced.isPresent()) {
            return ModelFinding.Traced.of(traced.get());
        }
        ModelFinding fitted = model.isTriode() ? triode() : pentode();
        return like.map(of -> of.sure()
                        ? (ModelFinding) new ModelFinding.Shared(of.type(), fitted)
                        : new ModelFinding.SharedToVerify(of.type(), fitted))
                .orElse(fitted);
    }

    private ModelFinding pentode() {
        ModelFinding placed = knee.<ModelFinding>map(
                        operation -> new ModelFinding.KneeByPower(operation.plateVolts(), operation.screenVolts()))
                .orElseGet(ModelFinding.KneeAsUsual::new);
        return points < ENOUGH
                ? new ModelFinding.FittedToFew(points, plateError, screenError.orElse(0), placed)
                : new ModelFinding.Fitted(points, plateError, screenError.orElse(0), placed);
    }

    private ModelFinding triode() {
        ModelFinding placed = knee.<ModelFinding>map(operation -> new ModelFinding.PowerMet(operation.plateVolts()))
                .orElseGet(ModelFinding.PowerNotPublished::new);
        return points < ENOUGH
                ? new ModelFinding.TriodeFittedToFew(points, plateError, placed)
                : new ModelFinding.TriodeFitted(points, plateError, placed);
    }
}
