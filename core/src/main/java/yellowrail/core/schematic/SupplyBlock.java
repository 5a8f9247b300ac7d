package yellowrail.core.schematic;

import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.reading.ReadingKind;

/** Mains, winding, rectifier and reservoir; then what feeds the screens. */
final class SupplyBlock {

    private static final double WINDING = 44;
    private static final double RECTIFIER = 96;
    private static final double UP = 132;
    private static final double RESERVOIR = 190;
    private static final double MIDDLE = 156;
    /** Where the mains comes to the primary. */
    private static final double LEAD = MIDDLE - 38;

    private static final double WIDTH = 258;
    /** Below all other words. */
    private static final double WAY_LABEL = 94;

    private static final double DROP = 96;
    /** Words of a block whose neighbour's name may lean over. */
    private static final double BESIDE = 16;

    private static final double SCREENS = 144;
    private static final double PREAMP = 140;

    private SupplyBlock() {}

    static Block of(AmpSheet sheet, StagePoints points) {
        Supply supply = sheet.supply();
        Sketch sketch = new Sketch(WIDTH)
                .name(new SchematicFinding.Mains(sheet.mainsVolts()), 6, LEAD - 32)
                .sign(Sign.WINDING, WINDING - 30, MIDDLE)
                .sign(Sign.CORE, WINDING - 15, MIDDLE)
                .turned(Sign.WINDING, WINDING, MIDDLE, 180)
                .wire(WINDING, MIDDLE - 30, WINDING, MIDDLE - 38, RECTIFIER - 12, MIDDLE - 38)
                .wire(WINDING, MIDDLE + 30, WINDING, MIDDLE + 38, RECTIFIER - 12, MIDDLE + 38)
                .wire(WINDING - 30, MIDDLE - 30, WINDING - 30, LEAD)
                .sign(Sign.LOOSE_END, WINDING - 30, LEAD)
                .wire(WINDING - 30, MIDDLE + 30, WINDING - 30, MIDDLE + 38)
                .sign(Sign.LOOSE_END, WINDING - 30, MIDDLE + 38)
                .wire(UP, MIDDLE, UP, 0);
        points.draw(
                sketch, ReadingKind.MAINS, "", WINDING - 30, LEAD, StagePoints.Beside.line(WINDING - 14, LEAD - 14));
        supply.secondaryVolts()
                .ifPresent(volts -> sketch.text(
                        new SchematicFinding.Winding(volts), WINDING, MIDDLE + 56, Drawn.Anchor.MIDDLE, false));
        if (isBridge(supply)) {
            bridge(sketch);
        } else {
            sketch.wire(WINDING, MIDDLE, WINDING + 14, MIDDLE, WINDING + 14, MIDDLE + 8)
                    .sign(Sign.GROUND, WINDING + 14, MIDDLE + 8);
        }
        rectifier(sketch, sheet);
        standby(sketch, supply);
        sketch.sign(Sign.JOINT, RESERVOIR, 0)
                .capacitor(RESERVOIR, 0)
                .name(new SchematicFinding.Reservoir(), RESERVOIR + 14, 26);
        supply.capacitorVolts()
                .ifPresent(volts -> sketch.figure(new SchematicFinding.RatedVolts(volts), RESERVOIR + 14, 42));
        sketch.figure(NodeBlock.charged(supply.isLiveInStandby()), RESERVOIR - 22, 72);
        way(sketch, supply.rectifier() == Rectifier.TUBE);
        return sketch.block();
    }

