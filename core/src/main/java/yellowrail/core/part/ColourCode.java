package yellowrail.core.part;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The bands of a resistor, from the end that they begin at. Source: IEC 60062. Four bands are two digits, a multiplier
 * and a tolerance, five are three digits.
 *
 * @param bands four or five
 */
public record ColourCode(List<Colour> bands) {

    private static final double SAME = 1e-6;
    private static final int LEAST_EXPONENT = -2;
    private static final int MOST_EXPONENT = 9;

    /** A colour with its digit, its power of ten and its tolerance; NaN where it has none. */
    public enum Colour {
        BLACK(0, Double.NaN),
        BROWN(1, 0.01),
        RED(2, 0.02),
        ORANGE(3, 0.0005),
        YELLOW(4, 0.0002),
        GREEN(5, 0.005),
        BLUE(6, 0.0025),
        VIOLET(7, 0.001),
        GREY(8, 0.0001),
        WHITE(9, Double.NaN),
        GOLD(-1, 0.05),
        SILVER(-2, 0.10);

        private final int exponent;
        private final double tolerance;

        Colour(int exponent, double tolerance) {
            this.exponent = exponent;
            this.tolerance = tolerance;
        }

        public boolean isDigit() {
            return exponent >= 0;
        }

        public boolean isTolerance() {
            return !Double.isNaN(tolerance);
        }

        private static Colour of(int exponent) {
            return Arrays.stream(values())
                    .filter(colour -> colour.exponent == exponent)
                    .findFirst()
                    .orElseThrow();
        }
    }

    public ColourCode {
        bands = List.copyOf(bands);
        int digits = bands.size() - 2;
        if (digits < 2
                || digits > 3
                || !bands.subList(0, digits).stream().allMatch(Colour::isDigit)
                || !bands.get(digits + 1).isTolerance()) {
            throw new IllegalArgumentException("no resistor is marked so: " + bands);
        }
    }

    private int digits() {
        return bands.size() - 2;
    }

    public double ohms() {
        int number = 0;
        for (Colour band : bands.subList(0, digits())) {
            number = 10 * number + band.exponent;
        }
        return number * Math.pow(10, bands.get(digits()).exponent);
    }

    /** As a ratio. */
    public double tolerance() {
        return bands.get(digits() + 1).tolerance;
    }

    /** The bands of a value; empty where so few digits do not write it, or no colour stands for its tolerance. */
    public static Optional<ColourCode> of(double ohms, double tolerance, int digits) {
        int exponent = (int) Math.floor(Math.log10(ohms) + SAME) - digits + 1;
        double number = ohms / Math.pow(10, exponent);
        Optional<Colour> last = Arrays.stream(Colour.values())
                .filter(colour -> Math.abs(colour.tolerance - tolerance) < SAME)
                .findFirst();
        if (last.isEmpty()
                || exponent < LEAST_EXPONENT
                || exponent > MOST_EXPONENT
                || Math.abs(number - Math.rint(number)) > SAME * number) {
            return Optional.empty();
        }
        List<Colour> bands = new ArrayList<>();
        for (char digit : String.valueOf(Math.round(number)).toCharArray()) {
            bands.add(Colour.of(digit - '0'));
        }
        bands.add(Colour.of(exponent));
        bands.add(last.get());
        return Optional.of(new ColourCode(bands));
    }
}
