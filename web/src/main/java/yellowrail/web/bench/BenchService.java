package yellowrail.web.bench;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
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
        List<Run> newest = runs.newestOfAll();
        Map<Long, Run> byAmp = newest.stream().collect(Collectors.toMap(Run::ampId, Function.identity()));
        Map<Long, StageSummary> summaries = runs.summaries(newest);
        return amps.all().stream()
                .map(amp -> line(amp, Optional.ofNullable(byAmp.get(amp.id())), run -> summaries.get(run.id())))
                .toList();
    }

    private BenchLine line(Amp amp, Optional<Run> newest, Function<Run, StageSummary> summaries) {
        AmpSheet sheet = amp.sheet();
        String what = words.say(sheet.told());
        if (newest.isEmpty()) {
            return new BenchLine(
                    amp.id(),
                    sheet.name(),
                    what,
                    words.message("page.bench.no-readings"),
                    Verdict.NOT_JUDGED.token(),
                    "",
                    words.message("page.bench.start"));
        }
        Run run = newest.get();
        StageSummary summary = summaries.apply(run);
        return new BenchLine(
                amp.id(),
                sheet.name(),
                what,
                SummaryWords.brief(summary, words),
                summary.worst().judgement().verdict().token(),
                due(run, summary),
                words.message(run.isOpen() ? "page.bench.go-on" : "page.bench.look"));
    }

    private String due(Run run, StageSummary summary) {
        TubeIdle worst = summary.worst();
        Judgement judgement = worst.judgement();
        String open = run.isOpen()
                ? words.message(
                        "page.bench.open-since", DAY.format(run.begunAt().atZoneSameInstant(clock.getZone())))
                : "";
        if (summary.alarm().isPresent()) {
            return words.message(summary.alarm().get().off() ? "page.bench.find-cause" : "page.bench.switch-off");
        }
        if (judgement.verdict() == Verdict.OVER_RATING) {
            return words.message("page.bench.bring-down");
        }
        if (judgement.verdict() == Verdict.NOT_JUDGED) {
            return words.message(run.isOpen() ? "page.bench.readings-missing" : "page.bench.closed-unjudged");
        }
        return judgement.early() ? words.message("page.bench.when-settled") : open;
    }
}
