package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.List;

/** Rows that are filled one after another. */
final class Rows {

    private final double most;
    private final List<List<Block>> all = new ArrayList<>(List.of(new ArrayList<>()));

    Rows(double most) {
        this.most = most;
    }

    void add(Block block) {
        List<Block> last = all.get(all.size() - 1);
        if (!last.isEmpty() && used(last) + block.width() > most) {
            last = new ArrayList<>();
            all.add(last);
        }
        last.add(block);
    }

    /** How many of a width the last row still takes, or a new one where it takes none. */
    int fit(double width) {
        int here = (int) ((most - used(all.get(all.size() - 1))) / width);
        return here > 0 ? here : (int) (most / width);
    }

    static double used(List<Block> row) {
        return row.stream().mapToDouble(Block::width).sum();
    }

    List<List<Block>> all() {
        return all;
    }
}
