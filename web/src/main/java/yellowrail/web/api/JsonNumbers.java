package yellowrail.web.api;

import java.math.BigDecimal;
import java.math.MathContext;
import yellowrail.core.quantity.Unit;

/** Numbers as they are answered: to the fourth decimal, beyond any meter and short of the noise of binary fractions. */
final class JsonNumbers {

    private static final MathContext NINE = new MathContext(9);

    private JsonNumbers() {}

    static double round(double value) {
        return Math.round(value * 1e4) / 1e4;
    }

    /** To nine digits, for what spans many powers of ten. */
    static double digits(double value) {
        return Double.isFinite(value) ? new BigDecimal(value).round(NINE).doubleValue() : value;
    }

    static double milliamps(double amps) {
        return round(Unit.MILLIAMP.fromSi(amps));
    }
}
