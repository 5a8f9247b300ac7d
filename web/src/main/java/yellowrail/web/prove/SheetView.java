package yellowrail.web.prove;

import java.util.List;
import java.util.Optional;

/**
 * What of an amp is proven: settings side by side, and what was typed.
 *
 * @param settings one column each
 * @param rows one for each question
 * @param hum what it points at; blank where nothing was recorded
 * @param grid what of the newest setting is measured and what is not yet
 * @param curves of what was recorded step by step
 * @param typed the newest first
 */
record SheetView(
        List<Setting> settings,
        List<Row> rows,
        String hum,
        Optional<GridView> grid,
        List<CurvesView> curves,
        List<Typed> typed) {

    /**
     * @param idle of its tubes
     * @param told what else was so: tubes, plates, mains
     */
    public record Setting(String idle, String told, String at) {}

    /** @param question what was measured */
    public record Row(String question, List<Cell> cells) {}

    /**
     * @param value blank where it was not measured
     * @param says against the first setting
     * @param look its class
     */
    public record Cell(String value, String says, String look) {

        static final Cell NONE = new Cell("", "", "");
    }

    /**
     * A line and what it makes.
     *
     * @param lacks what would make more of it; blank for nothing
     */
    public record Typed(String at, String line, String says, String lacks) {}

    public boolean isEmpty() {
        return typed.isEmpty() && rows.isEmpty() && curves.isEmpty();
    }
}
