package yellowrail.core.idle;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.reading.Reading;

/**
 * The resistance at a test point. Measured cold, it is as good as the meter's digits and its leads allow: below some
 * twenty ohms that is often worse than what is printed on the part, so a sense resistor keeps its nominal value unless
 * the two differ by more than both can explain.
 */
public final class ResistorInUse {

    /** Leads and clips, ohm, at 95 %; nobody nulls them. */
    private static final double LEADS = 0.3;
    /** The last digit of an ohmmeter's lowest range, ohm. */
    private static final double LAST_DIGIT = 0.1;

    private ResistorInUse() {}

    /** Half width of a resistance measured cold, at 95 %, ohm. */
    static double plusMinus(AmpSheet sheet, Reading measured) {
        double digit = measured.entry().lastDigit() > 0
                ? Math.min(
                        LAST_DIGIT * scale(measured.value()), measured.entry().lastDigit())
                : LAST_DIGIT * scale(measured.value());
        double own = sheet.meter().ofReading() * measured.value();
        return own + Math.hypot(sheet.meter().digits() > 0 ? digit : 0, LEADS * Math.min(1, 20 / measured.value()));
    }

    private static double scale(double ohms) {
        return ohms < 1000 ? 1 : ohms / 1000;
    }

    /** Whether a sense resistor measured so is another than the one on the sheet, beyond both tolerances. */
    public static boolean contradicts(AmpSheet sheet, Reading measured) {
        OptionalDouble nominal = sheet.current().ohms();
        return nominal.isPresent()
                && isSense(sheet.current().method())
                && Math.abs(measured.value() - nominal.getAsDouble())
                        > sheet.current().tolerance() * nominal.getAsDouble() + plusMinus(sheet, measured);
    }

    private static boolean isSense(CurrentMethod method) {
        return method == CurrentMethod.SENSE_EACH
                || method == CurrentMethod.SENSE_SHARED
                || method == CurrentMethod.STAGE_TEST_POINT;
    }

    /** How the current is read, with what was measured of its resistor if anything was. */
    static CurrentSense with(AmpSheet sheet, Optional<Reading> cold) {
        CurrentSense onSheet = sheet.current();
        if (cold.isEmpty()) {
            return onSheet;
        }
        Reading measured = cold.get();
        boolean nominal = onSheet.ohms().isPresent() && isSense(onSheet.method()) && !contradicts(sheet, measured);
        return nominal
                ? onSheet
                : new CurrentSense(
                        onSheet.method(),
                        OptionalDouble.of(measured.value()),
                        plusMinus(sheet, measured) / measured.value(),
                        onSheet.shows(),
                        onSheet.copperCold(),
                        onSheet.copperHot(),
                        onSheet.otherAmps());
    }
}
