package yellowrail.core.reading;

import yellowrail.core.quantity.Unit;

/** What a line of the log is about. */
public enum ReadingKind {
    SENSE_VOLTS(Unit.VOLT),
    SENSE_AMPS(Unit.MILLIAMP),
    PLATE(Unit.VOLT),
    PLATE_UNLOADED(Unit.VOLT),
    MAINS(Unit.VOLT),
    BIAS(Unit.VOLT),
    SCREEN_VOLTS(Unit.VOLT),
    SCREEN_DROP(Unit.VOLT),
    SCREEN_AMPS(Unit.MILLIAMP),
    CATHODE_VOLTS(Unit.VOLT),
    RESISTOR_COLD(Unit.OHM),
    HEATER(Unit.VOLT),
    HEATER_BARE(Unit.VOLT),
    BIAS_STOP(Unit.VOLT),
    SWING_A(Unit.VOLT),
    SWING_B(Unit.VOLT),
    SENSE_STOP(Unit.VOLT),
    /** Volts at a node of the chart. */
    NODE(Unit.VOLT),
    /** What a capacitor still holds, the power off. */
    DRAINED(Unit.VOLT),
    TURN(null),
    TUBE(null),
    SHEET(null),
    POWER_ON(null),
    POWER_OFF(null),
    NOTE(null),
    FINDING(null),
    /** What was measured at the output. */
    PROOF(null),
    MARK(null),
    /** Said to the log, never kept in it. */
    UNDO(null),
    TICK(null);

    private final Unit unit;

    ReadingKind(Unit unit) {
        this.unit = unit;
    }

    /** The unit its value is usually shown in; null for lines that carry no value. */
    public Unit unit() {
        return unit;
    }

    public boolean isMeasured() {
        return unit != null;
    }
}
