package yellowrail.web.run;

import java.util.List;
import yellowrail.core.station.Safety;
import yellowrail.core.station.SafetyItem;
import yellowrail.web.words.Words;

/** What became of a typed line. */
public sealed interface EntryOutcome {

    /**
     * It stands in the log.
     *
     * @param again whether it had been stored already: the same form came twice
     */
    record Accepted(int readings, boolean again) implements EntryOutcome {}

    /** It cannot be read; nothing was stored. */
    record Refused(String typed, String message) implements EntryOutcome {}

    /**
     * It waits for what makes the amp safe to read; nothing was stored.
     *
     * @param items what is still to be seen to
     */
    record Held(String typed, List<SafetyItem> items) implements EntryOutcome {

        /** What ticks them together: that each is seen to, or that the chassis is closed, where that answers any. */
        public List<String> together() {
            return items.stream().allMatch(item -> item.gate() == SafetyItem.Gate.WITH_BIAS_WORK)
                    ? List.of(Safety.ALL)
                    : List.of(Safety.ALL, Safety.CLOSED);
        }
    }

    /**
     * It is questioned before it counts; nothing was stored.
     *
     * @param ifReal what it means if it is real, told before anything else; blank where it means nothing more
     * @param asks what is odd
     * @param choices what to store instead, most likely first
     * @param keepFirst whether keeping what was typed is the careful answer, and the first key’s
     */
    record Asked(String typed, String ifReal, String asks, List<Choice> choices, boolean keepFirst)
            implements EntryOutcome {

        /**
         * One of them.
         *
         * @param line all of it, as typed
         * @param label what it says on its button
         * @param takesOn whether it takes volts over a limit on, and is not to be chosen by a second press of Enter
         */
        public record Choice(String line, String label, boolean takesOn) {

            static Choice instead(String line, Words words) {
                return new Choice(
                        line,
                        words.message(line.contains(";") ? "run.choice-line" : "run.choice-instead", line),
                        false);
            }
        }

        /** All of it in one. */
        public String says() {
            return (ifReal + " " + asks).strip();
        }
    }
}
