package yellowrail.core.reading;

import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;

/**
 * What is odd about a reading, and what may have been meant. A question never changes a reading by itself.
 *
 * @param entry the reading in question
 * @param asks what is odd
 * @param ifReal what the reading means if it is real; it is told before anything else
 * @param suggestions what may have been meant in place of the reading, most likely first; possibly none
 */
public record Question(Entry entry, Finding asks, Optional<Finding> ifReal, List<List<Entry>> suggestions) {

    public Question {
        suggestions = suggestions.stream().map(List::copyOf).toList();
    }

    public Question(Entry entry, Finding asks, List<List<Entry>> suggestions) {
        this(entry, asks, Optional.empty(), suggestions);
    }

    /** The same, first told what the reading would mean. */
    public Question ifReal(Optional<Finding> meaning) {
        return new Question(entry, asks, meaning, suggestions);
    }
}
