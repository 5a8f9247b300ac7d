package yellowrail.core.schematic;

/** What is drawn at a place, about its middle; upright unless it is turned. */
public enum Sign {
    /** Bulges to the right, 60 tall. */
    WINDING,
    /** Between two windings, 44 tall. */
    CORE,
    /** Half a primary, 22 tall. */
    HALF_WINDING,
    /** Points upwards, 20 tall. */
    DIODE,
    /** An envelope with two plates, 44 across. */
    RECTIFIER_TUBE,
    /** Leads up and down, 20 tall. */
    CAPACITOR,
    /** 32 tall. */
    RESISTOR,
    /** 48 tall. */
    CHOKE,
    /** 48 across: plate on top, screen right, grid left, cathode below. */
    POWER_TUBE,
    /** The same without a screen. */
    POWER_TRIODE,
    /** 40 across: plate on top, grid left, cathode below. */
    TRIODE,
    PUSH,
    PULL,
    SINGLE,
    /** Leads up and down, the wiper to the right, 32 tall. */
    POT,
    /** The track of a pot, 64 tall. */
    TRACK,
    /** Points to the left at a track. */
    WIPER,
    /** Four diodes in a ring, 52 across. */
    BRIDGE,
    /** Where the rail is broken, 24 across. */
    GAP,
    /** 24 tall. */
    SWITCH,
    /** 20 across. */
    METER,
    SPEAKER,
    /** 24 across. */
    FILAMENT,
    GROUND,
    JOINT,
    /** Goes on where the same name stands again, or outside. */
    LOOSE_END,
    TEST_POINT
}
