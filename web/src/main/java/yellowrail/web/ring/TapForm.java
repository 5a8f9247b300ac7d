package yellowrail.web.ring;

import java.util.Map;
import java.util.OptionalDouble;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** What is told of a recording of taps. */
public record TapForm(Map<String, String> typed) {

    private static final int LONGEST_NAME = 40;
    private static final double LEAST_GAIN = 1e-3;
    private static final double MOST_GAIN = 1e6;

    /**
     * @param tube as the builder calls it
     * @param gain from it to the card, times
     */
    public record Told(String tube, OptionalDouble gain) {}

    /** What stands in a field. */
    public String of(String field) {
        return typed.getOrDefault(field, "");
    }

    Told read(Faults faults) {
        FormReader reader = new FormReader(faults);
        return new Told(
                reader.requiredWords("tube", of("tube"), LONGEST_NAME, "page.ring.which-tube"),
                reader.plain("gain", of("gain"), LEAST_GAIN, MOST_GAIN));
    }
}
