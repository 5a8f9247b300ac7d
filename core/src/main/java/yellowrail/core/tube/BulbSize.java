package yellowrail.core.tube;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The room a bulb takes.
 *
 * @param height m
 * @param width diameter, m
 */
public record BulbSize(double height, double width) {

    private static final Pattern TEXT = Pattern.compile("(\\d{1,3})x(\\d{1,3})");
    private static final double MILLI = 1000;

    /** @param text height x diameter in mm, as {@code 112x33} */
    static Optional<BulbSize> parse(String text) {
        Matcher matcher = TEXT.matcher(text);
        return matcher.matches()
                ? Optional.of(new BulbSize(
                        Double.parseDouble(matcher.group(1)) / MILLI, Double.parseDouble(matcher.group(2)) / MILLI))
                : Optional.empty();
    }

    public boolean fitsWhere(BulbSize other) {
        return height <= other.height && width <= other.width;
    }
}
