package yellowrail.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;
import yellowrail.core.proof.Measured.Conditions;

/**
 * Settings of one amp beside one another, question by question. A cell is the mean of its repeats; the first setting
 * that has an answer is what the others are compared with. What repeats differ by is pooled over a row, {@code s^2 =
 * sum (x - mean)^2 / sum (n - 1)}, and a difference smaller than {@code t s sqrt(1/n + 1/m)} is none (t of Student for
 * 95 %). Errors that a meter and a load make in every setting alike are not in it: they cancel.
 */
public final class SideBySide {

    private static final double CERTAIN = 0.975;
    /** Loads, mains and bands that differ by less are alike. */
    private static final double SAME_LOAD = 0.03;

    private static final double SAME_MAINS = 0.01;
    private static final double SAME_BAND = 0.05;

    private SideBySide() {}

    /**
     * What was measured in one setting.
     *
     * @param figures all kinds
     * @param mains it was measured at, V; empty where nobody read it
     */
    public record Column(List<Measured> figures, OptionalDouble mains) {}

    /**
     * One question.
     *
     * @param at of what is asked; loads and bands are those of its first answer
     * @param cells one for each column; empty where it was not measured
     */
    public record Row(ProofKind kind, Conditions at, List<Optional<Cell>> cells) {}

    /**
     * The answer of a setting.
     *
     * @param mean of the repeats, SI
     * @param plusMinus of one of them by its instrument, SI
     * @param repeats how many there are
     * @param says against the first setting; empty for the first itself
     */
    public record Cell(double mean, double plusMinus, int repeats, Optional<ProofFinding> says) {}

    public static List<Row> of(List<Column> columns) {
        List<Measured> questions = new ArrayList<>();
        columns.stream().flatMap(column -> column.figures().stream()).forEach(each -> {
            if (questions.stream().noneMatch(each::asks)) {
                questions.add(each);
            }
        });
        return questions.stream()
                .sorted((one, other) -> one.kind().compareTo(other.kind()))
                .map(question -> row(question, columns))
                .toList();
    }

    private static Row row(Measured question, List<Column> columns) {
        List<List<Measured>> answers = columns.stream()
                .map(column -> column.figures().stream().filter(question::asks).toList())
                .toList();
        Scatter scatter = Scatter.of(answers);
        int first = 0;
        while (answers.get(first).isEmpty()) {
            first++;
        }
        List<Optional<Cell>> cells = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            List<Measured> own = answers.get(i);
            Optional<ProofFinding> says = own.isEmpty() || i == first
                    ? Optional.empty()
                    : Optional.of(against(
                            own,
                            columns.get(i).mains(),
                            answers.get(first),
                            columns.get(first).mains(),
                            scatter));
            cells.add(own.isEmpty() ? Optional.empty() : Optional.of(cell(own, says)));
        }
        return new Row(question.kind(), question.at(), cells);
    }

    private static Cell cell(List<Measured> own, Optional<ProofFinding> says) {
        double plusMinus =
                own.stream().mapToDouble(each -> each.value().plusMinus()).max().orElseThrow();
        return new Cell(mean(own), plusMinus, own.size(), says);
    }

    private static double mean(List<Measured> repeats) {
        return repeats.stream()
                .mapToDouble(each -> each.value().value())
                .average()
                .orElseThrow();
    }

    private static ProofFinding against(
            List<Measured> own, OptionalDouble mains, List<Measured> first, OptionalDouble mainsThen, Scatter scatter) {
        Conditions here = own.get(0).at();
        Conditions there = first.get(0).at();
        if (!alike(here.loadOhms(), there.loadOhms(), SAME_LOAD)) {
            return new ProofFinding.OtherLoad(
                    there.loadOhms().getAsDouble(), here.loadOhms().getAsDouble());
        }
        if (!alike(mains, mainsThen, SAME_MAINS)) {
            return new ProofFinding.OtherMains(mainsThen.getAsDouble(), mains.getAsDouble());
        }
        if (own.get(0).kind().dependsOnBand() && !alike(here.bandHertz(), there.bandHertz(), SAME_BAND)) {
            return new ProofFinding.OtherBand(
                    there.bandHertz().getAsDouble(), here.bandHertz().getAsDouble());
        }
        double ratio = mean(own) / mean(first) - 1;
        OptionalDouble least = scatter.least(own.size(), first.size());
        if (least.isEmpty()) {
            return new ProofFinding.OnceEach(ratio);
        }
        return Math.abs(mean(own) - mean(first)) <= least.getAsDouble()
                ? new ProofFinding.WithinTheScatter(ratio, least.getAsDouble() / Math.abs(mean(first)))
                : new ProofFinding.Differs(ratio);
    }

    /** What is not known of one of them forbids nothing. */
    private static boolean alike(OptionalDouble one, OptionalDouble other, double within) {
        return one.isEmpty() || other.isEmpty() || Conditions.same(one, other, within);
    }

    /**
     * What repeats differ by.
     *
     * @param squares of their distances to their means
     * @param freedom repeats less means
     */
    private record Scatter(double squares, int freedom) {

        static Scatter of(List<List<Measured>> answers) {
            double squares = 0;
            int freedom = 0;
            for (List<Measured> repeats : answers) {
                for (Measured each : repeats) {
                    squares += Math.pow(each.value().value() - mean(repeats), 2);
                }
                freedom += Math.max(0, repeats.size() - 1);
            }
            return new Scatter(squares, freedom);
        }

        /** The least difference between means of so many that is one; empty where nothing was repeated. */
        OptionalDouble least(int n, int m) {
            return freedom == 0
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(new TDistribution(freedom).inverseCumulativeProbability(CERTAIN)
                            * Math.sqrt(squares / freedom * (1.0 / n + 1.0 / m)));
        }
    }
}
