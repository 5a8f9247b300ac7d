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

    /** Fed from a secondary: with how little the primary becomes dangerous. */
    record StepsUp(
            @In(decimals = 1) double turns,
            @In(value = Unit.VOLT, decimals = 2) double fed,
            String tap,
            @In(value = Unit.VOLT, decimals = 0) double touch)
            implements IronFinding {}
}
