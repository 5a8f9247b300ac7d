package yellowrail.core.drift;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What was read at a test point since the setting.
 *
 * @param label the test point
 * @param samples as they came
 * @param limit the value at which the rating is reached, in their unit; empty where it is not known
 * @param digit what the last digit of the meter stands for, in their unit; 0 where nobody knows
 */
public record Series(String label, List<Sample> samples, OptionalDouble limit, double digit) {

    public Series {
        samples = List.copyOf(samples);
    }
}
