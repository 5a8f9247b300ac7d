package yellowrail.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * How figures are written, everywhere: volts with one decimal, milliamps and watts with two, percent with one; a
 * plus-minus with two significant digits; always with the unit.
 */
public final class Figures {

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

    /** A value in a unit with up to five significant digits and no idle zeros: {@code 36.4 mV}. */
    public static String in(Unit unit, double si) {
        return plain(unit.fromSi(si)) + " " + unit;
    }

    /** A figure with its plus-minus: {@code 452.0 ± 2.5 V}; without one where it is sure. */
    public static String estimate(Estimate figure, Unit unit) {
        String number = fixed(unit.fromSi(figure.value()), decimals(unit));
        return figure.plusMinus() == 0
                ? number + " " + unit
                : number + " \u00b1 " + plusMinus(figure.plusMinus(), unit) + " " + unit;
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

    /** Two significant digits, as a plus-minus deserves. */
    public static String plusMinus(double value, Unit unit) {
        double shown = Math.abs(unit.fromSi(value));
        if (shown == 0) {
            return "0";
        }
        int decimals = Math.max(0, 1 - (int) Math.floor(Math.log10(shown)));
        return fixed(shown, Math.min(decimals, 4));
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

    /** Up to five significant digits, without idle zeros or exponent. */
    public static String plain(double value) {
        if (value == 0) {
            return "0";
        }
        BigDecimal rounded = BigDecimal.valueOf(value).round(new MathContext(5, RoundingMode.HALF_UP));
        return rounded.stripTrailingZeros().toPlainString();
    }
}
