package yellowrail.core.walk;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;

/** What a node tells of the amp, with one test that would tell for certain. */
public sealed interface WalkFinding extends Finding {

    // Out of family

    record UnlikeItsTwin(
            String label,
            @In(value = Unit.VOLT, given = true) double volts,
            String twin,
            @In(value = Unit.VOLT, given = true) double twinVolts)
            implements WalkFinding {}

    record UnlikeLastRun(
            String label,
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.VOLT, given = true) double before,
            @In(Unit.VOLT) double scaled)
            implements WalkFinding {}

    // Limits

    record PastItsCapacitor(
            String label,
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double rating) implements WalkFinding {}

    // Plates

    record NoCurrent(String label, @In(Unit.VOLT) double volts, String supply) implements WalkFinding {}

    record CathodeOpen(
            String label, String cathode, @In(Unit.VOLT) double volts) implements WalkFinding {}

    record DeadTube(String label, String cathode) implements WalkFinding {}

    record GridPulledUp(String label, String cathode) implements WalkFinding {}

    record PlateResistorRisen(
            String label,
            @In(value = Unit.KILOHM, given = true) double ohms) implements WalkFinding {}

    record DrawsTooMuch(String label) implements WalkFinding {}

    record DrawsTooLittle(String label) implements WalkFinding {}

    record CathodeResistorRisen(String label, String cathode) implements WalkFinding {}

    // Cathodes

    record CathodeHigh(String label) implements WalkFinding {}

    record CathodeDead(String label) implements WalkFinding {}

    record CathodeLow(String label) implements WalkFinding {}

    // Grids

    record GridHasDc(
            String label,
            @In(value = Unit.VOLT, given = true) double volts) implements WalkFinding {}

    record GridBiasOff(String label) implements WalkFinding {}

    // Supplies

    record FollowsItsSupply(String label, String supply) implements WalkFinding {}

    record BranchLow(
            String label,
            String supply,
            @In(value = Unit.KILOHM, given = true) double ohms) implements WalkFinding {}

    record SourceLow(String label) implements WalkFinding {}

    record SupplyHigh(String label) implements WalkFinding {}

    // Others

    record HeaterOff(String label) implements WalkFinding {}

    record ReadOscillatorOff(String label) implements WalkFinding {}

    record SomethingElse(String label) implements WalkFinding {}

    // Where the probe goes

    record AtNode(String label) implements WalkFinding {}

    record AtStage(String place, ReadingKind kind) implements WalkFinding {}

    record HotSpots(
            List<String> labels,
            @In(value = Unit.VOLT, decimals = 0) double most) implements WalkFinding {}

    record KeepTheirCharge(List<String> labels) implements WalkFinding {}

    // What should be read

    record ExpectedOne(
            @In(value = Unit.VOLT, given = true) double volts,
            @In(value = Unit.PERCENT, decimals = 0) double tolerance,
            Expected.Source source,
            Optional<WalkFinding> mains)
            implements WalkFinding {}

    record ExpectedRange(
            @In(value = Unit.VOLT, given = true) double low,
            @In(value = Unit.VOLT, given = true) double high,
            Expected.Source source,
            Optional<WalkFinding> mains)
            implements WalkFinding {}

    record GivenAt(@In(value = Unit.VOLT, given = true) double mains) implements WalkFinding {}

    record WindowNow(
            @In(Unit.VOLT) double low, @In(Unit.VOLT) double high, Optional<WalkFinding> mains)
            implements WalkFinding {}

    // Where the current goes

    record Accounted(
            String label,
            @In(Unit.MILLIAMP) double residue,
            @In(value = Unit.MILLIAMP, plusMinus = true) double plusMinus)
            implements WalkFinding {}

    record TypedCoarsely(List<String> labels) implements WalkFinding {}

    record NotAccounted(
            String label,
            @In(Unit.MILLIAMP) double residue,
            @In(value = Unit.MILLIAMP, plusMinus = true) double plusMinus,
            Optional<WalkFinding> because)
            implements WalkFinding {}

    record TooMuchDrawn(
            String label,
            @In(Unit.MILLIAMP) double residue,
            @In(value = Unit.MILLIAMP, plusMinus = true) double plusMinus,
            Optional<WalkFinding> because)
            implements WalkFinding {}

    record NotReadThere(List<String> what) implements WalkFinding {}

    record FlowsBackwards(String from, String to) implements WalkFinding {}

    record PastItsRating(
            String from,
            String to,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements WalkFinding {}

    record PastItsRatingDriven(
            String from,
            String to,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements WalkFinding {}

    record ChokePastRatingDriven(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rating)
            implements WalkFinding {}

    record DrivenGives(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.PERCENT, decimals = 0) double share) implements WalkFinding {}

    record DrivenGivesInAll(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements WalkFinding {}

    record ChokePastRating(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rating)
            implements WalkFinding {}

    record TransformerGives(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rating,
            @In(value = Unit.PERCENT, decimals = 0) double share)
            implements WalkFinding {}

    record RectifierGives(
            String type,
            @In(value = Unit.MILLIAMP, decimals = 0) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rating,
            @In(value = Unit.PERCENT, decimals = 0) double share)
            implements WalkFinding {}

    record AllSourcesGive(
            @In(value = Unit.MILLIAMP, decimals = 0) double amps) implements WalkFinding {}

    /** A node between two resistors: what they alone would make of it, and what is taken from it. */
    record DividerGives(
            String label,
            @In(Unit.VOLT) double alone,
            @In(value = Unit.VOLT, given = true) double read,
            @In(Unit.MILLIAMP) double taken,
            @In(value = Unit.MILLIAMP, plusMinus = true) double plusMinus)
            implements WalkFinding {}

    record StagesDisagree(
            String stage,
            @In(Unit.MILLIAMP) double plates,
            @In(Unit.MILLIAMP) double cathodes) implements WalkFinding {}

    // How it was compared

    record ExpectedWithoutMains(String label) implements WalkFinding {}

    record MainsNotRead() implements WalkFinding {}
}
