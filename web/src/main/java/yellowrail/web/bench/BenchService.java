package yellowrail.web.bench;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.run.SummaryWords;
import yellowrail.web.words.Words;

/** Puts together where every amp stands. */
@Service
class BenchService {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private final AmpService amps;
    private final RunService runs;
    private final Words words;
    private final Clock clock;

    BenchService(AmpService amps, RunService runs, Words words, Clock clock) {
        this.amps = amps;
        this.runs = runs;
        this.words = words;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<BenchLine> lines() {
        return amps.all().stream().map(this::line).toList();
    }

    private BenchLine line(Amp amp) {
        AmpSheet sheet = amp.sheet();
        String what = sheet.inWords();
        Optional<Run> newest = runs.newestOf(amp.id());
        if (newest.isEmpty()) {
            return new BenchLine(amp.id(), sheet.name(), what, "no readings yet", Verdict.NOT_JUDGED.token(), "", "Start");
        }
        Run run = newest.get();
        StageSummary summary = runs.summary(run);
        return new BenchLine(amp.id(), sheet.name(), what, SummaryWords.brief(summary, words), summary.worst().judgement().verdict().token(),
                due(run, summary), run.isOpen() ? "Go on" : "Look");
    }

    private String due(Run run, StageSummary summary) {
        TubeIdle worst = summary.worst();
        Judgement judgement = worst.judgement();
        String open = run.isOpen() ? "run open since " + DAY.format(run.begunAt().atZoneSameInstant(clock.getZone())) : "";
        if (summary.alarm().isPresent()) {
            return summary.alarm().get().off() ? "find the cause before it is on again" : "switch off now";
        }
        if (judgement.verdict() == Verdict.OVER_RATING) {
            return "bring it down before anything else";
        }
        if (judgement.verdict() == Verdict.NOT_JUDGED) {
            return "half way through: " + (run.isOpen() ? "readings missing" : "closed without a verdict");
        }
        return judgement.early() ? "read again when it has settled" : open;
    }
}
