package yellowrail.core.reading;

import yellowrail.core.quantity.Unit;

/** What a line of the log is about. */
public enum ReadingKind {

    SENSE_VOLTS("current", Unit.VOLT),
    SENSE_AMPS("current", Unit.MILLIAMP),
    PLATE("plate voltage", Unit.VOLT),
    PLATE_UNLOADED("plate voltage, tubes pulled", Unit.VOLT),
    MAINS("mains", Unit.VOLT),
    BIAS("grid bias", Unit.VOLT),
    SCREEN_VOLTS("screen voltage", Unit.VOLT),
    SCREEN_DROP("screen stopper drop", Unit.VOLT),
    SCREEN_AMPS("screen current", Unit.MILLIAMP),
    CATHODE_VOLTS("cathode voltage", Unit.VOLT),
    RESISTOR_COLD("resistance, power off", Unit.OHM),
    HEATER("heater", Unit.VOLT),
    HEATER_BARE("heater, no tubes in", Unit.VOLT),
    BIAS_STOP("grid bias at the pot\u2019s stop", Unit.VOLT),
    SWING_A("balance pot at its first stop", Unit.VOLT),
    SWING_B("balance pot at its other stop", Unit.VOLT),
    SENSE_STOP("current at the pot\u2019s stop", Unit.VOLT),
    TURN("pot turned", null),
    TUBE("tube put in", null),
    SHEET("amp sheet corrected", null),
    POWER_ON("switched on", null),
    POWER_OFF("switched off", null),
    NOTE("note", null),
    MARK("mark", null),
    /** Said to the log, never kept in it. */
    UNDO("undo", null),
    TICK("safety item seen to", null);

    private final String inWords;
    private final Unit unit;

    ReadingKind(String inWords, Unit unit) {
        this.inWords = inWords;
        this.unit = unit;
    }

    public String inWords() {
        return inWords;
    }

    /** The unit its value is usually shown in; null for lines that carry no value. */
    public Unit unit() {
        return unit;
    }

    public boolean isMeasured() {
        return unit != null;
    }
}
