package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.proof.Climb;
import yellowrail.core.proof.Measured;
import yellowrail.core.proof.ProofGrid;
import yellowrail.core.quantity.Figures;
import yellowrail.web.run.Run;
import yellowrail.web.words.Words;

/**
 * What a proof asks for, cell by cell.
 *
 * @param tones over the columns
 * @param missing how many cells have no answer
 * @param climbs whether keys play tones out of the card
 * @param practice where a practice amp measures a cell by itself; blank for a real one
 */
record GridView(List<String> tones, List<Row> rows, int missing, boolean climbs, String practice) {

    /** As they lie on a keyboard. */
    private static final List<String> KEYS = List.of("qwe", "asd", "zxc", "iop");

    /** Where the tops are surely flat. */
    private static final double CLIPS = 0.1;

    /** @param name the power, or where it clips */
    record Row(String name, List<Cell> cells) {}

    /**
     * @param answer blank where it was not measured
     * @param play where the tone for it is
     * @param typed how it is typed
     * @param key that measures it while the page listens; blank where no card can
     * @param hertz of the tone that is climbed with
     * @param goal of a {@link Climb}
     * @param mark of it
     * @param name of what is recorded
     */
    record Cell(
            String answer,
            String play,
            String typed,
            String key,
            String hertz,
            Climb.Goal goal,
            String mark,
            String name) {}

    static GridView of(ProofGrid grid, Run run, ProofWords proofWords, Words words) {
        return new GridView(
                ProofGrid.TONES.stream().map(ProofWords::hertz).toList(),
                IntStream.range(0, grid.rows().size())
                        .mapToObj(i -> row(grid.rows().get(i), KEYS.get(i), run, proofWords, words))
                        .toList(),
                grid.missing(),
                run.isOpen() && !run.isPractice() && grid.missing() > 0,
                run.isPractice() && run.isOpen() ? "/runs/%d/proof/practice/climb".formatted(run.id()) : "");
    }

    private static Row row(ProofGrid.Row row, String keys, Run run, ProofWords proofWords, Words words) {
        return new Row(name(row, words), cells(row, keys, run, proofWords, words));
    }

    private static String name(ProofGrid.Row row, Words words) {
        return row.watts().isPresent()
                ? Figures.plain(row.watts().getAsDouble()) + " W"
                : words.message("page.prove.grid-clips");
    }

    private static List<Cell> cells(ProofGrid.Row row, String keys, Run run, ProofWords proofWords, Words words) {
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < row.cells().size(); i++) {
            double hertz = ProofGrid.TONES.get(i);
            String tone = Figures.plain(hertz);
            Optional<Measured> answer = row.cells().get(i);
            boolean clips = row.watts().isEmpty();
            cells.add(new Cell(
                    answer.map(each -> proofWords.answer(
                                    each.kind(),
                                    each.value().value(),
                                    each.value().plusMinus()))
                            .orElse(""),
                    "/signal?shape=%s&hertz=%s%s"
                            .formatted(clips ? "LEVELS" : "SINE", tone, run.isPractice() ? "&run=" + run.id() : ""),
                    clips
                            ? "clips 16.9V %sHz".formatted(tone)
                            : "thd 0.7%% %sW %sHz"
                                    .formatted(Figures.plain(row.watts().getAsDouble()), tone),
                    clips && !Climb.hearsClipping(hertz) ? "" : keys.substring(i, i + 1),
                    tone,
                    clips ? Climb.Goal.CLIPPING : Climb.Goal.POWER,
                    String.valueOf(row.watts().orElse(CLIPS)),
                    name(row, words) + ", " + ProofWords.hertz(hertz)));
        }
        return cells;
    }
}
