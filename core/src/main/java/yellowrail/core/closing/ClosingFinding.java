package yellowrail.core.closing;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;
import yellowrail.core.soak.SoakFinding;

/** What is open when a run is closed, and what was found in the amp. */
public sealed interface ClosingFinding extends Finding {

    // What is still open

    record NotJudged(List<String> sockets) implements ClosingFinding {}

    record Overtaken(List<String> sockets) implements ClosingFinding {}

    record MoveOpen(Finding move) implements ClosingFinding {}

    record NeverSoaked() implements ClosingFinding {}

    record SoakTooShort(@In(decimals = 0) double minutes) implements ClosingFinding {}

    record NotCleared(List<String> points) implements ClosingFinding {}

    record StillCreeps(List<String> points) implements ClosingFinding {}

    record PlatesNotWatched() implements ClosingFinding {}

    record StillOn() implements ClosingFinding {}

    /** Asked about, and kept as they were typed. */
    record QuestionsKept(List<String> readings) implements ClosingFinding {}

    record MainsNotRead() implements ClosingFinding {}

    /** It was soldered on, and nobody has seen what it gives. */
    record BiasNotMeasured() implements ClosingFinding {}

    // What was found

    /** @param grid what a worn wiper leaves the grids */
    record BiasNotFailSafe(@In(Unit.VOLT) double grid) implements ClosingFinding {}

    record CapacitorUnderrated(
            @In(value = Unit.VOLT, given = true) double rating,
            @In(Unit.VOLT) double peak) implements ClosingFinding {}

    record SenseResistorCoarse(
            @In(value = Unit.PERCENT, given = true) double tolerance) implements ClosingFinding {}

    record SidesApart(
            @In(Unit.MILLIAMP) double amps,
            @In(Unit.PERCENT) double ratio) implements ClosingFinding {}

    record OverRating(String socket, @In(Unit.PERCENT) double ratio) implements ClosingFinding {}

    record TubeSuspect(SoakFinding why) implements ClosingFinding {}

    record SocketSuspect(SoakFinding why) implements ClosingFinding {}

    // Held against how it was left

    record AsLeft() implements ClosingFinding {}

    record Settled(@In(value = Unit.PERCENT, change = true) double ratio) implements ClosingFinding {}

    record MovedMost(
            String socket,
            @In(value = Unit.PERCENT, change = true) double ratio) implements ClosingFinding {}

    record OtherTubes(List<String> sockets) implements ClosingFinding {}

    record ReadToCompare() implements ClosingFinding {}
}
