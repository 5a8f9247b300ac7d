package yellowrail.core.iron;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of hook-ups, of a transformer's taps and of what its voltages show. */
public sealed interface IronFinding extends Finding {

    // What hangs on a secondary

    record OnUsualTap(String written) implements IronFinding {}

    record OnTap(
            String written,
            @In(value = Unit.OHM, given = true) double tap) implements IronFinding {}

    record HookupTooLong(int most) implements IronFinding {}

    record HookupParts(String typed) implements IronFinding {}

    record TapNotNamed(String typed) implements IronFinding {}

    record NoHookup(String typed) implements IronFinding {}

    // Which taps are which

    /** The one tap, if it is the one for this speaker. */
    record TapFor(
            @In(value = Unit.OHM, given = true) double speaker,
            @In(value = Unit.KILOHM, decimals = 2) double primary) implements IronFinding {}

    record TapsFor(
            List<String> taps,
            List<Double> speakers,
            @In(value = Unit.KILOHM, decimals = 2) double primary) implements IronFinding {}

    // What does not look right

    record HalvesDiffer(@In(Unit.PERCENT) double by) implements IronFinding {}

    record HalvesDoNotAddUp() implements IronFinding {}

    record NoScreenTap(@In(Unit.PERCENT) double at) implements IronFinding {}

    record TooFewTurns(
            String tap,
            @In(value = Unit.KILOHM, decimals = 2) double least) implements IronFinding {}

    record TooManyTurns(
            String tap,
            @In(value = Unit.KILOHM, decimals = 2) double most) implements IronFinding {}

    record TapsDoNotFit() implements IronFinding {}

    record SourceSags(@In(Unit.PERCENT) double part) implements IronFinding {}

    // Two windings

    record InPhase(@In(value = Unit.VOLT, decimals = 2) double difference) implements IronFinding {}

    record OutOfPhase(@In(value = Unit.VOLT, decimals = 2) double sum) implements IronFinding {}

    record NeitherSumNorDifference(
            @In(value = Unit.VOLT, decimals = 2) double difference,
            @In(value = Unit.VOLT, decimals = 2) double sum) implements IronFinding {}

    /** One of the windings has so little that sum and difference cannot be told apart. */
    record PhaseNotTold(
            @In(value = Unit.VOLT, decimals = 2) double difference,
            @In(value = Unit.VOLT, decimals = 2) double sum) implements IronFinding {}

    // Inductance

    record PrimaryInductance(
            @In(decimals = 1) double henries,
            @In(decimals = 1) double plusMinus,
            @In(decimals = 0) double hertz,
            @In(value = Unit.KILOHM, decimals = 1) double load)
            implements IronFinding {}

    record LeakageInductance(
            @In(decimals = 1) double millihenries,
            @In(decimals = 1) double plusMinus,
            @In(decimals = 0) double kilohertz,
            @In(value = Unit.KILOHM, decimals = 1) double load)
            implements IronFinding {}

    /** The winding takes nearly all or nearly none of the volts. */
    record AnotherResistor(
            @In(value = Unit.OHM, decimals = 0) double ohms) implements IronFinding {}

    /** Tubes for which a load is a published one. */
    record WorksFor(
            String type,
            @In(value = Unit.KILOHM, decimals = 1) double load,
            @In(value = Unit.VOLT, decimals = 0) double plates,
            @In(value = Unit.WATT, decimals = 0) double watts)
            implements IronFinding {}

    /** Fed from a secondary: with how little the primary becomes dangerous. */
    record StepsUp(
            @In(decimals = 1) double turns,
            @In(value = Unit.VOLT, decimals = 2) double fed,
            String tap,
            @In(value = Unit.VOLT, decimals = 0) double touch)
            implements IronFinding {}
}
