package yellowrail.core.field;

import java.util.List;
import yellowrail.core.finding.Finding;
import yellowrail.core.quantity.Unit;

/** What is wrong with a field; what was typed or sent comes in quotes. */
public sealed interface FieldFault extends Finding {

    // Of any field

    record Missing() implements FieldFault {}

    record TooLong(int most, int has) implements FieldFault {}

    record NotShowable() implements FieldFault {}

    record OutOfRange(String typed, double least, double most, Unit unit) implements FieldFault {}

    record NumberNeeded(double least, double most, Unit unit) implements FieldFault {}

    record PlainNumberNeeded(double least, double most) implements FieldFault {}

    record NotUsable(Finding fault) implements FieldFault {}

    /** @param choices as they are written there */
    record NoSuchChoice(String typed, List<String> choices) implements FieldFault {}

    record NoDate(String typed) implements FieldFault {}

    // Of a field of JSON

    record NoSuchField() implements FieldFault {}

    record NoNumber(String sent, double least, double most) implements FieldFault {}

    record NotWhole(String sent, double least, double most) implements FieldFault {}

    record NoText(String sent) implements FieldFault {}

    record NoYesOrNo(String sent) implements FieldFault {}

    record NoTime(String sent) implements FieldFault {}

    record NoObject(String sent) implements FieldFault {}

    record NoListOfTexts(String sent) implements FieldFault {}

    record NoListOfObjects(String sent, int least, int most) implements FieldFault {}
}
