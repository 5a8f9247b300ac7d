package yellowrail.web.schematic;

import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleFunction;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.schematic.Schematic;
import yellowrail.core.schematic.StagePoints;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.walk.ChartCheck;
import yellowrail.web.words.Words;

/**
 * An amp's schematic as SVG, at one width. It is written out here and not mark by mark in a template: a chart of two
 * hundred nodes has some two thousand marks.
 *
 * @param marks all of it but its frame
 * @param touchable whether its points lead somewhere
 */
public record SchematicView(int width, int height, String marks, boolean touchable) {

    /** On a laptop it is one row for a pair and two for an octet. */
    private static final double WIDE = 1294;
    /** On a phone it folds. */
    private static final double NARROW = 372;

    /** The same amp for a wide screen and for a phone; one of them where it is known which is asked for. */
    public record Both(Optional<SchematicView> wide, Optional<SchematicView> narrow) {

        private static Both of(
                DoubleFunction<Schematic> drawn, Optional<Touch> touch, Map<OnTheWay, Light> lights, Words words) {
            Optional<Boolean> isNarrow = Screen.isNarrow();
            return new Both(
                    isNarrow.orElse(false)
                            ? Optional.empty()
                            : Optional.of(SchematicView.of(drawn.apply(WIDE), touch, lights, words)),
                    isNarrow.orElse(true)
                            ? Optional.of(SchematicView.of(drawn.apply(NARROW), touch, lights, words))
                            : Optional.empty());
        }

        /** Whether there is only one, which is shown whatever the screen. */
        public boolean isOne() {
            return wide.isEmpty() || narrow.isEmpty();
        }
    }

    /** @param written what is written on the tubes, by socket */
    public static Both of(AmpSheet sheet, TubeCatalogue catalogue, Map<String, String> written, Words words) {
        return of(sheet, catalogue, written, StagePoints.NONE, Optional.empty(), words);
    }

    /** The same with what was read at the points of its stage, and where they lead when they are touched. */
    public static Both of(
            AmpSheet sheet,
            TubeCatalogue catalogue,
            Map<String, String> written,
            StagePoints points,
            Optional<Touch> touch,
            Words words) {
        return Both.of(most -> Schematic.of(sheet, catalogue, written, points, most), touch, Map.of(), words);
    }

    /** The same with the way of the direct current lit. */
    public static Both lit(AmpSheet sheet, TubeCatalogue catalogue, Map<OnTheWay, Light> lights, Words words) {
        return Both.of(most -> Schematic.withWay(sheet, catalogue, most), Optional.empty(), lights, words);
    }

    /** An amp's chart. */
    public static Both of(ChartCheck check, Optional<Touch> touch, Words words) {
        return Both.of(most -> Schematic.of(check, most), touch, Map.of(), words);
    }

    /** A drawing of its own, as it is on every screen. */
    public static SchematicView of(Schematic schematic, Words words) {
        return of(schematic, Optional.empty(), Map.of(), words);
    }

    private static SchematicView of(
            Schematic schematic, Optional<Touch> touch, Map<OnTheWay, Light> lights, Words words) {
        SvgMarks marks = new SvgMarks(words, touch, lights);
        schematic.drawn().forEach(marks::add);
        return new SchematicView(
                (int) Math.ceil(schematic.width()),
                (int) Math.ceil(schematic.height()),
                marks.toString(),
                touch.isPresent());
    }

    /** The part of the drawing that is shown. */
    public String viewBox() {
        return "0 0 %d %d".formatted(width, height);
    }
}
