package yellowrail.core.reading;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/** Writes entries the way {@link EntryLine} reads them, in the unit of the builder's own meter. */
public final class EntryWriter {

    private static final int MOST_DECIMALS = 6;

    private EntryWriter() {}

    /** How a reading is typed. */
    public static String line(Entry entry, AmpSheet sheet) {
        String place = entry.target().isEmpty() ? "" : entry.target() + " ";
        String word = word(entry.kind());
        if (entry.kind() == ReadingKind.POWER_ON && entry.value() > 0) {
            return word + " " + Figures.plain(entry.value());
        }
        if (!entry.kind().isMeasured()) {
            return (word + " " + place + entry.words()).strip();
        }
        String value = value(entry, sheet);
        return switch (entry.kind()) {
            case SWING_A, SWING_B -> word + " " + place + value;
            case PLATE_UNLOADED -> place + word + " " + value + " unloaded";
            case HEATER_BARE -> place + word + " " + value + " bare";
            case BIAS_STOP, SENSE_STOP -> place + (word.isEmpty() ? "" : word + " ") + value + " stop";
            case NODE -> word + " " + place + value + (entry.words().isEmpty() ? "" : " " + entry.words());
            case DRAINED -> word + " " + place + value;
            default -> place + (word.isEmpty() ? "" : word + " ") + value;
        };
    }

    /** What stands before the number where a reading of this kind is typed. */
    public static String before(ReadingKind kind, String place) {
        return kind == ReadingKind.NODE ? word(kind) + " " + place : (place + " " + word(kind)).strip();
    }

    /** A whole line. */
    public static String line(List<Entry> entries, AmpSheet sheet) {
        return entries.stream().map(entry -> line(entry, sheet)).collect(Collectors.joining("; "));
    }

    /** The number with its unit, a voltage at a test point in V where it is far too large for mV. */
    public static String shown(Entry entry, AmpSheet sheet) {
        Unit unit = unit(entry, sheet);
        return Figures.in(unit == Unit.MILLIVOLT && Math.abs(entry.value()) >= 1 ? Unit.VOLT : unit, entry.value());
    }

    /** With the digits that were typed: 1.50 stays 1.50, and 1.50 that was meant in V is not written as 1500 mV. */
    private static String value(Entry entry, AmpSheet sheet) {
        Unit usual = unit(entry, sheet);
        Unit unit = usual == Unit.MILLIVOLT && usual.fromSi(entry.lastDigit()) > 1.5 ? Unit.VOLT : usual;
        double number = unit.fromSi(entry.value());
        String plain = Figures.plain(number);
        int decimals = entry.lastDigit() > 0 ? (int) Math.round(-Math.log10(unit.fromSi(entry.lastDigit()))) : 0;
        boolean cut = decimals > 0 && decimals <= MOST_DECIMALS && new BigDecimal(plain).scale() < decimals;
        return (cut ? Figures.fixed(number, decimals) : plain) + unit;
    }

    private static Unit unit(Entry entry, AmpSheet sheet) {
        Unit shows = sheet.current().shows();
        return switch (entry.kind()) {
            case SWING_A, SWING_B, SENSE_STOP -> shows;
            case SENSE_VOLTS -> shows.dimension() == Unit.Dimension.VOLTAGE ? shows : Unit.VOLT;
            case SENSE_AMPS -> Unit.MILLIAMP;
            default -> entry.kind().unit();
        };
    }

    private static String word(ReadingKind kind) {
        return switch (kind) {
            case SENSE_VOLTS, SENSE_AMPS, SENSE_STOP -> "";
            case PLATE, PLATE_UNLOADED -> "plate";
            case MAINS -> "mains";
            case BIAS, BIAS_STOP -> "bias";
            case HEATER, HEATER_BARE -> "heater";
            case SWING_A -> "swing a";
            case SWING_B -> "swing b";
            case TURN -> "turn";
            case TUBE -> "tube";
            case SHEET -> "sheet";
            case SCREEN_VOLTS, SCREEN_AMPS -> "screen";
            case SCREEN_DROP -> "ig2";
            case CATHODE_VOLTS -> "vk";
            case RESISTOR_COLD -> "rk off";
            case NODE -> "at";
            case DRAINED -> "drained";
            case POWER_ON -> "on";
            case POWER_OFF -> "off";
            case NOTE -> "note";
            case FINDING, PROOF -> "";
            case MARK -> "mark";
            case UNDO -> "undo";
            case TICK -> "tick";
        };
    }
}
