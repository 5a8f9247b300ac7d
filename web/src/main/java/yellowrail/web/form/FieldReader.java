package yellowrail.web.form;

import static yellowrail.core.typed.Quantity.quote;

import java.util.Arrays;
import java.util.OptionalDouble;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * Turns the text of fields into values. Where a field is at fault it is noted and a harmless value returned, so that
 * one pass finds every fault; the values count only if there are none.
 */
public final class FieldReader {

    private final Faults faults;

    public FieldReader(Faults faults) {
        this.faults = faults;
    }

    /** Words of at most so many characters; line breaks and tabs are kept, other control characters refused. */
    public String words(String field, String text, int longest) {
        String typed = text == null ? "" : text.strip();
        if (typed.codePointCount(0, typed.length()) > longest) {
            faults.add(field, new FormFault.TooLong(longest, typed.codePointCount(0, typed.length())));
        }
        if (typed.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')) {
            faults.add(field, new FormFault.NotShowable());
        }
        return typed;
    }

    /** @param what key of the message that says what to type */
    public String requiredWords(String field, String text, int longest, String what) {
        String typed = words(field, text, longest);
        if (typed.isEmpty()) {
            faults.say(field, what);
        }
        return typed;
    }

    /** A number in SI within a range told in {@code unit}; empty where nothing was typed, or a fault. */
    public OptionalDouble number(String field, String text, Unit unit, double least, double most) {
        if (text == null || text.isBlank()) {
            return OptionalDouble.empty();
        }
        try {
            double si = Quantity.parse(text).si(unit);
            double shown = unit.fromSi(si);
            if (!(shown >= least * (1 - 1e-9) && shown <= most * (1 + 1e-9))) {
                faults.add(field, new FormFault.OutOfRange(quote(text.strip()), least, most, unit));
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(si);
        } catch (BadQuantityException e) {
            faults.add(field, new FormFault.BadNumber(e.fault()));
            return OptionalDouble.empty();
        }
    }

    /** The same where a number is needed; the least allowed stands in for a faulty one. */
    public double required(String field, String text, Unit unit, double least, double most) {
        if (text == null || text.isBlank()) {
            faults.add(field, new FormFault.NumberNeeded(least, most, unit));
        }
        return number(field, text, unit, least, most).orElse(unit.toSi(least));
    }

    /** A number without a unit. */
    public double count(String field, String text, double least, double most) {
        try {
            Quantity quantity = Quantity.parse(text);
            if (quantity.unit().isEmpty() && quantity.number() >= least && quantity.number() <= most) {
                return quantity.number();
            }
        } catch (BadQuantityException e) {
            // the one message below says what to type
        }
        faults.add(field, new FormFault.PlainNumberNeeded(least, most));
        return least;
    }

    public <E extends Enum<E>> E choice(String field, String text, Class<E> type) {
        E[] values = type.getEnumConstants();
        return Arrays.stream(values)
                .filter(value -> value.name().equals(text))
                .findFirst()
                .orElseGet(() -> {
                    faults.add(
                            field,
                            new FormFault.NoSuchChoice(
                                    quote(text == null ? "" : text),
                                    Arrays.stream(values).map(Enum::name).toList()));
                    return values[0];
                });
    }
}
