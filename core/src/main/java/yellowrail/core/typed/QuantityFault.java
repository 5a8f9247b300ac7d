package yellowrail.core.typed;

import yellowrail.core.finding.Finding;
import yellowrail.core.quantity.Unit;

/** What is wrong with a typed number; what was typed comes in quotes. */
public sealed interface QuantityFault extends Finding {

    record NothingTyped() implements QuantityFault {}

    record TooLong(String typed) implements QuantityFault {}

    record NotANumber(String typed) implements QuantityFault {}

    record ThousandOrDecimal(String typed) implements QuantityFault {}

    record TooLarge(String typed) implements QuantityFault {}

    record UnknownUnit(String typed, String unit) implements QuantityFault {}

    record OtherDimension(double number, Unit typedIn, Unit.Dimension wanted, Unit unit) implements QuantityFault {}
}
