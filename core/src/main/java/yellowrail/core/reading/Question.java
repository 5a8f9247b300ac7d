package yellowrail.core.reading;

import java.util.List;

/**
 * What is odd about a reading, and what may have been meant. A question never changes a reading by itself.
 *
 * @param entry       the reading in question
 * @param asks        what is odd, in words
 * @param suggestions readings that would be plausible, most likely first; possibly none
 */
public record Question(Entry entry, String asks, List<Suggestion> suggestions) {

    /**
     * @param entries what may have been meant, in place of the reading in question
     * @param line    how it is typed
     */
    public record Suggestion(List<Entry> entries, String line) {

        public Suggestion {
            entries = List.copyOf(entries);
        }
    }

    public Question {
        suggestions = List.copyOf(suggestions);
    }
}
