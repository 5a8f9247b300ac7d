package yellowrail.core.drift;

/**
 * One reading of a soak.
 *
 * @param minutes since the setting
 * @param value as it was read, in any one unit, &gt; 0
 */
public record Sample(double minutes, double value) {

    public Sample {
        if (!Double.isFinite(minutes) || !(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException(
                    "a sample has a time and a value above 0, was %s at %s min".formatted(value, minutes));
        }
    }
}
