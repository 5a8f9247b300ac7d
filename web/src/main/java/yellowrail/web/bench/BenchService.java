package yellowrail.web.bench;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.soak.Standing;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.recheck.RecheckRow;
import yellowrail.web.recheck.RecheckService;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.run.SummaryWords;
import yellowrail.web.words.Words;

/** Puts together where every amp stands. */
@Service
class BenchService {

    /** Looks as urgent as what is hot. */
    private static final String CREEPS = Verdict.HOT.token();

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private final AmpService amps;
    private final RunService runs;
    private final RecheckService rechecks;
    private final Words words;
    private final Clock clock;

    BenchService(AmpService amps, RunService runs, RecheckService rechecks, Words words, Clock clock) {
        this.amps = amps;
        this.runs = runs;
        this.rechecks = rechecks;
        this.words = words;
        this.clock = clock;
    }

    /**
     * @param find a part of a name, or of what an amp is: looked for among those that have left the bench, too
     * @param allAway to see those that have left it, instead of those that stand on it
     */
    @Transactional(readOnly = true)
    public BenchView view(String find, boolean allAway) {
        String words = find.strip().toLowerCase(Locale.ROOT);
        Set<Long> away = amps.away();
        List<Amp> all = amps.all();
        List<Amp> shown = all.stream()
                .filter(amp -> words.isEmpty() ? away.contains(amp.id()) == allAway : isAbout(amp, words))
                .toList();
        Set<Long> ids = shown.stream().map(Amp::id).collect(Collectors.toSet());
        List<Run> newest = runs.newestOfAll().stream()
                .filter(run -> ids.contains(run.ampId()))
                .toList();
        Map<Long, Run> byAmp = newest.stream().collect(Collectors.toMap(Run::ampId, Function.identity()));
        Map<Run, Standing> standings = runs.standings(newest);
        Map<Long, RecheckRow> looks = rechecks.next();
        return new BenchView(
                shown.stream()
                        .map(amp -> line(
                                amp,
                                Optional.ofNullable(byAmp.get(amp.id())),
                                standings,
                                Optional.ofNullable(looks.get(amp.id())),
                                away.contains(amp.id())))
                        .sorted(Comparator.comparing(BenchLine::urgency))
                        .toList(),
                find.strip(),
                all.size(),
                away.size(),
                allAway);
    }

    private boolean isAbout(Amp amp, String find) {
        return (amp.sheet().name() + " " + words.say(amp.sheet().told()))
                .toLowerCase(Locale.ROOT)
                .contains(find);
    }

    /** Takes an amp off the bench, unless its run is open; @return whether it is off now */
    @Transactional
    public boolean putAway(long ampId) {
        if (runs.newestOf(ampId).filter(Run::isOpen).isPresent()) {
            return false;
        }
        amps.putAway(ampId, true);
        return true;
    }

    @Transactional
    public void bringBack(long ampId) {
        amps.putAway(ampId, false);
    }

    private BenchLine line(
            Amp amp, Optional<Run> newest, Map<Run, Standing> standings, Optional<RecheckRow> look, boolean away) {
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
                    words.message("page.bench.start"),
                    Standing.Urgency.NONE,
                    away);
        }
        Run run = newest.get();
        Standing standing = standings.get(run);
        StageSummary summary = standing.summary();
        boolean due = look.map(each -> !each.dueAt().toInstant().isAfter(clock.instant()))
                .orElse(false);
        Standing.Urgency own = run.isOpen() ? standing.urgency() : Standing.Urgency.NONE;
        Standing.Urgency urgency = due && own.compareTo(Standing.Urgency.DUE) > 0 ? Standing.Urgency.DUE : own;
        boolean creeps = urgency == Standing.Urgency.CREEPING;
        return new BenchLine(
                amp.id(),
                sheet.name(),
                what,
                creeps ? words.say(standing.says().orElseThrow()) : SummaryWords.brief(standing, words),
                creeps ? CREEPS : summary.worst().judgement().verdict().token(),
                look.filter(each -> urgency.compareTo(Standing.Urgency.DUE) >= 0 && own != Standing.Urgency.SOAKING)
                        .map(each -> words.message(
                                due ? "page.bench.look-due" : "page.bench.look-at",
                                DAY.format(each.dueAt().atZoneSameInstant(clock.getZone()))))
                        .orElseGet(() -> due(run, standing)),
                words.message(run.isOpen() ? "page.bench.go-on" : "page.bench.look"),
                urgency,
                away);
    }

    private String due(Run run, Standing standing) {
        StageSummary summary = standing.summary();
        TubeIdle worst = summary.worst();
        Judgement judgement = worst.judgement();
        String open = run.isOpen()
                ? words.message(
                        "page.bench.open-since", DAY.format(run.begunAt().atZoneSameInstant(clock.getZone())))
                : "";
        if (standing.alarm().isPresent()) {
            boolean off = summary.alarm().map(alarm -> alarm.off()).orElse(false);
            return words.message(off ? "page.bench.find-cause" : "page.bench.switch-off");
        }
        if (run.isOpen() && !standing.trouble().isEmpty()) {
            return words.message("page.bench.whose-fault");
        }
        if (judgement.verdict() == Verdict.OVER_RATING) {
            return words.message("page.bench.bring-down");
        }
        if (judgement.verdict() == Verdict.NOT_JUDGED) {
            return words.message(run.isOpen() ? "page.bench.readings-missing" : "page.bench.closed-unjudged");
        }
        if (run.isOpen() && standing.next().isPresent()) {
            return words.message(
                    "page.bench.soak-next",
                    standing.next().get().point(),
                    DAY.format(standing.next().get().at().atZone(clock.getZone())));
        }
        return judgement.early() ? words.message("page.bench.when-settled") : open;
    }
}
