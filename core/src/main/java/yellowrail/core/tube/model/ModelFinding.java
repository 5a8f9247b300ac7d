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

    /** The curves are another type's. */
    record Shared(String like, ModelFinding trust) implements ModelFinding {}

    /** As {@link Shared}, and nobody is sure of it. */
    record SharedToVerify(String like, ModelFinding trust) implements ModelFinding {}
}
