package yellowrail.core.soak;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What a soak tells. Rates are percent per minute, times minutes. */
public sealed interface SoakFinding extends Finding {

    /** Nothing was read since the setting. */
    record NotRead(String point) implements SoakFinding {}

    record TooEarly(String point, @In(decimals = 0) double inMinutes) implements SoakFinding {}

    record Settling(String point) implements SoakFinding {}

    record Steady(
            String point,
            @In(decimals = 2, change = true) double low,
            @In(decimals = 2, change = true) double high) implements SoakFinding {}

    record Creeping(
            String point,
            @In(decimals = 2) double rate,
            @In(decimals = 2) double low,
            @In(decimals = 2) double high) implements SoakFinding {}

    record Sinking(
            String point,
            @In(decimals = 2) double rate,
            @In(decimals = 2) double low,
            @In(decimals = 2) double high) implements SoakFinding {}

    record RunningAway(String point, @In(decimals = 1) double rate) implements SoakFinding {}

    /** A turn does not clear a tube. */
    record CreptBefore(String point, @In(decimals = 2) double rate) implements SoakFinding {}

    record RanAwayBefore(String point) implements SoakFinding {}

    /** Nor does another socket, as long as nobody knows whose fault it was. */
    record CreptElsewhere(
            String point, String from, @In(decimals = 2) double rate) implements SoakFinding {}

    record RanAwayElsewhere(String point, String from) implements SoakFinding {}

    record AtLimit(String point) implements SoakFinding {}

    record ReachesLimit(
            @In(decimals = 0) double minutes,
            @In(decimals = 0) double soonest,
            @In(decimals = 0) double latest) implements SoakFinding {}

    /** The same where both ends of the rate say the same. */
    record ReachesLimitIn(@In(decimals = 0) double minutes) implements SoakFinding {}

    /** The same where the slow end of the rate never reaches it. */
    record ReachesLimitSoonest(
            @In(decimals = 0) double minutes,
            @In(decimals = 0) double soonest) implements SoakFinding {}

    record Jumped(
            @In(decimals = 0) double minutes,
            @In(decimals = 1, change = true) double percent) implements SoakFinding {}

    record MainsMoves() implements SoakFinding {}

    record SupplyMoves() implements SoakFinding {}

    /** The same where the mains was logged and does not say why. */
    record SupplyMovesNotMains() implements SoakFinding {}

    /** The fault went along with the tube. */
    record FollowedTube(
            String from, String to, @In(decimals = 2) double rate) implements SoakFinding {}

    /** The tube is gone and so is the fault. */
    record WentWithTube(String socket, @In(decimals = 2) double rate) implements SoakFinding {}

    record StayedWithSocket(String socket) implements SoakFinding {}

    record BothSockets(String one, String other) implements SoakFinding {}

    record Gone(String one, String other) implements SoakFinding {}

    /** What is still to be read before it is known. */
    record ReadOn(List<String> sockets) implements SoakFinding {}

    /** What a leak of a coupling capacitor would put across the grid leak. */
    record LeakVolts(
            String socket,
            @In(Unit.PERCENT) double rise,
            @In(decimals = 2) double volts,
            @In(Unit.KILOHM) double gridLeakOhms,
            @In(decimals = 1) double microamps)
            implements SoakFinding {}

    record CapacitorOrLeakOrSupply(String socket) implements SoakFinding {}

    record ExchangeThem(String one, String other) implements SoakFinding {}

    record MarkTurn(String pot) implements SoakFinding {}

    record MarkTube(String socket) implements SoakFinding {}

    record MarkSheet() implements SoakFinding {}

    record MarkOn() implements SoakFinding {}

    record MarkOff() implements SoakFinding {}

    record MarkMains(@In(value = Unit.VOLT, decimals = 0) double volts) implements SoakFinding {}

    record MarkUnsaid(String point) implements SoakFinding {}
}
