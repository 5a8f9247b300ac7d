package yellowrail.core.idle;

/** The numbers that go into one tube's idle, in the order of {@link IdleCalculation}'s inputs. */
public enum Slot {
    PLATE_READING,
    SENSE_READING,
    SENSE_OHMS,
    COPPER,
    CATHODE_VOLTS,
    SCREEN_SHARE,
    SCREEN_AMPS,
    HALF_PRIMARY,
    OTHER_AMPS,
    SCREEN_VOLTS
}
