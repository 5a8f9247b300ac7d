package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
 */
record GridView(List<String> tones, List<Row> rows, int missing) {

    /** @param name the power, or where it clips */
    record Row(String name, List<Cell> cells) {}

    /**
     * @param answer blank where it was not measured
     * @param play where the tone for it is
     * @param typed how it is typed
     */
    record Cell(String answer, String play, String typed) {}

    static GridView of(ProofGrid grid, Run run, ProofWords proofWords, Words words) {
        return new GridView(
                ProofGrid.TONES.stream().map(ProofWords::hertz).toList(),
                grid.rows().stream()
                        .map(row -> new Row(
                                row.watts().isPresent()
                                        ? Figures.plain(row.watts().getAsDouble()) + " W"
                                        : words.message("page.prove.grid-clips"),
                                cells(row, run, proofWords)))
                        .toList(),
                grid.missing());
    }

    private static List<Cell> cells(ProofGrid.Row row, Run run, ProofWords proofWords) {
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
                                    .formatted(Figures.plain(row.watts().getAsDouble()), tone)));
        }
        return cells;
    }
}
