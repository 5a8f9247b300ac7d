package yellowrail.web.api;

import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;

/** An output stage: its fields, which {@link LoadLineRequestReader} reads. */
final class LoadLineShape {

    static final JsonField TUBE_TYPE =
            JsonField.text("tubeType").needed().like("6L6GC").told("A type with a model");
    static final JsonField STAGE =
            JsonField.choice("stage", "push-pull", "single-ended").needed();
    static final JsonField TUBES_PER_SIDE =
            JsonField.whole("tubesPerSide", 1, OutputStage.MOST_PER_SIDE).usually(1);
    static final JsonField PLATE_VOLTS =
            JsonField.number("plateVolts", 20, 2000).needed().like(450).told("Plate at idle, V");
    static final JsonField SCREEN_VOLTS = JsonField.number("screenVolts", 20, 2000)
            .like(400)
            .told("Screen at idle, V; needed for pentode, the plates' otherwise");
    static final JsonField CONNECTION =
            JsonField.choice("connection", "pentode", "ultralinear", "triode").usually("pentode");
    static final JsonField ULTRALINEAR_PERCENT =
            JsonField.number("ultralinearPercent", 1, 99).usually(43).told("Screens' tap, percent of the half primary");
    static final JsonField BIAS_VOLTS =
            JsonField.number("biasVolts", -300, 0).like(-37).told("Grid to cathode, V, fixed bias");
    static final JsonField CATHODE_RESISTOR_OHMS = JsonField.number("cathodeResistorOhms", 0.1, 100_000)
            .told("By-passed resistor common to all cathodes of the stage");
    static final JsonField LOAD_OHMS =
            JsonField.number("loadOhms", 50, 1_000_000).needed().like(5600).told("Plate to plate, or on the one plate");
    static final JsonField PRIMARY_OHMS = JsonField.number("primaryOhms", 0, 5000)
            .usually(0)
            .told("Copper of the half primary, single-ended of the primary");
    static final JsonField SUPPLY_OHMS =
            JsonField.number("supplyOhms", 0, 10_000).usually(0).told("Resistance of the plate supply");
    static final JsonField SCREEN_SUPPLY_OHMS =
            JsonField.number("screenSupplyOhms", 0, 100_000).usually(0).told("Resistance of the screens' supply");

    static final JsonField SCREEN_STOPPER_OHMS =
            JsonField.number("screenStopperOhms", 0, 20_000).usually(0).told("In series with each screen");
    static final JsonField SIDES_APART_PERCENT = JsonField.number("sidesApartPercent", -190, 190)
            .usually(0)
            .told("Push-pull: what the tubes of one side draw more than those of the other at the same grid volts, of"
                    + " their mean");
    static final JsonField DRIVE_PERCENT = JsonField.number("drivePercent", 5, 100 * FullDrive.MOST)
            .usually(100)
            .told("Of the drive that brings the grids to their cathodes; beyond it they are held there");

    static final JsonShape SHAPE = JsonShape.of(
            "LoadLineRequest",
            "One output stage at idle and its load. Voltages to the cathode. One of biasVolts and cathodeResistorOhms.",
            TUBE_TYPE,
            STAGE,
            TUBES_PER_SIDE,
            PLATE_VOLTS,
            SCREEN_VOLTS,
            CONNECTION,
            ULTRALINEAR_PERCENT,
            BIAS_VOLTS,
            CATHODE_RESISTOR_OHMS,
            LOAD_OHMS,
            PRIMARY_OHMS,
            SUPPLY_OHMS,
            SCREEN_SUPPLY_OHMS,
            SCREEN_STOPPER_OHMS,
            SIDES_APART_PERCENT,
            DRIVE_PERCENT);

    private LoadLineShape() {}
}
