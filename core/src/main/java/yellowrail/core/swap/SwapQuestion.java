package yellowrail.core.swap;

/** What a swap is asked. */
public enum SwapQuestion {
    BASE,
    HEATER_VOLTS,
    HEATER_WINDING,
    PLATE_VOLTS,
    SCREEN_VOLTS,
    CATHODE_CURRENT,
    IDLE_DISSIPATION,
    GRID_VOLTS,
    CATHODE_RESISTOR,
    GRID_LEAK,
    DRIVE,
    LOAD,
    RAIL_CURRENT,
    OUTPUT_CURRENT,
    BULB,
    FAMILY_SWITCH,
    POWER,
    RECTIFIER_HEATER,
    RECTIFIER_CURRENT,
    FIRST_CAPACITOR,
    PLATES
}
