package yellowrail.core.reading;

import static yellowrail.core.quantity.Quantity.quote;

import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.BadQuantityException;
import yellowrail.core.quantity.Quantity;
import yellowrail.core.quantity.Unit;

/** What the parts of a reading mean on a given amp: its own way of reading current, its test points, its units. */
final class Meaning {

    private final AmpSheet sheet;

    /**
     * The parts of one reading, as they were found on the line.
     *
     * @param word     the name it was given, null if none
     * @param kind     what that name stands for, null if none
     * @param target   the socket or test point, null if none
     * @param quantity the number
     * @param unloaded whether the tubes were said to be pulled
     * @param off      whether the power was said to be off
     * @param stop     whether the pot was said to be at its stop
     * @param typed    the whole of it, for messages
     */
    record Said(String word, ReadingKind kind, String target, Quantity quantity, boolean unloaded, boolean off, boolean stop, String typed) {
    }

    Meaning(AmpSheet sheet) {
        this.sheet = sheet;
    }

    /**
     * @return the reading that was meant
     * @throws BadEntryException if its parts do not fit together on this amp
     */
    Entry of(Said said) {
        Quantity quantity = said.quantity();
        String typed = said.typed();
        String place = said.target() == null ? "" : said.target();
        if (said.kind() == null) {
            if (said.off()) {
                return resistance(place, quantity, typed);
            }
            return current(said.target(), quantity, typed);
        }
        ReadingKind kind = said.kind();
        return switch (kind) {
            case PLATE -> plate(said.word(), place, quantity, said.unloaded(), typed);
            case RESISTOR_COLD -> {
                if (!said.off()) {
                    throw new BadEntryException("A resistance is only measured with the power off. Type %s off %s if it was."
                            .formatted(said.word(), typed.replaceAll("(?i).*?([\\d.,]+\\S*).*", "$1")));
                }
                yield resistance(place, quantity, typed);
            }
            case SCREEN_VOLTS -> isCurrent(quantity)
                    ? Entry.measured(ReadingKind.SCREEN_AMPS, place, si(quantity, Unit.MILLIAMP, typed))
                    : Entry.measured(kind, place, si(quantity, Unit.VOLT, typed));
            case SCREEN_AMPS -> screenCurrent(place, quantity, typed);
            case CATHODE_VOLTS -> sheet.current().method() == CurrentMethod.CATHODE_RESISTOR
                    ? Entry.measured(ReadingKind.SENSE_VOLTS, testPoint(said.target(), typed), si(quantity, Unit.VOLT, typed))
                    : Entry.measured(kind, place, si(quantity, Unit.VOLT, typed));
            case HEATER -> Entry.measured(said.unloaded() ? ReadingKind.HEATER_BARE : kind, place, si(quantity, Unit.VOLT, typed));
            case BIAS -> Entry.measured(said.stop() ? ReadingKind.BIAS_STOP : kind, said.stop() ? "" : place, si(quantity, Unit.VOLT, typed));
            default -> Entry.measured(kind, place, si(quantity, Unit.VOLT, typed));
        };
    }

    private static Entry resistance(String place, Quantity quantity, String typed) {
        double ohms = si(quantity, Unit.OHM, typed);
        if (!(ohms > 0)) {
            throw new BadEntryException("%s is no resistance. Type the ohms the meter shows with the power off, such as rk off 121.3."
                    .formatted(quote(typed)));
        }
        return Entry.measured(ReadingKind.RESISTOR_COLD, place, ohms);
    }

    private Entry plate(String word, String place, Quantity quantity, boolean unloaded, String typed) {
        boolean saysBPlus = word.equals("b+") || word.equals("ht");
        boolean atBPlus = sheet.plate().point() == PlateSense.Point.B_PLUS;
        if (!unloaded && saysBPlus && !atBPlus) {
            throw new BadEntryException("This amp\u2019s sheet says plate voltage is read at the plate, and the drop in the "
                    + "transformer would be counted in. Type plate and the number, or change the sheet to B+.");
        }
        return Entry.measured(unloaded ? ReadingKind.PLATE_UNLOADED : ReadingKind.PLATE, place, si(quantity, Unit.VOLT, typed));
    }

    private Entry screenCurrent(String place, Quantity quantity, String typed) {
        if (isCurrent(quantity)) {
            return Entry.measured(ReadingKind.SCREEN_AMPS, place, si(quantity, Unit.MILLIAMP, typed));
        }
        if (quantity.unit().isEmpty()) {
            throw new BadEntryException("Screen current needs its unit: mA for the current, mV or V for the drop across the "
                    + "screen stopper. Type ig2 2.1mA, say.");
        }
        if (sheet.screen().stopperOhms().isEmpty()) {
            throw new BadEntryException("The drop across the screen stopper says nothing without its ohms. Put them on the amp "
                    + "sheet, or type the current in mA.");
        }
        return Entry.measured(ReadingKind.SCREEN_DROP, place, si(quantity, Unit.VOLT, typed));
    }

    private static boolean isCurrent(Quantity quantity) {
        return quantity.unit().map(unit -> unit.dimension() == Unit.Dimension.CURRENT).orElse(false);
    }

    private Entry current(String target, Quantity quantity, String typed) {
        Unit shows = sheet.current().shows();
        ReadingKind kind = shows.dimension() == Unit.Dimension.VOLTAGE ? ReadingKind.SENSE_VOLTS : ReadingKind.SENSE_AMPS;
        return Entry.measured(kind, testPoint(target, typed), si(quantity, shows, typed));
    }

    /** The test point a current was read at: named, or reached through a socket, or the only one there is. */
    private String testPoint(String target, String typed) {
        List<String> points = sheet.testPoints();
        if (target == null) {
            if (points.size() == 1) {
                return points.get(0);
            }
            throw new BadEntryException("%s does not say where. Begin with one of %s, such as %s."
                    .formatted(quote(typed), String.join(", ", points), example()));
        }
        return sheet.socket(target).map(Socket::testPoint).orElse(target);
    }

    private static double si(Quantity quantity, Unit assumed, String typed) {
        try {
            return quantity.si(assumed);
        } catch (BadQuantityException e) {
            throw new BadEntryException("%s: %s.".formatted(quote(typed), e.getMessage()));
        }
    }

    /** A reading as it is typed at this amp. */
    String example() {
        return switch (sheet.current().shows()) {
            case VOLT -> sheet.testPoints().get(0) + " 9.85V";
            case MILLIAMP -> sheet.testPoints().get(0) + " 36.4mA";
            default -> sheet.testPoints().get(0) + " 36.4mV";
        };
    }
}
