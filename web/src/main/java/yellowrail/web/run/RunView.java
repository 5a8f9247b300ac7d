package yellowrail.web.run;

import java.time.Clock;
import java.time.Duration;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.balance.SideBalance;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.web.amp.Amp;

/** A run as its page shows it. */
record RunView(long id, boolean open, String sentence, String worstToken, String warmUp, String quirks, List<TubeCard> tubes,
               List<Balance> balances, MapView map, List<LogLine> log, boolean older, String hint, String total) {

    private static final int LOG_LINES = 30;
    /** An amp that has been on this long has been forgotten in the log, not on the bench. */
    private static final int FORGOTTEN_MINUTES = 12 * 60;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    /** The two sides of a channel. */
    record Balance(String channel, String push, String pull, String imbalance, String unseen, boolean tolerable) {
    }

    /** A line of the log. */
    record LogLine(long id, String time, String typed, String what, String by, boolean struck) {
    }

    static RunView of(Run run, Amp amp, StageIdle stage, RunLog log, Clock clock) {
        List<Reading> readings = log.readings();
        Moment now = log.now();
        List<TubeIdle> tubes = stage.at(now);
        StageSummary summary = new StageSummary(stage, tubes);
        List<Track> tracks = Track.of(stage, log.before(), readings);
        List<ReadingRow> newestFirst = new ArrayList<>(log.rows());
        Collections.reverse(newestFirst);
        return new RunView(run.id(), run.isOpen(), summary.sentence(), summary.worst().judgement().verdict().token(),
                run.isOpen() ? warmUp(now, amp.sheet().settleMinutes(), clock) : "", amp.sheet().quirks(),
                cards(tubes, amp.sheet().current().shows()),
                SideBalance.of(amp.sheet(), tubes).stream().map(RunView::balance).toList(), MapView.of(OperatingMap.of(stage, tracks), amp.sheet()),
                newestFirst.stream().limit(LOG_LINES).map(row -> line(row, clock)).toList(), log.total() > LOG_LINES,
                hint(stage), String.valueOf(log.total()));
    }

    /** The tubes in the order of the sheet; a note that stands at the tube before is not said again. */
    private static List<TubeCard> cards(List<TubeIdle> tubes, Unit shows) {
        List<TubeCard> cards = new ArrayList<>();
        List<String> before = List.of();
        for (TubeIdle tube : tubes) {
            TubeCard card = TubeCard.of(tube, shows);
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

    private static String warmUp(Moment now, double settleMinutes, Clock clock) {
        Optional<Reading> on = now.at(ReadingKind.POWER_ON, "");
        Optional<Reading> off = now.at(ReadingKind.POWER_OFF, "");
        if (off.isPresent() && (on.isEmpty() || on.get().id() < off.get().id())) {
            return "Switched off.";
        }
        if (on.isEmpty()) {
            return "Warm-up not known: type on when you switch on.";
        }
        long minutes = Duration.between(on.get().takenAt(), clock.instant()).toMinutes();
        if (minutes > FORGOTTEN_MINUTES) {
            return "On for %d h by the log: type off, or on when you switch on again.".formatted(minutes / 60);
        }
        return minutes >= settleMinutes ? "Warm: on for %d min.".formatted(minutes)
                : "Warming up: on for %d min of %s.".formatted(minutes, Figures.plain(settleMinutes));
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
