package yellowrail.web.run;

import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.quantity.Figures;
import yellowrail.core.soak.Standing;
import yellowrail.web.words.Words;

/** The worst verdict of a stage with its percentage, for a list of amps or runs. */
public final class SummaryWords {

    private SummaryWords() {}

    /** The same where a tube may run away. */
    public static String brief(Standing standing, Words words) {
        return standing.summary().alarm().isEmpty() && standing.alarm().isPresent()
                ? words.say(standing.alarm().get().says())
                : brief(standing.summary(), words);
    }

    public static String brief(StageSummary summary, Words words) {
        if (summary.alarm().isPresent()) {
            return words.message(
                    summary.alarm().get().off() ? "summary.stays-off" : "summary.switch-off",
                    summary.worst().socket().label(),
                    Figures.percent(summary.worst().judgement().ratio()));
        }
        TubeIdle worst = summary.worst();
        Judgement judgement = worst.judgement();
        if (judgement.verdict() == Verdict.NOT_JUDGED) {
            return words.message("summary.not-judged");
        }
        String said = words.message(
                "summary.worst",
                worst.socket().label(),
                words.name(judgement.verdict()),
                Figures.percent(judgement.ratio()));
        String early = judgement.early() ? said + words.message("summary.early") : said;
        return worst.isFresh() ? early : early + words.message("summary.stale");
    }
}
