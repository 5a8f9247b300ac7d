package yellowrail.web.run;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.ReadingKind;

/** Two moments of a run side by side. */
record CompareView(long runId, long before, long after, List<Choice> choices, List<Row> rows, String mainsBefore, String mainsAfter) {

    /** A moment to choose: when a reading had been entered. */
    record Choice(long id, String text) {
    }

    /** A tube before and after. */
    record Row(TubeCard before, TubeCard after, String milliamps, String watts) {
    }

    /**
     * @param before the row after which to look first; 0 for the first at which every tube could be judged
     * @param after  the row after which to look second; 0 for the last
     */
    static Optional<CompareView> of(long runId, StageIdle stage, RunLog log, long before, long after, Clock clock) {
        List<ReadingRow> rows = log.rows().stream().filter(row -> !row.struck()).toList();
        if (rows.isEmpty()) {
            return Optional.empty();
        }
        long first = rows.stream().anyMatch(row -> row.id() == before) ? before : firstJudged(stage, log, rows);
        long last = rows.stream().anyMatch(row -> row.id() == after) ? after : rows.get(rows.size() - 1).id();
        Moment one = log.at(first);
        Moment other = log.at(last);
        List<TubeIdle> tubesBefore = stage.at(one);
        List<TubeIdle> tubesAfter = stage.at(other);
        List<Row> pairs = new ArrayList<>();
        for (int i = 0; i < tubesBefore.size(); i++) {
            pairs.add(row(tubesBefore.get(i), tubesAfter.get(i), stage.sheet().current().shows()));
        }
        List<Choice> choices = rows.stream().map(row -> {
            RunView.LogLine line = RunView.line(row, clock);
            return new Choice(row.id(), line.time() + "  " + line.typed());
        }).toList();
        return Optional.of(new CompareView(runId, first, last, choices, pairs, mains(one), mains(other)));
    }

    private static long firstJudged(StageIdle stage, RunLog log, List<ReadingRow> rows) {
        Moment moment = log.before();
        for (ReadingRow row : rows) {
            moment = moment.after(row.reading());
            if (stage.at(moment).stream().noneMatch(tube -> tube.judgement().verdict() == Verdict.NOT_JUDGED)) {
                return row.id();
            }
        }
        return rows.get(0).id();
    }

    private static Row row(TubeIdle before, TubeIdle after, Unit shows) {
        boolean both = before.figures().isPresent() && after.figures().isPresent();
        return new Row(TubeCard.of(before, shows), TubeCard.of(after, shows),
                both ? signed(Unit.MILLIAMP.fromSi(after.figures().get().plateCurrent().value() - before.figures().get().plateCurrent().value())) + " mA" : "",
                both ? signed(after.figures().get().dissipation().value() - before.figures().get().dissipation().value()) + " W" : "");
    }

    private static String signed(double value) {
        return (value > 0 ? "+" : value < 0 ? "\u2212" : "") + Figures.fixed(Math.abs(value), 2);
    }

    private static String mains(Moment moment) {
        return moment.last(ReadingKind.MAINS).map(reading -> Figures.volts(reading.value())).orElse("not read");
    }
}
