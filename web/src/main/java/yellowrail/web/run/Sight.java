package yellowrail.web.run;

import yellowrail.web.run.EntryOutcome.Asked;

/**
 * What whoever typed a line had before the eyes, and said to it. Meanwhile something else may have been stored: what a
 * question was answered to, and what an undo meant, is that which was seen.
 *
 * @param confirmed {@code true} where a question about the line was answered with keeping it
 * @param about what was asked; blank where that does not matter
 * @param seen the newest row of the log that was shown; null where none was
 */
public record Sight(String confirmed, String about, Long seen) {

    /** Nothing was asked yet. */
    public static final Sight NOTHING = new Sight("", "", null);
    /** Whatever would be asked, it counts. */
    public static final Sight COUNTS = new Sight("true", "", null);

    public Sight {
        confirmed = confirmed == null ? "" : confirmed;
        about = about == null ? "" : about;
    }

    /** Whether this question was answered, and not one that another reading has changed since. */
    boolean answers(Asked question) {
        return "true".equals(confirmed) && (about.isBlank() || about.equals(question.says()));
    }

    /** The same, where what was asked was answered with another line: one that the question itself has offered. */
    public Sight choosing(String instead) {
        return instead.isBlank() ? this : COUNTS;
    }

    /** The rows that an undo may mean come before this. */
    long before() {
        return seen == null ? Long.MAX_VALUE : seen + 1;
    }
}
