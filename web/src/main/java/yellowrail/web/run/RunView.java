package yellowrail.web.run;

import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.balance.SideBalance;
import yellowrail.core.balance.SwingTest;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSets;
import yellowrail.web.amp.Amp;

/** A run as its page shows it. */
record RunView(long id, boolean open, String sentence, String worstToken, String warmUp, List<TubeCard> tubes,
               List<Balance> balances, MapView map, List<LogLine> log, boolean older, String hint, String total, StationView station, MoveView move,
               String swing, boolean swings, String meter) {

    private static final int LOG_LINES = 20;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    /** The two sides of a channel. */
    record Balance(String channel, String push, String pull, String imbalance, String unseen, boolean tolerable) {
    }

    /** A line of the log. */
    record LogLine(long id, String time, String typed, String what, String by, boolean struck) {
    }

    static RunView of(Run run, Amp amp, StageIdle stage, RunLog log, RunProgress progress, Station at, double span, Clock wall) {
        Clock clock = run.clock(wall);
        AmpSheet sheet = amp.sheet();
        List<Reading> readings = log.readings();
        Moment now = log.now();
        List<TubeIdle> tubes = stage.at(now);
        StageSummary summary = new StageSummary(stage, tubes);
        StationView station = StationView.of(at, stage, progress, now, clock.getZone());
        List<Track> tracks = station.drawn() ? Track.of(stage, log.before(), readings) : List.of();
        Optional<NextMove> move = station.drawn() ? new MoveFinder(stage, new ReadingSets(stage, log.before(), readings)).find() : Optional.empty();
        double mains = ReadingSets.mainsRatio(now, sheet);
        List<ReadingRow> newestFirst = new ArrayList<>(log.rows());
        Collections.reverse(newestFirst);
        return new RunView(run.id(), run.isOpen(), summary.sentence(), summary.worst().judgement().verdict().token(),
                run.isOpen() ? new WarmUp(now, sheet.settleMinutes()).inWords(clock.instant()) : "",
                cards(tubes, sheet.current().shows(), mains, move.map(NextMove::mains).orElse(Mains.customary(sheet.bias())), sheet.mainsVolts()),
                SideBalance.of(sheet, tubes).stream().map(RunView::balance).toList(),
                MapView.of(move.map(found -> OperatingMap.of(stage, tracks, found)).orElseGet(() -> OperatingMap.of(stage, tracks)), sheet),
                newestFirst.stream().limit(LOG_LINES).map(row -> line(row, clock)).toList(), log.rows().size() > LOG_LINES,
                hint(stage), log.total(), station,
                move.map(found -> MoveView.of(found, stage, tubes, mains, span)).orElse(null),
                SwingTest.of(sheet, now).map(SwingTest::words).orElse(""),
                sheet.pots().stream().anyMatch(pot -> pot.action() == Pot.Action.BALANCE) || now.last(ReadingKind.SWING_A, sheet.testPoints().toArray(String[]::new)).isPresent(),
                sheet.meterLink().isSet() ? sheet.meterLink().toString() : "");
    }

    /** The tubes in the order of the sheet; a note that stands at the tube before is not said again. */
    private static List<TubeCard> cards(List<TubeIdle> tubes, Unit shows, double mainsRatio, Mains mains, double reference) {
        List<TubeCard> cards = new ArrayList<>();
        List<String> before = List.of();
        for (TubeIdle tube : tubes) {
            TubeCard card = TubeCard.of(tube, shows).withReference(converted(tube, mainsRatio, mains, reference));
            boolean again = !before.isEmpty() && before.equals(card.notes());
            before = card.notes();
            cards.add(again ? card.withNotes(List.of("As %s.".formatted(cards.get(cards.size() - 1).label()))) : card);
        }
        return cards;
    }

    static LogLine line(ReadingRow row, Clock clock) {
        var taken = row.takenAt().atZoneSameInstant(clock.getZone());
        boolean today = taken.toLocalDate().equals(clock.instant().atZone(clock.getZone()).toLocalDate());
        return new LogLine(row.id(), (today ? TIME : DAY).format(taken), row.typed(), ReadingKind.valueOf(row.kind()).inWords(), row.byWhom(), row.struck());
    }

    private static Balance balance(SideBalance balance) {
        String channel = balance.channel().inWords();
        return balance.unseen().map(why -> new Balance(channel, "", "", "", why, true)).orElseGet(() -> new Balance(channel,
                Figures.milliamps(balance.push()), Figures.milliamps(balance.pull()),
                "%s \u00b1 %s mA, %s of the mean".formatted(Figures.milliamps(balance.imbalance()),
                        Figures.plusMinus(balance.plusMinus(), Unit.MILLIAMP), Figures.percent(balance.ratio())),
                "", balance.isTolerable()));
    }

    /** A figure read at another mains, converted to the reference and marked so; blank where there is nothing to convert. */
    private static String converted(TubeIdle tube, double mainsRatio, Mains mains, double reference) {
        if (tube.figures().isEmpty() || Math.abs(mainsRatio - 1) <= Mains.SAME) {
            return "";
        }
        double watts = tube.figures().get().dissipation().value();
        double converted = mains.convertDissipation(watts, mainsRatio, 1);
        return "at %s of mains %s, %s (converted from %s)".formatted(Figures.volts(reference), Figures.watts(converted),
                Figures.percent(tube.judgement().ratio() * converted / watts), Figures.volts(mainsRatio * reference));
    }

    private static String hint(StageIdle stage) {
        String point = stage.sheet().testPoints().get(0);
        String example = switch (stage.sheet().current().shows()) {
            case VOLT -> "9.85";
            default -> "36.4";
        };
        return "%s %s   plate 452   mains 120%s".formatted(point, example, stage.sheet().bias().isCathode() ? "" : "   bias -46.8");
    }
}
