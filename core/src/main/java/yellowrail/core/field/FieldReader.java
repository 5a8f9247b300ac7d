package yellowrail.core.field;

import static yellowrail.core.typed.Quantity.quote;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import yellowrail.core.finding.Finding;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * Turns the text of fields into values. Where a field is at fault it is noted and a harmless value returned, so that
 * one pass finds every fault; the values count only if there are none.
 */
public class FieldReader {

    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2200;

    private final FaultSink faults;

    public FieldReader(FaultSink faults) {
        this.faults = faults;
    }

    /** Words of at most so many characters; line breaks and tabs are kept, other control characters refused. */
    public String words(String field, String text, int longest) {
        String typed = text == null ? "" : text.strip();
        if (typed.codePointCount(0, typed.length()) > longest) {
            faults.add(field, new FieldFault.TooLong(longest, typed.codePointCount(0, typed.length())));
        }
        if (typed.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')) {
            faults.add(field, new FieldFault.NotShowable());
        }
        return typed;
    }

    /** The same where something is needed. */
    public String needed(String field, String text, int longest, Finding what) {
        String typed = words(field, text, longest);
        if (typed.isEmpty()) {
            faults.add(field, what);
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
                faults.add(field, new FieldFault.OutOfRange(quote(text.strip()), least, most, unit));
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(si);
        } catch (BadQuantityException e) {
            faults.add(field, new FieldFault.NotUsable(e.fault()));
            return OptionalDouble.empty();
        }
    }

    /** The same where a number is needed; the least allowed stands in for a faulty one. */
    public double required(String field, String text, Unit unit, double least, double most) {
        if (text == null || text.isBlank()) {
            faults.add(field, new FieldFault.NumberNeeded(least, most, unit));
        }
        return number(field, text, unit, least, most).orElse(unit.toSi(least));
    }

    /** A number without a unit. */
    public double count(String field, String text, double least, double most) {
        if (text == null || text.isBlank()) {
            faults.add(field, new FieldFault.PlainNumberNeeded(least, most));
        }
        return plain(field, text, least, most).orElse(least);
    }

    /** A number without a unit; empty where nothing was typed, or a fault. */
    public OptionalDouble plain(String field, String text, double least, double most) {
        if (text == null || text.isBlank()) {
            return OptionalDouble.empty();
        }
        OptionalDouble number = plain(text, least, most);
        if (number.isEmpty()) {
            faults.add(field, new FieldFault.PlainNumberNeeded(least, most));
        }
        return number;
    }

    private static OptionalDouble plain(String text, double least, double most) {
        try {
            Quantity quantity = Quantity.parse(text);
            return quantity.unit().isEmpty() && quantity.number() >= least && quantity.number() <= most
                    ? OptionalDouble.of(quantity.number())
                    : OptionalDouble.empty();
        } catch (BadQuantityException e) {
            return OptionalDouble.empty();
        }
    }

    /** A day, as ISO 8601 writes it; empty where nothing was typed, or a fault. */
    public Optional<LocalDate> date(String field, String text) {
        if (text == null || text.isBlank()) {
            return Optional.empty();
        }
        try {
            LocalDate date = LocalDate.parse(text.strip());
            if (date.getYear() >= FIRST_YEAR && date.getYear() <= LAST_YEAR) {
                return Optional.of(date);
            }
        } catch (DateTimeException e) {
            // the one message below says what to type
        }
        faults.add(field, new FieldFault.NoDate(quote(text.strip())));
        return Optional.empty();
    }

    /** A choice by its name, as a form sends it. */
    public <E extends Enum<E>> E choice(String field, String text, Class<E> type) {
        return choice(field, text == null ? "" : text, type.getEnumConstants(), Enum::name);
    }

    /** A choice as it is written there, in capitals or not; the first stands in for one that is none. */
    public <E> E choice(String field, String text, E[] values, Function<E, String> written) {
        return Arrays.stream(values)
                .filter(value -> written.apply(value).equalsIgnoreCase(text))
                .findFirst()
                .orElseGet(() -> {
                    faults.add(
                            field,
                            new FieldFault.NoSuchChoice(
                                    quote(text),
                                    Arrays.stream(values).map(written).toList()));
                    return values[0];
                });
    }
}
