package yellowrail.core.drawer;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be said of the tubes of a drawer, and of a file or a form that tells of them. */
public sealed interface DrawerFinding extends Finding {

    // Why a tube cannot be compared, and what to know of one that can

    record NeverTested() implements DrawerFinding {}

    record Waste() implements DrawerFinding {}

    record RingsByItself() implements DrawerFinding {}

    record OtherCurrent(TesterReading.Current tested, TesterReading.Current others) implements DrawerFinding {}

    record OtherCondition(Finding condition) implements DrawerFinding {}

    record Converted(Finding condition) implements DrawerFinding {}

    record Unstable(
            @In(value = Unit.PERCENT, decimals = 0, change = true)
            double rise) implements DrawerFinding {}

    /** What a run saw of the tube. */
    record Crept(@In(Unit.PERCENT) double by, long minutes) implements DrawerFinding {}

    /** The tube beside its type, as ratios. */
    record BesideItsType(
            String type,
            @In(decimals = 2) double current,
            @In(decimals = 2) double currentPlusMinus,
            @In(decimals = 2) double mu,
            @In(decimals = 2) double muPlusMinus,
            int tests,
            int settings,
            int points)
            implements DrawerFinding {}

    /** Farther from its type than tubes scatter. */
    record FarFromItsType() implements DrawerFinding {}

    // What is wrong with a cell

    record TypeNeeded() implements DrawerFinding {}

    record LabelNeeded() implements DrawerFinding {}

    /** A scale of its own needs the setting it was read at. */
    record SettingNeeded() implements DrawerFinding {}

    record NoWarmUp() implements DrawerFinding {}
}
