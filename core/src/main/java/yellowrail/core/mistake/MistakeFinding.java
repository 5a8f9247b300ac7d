package yellowrail.core.mistake;

import java.util.List;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Base;
import yellowrail.core.tube.PinOut;

/** What is odd about a reading that was typed. */
public sealed interface MistakeFinding extends Finding {

    // What it means if it is real.

    record IfRealSwitchOff(
            @In(Unit.WATT) double watts,
            @In(value = Unit.PERCENT, decimals = 0) double ratio) implements MistakeFinding {}

    record IfRealOver(
            @In(Unit.WATT) double watts,
            @In(value = Unit.PERCENT, decimals = 0) double ratio) implements MistakeFinding {}

    // Numbers that cannot be, or can hardly be.

    record ThroughTheTube(String shown, String point, Shown amps) implements MistakeFinding {}

    record ThroughEachTube(String shown, String point, Shown amps) implements MistakeFinding {}

    record FarOverRating(String shown, String point) implements MistakeFinding {}

    record FarFromTheOthers(String shown, String point, Shown others) implements MistakeFinding {}

    record FarFromBefore(String shown, String point, Shown before) implements MistakeFinding {}

    record MilliampsAcrossAResistor(
            String shown, @In(Unit.OHM) double ohms, Unit shows) implements MistakeFinding {}

    record NoNodeVolts(String shown) implements MistakeFinding {}

    record NodeSlipped(
            String shown, String label, @In(Unit.VOLT) double expected) implements MistakeFinding {}

    record DrainedWhileOn() implements MistakeFinding {}

    record NoPlateVolts(String shown) implements MistakeFinding {}

    record PlatesFarFromBefore(String shown, @In(Unit.VOLT) double before) implements MistakeFinding {}

    record MainsFarFromSheet(String shown, @In(Unit.VOLT) double sheet) implements MistakeFinding {}

    record NoGridWithCathodeBias(String shown) implements MistakeFinding {}

    record PositiveGrid(String shown) implements MistakeFinding {}

    record NoGridVolts(String shown) implements MistakeFinding {}

    record NoHeaterVolts(String shown) implements MistakeFinding {}

    record NoScreenVolts(String shown) implements MistakeFinding {}

    record NoStopperDrop(String shown) implements MistakeFinding {}

    record NoScreenCurrent(String shown) implements MistakeFinding {}

    record NoCathodeVolts(String shown) implements MistakeFinding {}

    record ResistorFarFromSheet(String shown, @In(Unit.OHM) double sheet) implements MistakeFinding {}

    record SenseResistorIsAnother(
            String shown, @In(Unit.OHM) double sheet) implements MistakeFinding {}

    // Power, and what is rated for what.

    record ResistanceWhileOn() implements MistakeFinding {}

    record ReadWhileOff() implements MistakeFinding {}

    record BeforeTheTubesConduct(long seconds, long needs) implements MistakeFinding {}

    record PastTheCapacitors(
            @In(Unit.VOLT) double volts,
            @In(value = Unit.VOLT, given = true) double rating) implements MistakeFinding {}

    record PastAResistor(
            String point,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements MistakeFinding {}

    record PlateOverPublished(
            @In(Unit.VOLT) double volts,
            String type,
            @In(value = Unit.VOLT, given = true) double limit) implements MistakeFinding {}

    record ScreenOverPublished(
            @In(Unit.VOLT) double volts,
            String type,
            @In(value = Unit.VOLT, given = true) double limit) implements MistakeFinding {}

    record UnloadedVoltage(
            @In(Unit.VOLT) double volts, @In(Unit.VOLT) double unloaded) implements MistakeFinding {}

    record HalvesAtDifferentMains(
            List<String> read,
            @In(Unit.VOLT) double then,
            @In(Unit.VOLT) double now) implements MistakeFinding {}

    // What a current is the current of.

    record SumForOne(
            @In(Unit.MILLIAMP) double amps,
            @In(Unit.PERCENT) double ratio) implements MistakeFinding {}

    record OneForSum(
            String point, int tubes, @In(Unit.MILLIAMP) double each) implements MistakeFinding {}

    record PercentageForgotten(
            @In(Unit.PERCENT) double ratio,
            @In(Unit.PERCENT) double aim,
            String point,
            Shown turnBack) implements MistakeFinding {}

    record ScreenCounted(
            @In(Unit.PERCENT) double all,
            @In(Unit.PERCENT) double share,
            @In(Unit.PERCENT) double without) implements MistakeFinding {}

    record SignalPresent(
            @In(Unit.VOLT) double grid, @In(Unit.PERCENT) double rise) implements MistakeFinding {}

    // What comes out.

    record MoreThanTheStage(
            Shown volts,
            @In(Unit.OHM) double ohms,
            @In(value = Unit.WATT, decimals = 0) double watts,
            @In(value = Unit.WATT, decimals = 0) double most)
            implements MistakeFinding {}

    record MuchHum(Shown volts) implements MistakeFinding {}

    // One kind of bias for the other.

    record CathodeOnFixedBias(@In(Unit.VOLT) double volts) implements MistakeFinding {}

    record GridOnCathodeBias(@In(Unit.VOLT) double volts) implements MistakeFinding {}

    record JudgedByFixedNumbers(BiasKind bias, Shown low, Shown high, Shown customaryLow, Shown customaryHigh)
            implements MistakeFinding {}

    record JudgedByCathodeNumbers(BiasKind bias, Shown low, Shown high, Shown customaryLow, Shown customaryHigh)
            implements MistakeFinding {}

    // What is turned, and what is plugged in.

    record HotWayWithNewTubes(Pot.Turn way) implements MistakeFinding {}

    record TrimmingACreepingTube(
            String point, @In(Unit.PERCENT) double by) implements MistakeFinding {}

    record BalanceForRange(String up, String down, String pot) implements MistakeFinding {}

    record RoseTheOtherWay(String pot, Pot.Turn way) implements MistakeFinding {}

    record FellTheOtherWay(String pot, Pot.Turn way) implements MistakeFinding {}

    record OtherPins(String socket, String wired, String type, PinOut pins, PinOut socketPins)
            implements MistakeFinding {}

    record OtherBase(String socket, String wired, String type, Base base, Base socketBase) implements MistakeFinding {}

    record TypeNotListed(String socket, String name) implements MistakeFinding {}

    /** As {@link TypeNotListed}; the nearest that are listed have other ratings. */
    record TypeNearest(String socket, String name, List<String> nearest) implements MistakeFinding {}
}
