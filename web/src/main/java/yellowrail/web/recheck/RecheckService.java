package yellowrail.web.recheck;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.closing.Closing;
import yellowrail.core.closing.Recheck;
import yellowrail.core.closing.SinceLeft;
import yellowrail.core.finding.Code;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.soak.Soak;
import yellowrail.core.soak.Standing;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunClosed;
import yellowrail.web.run.RunService;

/** Plans when amps are looked at again, and says what became of a setting when they are. */
@Service
public class RecheckService {

    private final RecheckMapper mapper;
    private final RunService runs;
    private final Clock clock;

    RecheckService(RecheckMapper mapper, RunService runs, Clock clock) {
        this.mapper = mapper;
        this.runs = runs;
        this.clock = clock;
    }

    /**
     * A run that was closed with a setting in it is to be looked at again; a practice amp is not. One that found the
     * setting as it was left leaves the looks that are planned.
     */
    @EventListener
    void closed(RunClosed event) {
        Run run = event.run();
        mapper.tickOff(run.ampId(), run.id());
        Timeline timeline = runs.wholeTimelines(List.of(run)).get(run);
        StageSummary summary = StageSummary.of(timeline);
        boolean set = summary.tubes().stream().anyMatch(tube -> tube.figures().isPresent());
        if (run.isPractice() || !set) {
            return;
        }
        Soak soak = Soak.of(timeline, summary.tubes());
        Standing standing = Standing.of(timeline, summary, soak);
        boolean wrong = standing.alarm().isPresent() || !standing.trouble().isEmpty();
        Optional<SinceLeft> since = sinceTheOneBefore(runs.ofAmp(run.ampId()));
        Instant left = run.closedAt().toInstant();
        if (!wrong && since.filter(SinceLeft::stands).isPresent()) {
            if (mapper.openOf(run.ampId()).isEmpty()) {
                add(run, Recheck.again(left));
            }
            return;
        }
        boolean flagged = wrong
                || since.filter(each -> each.state() == SinceLeft.State.MOVED).isPresent()
                || Closing.unsoaked(soak).isPresent();
        mapper.dropAll(run.ampId());
        Recheck.plan(left, timeline.present().occupants().stream().anyMatch(Occupant::isNew), flagged)
                .forEach(each -> add(run, each));
    }

    private void add(Run run, Recheck look) {
        mapper.add(
                run.ampId(),
                run.id(),
                Code.of(look.kind()),
                look.at().atZone(clock.getZone()).toOffsetDateTime(),
                look.kind().early().toMinutes());
    }

    /** The earliest look of each amp that nothing has ticked off. */
    @Transactional(readOnly = true)
    public Map<Long, RecheckRow> next() {
        Map<Long, RecheckRow> next = new LinkedHashMap<>();
        mapper.open().forEach(row -> next.putIfAbsent(row.ampId(), row));
        return next;
    }

    /** The earliest look at an amp that nothing has ticked off. */
    @Transactional(readOnly = true)
    public Optional<RecheckRow> nextOf(long ampId) {
        return mapper.openOf(ampId).stream().findFirst();
    }

    /** All of them, the earliest first. */
    @Transactional(readOnly = true)
    List<RecheckRow> open() {
        return mapper.open();
    }

    @Transactional(readOnly = true)
    List<RecheckRow> openOf(long ampId) {
        return mapper.openOf(ampId);
    }

    /** @param was when it was due as far as whoever moves it knew; @return false if it was moved meanwhile */
    @Transactional
    boolean move(long ampId, long id, OffsetDateTime was, OffsetDateTime to) {
        if (mapper.move(ampId, id, was, to) == 1) {
            return true;
        }
        if (mapper.openOf(ampId).stream().noneMatch(row -> row.id() == id)) {
            throw new NotFoundException("There is no such look at this amp.");
        }
        return false;
    }

    @Transactional
    void drop(long ampId, long id) {
        if (mapper.drop(ampId, id) == 0) {
            throw new NotFoundException("There is no such look at this amp.");
        }
    }

    /** What became of the setting the amp was left with; empty where its newest run is the first, or is closed. */
    @Transactional(readOnly = true)
    Optional<SinceLeft> since(long ampId) {
        List<Run> ofAmp = runs.ofAmp(ampId);
        return ofAmp.isEmpty() || !ofAmp.get(0).isOpen() ? Optional.empty() : sinceTheOneBefore(ofAmp);
    }

    /** @param ofAmp the newest first */
    private Optional<SinceLeft> sinceTheOneBefore(List<Run> ofAmp) {
        return ofAmp.size() < 2
                ? Optional.empty()
                : SinceLeft.of(
                        runs.timeline(ofAmp.get(1)).present(),
                        runs.timeline(ofAmp.get(0)).present());
    }
}
