package yellowrail.core.tube.model;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** How far a type's model is to be trusted. */
public sealed interface ModelFinding extends Finding {

    record Fitted(
            int points,
            @In(value = Unit.PERCENT, decimals = 1) double plateError,
            @In(value = Unit.PERCENT, decimals = 0) double screenError,
            ModelFinding knee)
            implements ModelFinding {}

    /** Too few points to trust it between them. */
    record FittedToFew(
            int points,
            @In(value = Unit.PERCENT, decimals = 1) double plateError,
            @In(value = Unit.PERCENT, decimals = 0) double screenError,
            ModelFinding knee)
            implements ModelFinding {}

    record KneeByPower(
            @In(value = Unit.VOLT, decimals = 0) double plate,
            @In(value = Unit.VOLT, decimals = 0) double screen) implements ModelFinding {}

    record KneeAsUsual() implements ModelFinding {}

    record TriodeFitted(
            int points,
            @In(value = Unit.PERCENT, decimals = 1) double plateError,
            ModelFinding placed) implements ModelFinding {}

    /** Too few points to trust it between them. */
    record TriodeFittedToFew(
            int points,
            @In(value = Unit.PERCENT, decimals = 1) double plateError,
            ModelFinding placed) implements ModelFinding {}

    record PowerMet(@In(value = Unit.VOLT, decimals = 0) double plate) implements ModelFinding {}

    record PowerNotPublished() implements ModelFinding {}

    /** The curves are one tube's own. */
    record Traced(
            int points,
            @In(value = Unit.MILLIAMP, decimals = 1) double off,
            @In(value = Unit.VOLT, decimals = 0) double plateFrom,
            @In(value = Unit.VOLT, decimals = 0) double plateTo,
            @In(value = Unit.VOLT, decimals = 0) double gridFrom,
            @In(value = Unit.VOLT, decimals = 0) double gridTo)
            implements ModelFinding {

        static Traced of(TracedTube tube) {
            return new Traced(
                    tube.points(),
                    tube.unseen().orElse(tube.off()),
                    tube.plate().from(),
                    tube.plate().to(),
                    tube.grid().from(),
                    tube.grid().to());
        }
    }

    /** The curves are another type's. */
    record Shared(String like, ModelFinding trust) implements ModelFinding {}

    /** As {@link Shared}, and nobody is sure of it. */
    record SharedToVerify(String like, ModelFinding trust) implements ModelFinding {}
}
