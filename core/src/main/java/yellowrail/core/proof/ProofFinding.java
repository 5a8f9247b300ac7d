package yellowrail.core.proof;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is said of figures of the output. */
public sealed interface ProofFinding extends Finding {

    record OtherLoad(
            @In(Unit.OHM) double then, @In(Unit.OHM) double now) implements ProofFinding {}

    record OtherMains(
            @In(Unit.VOLT) double then, @In(Unit.VOLT) double now) implements ProofFinding {}

    record OtherBand(
            @In(Unit.HERTZ) double then, @In(Unit.HERTZ) double now) implements ProofFinding {}

    /** @param ratio by how much it differs, of what it is compared with */
    record OnceEach(@In(value = Unit.PERCENT, change = true) double ratio) implements ProofFinding {}

    /** @param scatter what the repeats leave open */
    record WithinTheScatter(
            @In(value = Unit.PERCENT, change = true) double ratio,
            @In(Unit.PERCENT) double scatter) implements ProofFinding {}

    record Differs(@In(value = Unit.PERCENT, change = true) double ratio) implements ProofFinding {}

    record AsComputed() implements ProofFinding {}

    /** @param apart what model and meter leave open together */
    record LessThanComputed(
            @In(value = Unit.WATT, decimals = 0) double computed,
            @In(value = Unit.WATT, plusMinus = true) double apart) implements ProofFinding {}

    /** The supply's sag is not known, so that the load line had none. */
    record LessThanStiff(
            @In(value = Unit.WATT, decimals = 0) double computed) implements ProofFinding {}

    record MoreThanComputed(
            @In(value = Unit.WATT, decimals = 0) double computed,
            @In(value = Unit.WATT, plusMinus = true) double apart) implements ProofFinding {}

    /** The same of the first harmonics leads. */
    record HarmonicsAsComputed(
            @In(value = Unit.PERCENT, decimals = 1) double second,
            @In(value = Unit.PERCENT, decimals = 1) double third) implements ProofFinding {}

    /** In the load line the third does: the sides are not alike. */
    record SecondLeads(
            @In(value = Unit.PERCENT, decimals = 1) double second,
            @In(value = Unit.PERCENT, decimals = 1) double third) implements ProofFinding {}

    /** In the load line the second does. */
    record ThirdLeads(
            @In(value = Unit.PERCENT, decimals = 1) double second,
            @In(value = Unit.PERCENT, decimals = 1) double third) implements ProofFinding {}

    /** Hum at twice the mains' frequency leads. */
    record MostlyRipple(
            @In(value = Unit.MILLIVOLT, decimals = 2) double ripple,
            @In(value = Unit.MILLIVOLT, decimals = 2) double hum)
            implements ProofFinding {}

    /** Hum at the mains' frequency leads. */
    record MostlyMains(
            @In(value = Unit.MILLIVOLT, decimals = 2) double hum,
            @In(value = Unit.MILLIVOLT, decimals = 2) double ripple)
            implements ProofFinding {}

    record BothHums(
            @In(value = Unit.MILLIVOLT, decimals = 2) double hum,
            @In(value = Unit.MILLIVOLT, decimals = 2) double ripple)
            implements ProofFinding {}
}
