package yellowrail.core.schematic;

import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.reading.ReadingKind;

/** What holds the grids negative, with its pots; and the heaters. */
final class BiasBlock {

    private static final double POT = 64;
    private static final double SUPPLY = 124;
    private static final double LINE = Levels.BIAS + 46;
    private static final int FITS = 8;

    private BiasBlock() {}

    /** The line of the grids comes in from the left; each pot taps what the rectifier makes. */
    static Block of(AmpSheet sheet) {
        List<Pot> pots = sheet.bias() == BiasKind.FIXED_ADJUSTABLE ? sheet.pots() : List.of();
        double wiper = 34;
        double end = wiper + POT * Math.max(0, pots.size() - 1);
        double from = pots.isEmpty() ? 34 : end + POT;
        Sketch sketch = new Sketch(from + SUPPLY);
        GridLines lines = new GridLines(sheet);
        if (lines.isOne()) {
            sketch.wire(0, Levels.BIAS, pots.isEmpty() ? from : end + 14, Levels.BIAS);
        }
        for (int i = 0; i < pots.size(); i++) {
            double x = wiper + POT * i;
            sketch.sign(Sign.POT, x, Levels.BIAS + 24)
                    .wire(x + 14, Levels.BIAS + 24, x + 14, Levels.BIAS)
                    .wire(x, Levels.BIAS + 40, x, LINE)
                    .text(
                            SchematicFinding.Called.within(FITS, pots.get(i).name()),
                            x + 4,
                            Levels.BIAS - 10,
                            Drawn.Anchor.MIDDLE,
                            true);
            if (!lines.isOne()) {
                sketch.sign(Sign.LOOSE_END, x + 14, Levels.BIAS);
            }
        }
        double line = pots.isEmpty() ? Levels.BIAS : LINE;
        if (!pots.isEmpty()) {
            sketch.wire(wiper, LINE, from, LINE);
        }
        double middle = Levels.TUBE;
        sketch.wire(from, line, from + 20, line, from + 20, middle)
                .turned(Sign.DIODE, from + 44, middle, 90)
                .wire(from + 20, middle, from + 34, middle)
                .wire(from + 54, middle, from + 92, middle, from + 92, middle + 8)
                .sign(Sign.WINDING, from + 92, middle + 38)
                .wire(from + 92, middle + 68, from + 92, middle + 76)
                .sign(Sign.GROUND, from + 92, middle + 76)
                .sign(Sign.JOINT, from + 20, middle + 24)
                .wire(from + 20, middle + 24, from + 52, middle + 24)
                .capacitor(from + 52, middle + 24)
                .name(new SchematicFinding.Bias(), from + 8, middle - 18);
        return sketch.apart();
    }

    static Block heaters(AmpSheet sheet, StagePoints points) {
        Sketch sketch = new Sketch(124)
                .name(new SchematicFinding.Heaters(), 12, Levels.TUBE - 58)
                .sign(Sign.WINDING, 24, Levels.TUBE)
                .wire(24, Levels.TUBE - 30, 24, Levels.TUBE - 36, 84, Levels.TUBE - 36, 84, Levels.TUBE - 12)
                .sign(Sign.FILAMENT, 84, Levels.TUBE)
                .wire(24, Levels.TUBE + 30, 24, Levels.TUBE + 36, 84, Levels.TUBE + 36, 84, Levels.TUBE + 12);
        sheet.fittings()
                .heaterAmps()
                .ifPresent(amps -> sketch.figure(new SchematicFinding.HeaterAmps(amps), 12, Levels.TUBE + 54));
        double top = Levels.TUBE - 36;
        points.draw(sketch, ReadingKind.HEATER, "", 24, top, StagePoints.Beside.line(40, top - 6));
        return sketch.apart();
    }
}
