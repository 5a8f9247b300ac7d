package yellowrail.core.schematic;

import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Topology;

/** The output transformer of a channel with its taps and what hangs on them. */
final class OutputBlock {

    private static final double PRIMARY = 116;
    private static final double SECONDARY = 94;
    private static final double FEED = 136;
    private static final double SPEAKER = 24;
    private static final double MIDDLE = (Levels.PUSH + Levels.PULL) / 2;

    private OutputBlock() {}

    /** @param joined whether the line of the grids goes on from a channel on its left */
    static Block of(AmpSheet sheet, Channel channel, boolean joined) {
        boolean pushPull = sheet.topology() == Topology.PUSH_PULL;
        Sketch sketch = new Sketch(150)
                .wire(0, Levels.SCREENS, 150, Levels.SCREENS)
                .turned(Sign.HALF_WINDING, PRIMARY, MIDDLE - 11, 180)
                .turned(Sign.HALF_WINDING, PRIMARY, MIDDLE + 11, 180)
                .sign(Sign.CORE, (PRIMARY + SECONDARY) / 2, MIDDLE)
                .sign(Sign.HALF_WINDING, SECONDARY, MIDDLE - 11)
                .sign(Sign.HALF_WINDING, SECONDARY, MIDDLE + 11)
                .wire(PRIMARY, Levels.PULL, 150, Levels.PULL)
                .sign(Sign.JOINT, FEED, 0);
        if (joined && new GridLines(sheet).isOne()) {
            sketch.wire(0, Levels.BIAS, 150, Levels.BIAS);
        }
        if (pushPull) {
            sketch.wire(PRIMARY, Levels.PUSH, 150, Levels.PUSH).wire(PRIMARY, MIDDLE, FEED, MIDDLE, FEED, 0);
        } else {
            sketch.wire(PRIMARY, Levels.PUSH, FEED, Levels.PUSH, FEED, 0);
        }
        sketch.wire(SECONDARY, Levels.PUSH, SPEAKER, Levels.PUSH, SPEAKER, MIDDLE - 14)
                .wire(SECONDARY, Levels.PULL, SPEAKER, Levels.PULL, SPEAKER, MIDDLE + 14)
                .sign(Sign.SPEAKER, SPEAKER, MIDDLE);
        taps(sketch, sheet.fittings().iron().taps());
        sheet.fittings()
                .loadOhms()
                .ifPresent(ohms -> sketch.text(
                        new SchematicFinding.Kilohms(ohms), PRIMARY - 8, Levels.PULL + 20, Drawn.Anchor.MIDDLE, false));
        if (channel != Channel.MONO) {
            sketch.name(
                    channel == Channel.LEFT ? new SchematicFinding.Left() : new SchematicFinding.Right(),
                    6,
                    Levels.PULL + 44);
        }
        return sketch.block();
    }

    /** One below the other, inside the loop of the speaker. */
    private static void taps(Sketch sketch, List<Double> taps) {
        for (int i = 0; i < Math.min(taps.size(), 2); i++) {
            sketch.text(new SchematicFinding.Ohms(taps.get(i)), 84, MIDDLE - 4 + 16 * i, Drawn.Anchor.END, false);
        }
    }
}
