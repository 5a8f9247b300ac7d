package yellowrail.web.form;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.iron.IronFinding;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.QuantityFault;

/** What is wrong with the text of a field; what was typed comes in quotes. */
public sealed interface FormFault extends Finding {

    record TooLong(int most, int has) implements FormFault {}

    record NotShowable() implements FormFault {}

    record OutOfRange(String typed, double least, double most, Unit unit) implements FormFault {}

    record NumberNeeded(double least, double most, Unit unit) implements FormFault {}

    record PlainNumberNeeded(double least, double most) implements FormFault {}

    record BadNumber(QuantityFault fault) implements FormFault {}

    record NoSuchChoice(String typed, List<String> choices) implements FormFault {}

    record BadHookup(IronFinding fault) implements FormFault {}
}