    /** One half cycle of it: the other takes the way below. */
    private static void way(Sketch sketch, boolean tube) {
        double upper = MIDDLE - 38;
        sketch.stop(OnTheWay.WINDING, WINDING, MIDDLE, 6, MIDDLE + WAY_LABEL)
                .stop(OnTheWay.RECTIFIER, RECTIFIER, tube ? MIDDLE : upper, RECTIFIER, MIDDLE + WAY_LABEL);
        if (tube) {
            sketch.way(WINDING, MIDDLE - 30, WINDING, upper, RECTIFIER - 12, upper, RECTIFIER - 12, MIDDLE - 14)
                    .way(RECTIFIER + 22, MIDDLE, UP, MIDDLE, UP, 0, WIDTH, 0);
        } else {
            sketch.way(WINDING, MIDDLE - 30, WINDING, upper, UP, upper, UP, 0, WIDTH, 0);
        }
    }

    private static boolean isBridge(Supply supply) {
        return supply.bridge() && supply.rectifier() != Rectifier.TUBE;
    }

    /** The two diodes that bring the current back from ground. */
    private static void bridge(Sketch sketch) {
        double one = RECTIFIER - 26;
        double other = RECTIFIER - 10;
        sketch.wire(one, MIDDLE - 38, one, MIDDLE - 32)
                .sign(Sign.DIODE, one, MIDDLE - 22)
                .wire(other, MIDDLE + 38, other, MIDDLE + 32)
                .turned(Sign.DIODE, other, MIDDLE + 22, 180)
                .wire(one, MIDDLE - 12, one, MIDDLE, RECTIFIER + 14, MIDDLE)
                .wire(other, MIDDLE, other, MIDDLE + 12)
                .sign(Sign.GROUND, RECTIFIER + 14, MIDDLE)
                .sign(Sign.JOINT, one, MIDDLE - 38)
                .sign(Sign.JOINT, other, MIDDLE + 38);
    }

    private static void rectifier(Sketch sketch, AmpSheet sheet) {
        Rectifier kind = sheet.supply().rectifier();
        if (kind == Rectifier.TUBE) {
            sketch.wire(RECTIFIER - 12, MIDDLE - 38, RECTIFIER - 12, MIDDLE - 14)
                    .wire(RECTIFIER - 12, MIDDLE + 38, RECTIFIER - 12, MIDDLE + 14)
                    .sign(Sign.RECTIFIER_TUBE, RECTIFIER, MIDDLE)
                    .wire(RECTIFIER + 22, MIDDLE, UP, MIDDLE);
        } else {
            sketch.turned(Sign.DIODE, RECTIFIER, MIDDLE - 38, 90)
                    .turned(Sign.DIODE, RECTIFIER, MIDDLE + 38, 90)
                    .wire(RECTIFIER - 12, MIDDLE - 38, RECTIFIER - 10, MIDDLE - 38)
                    .wire(RECTIFIER - 12, MIDDLE + 38, RECTIFIER - 10, MIDDLE + 38)
                    .wire(RECTIFIER + 10, MIDDLE - 38, UP, MIDDLE - 38)
                    .wire(RECTIFIER + 10, MIDDLE + 38, UP, MIDDLE + 38, UP, MIDDLE)
                    .sign(Sign.JOINT, UP, MIDDLE - 38);
        }
        String tube = sheet.fittings().rectifierTube();
        SchematicFinding says = switch (kind) {
            case SILICON -> new SchematicFinding.Silicon();
            case TUBE -> tube.isBlank() ? new SchematicFinding.RectifierNotKnown() : new SchematicFinding.Called(tube);
            case UNKNOWN -> new SchematicFinding.RectifierNotKnown();
        };
        sketch.text(says, RECTIFIER, MIDDLE + 74, Drawn.Anchor.MIDDLE, false);
    }

    private static void standby(Sketch sketch, Supply supply) {
        if (supply.standby()) {
            double at = supply.behindStandby() ? 160 : 236;
            sketch.sign(Sign.GAP, at, 0)
                    .turned(Sign.SWITCH, at, 0, 90)
                    .text(new SchematicFinding.Standby(), at, Levels.ABOVE_RAIL, Drawn.Anchor.MIDDLE, false);
        }
    }

