package yellowrail.web.run;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import yellowrail.core.balance.SideBalance;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Snapshot;
import yellowrail.web.words.Words;

/** Two moments of a run side by side, each as the bench was then. */
public record CompareView(long runId, long before, long after, List<Choice> choices, List<Row> rows, List<Line> lines) {

    /** A moment to choose: when a reading had been entered. */
    public record Choice(long id, String text) {}

    /** A tube before and after. */
    public record Row(TubeCard before, TubeCard after, String milliamps, String watts) {}

    /** Something else that was so before and is so after. */
    public record Line(String what, String before, String after) {}

    /** What of a run stands in notes about hum, newest first of each moment. */
    private static final String HUM = "hum";

    /**
     * @param before the row after which to look first; 0 for the first at which every tube could be judged
     * @param after the row after which to look second; 0 for the last
     */
    static Optional<CompareView> of(long runId, RunLog log, long before, long after, Words words, Clock clock) {
        List<ReadingRow> rows = log.inTime();
        if (rows.isEmpty()) {
            return Optional.empty();
        }
        RunPast past = new RunPast(log);
        int first = indexOf(rows, before).orElseGet(() -> firstJudged(log, past, rows));
        int last = indexOf(rows, after).orElse(rows.size() - 1);
        Snapshot one = past.after(rows.get(first).id());
        Snapshot other = past.after(rows.get(last).id());
        List<TubeIdle> tubesBefore = StageIdle.of(one).at(one);
        List<TubeIdle> tubesAfter = StageIdle.of(other).at(other);
        List<Row> pairs = new ArrayList<>();
        for (int i = 0; i < Math.min(tubesBefore.size(), tubesAfter.size()); i++) {
            pairs.add(row(
                    tubesBefore.get(i),
                    tubesAfter.get(i),
                    other.sheet().current().shows(),
                    words));
        }
        List<Choice> choices = rows.size() > RunService.RECENT
                ? List.of()
                : rows.stream()
                        .map(row -> {
                            RunView.LogLine line = RunView.line(row, clock, words);
                            return new Choice(row.id(), line.time() + "  " + line.typed());
                        })
                        .toList();
        return Optional.of(new CompareView(
                runId,
                rows.get(first).id(),
                rows.get(last).id(),
                choices,
                pairs,
                lines(
                        one,
                        other,
                        tubesBefore,
                        tubesAfter,
                        rows.subList(0, first + 1),
                        rows.subList(0, last + 1),
                        words)));
    }

    private static OptionalInt indexOf(List<ReadingRow> rows, long id) {
        return IntStream.range(0, rows.size())
                .filter(i -> rows.get(i).id() == id)
                .findFirst();
    }

    private static List<Line> lines(
            Snapshot one,
            Snapshot other,
            List<TubeIdle> before,
            List<TubeIdle> after,
            List<ReadingRow> upToFirst,
            List<ReadingRow> upToLast,
            Words words) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(words.message("compare.mains"), mains(one, words), mains(other, words)));
        List<SideBalance> sidesBefore = SideBalance.of(one.sheet(), before);
        List<SideBalance> sidesAfter = SideBalance.of(other.sheet(), after);
        for (int i = 0; i < Math.min(sidesBefore.size(), sidesAfter.size()); i++) {
            String channel = sidesAfter.size() == 1
                    ? words.message("compare.balance")
                    : words.message(
                            "compare.balance-of", words.name(sidesAfter.get(i).channel()));
            lines.add(new Line(channel, balance(sidesBefore.get(i), words), balance(sidesAfter.get(i), words)));
        }
        lines.add(new Line(words.message("compare.tubes"), tubes(one), tubes(other)));
        String humBefore = hum(upToFirst, words);
        String humAfter = hum(upToLast, words);
        if (!humBefore.equals(humAfter) || !humAfter.equals(words.message("compare.nothing-noted"))) {
            lines.add(new Line(words.message("compare.hum"), humBefore, humAfter));
        }
        return lines;
    }

    private static String balance(SideBalance balance, Words words) {
        return balance.unseen()
                .map(words::say)
                .orElseGet(() -> words.message(
                        "compare.apart",
                        Figures.beside(balance.plusMinus(), balance.imbalance(), Unit.MILLIAMP),
                        Figures.percent(balance.ratio())));
    }

    private static String tubes(Snapshot now) {
        return now.occupants().stream()
                .map(each -> each.socket().label() + " " + each.name())
                .collect(Collectors.joining(", "));
    }

    private static String hum(List<ReadingRow> rows, Words words) {
        return rows.stream()
                .filter(row -> row.kind().equals(ReadingKind.NOTE.name())
                        && row.words().toLowerCase(Locale.ROOT).contains(HUM))
                .map(ReadingRow::words)
                .reduce((one, later) -> later)
                .orElse(words.message("compare.nothing-noted"));
    }

    /** Nothing is tried before the plates and every test point have been read. */
    private static int firstJudged(RunLog log, RunPast past, List<ReadingRow> rows) {
        int from = allRead(log, rows);
        for (int i = from; i < Math.min(rows.size(), from + RunService.RECENT); i++) {
            if (ReadingKind.valueOf(rows.get(i).kind()).isMeasured()
                    && isJudged(past.after(rows.get(i).id()))) {
                return i;
            }
        }
        return 0;
    }

    /** The row with which every test point has been read; the first where that cannot be seen. */
    private static int allRead(RunLog log, List<ReadingRow> rows) {
        Set<String> missing = new HashSet<>(
                log.versions().get(log.versions().size() - 1).sheet().testPoints());
        log.before()
                .readings()
                .forEach(reading -> missing.remove(reading.entry().target()));
        for (int i = 0; i < rows.size() && !missing.isEmpty(); i++) {
            if (missing.remove(rows.get(i).target()) && missing.isEmpty()) {
                return i;
            }
        }
        return 0;
    }

    private static boolean isJudged(Snapshot then) {
        return StageIdle.of(then).at(then).stream()
                .noneMatch(tube -> tube.judgement().verdict() == Verdict.NOT_JUDGED);
    }

    private static Row row(TubeIdle before, TubeIdle after, Unit shows, Words words) {
        return new Row(
                TubeCard.of(before, shows, words),
                TubeCard.of(after, shows, words),
                change(before, after, IdleFigures::plateCurrent, Unit.MILLIAMP),
                change(before, after, IdleFigures::dissipation, Unit.WATT));
    }

    /**
     * By how much a figure went up or down, with the digits that its plus-minus leaves it; blank unless both are known.
     */
    private static String change(TubeIdle before, TubeIdle after, Function<IdleFigures, Estimate> figure, Unit unit) {
        if (before.figures().isEmpty() || after.figures().isEmpty()) {
            return "";
        }
        Estimate change = figure.apply(after.figures().get())
                .less(figure.apply(before.figures().get()));
        return (change.value() > 0 ? "+" : "") + Figures.estimate(change, unit);
    }

    private static String mains(Snapshot now, Words words) {
        return now.moment()
                .last(ReadingKind.MAINS)
                .map(reading -> Figures.volts(reading.value()))
                .orElse(words.message("compare.not-read"));
    }
}
