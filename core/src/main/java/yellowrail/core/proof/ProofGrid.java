package yellowrail.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a proof asks for and what of it is there: distortion at small, middling and large power, at a low, a middle and
 * a high tone, and where it clips at each of them.
 *
 * @param rows the powers from small to large, then where it clips
 */
public record ProofGrid(List<Row> rows) {

    public static final List<Double> TONES = List.of(100.0, 1000.0, 10_000.0);

    private static final double[] POWERS = {0.1, 1, 10};
    /** A tone or a power that is off by no more answers. */
    private static final double NEAR = 1.5;

    /**
     * @param watts empty for where it clips
     * @param cells one for each tone
     */
    public record Row(OptionalDouble watts, List<Optional<Measured>> cells) {}

    public ProofGrid {
        rows = List.copyOf(rows);
    }

    /**
     * @param figures of one setting, oldest first; the newest answer counts, distortion alone before that with noise
     */
    public static ProofGrid of(List<Measured> figures) {
        List<Row> rows = new ArrayList<>();
        for (double watts : POWERS) {
            List<Measured> there = figures.stream()
                    .filter(each -> isNear(each.at().watts(), watts))
                    .toList();
            rows.add(new Row(
                    OptionalDouble.of(watts),
                    TONES.stream()
                            .map(hertz -> answer(there, ProofKind.DISTORTION, hertz)
                                    .or(() -> answer(there, ProofKind.DISTORTION_AND_NOISE, hertz)))
                            .toList()));
        }
        rows.add(new Row(
                OptionalDouble.empty(),
                TONES.stream()
                        .map(hertz -> answer(figures, ProofKind.FULL_POWER, hertz))
                        .toList()));
        return new ProofGrid(rows);
    }

    private static Optional<Measured> answer(List<Measured> figures, ProofKind kind, double hertz) {
        return figures.stream()
                .filter(each -> each.kind() == kind && isNear(each.at().hertz(), hertz))
                .reduce((one, later) -> later);
    }

    private static boolean isNear(OptionalDouble value, double asked) {
        return value.isPresent() && value.getAsDouble() < NEAR * asked && value.getAsDouble() > asked / NEAR;
    }

    /** Cells without an answer. */
    public int missing() {
        return (int) rows.stream()
                .flatMap(row -> row.cells().stream())
                .filter(Optional::isEmpty)
                .count();
    }
}