    /** The resistor or choke on the rail across which all that the amp takes is read. */
    static Block drop(AmpSheet sheet, StagePoints points) {
        double middle = DROP / 2;
        Sketch sketch = new Sketch(DROP)
                .turned(sheet.fittings().chokeAmps().isPresent() ? Sign.CHOKE : Sign.RESISTOR, middle, 0, 90)
                .sign(Sign.TEST_POINT, middle - 24, 0);
        String point = sheet.sockets().get(0).testPoint();
        points.draw(sketch, ReadingKind.SENSE_VOLTS, point, middle - 24, 0, StagePoints.Beside.lines(BESIDE, 56, 72));
        sheet.current().ohms().ifPresent(ohms -> sketch.figure(new SchematicFinding.Ohms(ohms), BESIDE, 40));
        sketch.way(0, 0, DROP, 0);
        return sketch.name(SchematicFinding.Called.within(TubeBlock.NAME_FITS, point), BESIDE, 24)
                .block();
    }

    /** Whether there is one. */
    static boolean hasDrop(AmpSheet sheet) {
        return sheet.current().method() == CurrentMethod.SUPPLY_DROP && sheet.channels() == 1;
    }

    /** The choke or the resistor behind which the screens hang; in a stage of triodes, what comes after it. */
    static Block screens(AmpSheet sheet, Screens screens) {
        boolean choke = sheet.fittings().chokeAmps().isPresent();
        Sketch sketch = new Sketch(SCREENS)
                .sign(Sign.JOINT, 14, 0)
                .wire(14, 0, 14, Levels.SCREENS, choke ? 24 : 32, Levels.SCREENS)
                .turned(choke ? Sign.CHOKE : Sign.RESISTOR, 48, Levels.SCREENS, 90)
                .wire(choke ? 72 : 64, Levels.SCREENS, SCREENS, Levels.SCREENS)
                .text(
                        choke ? new SchematicFinding.Choke() : new SchematicFinding.Dropper(),
                        48,
                        Levels.SCREENS + 24,
                        Drawn.Anchor.MIDDLE,
                        false);
        if (screens == Screens.SUPPLY) {
            sketch.sign(Sign.JOINT, 96, Levels.SCREENS)
                    .capacitor(96, Levels.SCREENS)
                    .name(new SchematicFinding.Screens(), 106, Levels.SCREENS + 20)
                    .figure(new SchematicFinding.StaysCharged(), 74, Levels.SCREENS + 72);
        }
        sheet.fittings()
                .chokeAmps()
                .ifPresent(amps -> sketch.text(
                        new SchematicFinding.RatedAmps(amps), 48, Levels.SCREENS + 38, Drawn.Anchor.MIDDLE, false));
        sketch.way(0, 0, SCREENS, 0);
        if (choke) {
            sketch.stop(OnTheWay.CHOKE, 48, Levels.SCREENS, 4, Levels.SCREENS + WAY_LABEL);
        }
        return sketch.block();
    }

    /** What else hangs on the same line. */
    static Block preamp(AmpSheet sheet) {
        Sketch sketch = new Sketch(PREAMP)
                .wire(0, Levels.SCREENS, 20, Levels.SCREENS)
                .turned(Sign.RESISTOR, 36, Levels.SCREENS, 90)
                .wire(52, Levels.SCREENS, 84, Levels.SCREENS)
                .sign(Sign.JOINT, 84, Levels.SCREENS)
                .capacitor(84, Levels.SCREENS)
                .name(new SchematicFinding.Preamp(), 20, Levels.SCREENS + 24)
                .figure(new SchematicFinding.StaysCharged(), 62, Levels.SCREENS + 72);
        if (new GridLines(sheet).isOne()) {
            sketch.wire(0, Levels.BIAS, PREAMP, Levels.BIAS);
        }
        sheet.supply()
                .otherAmps()
                .ifPresent(amps -> sketch.figure(new SchematicFinding.RatedAmps(amps), 20, Levels.SCREENS + 40));
        return sketch.apart();
    }
}
