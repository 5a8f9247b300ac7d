package yellowrail.core.station;

import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What a station has to say: its one sentence, what to do in the order of work, what to read, what to take care of. */
public sealed interface StationFinding extends Finding {

    // Each station in one sentence

    record StillThisAmp() implements StationFinding {}

    record NothingBeforeSafe() implements StationFinding {}

    record RightTubes() implements StationFinding {}

    record BringItUp() implements StationFinding {}

    record ReadEveryPoint() implements StationFinding {}

    record TurnToTheReading() implements StationFinding {}

    record NoPotHere() implements StationFinding {}

    record CathodeBiasHere() implements StationFinding {}

    record DoNotWalkAway() implements StationFinding {}

    record ProveIt() implements StationFinding {}

    record CloseTheRun() implements StationFinding {}

    // What to do

    record TheAmp(Finding amp, @In(Unit.VOLT) double mains, Finding target) implements StationFinding {}

    /** How current is read; with what there is to know where the amp offers no sense resistor. */
    record ReadBy(CurrentMethod method) implements StationFinding {}

    record ReadByHalfPrimary(CurrentMethod method) implements StationFinding {}

    record ReadBySupplyDrop(CurrentMethod method) implements StationFinding {}

    record ReadByCathodeResistor(CurrentMethod method) implements StationFinding {}

    record ReadByAdapter(CurrentMethod method) implements StationFinding {}

    record NoPotOnSheet() implements StationFinding {}

    record TickEachItem() implements StationFinding {}

    record LookAtTubes() implements StationFinding {}

    record WhoSitsWhereBothSides() implements StationFinding {}

    record WhoSitsWhere() implements StationFinding {}

    record NewTubesFromCold() implements StationFinding {}

    record TapLightly() implements StationFinding {}

    record LampLimiter() implements StationFinding {}

    record HeatersFirst() implements StationFinding {}

    record RectifierWarmsUp() implements StationFinding {}

    record PeakBeforeTubes() implements StationFinding {}

    record StandbyThenOn() implements StationFinding {}

    record OnWithTheMains() implements StationFinding {}

    record LetItWarmUp(
            @In(value = Unit.MINUTE, given = true) double settles) implements StationFinding {}

    record WatchTheMeter() implements StationFinding {}

    record ThenBalance() implements StationFinding {}

    record ChangeOneValue() implements StationFinding {}

    record IdleIsHottest() implements StationFinding {}

    record ResistorForTwice() implements StationFinding {}

    record SettlingIsNormal() implements StationFinding {}

    record TubeOrSocket() implements StationFinding {}

    record PlayItHard() implements StationFinding {}

    record PowerDistortionHum() implements StationFinding {}

    record ByEar() implements StationFinding {}

    record SwitchOff() implements StationFinding {}

    record NoteTiers() implements StationFinding {}

    record LookAgain() implements StationFinding {}

    // What to read, where it is no line to type

    record AndEachOther(String testPoint) implements StationFinding {}

    record BiasToLearnReach() implements StationFinding {}

    record ResistorPowerOff() implements StationFinding {}

    record EachTime(String testPoint) implements StationFinding {}

    /** A line as it is typed. */
    record AsTyped(String line) implements StationFinding {}

    record NewTube(String socket, String type) implements StationFinding {}

    record NoteRinging() implements StationFinding {}

    record SwingToOneStop() implements StationFinding {}

    record SwingToTheOther() implements StationFinding {}

    // Cautions

    record Licensed() implements StationFinding {}

    record Drained() implements StationFinding {}

    record DrainThroughStandby() implements StationFinding {}

    record OffBeforePulling() implements StationFinding {}

    record TubesStayHot() implements StationFinding {}

    record OneHand() implements StationFinding {}

    record LimiterLimitsCurrent() implements StationFinding {}

    record ProbeWithCare() implements StationFinding {}

    record InsulatedScrewdriver() implements StationFinding {}

    record GlowingPlate() implements StationFinding {}

    record DummyLoadHot() implements StationFinding {}

    record CapacitorsStayCharged() implements StationFinding {}

    // What is seen to before live readings

    record LoadOnOutput() implements StationFinding {}

    record VolumesAtZero() implements StationFinding {}

    record WatchAndRingOff() implements StationFinding {}

    record GroundLeadFirst() implements StationFinding {}

    record MeterOnRange() implements StationFinding {}

    record GlovesAtHand() implements StationFinding {}

    record QuirksRead(String quirks) implements StationFinding {}

    record ChassisClosed() implements StationFinding {}

    record PlatesStayedGrey() implements StationFinding {}

    record NewTubesIn() implements StationFinding {}

    record ColdestAnticlockwise(String pot, StationFinding seen) implements StationFinding {}

    record ColdestClockwise(String pot, StationFinding seen) implements StationFinding {}

    record ColdestNotKnown(String pot) implements StationFinding {}

    record SeenOnTheMeter() implements StationFinding {}

    record NotVerified() implements StationFinding {}

    // After work at the bias supply, the tubes still out

    record BiasSupplySoldered() implements StationFinding {}

    record BiasBeforeAnyMove() implements StationFinding {}

    record GridsNegative() implements StationFinding {}

    record BothStopsRead(
            @In(Unit.VOLT) double coldest, @In(Unit.VOLT) double hottest) implements StationFinding {}

    record GridsRead() implements StationFinding {}

    record BiasCapacitorsRead() implements StationFinding {}

    record PotTurnedThrough() implements StationFinding {}
}
