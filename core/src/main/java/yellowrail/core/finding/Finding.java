package yellowrail.core.finding;

/**
 * Something to be told: a record of numbers in SI and of names, with a code. What is said of it, and in whose words, is
 * decided elsewhere; nothing here or there takes the sentence apart again.
 */
public interface Finding {

    /**
     * The record's name as it stands in message keys and in JSON: {@code PlateOverLimit} is {@code plate-over-limit}.
     */
    default String code() {
        return Code.of(getClass());
    }
}
