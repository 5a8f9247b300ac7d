package yellowrail.web.run;

import java.util.List;

/** What became of a typed line. */
public sealed interface EntryOutcome {

    /** It stands in the log. */
    record Accepted(int readings) implements EntryOutcome {
    }

    /** It cannot be read; nothing was stored. */
    record Refused(String typed, String message) implements EntryOutcome {
    }

    /**
     * It is questioned before it counts; nothing was stored.
     *
     * @param asks    what is odd
     * @param choices whole lines to store instead, most likely first
     */
    record Asked(String typed, String asks, List<String> choices) implements EntryOutcome {
    }
}
