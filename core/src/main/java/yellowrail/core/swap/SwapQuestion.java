package yellowrail.core.swap;

import java.util.EnumSet;
import java.util.Set;

/** What a swap is asked. */
public enum SwapQuestion {
    AS_IT_STANDS,
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
    CIRCUIT,
    CENTRE_TAP,
    RECTIFIER_HEATER,
    RECTIFIER_CURRENT,
    INVERSE_VOLTS,
    SURGE,
    FIRST_CAPACITOR,
    BEFORE_THE_TUBES,
    PLATES;

    private static final Set<SwapQuestion> ASIDE =
            EnumSet.of(AS_IT_STANDS, DRIVE, LOAD, BULB, FAMILY_SWITCH, POWER, PLATES);

    /** Whether a tube can be put in with this one unanswered and come to no harm by it. */
    public boolean decides() {
        return !ASIDE.contains(this);
    }
}
