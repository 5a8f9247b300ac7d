package yellowrail.core.typed;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.quantity.Unit;

/**
 * A number as a builder writes it, with the unit if one was written: {@code 38.2mV}, {@code 38,2}, {@code 4k7},
 * {@code 1R5}, {@code -46.8 V}. A single comma is a decimal comma. No thousands separators: {@code 1,000} would be read
 * as one, so a comma followed by exactly three digits after one to three non-zero digits is refused.
 *
 * @param number the number as written, in {@code unit}
 * @param unit the unit as written, empty when left out
 * @param decimals digits behind the point as written; fewer than none for 1e3
 */
public record Quantity(double number, Optional<Unit> unit, int decimals) {

    /** Beyond this nothing on a bench is measured, in any unit used here. */
    static final double LARGEST = 1e9;

    private static final Pattern PLAIN = Pattern.compile(
            "([+-]?)(\\d+(?:[.,]\\d*)?|[.,]\\d+)(e[+-]?\\d{1,4})?\\s*([a-z%\u00b5\u03bc\u03c9\u2126\u00b0]*)",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    private static final Pattern INFIX = Pattern.compile("(\\d+)([rk])(\\d+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern THOUSANDS = Pattern.compile("[+-]?[1-9]\\d{0,2},\\d{3}\\D*");

    /**
     * @param text what was typed
     * @return the number and its unit
     * @throws BadQuantityException if the text is empty, not a number, not finite, beyond 1e9, or carries an unknown
     *     unit
     */
    public static Quantity parse(String text) {
        String typed = text == null ? "" : text.strip().replace('\u2212', '-').replace('\u00a0', ' ');
        if (typed.isEmpty()) {
            throw new BadQuantityException(new QuantityFault.NothingTyped());
        }
        if (typed.length() > 40) {
            throw new BadQuantityException(new QuantityFault.TooLong(quote(typed)));
        }
        Matcher infix = INFIX.matcher(typed);
        if (infix.matches()) {
            Unit unit = Unit.of(infix.group(2)).orElseThrow();
            return new Quantity(
                    Double.parseDouble(infix.group(1) + "." + infix.group(3)),
                    Optional.of(unit),
                    infix.group(3).length());
        }
        Matcher plain = PLAIN.matcher(typed);
        if (!plain.matches()) {
            throw new BadQuantityException(new QuantityFault.NotANumber(quote(typed)));
        }
        if (THOUSANDS.matcher(typed).matches()) {
            throw new BadQuantityException(new QuantityFault.ThousandOrDecimal(quote(typed)));
        }
        String exponent = plain.group(3) == null ? "" : plain.group(3);
        double number = Double.parseDouble(plain.group(1) + plain.group(2).replace(',', '.') + exponent);
        if (!(Math.abs(number) <= LARGEST)) {
            throw new BadQuantityException(new QuantityFault.TooLarge(quote(typed)));
        }
        String digits = plain.group(2).replace(',', '.');
        int decimals = digits.contains(".") ? digits.length() - digits.indexOf('.') - 1 : 0;
        int power = exponent.isEmpty() ? 0 : Integer.parseInt(exponent.substring(1));
        return new Quantity(number, unit(plain.group(4), typed), decimals - power);
    }

    private static Optional<Unit> unit(String written, String typed) {
        if (written.isEmpty()) {
            return Optional.empty();
        }
        Optional<Unit> unit = Unit.of(written);
        if (unit.isEmpty()) {
            throw new BadQuantityException(new QuantityFault.UnknownUnit(quote(typed), quote(written)));
        }
        return unit;
    }

    /**
     * @param assumed the unit to take where none was written
     * @return the value in SI
     * @throws BadQuantityException if a unit of another dimension was written
     */
    public double si(Unit assumed) {
        Unit written = unit.orElse(assumed);
        if (written.dimension() != assumed.dimension()) {
            throw new BadQuantityException(
                    new QuantityFault.OtherDimension(number, written, assumed.dimension(), assumed));
        }
        return written.toSi(number);
    }

    /** What was typed, in quotes, shortened so that a message stays a message. */
    public static String quote(String typed) {
        String shown = typed.length() > 40 ? typed.substring(0, 40) + "\u2026" : typed;
        return "\u201c" + shown + "\u201d";
    }
}
