package yellowrail.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.OptionalDouble;

/**
 * How figures are written, everywhere: with the digits that their plus-minus leaves them, and where none is known volts
 * with one decimal, milliamps and watts with two, percent with one; always with the unit.
 */
public final class Figures {

    /** Below it a plus-minus is told with two digits: from 2.95 on it is 3. */
    private static final double TWO_DIGITS = 2.95;

    private static final int MOST_DECIMALS = 4;

    private Figures() {}

    public static String volts(double volts) {
        return fixed(volts, decimals(Unit.VOLT)) + " V";
    }

    public static String milliamps(double amps) {
        return fixed(Unit.MILLIAMP.fromSi(amps), decimals(Unit.MILLIAMP)) + " mA";
    }

    public static String watts(double watts) {
        return fixed(watts, decimals(Unit.WATT)) + " W";
    }

    public static String percent(double ratio) {
        return fixed(Unit.PERCENT.fromSi(ratio), decimals(Unit.PERCENT)) + " %";
    }

    public static String ohms(double ohms) {
        return plain(ohms) + " ohm";
    }

    /** The unit in which resistances from a megohm on are told. */
    private static Unit told(Unit unit, double si) {
        return unit == Unit.KILOHM && Math.abs(si) >= Unit.MEGOHM.toSi(1) ? Unit.MEGOHM : unit;
    }

    /** A value in a unit with up to five significant digits and no idle zeros: {@code 36.4 mV}. */
    public static String in(Unit unit, double si) {
        Unit told = told(unit, si);
        return plain(told.fromSi(si)) + " " + told;
    }

    /** A figure with its plus-minus: {@code 15.6 ± 0.4 W}, {@code 452 ± 2.5 V}; without one where it is sure. */
    public static String estimate(Estimate figure, Unit unit) {
        return figure.plusMinus() == 0
                ? number(figure.value(), 0, unit) + " " + unit
                : number(figure.value(), figure.plusMinus(), unit) + " \u00b1 " + plusMinus(figure.plusMinus(), unit)
                        + " " + unit;
    }

    /** A figure with as many decimals as its plus-minus is told with: {@code 134.9 \u00b1 2.4 mA}. */
    public static String aligned(double si, double plusMinus, Unit unit) {
        String spread = plusMinus(plusMinus, unit);
        int point = spread.indexOf('.');
        return fixed(unit.fromSi(si), point < 0 ? 0 : spread.length() - point - 1) + " \u00b1 " + spread + " " + unit;
    }

    /** A figure with the digits that its plus-minus leaves it: to the first of those. */
    public static String beside(double plusMinus, double si, Unit unit) {
        return number(si, plusMinus, unit) + " " + unit;
    }

    /**
     * To the first digit of the plus-minus; a small one with two digits of its own, never finer than the plus-minus.
     */
    private static String number(double si, double plusMinus, Unit unit) {
        double value = unit.fromSi(si);
        double spread = Math.abs(unit.fromSi(plusMinus));
        if (spread == 0 || value == 0) {
            return fixed(value, spread == 0 ? decimals(unit) : spreadDecimals(spread));
        }
        int decimals = Math.max(Math.max(0, -power(spread)), 1 - power(Math.abs(value)));
        return fixed(value, Math.min(decimals, spreadDecimals(spread)));
    }

    private static int decimals(Unit unit) {
        return unit == Unit.MILLIAMP || unit == Unit.WATT ? 2 : 1;
    }

    /** A reading to turn to and how far off it may be, with the digits a meter shows: {@code 44.2 ± 0.5 mV}. */
    public static String toTurnTo(Unit shows, double si, double plusMinus) {
        return turned(shows, si) + " \u00b1 " + plusMinus(plusMinus, shows) + " " + shows;
    }

    /** A reading to turn to, with the digits a meter shows: {@code 44.2 mV}, {@code 9.850 V}. */
    public static String toTurnTo(Unit shows, double si) {
        return turned(shows, si) + " " + shows;
    }

    private static String turned(Unit shows, double si) {
        return fixed(shows.fromSi(si), shows == Unit.VOLT ? 3 : 1);
    }

    /** As many digits as a plus-minus deserves: one, or two where the first of them is a 1 or a 2. */
    public static String plusMinus(double value, Unit unit) {
        double shown = Math.abs(unit.fromSi(value));
        if (shown == 0) {
            return "0";
        }
        return fixed(shown, spreadDecimals(shown));
    }

    private static int spreadDecimals(double shown) {
        int power = power(shown);
        boolean two = shown < TWO_DIGITS * Math.pow(10, power);
        return Math.min(Math.max(0, (two ? 1 : 0) - power), MOST_DECIMALS);
    }

    /** The power of ten of the first digit. */
    private static int power(double value) {
        return (int) Math.floor(Math.log10(value));
    }

    public static String fixed(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return String.valueOf(value);
        }
        String text = BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .toPlainString();
        return text.matches("-0(\\.0*)?") ? text.substring(1) : text;
    }

    /**
     * A number as it was typed, for a form or a file: to the sixth decimal, for finer is dust of the binary fractions;
     * blank for none.
     *
     * @param in what takes SI to the unit it is typed in
     */
    public static String typed(OptionalDouble si, double in) {
        return si.isPresent()
                ? BigDecimal.valueOf(si.getAsDouble() * in)
                        .setScale(6, RoundingMode.HALF_EVEN)
                        .stripTrailingZeros()
                        .toPlainString()
                : "";
    }

    /** To so many significant digits. */
    public static double rounded(double value, int digits) {
        return new BigDecimal(value).round(new MathContext(digits)).doubleValue();
    }

    /** A resistance to three digits, in ohm below a thousand: {@code 187 ohm}, {@code 4.7 k}. */
    public static String resistance(double ohms) {
        return in(ohms < Unit.KILOHM.toSi(1) ? Unit.OHM : Unit.KILOHM, rounded(ohms, 3));
    }

    /** Up to five significant digits, without idle zeros or exponent. */
    public static String plain(double value) {
        if (value == 0) {
            return "0";
        }
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(5, RoundingMode.HALF_UP));
        return rounded.stripTrailingZeros().toPlainString();
    }
}
