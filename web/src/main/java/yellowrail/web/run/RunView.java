package yellowrail.web.run;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.Pot;
import yellowrail.core.balance.PotSwing;
import yellowrail.core.balance.SideBalance;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.soak.BenchAlarm;
import yellowrail.core.soak.Standing;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationFinding;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.words.Words;

/**
 * A run as its page shows it.
 *
 * @param sentence what matters most, at every station
 * @param next what to do about it, in a sentence; blank where the first says all
 * @param alarm whether there is nothing to do but to switch off
 * @param common notes that hold for every tube, said once
 */
record RunView(
        long id,
        boolean open,
        String sentence,
        String next,
        boolean alarm,
        String worstToken,
        String warmUp,
        List<TubeCard> tubes,
        List<String> common,
        List<Balance> balances,
        MapView map,
        List<LogLine> log,
        boolean older,
        String hint,
        String total,
        StationView station,
        MoveView move,
        List<String> swing,
        boolean swings,
        String meter) {

    private static final int LOG_LINES = 20;
    private static final int COMMON_SHOWN = 4;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    /** What is to be said of every tube alike, shortly. */
    public Notes commonShortly() {
        return Notes.of(common, COMMON_SHOWN);
    }

    /** How urgent its sentence looks. */
    public String urgency() {
        return worstToken + (alarm ? " switch-off" : "");
    }

    /** The two sides of a channel. */
    record Balance(String channel, String push, String pull, String imbalance, String unseen, String over) {}

    /** A line of the log. */
    record LogLine(long id, String time, String typed, String what, String by, boolean struck) {}

    static RunView of(RunNow present, RunProgress progress, Station at, double span, Words words, Clock wall) {
        Run run = present.run();
        RunLog log = present.log();
        Clock clock = run.clock(wall);
        Timeline timeline = present.timeline();
        Snapshot now = timeline.present();
        AmpSheet sheet = now.sheet();
        Standing standing = present.standing();
        StageSummary summary = standing.summary();
        StageIdle stage = summary.stage();
        List<TubeIdle> tubes = summary.tubes();
        StationView station = StationView.of(at, stage, progress, now.moment(), clock.getZone(), words);
        boolean drawable = station.drawn() && stage.weakest().isPresent();
        boolean biasFirst = progress.isBiasUnmeasured();
        Optional<NextMove> move = !biasFirst && (drawable || !progress.missing().isEmpty() || !station.figures())
                ? present.moves().find()
                : Optional.empty();
        double mains = SupplyReadings.mainsRatio(now.moment(), sheet);
        List<ReadingRow> newestFirst = new ArrayList<>(log.rows());
        Collections.reverse(newestFirst);
        List<String> common = common(tubes, words);
        return new RunView(
                run.id(),
                run.isOpen(),
                words.say(sentence(standing, at)),
                standing.alarm().isPresent()
                        ? ""
                        : biasFirst
                                ? words.say(new StationFinding.BiasBeforeAnyMove())
                                : move.map(NextMove::says).map(words::say).orElse(""),
                standing.alarm().isPresent(),
                summary.worst().judgement().verdict().token(),
                run.isOpen() ? words.say(new WarmUp(now.moment(), sheet.settleMinutes()).clock(clock.instant())) : "",
                cards(
                        tubes,
                        sheet.current().shows(),
                        mains,
                        move.map(NextMove::mains).orElse(Mains.customary(sheet)),
                        sheet.mainsVolts(),
                        common,
                        words),
                common,
                SideBalance.of(sheet, tubes).stream()
                        .map(balance -> balance(balance, words))
                        .toList(),
                drawable ? map(stage, timeline, move, sheet, words) : null,
                newestFirst.stream()
                        .limit(LOG_LINES)
                        .map(row -> line(row, clock, words))
                        .toList(),
                log.rows().size() > LOG_LINES,
                hint(stage, words),
                String.valueOf(log.rows().size()),
                station,
                station.drawn()
                        ? move.map(found -> MoveView.of(found, stage, tubes, mains, span, words))
                                .orElse(null)
                        : null,
                PotSwing.of(sheet, now.moment()).stream()
                        .map(swing -> (swing.channel() == Channel.MONO ? "" : words.name(swing.channel()) + ": ")
                                + words.say(swing.says()))
                        .toList(),
                sheet.pots().stream().anyMatch(pot -> pot.action() == Pot.Action.BALANCE)
                        || now.moment()
                                .last(ReadingKind.SWING_A, sheet.testPoints().toArray(String[]::new))
                                .isPresent(),
                sheet.measuring().link().isSet() ? sheet.measuring().link().toString() : "");
    }

    private static MapView map(
            StageIdle stage, Timeline timeline, Optional<NextMove> move, AmpSheet sheet, Words words) {
        List<Track> tracks = Track.of(stage, timeline);
        return MapView.of(
                move.map(found -> OperatingMap.of(stage, tracks, found))
                        .orElseGet(() -> OperatingMap.of(stage, tracks)),
                sheet,
                words);
    }

    /** What is to be switched off for; once the amp is set, a creep; else what the worst tube does. */
    private static Finding sentence(Standing standing, Station at) {
        boolean creeps = standing.urgency() == Standing.Urgency.CREEPING && at.compareTo(Station.SOAK) >= 0;
        return standing.alarm()
                .map(BenchAlarm::says)
                .orElseGet(() -> creeps
                        ? standing.says().orElseThrow()
                        : standing.summary().sentence());
    }

    /** What is to be said of every tube alike. */
    private static List<String> common(List<TubeIdle> tubes, Words words) {
        if (tubes.size() < 2) {
            return List.of();
        }
        List<IdleFinding> common = new ArrayList<>(tubes.get(0).judgement().notes());
        tubes.forEach(tube -> common.retainAll(tube.judgement().notes()));
        return words.say(common);
    }

    /** The tubes in the order of the sheet, each with what is to be said of it alone. */
    private static List<TubeCard> cards(
            List<TubeIdle> tubes,
            Unit shows,
            double mainsRatio,
            Mains mains,
            double reference,
            List<String> common,
            Words words) {
        return tubes.stream()
                .map(tube -> {
                    TubeCard card = TubeCard.of(tube, shows, words);
                    return card.with(
                            card.notes().stream()
                                    .filter(note -> !common.contains(note))
                                    .toList(),
                            converted(tube, mainsRatio, mains, reference, words));
                })
                .toList();
    }

    static LogLine line(ReadingRow row, Clock clock, Words words) {
        var taken = row.takenAt().atZoneSameInstant(clock.getZone());
        boolean today = taken.toLocalDate()
                .equals(clock.instant().atZone(clock.getZone()).toLocalDate());
        return new LogLine(
                row.id(),
                (today ? TIME : DAY).format(taken),
                row.typed(),
                words.name(ReadingKind.valueOf(row.kind())),
                row.byWhom(),
                row.struck());
    }

    private static Balance balance(SideBalance balance, Words words) {
        String channel = balance.channel() == Channel.MONO
                ? words.message("compare.balance")
                : words.message("compare.balance-of", words.name(balance.channel()));
        return balance.unseen()
                .map(why -> new Balance(channel, "", "", "", words.say(why), ""))
                .orElseGet(() -> new Balance(
                        channel,
                        Figures.beside(balance.plusMinus(), balance.push(), Unit.MILLIAMP),
                        Figures.beside(balance.plusMinus(), balance.pull(), Unit.MILLIAMP),
                        words.message(
                                "page.run.imbalance",
                                Figures.beside(balance.plusMinus(), balance.imbalance(), Unit.MILLIAMP),
                                Figures.plusMinus(balance.plusMinus(), Unit.MILLIAMP),
                                Figures.percent(balance.ratio())),
                        "",
                        over(balance, words)));
    }

    /** What the core does not stand, if it does not. */
    private static String over(SideBalance balance, Words words) {
        if (balance.isTolerable()) {
            return "";
        }
        return balance.core().equals(Core.UNKNOWN)
                ? words.message("page.run.more-than-an-ei-cores")
                : words.message(
                        "page.run.more-than-its-core",
                        Figures.milliamps(balance.tolerated()),
                        words.name(balance.core().kind()));
    }

    /**
     * A figure read at another mains, converted to the reference and marked so; blank where there is nothing to
     * convert.
     */
    private static String converted(TubeIdle tube, double mainsRatio, Mains mains, double reference, Words words) {
        if (tube.judgement().verdict() == Verdict.NOT_JUDGED || Math.abs(mainsRatio - 1) <= Mains.SAME) {
            return "";
        }
        Estimate read = tube.figures().get().dissipation();
        double converted = mains.convertDissipation(read.value(), mainsRatio, 1);
        double factor = converted / read.value();
        return words.message(
                "page.run.converted",
                Figures.volts(reference),
                Figures.beside(read.plusMinus() * factor, converted, Unit.WATT),
                Figures.percent(tube.judgement().ratio() * factor),
                Figures.volts(mainsRatio * reference));
    }

    private static String hint(StageIdle stage, Words words) {
        String point = stage.sheet().testPoints().get(0);
        String example = switch (stage.sheet().current().shows()) {
            case VOLT -> "9.85";
            default -> "36.4";
        };
        return words.message("page.run.hint", point, example);
    }
}
