package yellowrail.web.walk;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.LastRead;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.schematic.Probed;
import yellowrail.core.schematic.StagePoints;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Performance;
import yellowrail.core.station.Station;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.core.walk.AmpAudit;
import yellowrail.core.walk.ChartCheck;
import yellowrail.core.walk.DrivenAudit;
import yellowrail.core.walk.Route;
import yellowrail.web.amp.AmpService;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.layout.Rail;
import yellowrail.web.live.Changes;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.schematic.ProbeView;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.schematic.Touch;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** Puts together the page of a walk. */
@Component
class WalkPages {

    private final RunService runs;
    private final AmpService amps;
    private final StationService stations;
    private final SeatService seats;
    private final TubeService tubes;
    private final Words words;
    private final JsonColumn json;
    private final Changes changes;

    WalkPages(
            RunService runs,
            AmpService amps,
            StationService stations,
            SeatService seats,
            TubeService tubes,
            Words words,
            JsonColumn json,
            Changes changes) {
        this.runs = runs;
        this.amps = amps;
        this.stations = stations;
        this.seats = seats;
        this.tubes = tubes;
        this.words = words;
        this.json = json;
        this.changes = changes;
    }

    /** @param outcome what became of what was typed; null where nothing was */
    ModelAndView page(
            long runId, Route route, String node, EntryOutcome outcome, String typed, String by, String view) {
        long notSeenFrom = changes.notSeenFrom();
        Run run = runs.run(runId);
        Timeline timeline = timeline(run);
        AmpSheet sheet = timeline.present().sheet();
        ChartCheck check = check(run, timeline);
        boolean head = view.endsWith("head");
        return new ModelAndView(view)
                .addObject("probes", head ? json.write(probes(check)) : null)
                .addObject(
                        "rail",
                        Rail.ofRun(runId, sheet.name(), Station.MEASURE, stations.progress(runId, sheet), words))
                .addObject("notSeenFrom", notSeenFrom)
                .addObject("runId", runId)
                .addObject("ampId", run.ampId())
                .addObject("open", run.isOpen())
                .addObject("by", by)
                .addObject("typed", outcome instanceof EntryOutcome.Accepted ? "" : typed)
                .addObject("refused", outcome instanceof EntryOutcome.Refused refused ? refused.message() : "")
                .addObject("asked", outcome instanceof EntryOutcome.Asked asked ? asked : null)
                .addObject(
                        "held",
                        outcome instanceof EntryOutcome.Held held
                                ? words.say(held.items().stream()
                                        .map(item -> item.says())
                                        .toList())
                                : null)
                .addObject("form", UUID.randomUUID().toString())
                .addObject("view", WalkView.of(runId, timeline, check, route, node, !head, words));
    }

    private Timeline timeline(Run run) {
        return runs.wholeTimelines(List.of(run)).get(run);
    }

    private ChartCheck check(Run run, Timeline timeline) {
        return new ChartCheck(timeline, runs.nodesAsLeft(run));
    }

    private List<ProbeView> probes(ChartCheck check) {
        return check.standings().stream()
                .map(standing -> ProbeView.of(Probed.of(standing), words))
                .toList();
    }

    /** Where the current goes, and every node in words: below the drawing, fetched after it. */
    ModelAndView audit(long runId) {
        Run run = runs.run(runId);
        Timeline timeline = timeline(run);
        AmpSheet sheet = timeline.present().sheet();
        ChartCheck check = check(run, timeline);
        StageSummary summary = StageSummary.of(timeline);
        AmpAudit audit = new AmpAudit(check, sheet, summary.tubes());
        Optional<DrivenAudit> driven =
                driven(summary.stage(), timeline).map(performance -> new DrivenAudit(audit, check, sheet, performance));
        return new ModelAndView("walk/page :: audit")
                .addObject("audit", AuditView.of(audit, sheet, driven, words))
                .addObject("rows", WalkView.rows(check, words))
                .addObject("touch", Touch.of(runId, Route.NEAREST, ""));
    }

    /** The stage at full drive, by the load line of what was read; empty where its tubes have no model. */
    private static Optional<Performance> driven(StageIdle stage, Timeline timeline) {
        LastRead read = LastRead.of(stage, Optional.of(timeline.present()));
        return stage.mainType()
                .filter(type -> stage.isOfOneType() && read.plateAmps().isPresent())
                .flatMap(type -> TubeModels.published()
                        .of(type)
                        .map(known -> new FullDrive(AmpStage.of(stage.sheet(), read, type, known.model())
                                        .stage())
                                .compute()));
    }

    /**
     * What was read in the newest run, its points leading to the walk while that is open.
     *
     * @param withStage whether the output stage is drawn above the chart
     */
    ModelAndView drawing(long ampId, boolean withStage) {
        Optional<Run> run = runs.newestOf(ampId);
        AmpSheet sheet = amps.newest(ampId).sheet();
        Optional<Timeline> timeline =
                run.map(this::timeline).filter(found -> found.present().sheet().equals(sheet));
        if (sheet.chart().isEmpty() && !withStage) {
            return new ModelAndView("schematic/drawing :: nothing");
        }
        ChartCheck check = timeline.map(found -> check(run.get(), found)).orElseGet(() -> ChartCheck.unread(sheet));
        Optional<Touch> touch = run.filter(Run::isOpen).map(found -> Touch.of(found.id(), Route.NEAREST, ""));
        return new ModelAndView("walk/page :: drawing")
                .addObject(
                        "stage",
                        withStage
                                ? timeline.map(found -> stage(ampId, run.get(), found, touch))
                                        .orElse(null)
                                : null)
                .addObject("both", check.chart().isEmpty() ? null : SchematicView.of(check, touch, words))
                .addObject("ampId", ampId);
    }

    private SchematicView.Both stage(long ampId, Run run, Timeline timeline, Optional<Touch> touch) {
        StagePoints points =
                StagePoints.of(timeline.present(), StageSummary.of(timeline).tubes());
        return SchematicView.of(
                timeline.present().sheet(), tubes.catalogue(), seats.labels(ampId, run.id()), points, touch, words);
    }
}
