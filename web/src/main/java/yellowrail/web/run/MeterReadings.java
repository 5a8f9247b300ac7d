package yellowrail.web.run;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.ReadingKind;
import yellowrail.web.meter.ScpiMeter;

/** Asks an amp's meter on the network for what its lead is on. */
@Component
class MeterReadings {

    /** What is alternating, by every word the entry line has for it. */
    private static final Set<String> ALTERNATING =
            EntryLine.wordsFor(ReadingKind.MAINS, ReadingKind.HEATER, ReadingKind.HEATER_BARE);

    private final ScpiMeter meter;

    MeterReadings(ScpiMeter meter) {
        this.meter = meter;
    }

    /**
     * @param where the lead is, as it would begin on the entry line
     * @return the line a hand would type, with every digit that was sent: {@code V1 36.40mV}
     * @throws yellowrail.web.meter.MeterException if there is no usable answer
     */
    String line(String where, AmpSheet sheet) {
        ScpiMeter.Asks asks = asks(where, sheet);
        BigDecimal value = meter.read(sheet.measuring().link(), asks);
        boolean small = value.abs().compareTo(BigDecimal.ONE) < 0;
        String typed = (small ? value.movePointRight(3) : value).toPlainString()
                + (small ? "m" : "")
                + (asks == ScpiMeter.Asks.DC_AMPS ? "A" : "V");
        return (where + " " + typed).strip();
    }

    private static ScpiMeter.Asks asks(String where, AmpSheet sheet) {
        String[] said = where.toLowerCase(Locale.ROOT).split("\\s+");
        if (Stream.of(said).anyMatch(ALTERNATING::contains)) {
            return ScpiMeter.Asks.AC_VOLTS;
        }
        boolean atTestPoint = where.isEmpty()
                || sheet.socket(where).isPresent()
                || sheet.testPoints().stream().anyMatch(where::equalsIgnoreCase);
        return atTestPoint && sheet.current().shows() == Unit.MILLIAMP
                ? ScpiMeter.Asks.DC_AMPS
                : ScpiMeter.Asks.DC_VOLTS;
    }
}
