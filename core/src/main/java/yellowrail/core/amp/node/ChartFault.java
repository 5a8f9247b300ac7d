package yellowrail.core.amp.node;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.typed.QuantityFault;

/** What is wrong with a chart as it was typed or pasted. Typed text comes in quotes, shortened. */
public sealed interface ChartFault extends Finding {

    // The whole of it

    record TooManyNodes(int nodes, int most) implements ChartFault {}

    record TextTooLong(int characters, int most) implements ChartFault {}

    record LabelTwice(String label) implements ChartFault {}

    record NoSuchNode(String label, String wanted) implements ChartFault {}

    record FedFromItself(String label) implements ChartFault {}

    // A line of it

    record NoNodeOnLine(String typed) implements ChartFault {}

    record NotCsv() implements ChartFault {}

    record NoSuchColumn(String column, List<String> columns) implements ChartFault {}

    record ColumnTwice(String column) implements ChartFault {}

    record NameMissing() implements ChartFault {}

    record MoreCells(int cells, int columns) implements ChartFault {}

    record LabelNotShowable(String label, int most) implements ChartFault {}

    /** @param says what is wrong with it */
    record BadNumber(String column, QuantityFault says) implements ChartFault {}

    record OutOfRange(String column, String typed, double low, double high, String unit) implements ChartFault {}

    record NotOneOf(String column, String typed, List<String> choices) implements ChartFault {}

    record RangeBackwards(String typed) implements ChartFault {}

    record OhmsWithoutFrom(String label) implements ChartFault {}

    record FromWithoutOhms(String label) implements ChartFault {}

    record CapacitorWithoutRating(String label) implements ChartFault {}
}
