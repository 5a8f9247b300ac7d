package yellowrail.core.reading;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.typed.QuantityFault;

/** What is wrong with a typed line, or with a line of a meter's file. Typed text comes in quotes, shortened. */
public sealed interface EntryFault extends Finding {

    record NothingTyped(String example) implements EntryFault {}

    record LineTooLong(int characters, int most, String example) implements EntryFault {}

    record NotShowable(String example) implements EntryFault {}

    record NoReading(String typed, String example) implements EntryFault {}

    record NoNumber(String typed, String example) implements EntryFault {}

    /** @param says what is wrong with it */
    record BadNumber(QuantityFault says) implements EntryFault {}

    record WrongUnit(String typed, QuantityFault says) implements EntryFault {}

    record TwoPlaces(String typed) implements EntryFault {}

    record TwoKinds(String typed) implements EntryFault {}

    record TwoNumbers(String typed) implements EntryFault {}

    record NoPlace(String typed, List<String> points, String example) implements EntryFault {}

    record NoSuchSocket(String typed, List<String> sockets) implements EntryFault {}

    record NotUnderstood(String token, String example) implements EntryFault {}

    record NotUnderstoodIn(String token, String typed, String example) implements EntryFault {}

    record NoSuchStop(String typed, String example) implements EntryFault {}

    record SwingOfCurrents(String stop, String example) implements EntryFault {}

    record NoPotOnSheet() implements EntryFault {}

    record NoTurn(String typed, String pot) implements EntryFault {}

    record NoTubeMove(String typed, String socket, String type) implements EntryFault {}

    record NoSwap(String typed, List<String> sockets) implements EntryFault {}

    record NoWatch(String typed, String point) implements EntryFault {}

    record NoSuchWatch(long seconds, long minutes, long hours) implements EntryFault {}

    record NoChart() implements EntryFault {}

    record NoSuchChartNode(String typed, List<String> labels) implements EntryFault {}

    record NoSuchCapacitor(String typed, List<String> points) implements EntryFault {}

    record NoNodeNumber(String label) implements EntryFault {}

    record NoNodeVolts(String label, String typed) implements EntryFault {}

    record EmptyNote() implements EntryFault {}

    record EmptyFinding(String word) implements EntryFault {}

    record EmptyMark() implements EntryFault {}

    record NoTimeSinceOn(String typed) implements EntryFault {}

    record NoSuchCorrection(String typed) implements EntryFault {}

    record NothingToTick(String typed) implements EntryFault {}

    record UndoAlone() implements EntryFault {}

    record NothingToUndo() implements EntryFault {}

    record ResistanceNeedsOff(String word, String number) implements EntryFault {}

    record NoResistance(String typed) implements EntryFault {}

    record ReadAtThePlate() implements EntryFault {}

    record ScreenNeedsUnit() implements EntryFault {}

    record NoStopperOnSheet() implements EntryFault {}

    record NoProofFigure(ProofLine.What what, String typed, String example) implements EntryFault {}

    record NoProofUnit(String typed, String example) implements EntryFault {}

    record ProofBeyond(ProofLine.Role role, String typed, double least, double most) implements EntryFault {}

    record ScopeHalfTold(String typed) implements EntryFault {}

    record NotCsv() implements EntryFault {}

    record TooFewColumns(long line, int columns) implements EntryFault {}

    record NoTime(long line, String typed) implements EntryFault {}

    /** The meter's clock is ahead of this one. */
    record YetToCome(long line, String typed) implements EntryFault {}

    record NoValue(long line, String typed) implements EntryFault {}
}
