package yellowrail.web.form;

import static yellowrail.core.quantity.Quantity.quote;

import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import yellowrail.core.quantity.BadQuantityException;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Quantity;
import yellowrail.core.quantity.Unit;

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
            faults.add(field, "At most %d characters fit here; this has %d.".formatted(longest, typed.codePointCount(0, typed.length())));
        }
        if (typed.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')) {
            faults.add(field, "This holds characters that cannot be shown; type it again.");
        }
        return typed;
    }

    public String requiredWords(String field, String text, int longest, String what) {
        String typed = words(field, text, longest);
        if (typed.isEmpty()) {
            faults.add(field, "Type %s.".formatted(what));
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
                faults.add(field, "%s is out of range; from %s to %s %s.".formatted(
                        quote(text.strip()), Figures.plain(least), Figures.plain(most), unit));
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(si);
        } catch (BadQuantityException e) {
            faults.add(field, sentence(e.getMessage()));
            return OptionalDouble.empty();
        }
    }

    /** The same where a number is needed; the least allowed stands in for a faulty one. */
    public double required(String field, String text, Unit unit, double least, double most) {
        if (text == null || text.isBlank()) {
            faults.add(field, "Type a number, from %s to %s %s.".formatted(Figures.plain(least), Figures.plain(most), unit));
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
        faults.add(field, "Type a plain number, from %s to %s.".formatted(Figures.plain(least), Figures.plain(most)));
        return least;
    }

    public <E extends Enum<E>> E choice(String field, String text, Class<E> type) {
        E[] values = type.getEnumConstants();
        return Arrays.stream(values).filter(value -> value.name().equals(text)).findFirst().orElseGet(() -> {
            faults.add(field, "%s is not one of the choices: %s.".formatted(quote(text == null ? "" : text),
                    Arrays.stream(values).map(Enum::name).collect(Collectors.joining(", "))));
            return values[0];
        });
    }

    private static String sentence(String message) {
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + ".";
    }
}
