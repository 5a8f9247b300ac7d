package yellowrail.web.api;

import yellowrail.core.quantity.Unit;

/** Numbers as they are answered: to the fourth decimal, beyond any meter and short of the noise of binary fractions. */
final class JsonNumbers {

    private JsonNumbers() {}

    static double round(double value) {
        return Math.round(value * 1e4) / 1e4;
    }

    static double milliamps(double amps) {
        return round(Unit.MILLIAMP.fromSi(amps));
    }
}
