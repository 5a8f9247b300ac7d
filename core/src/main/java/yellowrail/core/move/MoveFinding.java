package yellowrail.core.move;

import java.util.List;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.finding.Shown;
import yellowrail.core.finding.Then;
import yellowrail.core.quantity.Unit;

/** A move, and what must be said with it. */
public sealed interface MoveFinding extends Finding {

    // The move itself.

    record SetOne(String socket) implements MoveFinding {}

    record SetAll() implements MoveFinding {}

    /** @param turns one after the other */
    record Turn(@Then List<? extends Finding> turns, Finding expect) implements MoveFinding {}

    /** Trimming it is chasing one's tail. */
    record NotWhileItCreeps(
            List<String> sockets,
            @In(decimals = 2, change = true) double percentPerMinute) implements MoveFinding {}

    /** A turn does not mend a tube that crept. */
    record NotUntilCleared(List<String> sockets) implements MoveFinding {}

    record OffRunningAway(List<String> sockets) implements MoveFinding {}

    record PotCalled(String name) implements MoveFinding {}

    record PotUnnamed() implements MoveFinding {}

    record Clockwise(Finding pot, String point, Shown reading) implements MoveFinding {}

    record Anticlockwise(Finding pot, String point, Shown reading) implements MoveFinding {}

    record TheWayItRises(Finding pot, String point, Shown reading) implements MoveFinding {}

    record TheWayItFalls(Finding pot, String point, Shown reading) implements MoveFinding {}

    record Balance(Finding pot, String point, Shown reading, String other, Shown otherReading) implements MoveFinding {}

    record ExpectPlates(@In(Unit.VOLT) double plates) implements MoveFinding {}

    record ExpectPlatesAndGrids(
            @In(Unit.VOLT) double plates, @In(Unit.VOLT) double grids) implements MoveFinding {}

    record ChangeCathodeResistor(
            @In(Unit.OHM) double from,
            @In(Unit.OHM) double to,
            String series,
            Shown rating,
            @In(Unit.MILLIAMP) double each,
            @In(Unit.VOLT) double cathode,
            @In(Unit.VOLT) double plates)
            implements MoveFinding {}

    record ChangeEachCathodeResistor(
            List<String> points,
            @In(Unit.OHM) double from,
            @In(Unit.OHM) double to,
            String series,
            Shown rating,
            @In(Unit.MILLIAMP) double each,
            @In(Unit.VOLT) double cathode,
            @In(Unit.VOLT) double plates)
            implements MoveFinding {}

    /** The same where a tube is over its rating: off first. */
    record OffFirst(Finding then) implements MoveFinding {}

    record NoResistorBringsThem(
            @In(Unit.MILLIAMP) double wanted,
            @In(Unit.MILLIAMP) double now,
            @In(Unit.VOLT) double cathode) implements MoveFinding {}

    /** @param exact what would be exactly right */
    record ResistorStays(
            List<String> points,
            @In(Unit.OHM) double now,
            @In(Unit.OHM) double exact) implements MoveFinding {}

    record NoPot() implements MoveFinding {}

    record NoPotOfLevel() implements MoveFinding {}

    record BiasCloser(Finding why, String point, Shown reading) implements MoveFinding {}

    record BiasFarther(Finding why, String point, Shown reading) implements MoveFinding {}

    record SmallerShunt(
            Finding why,
            @In(Unit.VOLT) double from,
            @In(Unit.VOLT) double to,
            String point,
            Shown reading) implements MoveFinding {}

    record LargerShunt(
            Finding why,
            @In(Unit.VOLT) double from,
            @In(Unit.VOLT) double to,
            String point,
            Shown reading) implements MoveFinding {}

    record ChangeShunt(
            Finding why,
            @In(Unit.VOLT) double now,
            @In(Unit.VOLT) double wanted,
            @In(Unit.KILOHM) double from,
            @In(Unit.KILOHM) double to,
            @In(Unit.VOLT) double gives,
            String point,
            Shown reading,
            @In(Unit.VOLT) double plates)
            implements MoveFinding {}

    /** No standard value lies nearer than the one that is in. */
    record ShuntBetween(
            Finding why,
            @In(Unit.VOLT) double now,
            @In(Unit.VOLT) double wanted,
            @In(Unit.KILOHM) double in,
            @In(Unit.KILOHM) double exact)
            implements MoveFinding {}

    record OutOfReach(Finding line) implements MoveFinding {}

    record SagsTooFar(Finding line) implements MoveFinding {}

    record NothingHotter(String socket, Finding limit) implements MoveFinding {}

    // What goes with it.

    record ToldFromBefore(List<String> wanted) implements MoveFinding {}

    record TakenAsAlike(List<String> read, List<String> wanted) implements MoveFinding {}

    record AdapterMovesWhileOff() implements MoveFinding {}

    record ProbeNext(String place) implements MoveFinding {}

    record Meanwhile(String point, Shown from, Shown to) implements MoveFinding {}

    record ThenPots(List<String> pots) implements MoveFinding {}

    record ReadAllAgain() implements MoveFinding {}

    record DrawsMore(
            String hot,
            String cool,
            Finding pot,
            @In(Unit.PERCENT) double hotRatio,
            Shown coolReading,
            @In(Unit.PERCENT) double coolRatio)
            implements MoveFinding {}

    record WeakestDecides(
            String socket,
            String type,
            @In(value = Unit.WATT, given = true) double rating) implements MoveFinding {}

    record BeyondTheStop(
            @In(Unit.VOLT) double needed, @In(Unit.VOLT) double stop) implements MoveFinding {}

    /** As the bias supply on the bench would give, parts at their marked values. */
    record BeyondTheComputedStop(
            @In(Unit.VOLT) double needed, @In(Unit.VOLT) double stop) implements MoveFinding {}

    record BeyondTheStopReading(String point, Shown needed, Shown stop) implements MoveFinding {}

    record BalanceOutOfReach(String point) implements MoveFinding {}

    record RailOver(
            @In(Unit.MILLIAMP) double amps,
            @In(value = Unit.MILLIAMP, given = true) double rated) implements MoveFinding {}

    record ResistorOver(
            String point,
            @In(Unit.WATT) double watts,
            @In(value = Unit.WATT, given = true) double rating) implements MoveFinding {}

    record CappedByTheRating() implements MoveFinding {}

    record BalanceUnseen() implements MoveFinding {}

    record Rough(
            Finding why,
            @In(value = Unit.VOLT, plusMinus = true) double plusMinus) implements MoveFinding {}

    record NoLineYet(Finding why) implements MoveFinding {}

    record MainsNotRead(
            @In(value = Unit.VOLT, plusMinus = true) double plusMinus) implements MoveFinding {}

    record WayNotKnown(String pot) implements MoveFinding {}

    record WayNotVerified(String pot) implements MoveFinding {}

    record WaySeen(String pot, Pot.Turn hotter) implements MoveFinding {}

    record GridsByTheLaw() implements MoveFinding {}

    record GridsByTheModel() implements MoveFinding {}

    record LastTurn(
            @In(Unit.VOLT) double predicted,
            @In(value = Unit.VOLT, plusMinus = true) double plusMinus,
            @In(Unit.VOLT) double read)
            implements MoveFinding {}

    record LeftOut(List<String> points) implements MoveFinding {}

    record ForMainsAsRead(
            @In(Unit.VOLT) double read, @In(Unit.VOLT) double sheet, Finding from) implements MoveFinding {}

    record DividerAfterTheDiode() implements MoveFinding {}
}
