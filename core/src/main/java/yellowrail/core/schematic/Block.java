package yellowrail.core.schematic;

import java.util.List;
import java.util.stream.DoubleStream;

/**
 * Part of a drawing that is not torn apart.
 *
 * @param width how much of the rail it takes
 * @param hangs whether it hangs from the rail itself; a row of others needs none
 * @param drawn from its left edge and the rail on
 */
record Block(double width, boolean hangs, List<Drawn> drawn) {

    /** What a symbol, or a line of words, takes below its middle. */
    private static final double BELOW = 12;

    Block {
        drawn = List.copyOf(drawn);
    }

    /** Without what only tells of the current\u2019s way. */
    Block withoutWay() {
        return new Block(
                width,
                hangs,
                drawn.stream()
                        .filter(each -> !(each instanceof Drawn.Way || each instanceof Drawn.Stop))
                        .toList());
    }

    double top() {
        return levels().min().orElse(0) - BELOW;
    }

    double bottom() {
        return levels().max().orElse(0) + BELOW;
    }

    private DoubleStream levels() {
        return drawn.stream().flatMapToDouble(Drawn::levels);
    }
}
