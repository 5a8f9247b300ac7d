package yellowrail.web.run;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import yellowrail.core.idle.StageSummary;
import yellowrail.web.words.Words;

/**
 * One run in the history of an amp's settings.
 *
 * @param said tubes that were put in, and what was found; blank for nothing
 */
record HistoryLine(long id, String begun, boolean open, String summary, String token, String said) {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);

    static HistoryLine of(Run run, StageSummary summary, List<String> said, Words words, Clock clock) {
        return new HistoryLine(
                run.id(),
                DAY.format(run.begunAt().atZoneSameInstant(clock.getZone())),
                run.isOpen(),
                SummaryWords.brief(summary, words),
                summary.worst().judgement().verdict().token(),
                String.join("; ", said));
    }
}
