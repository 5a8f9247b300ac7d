package yellowrail.core.amp;

/**
 * How an amp is measured, and at what mains.
 *
 * @param current how current is read
 * @param plate where plate voltage is read
 * @param screen how screen current is counted
 * @param meter the meter's accuracy
 * @param mainsVolts the mains voltage the amp is set at, V
 * @param settleMinutes a verdict before this is marked early
 * @param link where the meter can be asked, if it can
 */
public record Measuring(
        CurrentSense current,
        PlateSense plate,
        ScreenSense screen,
        MeterAccuracy meter,
        double mainsVolts,
        double settleMinutes,
        MeterLink link) {

    /** Read another way, by a meter on the range for it. */
    Measuring with(CurrentSense other) {
        return new Measuring(other, plate, screen, AmpDefaults.meter(other.shows()), mainsVolts, settleMinutes, link);
    }

    /** The same resistors and meter, read by another method. */
    Measuring with(CurrentMethod other) {
        CurrentSense changed = new CurrentSense(
                other,
                current.ohms(),
                current.tolerance(),
                current.shows(),
                current.copperCold(),
                current.copperHot(),
                current.otherAmps());
        return new Measuring(changed, plate, screen, meter, mainsVolts, settleMinutes, link);
    }

    Measuring with(PlateSense other) {
        return new Measuring(current, other, screen, meter, mainsVolts, settleMinutes, link);
    }

    Measuring with(ScreenSense other) {
        return new Measuring(current, plate, other, meter, mainsVolts, settleMinutes, link);
    }

    Measuring with(MeterAccuracy other) {
        return new Measuring(current, plate, screen, other, mainsVolts, settleMinutes, link);
    }

    Measuring with(MeterLink other) {
        return new Measuring(current, plate, screen, meter, mainsVolts, settleMinutes, other);
    }

    Measuring at(double mains, double minutes) {
        return new Measuring(current, plate, screen, meter, mains, minutes, link);
    }
}
