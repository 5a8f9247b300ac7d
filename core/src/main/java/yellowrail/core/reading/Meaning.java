package yellowrail.core.reading;

import static yellowrail.core.typed.Quantity.quote;

import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryFault.NoPlace;
import yellowrail.core.reading.EntryFault.NoResistance;
import yellowrail.core.reading.EntryFault.NoStopperOnSheet;
import yellowrail.core.reading.EntryFault.ReadAtThePlate;
import yellowrail.core.reading.EntryFault.ResistanceNeedsOff;
import yellowrail.core.reading.EntryFault.ScreenNeedsUnit;
import yellowrail.core.reading.EntryFault.WrongUnit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/** What the parts of a reading mean on a given amp: its own way of reading current, its test points, its units. */
final class Meaning {

    private final AmpSheet sheet;

    /**
     * The parts of one reading, as they were found on the line.
     *
     * @param word the name it was given, null if none
     * @param kind what that name stands for, null if none
     * @param target the socket or test point, null if none
     * @param quantity the number
     * @param unloaded whether the tubes were said to be pulled
     * @param off whether the power was said to be off
     * @param stop whether the pot was said to be at its stop
     * @param typed the whole of it, for messages
     */
    record Said(
            String word,
            ReadingKind kind,
            String target,
            Quantity quantity,
            boolean unloaded,
            boolean off,
            boolean stop,
            String typed) {}

    Meaning(AmpSheet sheet) {
        this.sheet = sheet;
    }

    /**
     * @return the reading that was meant
     * @throws BadEntryException if its parts do not fit together on this amp
     */
    List<Entry> of(Said said) {
        Entry entry = entry(said);
        Entry told = new Entry(
                entry.kind(), entry.target(), entry.value(), entry.words(), lastDigit(said.quantity(), entry));
        return said.stop() && told.isCurrent() ? List.of(told, told.as(ReadingKind.SENSE_STOP)) : List.of(told);
    }

    /** What the last digit that was typed stands for, SI. */
    private static double lastDigit(Quantity quantity, Entry entry) {
        double scale = quantity.number() == 0 ? 1 : Math.abs(entry.value() / quantity.number());
        return Math.pow(10, -quantity.decimals()) * scale;
    }

    private Entry entry(Said said) {
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
                    throw new BadEntryException(new ResistanceNeedsOff(said.word(), Figures.plain(quantity.number())));
                }
                yield resistance(place, quantity, typed);
            }
            case SCREEN_VOLTS ->
                isCurrent(quantity)
                        ? Entry.measured(ReadingKind.SCREEN_AMPS, place, si(quantity, Unit.MILLIAMP, typed))
                        : Entry.measured(kind, place, si(quantity, Unit.VOLT, typed));
            case SCREEN_AMPS -> screenCurrent(place, quantity, typed);
            case CATHODE_VOLTS ->
                sheet.current().method() == CurrentMethod.CATHODE_RESISTOR
                        ? Entry.measured(
                                ReadingKind.SENSE_VOLTS,
                                testPoint(said.target(), typed),
                                si(quantity, Unit.VOLT, typed))
                        : Entry.measured(kind, place, si(quantity, Unit.VOLT, typed));
            case HEATER ->
                Entry.measured(said.unloaded() ? ReadingKind.HEATER_BARE : kind, place, si(quantity, Unit.VOLT, typed));
            case BIAS ->
                Entry.measured(
                        said.stop() ? ReadingKind.BIAS_STOP : kind,
                        said.stop() ? "" : place,
                        si(quantity, Unit.VOLT, typed));
            default -> Entry.measured(kind, place, si(quantity, Unit.VOLT, typed));
        };
    }

    private static Entry resistance(String place, Quantity quantity, String typed) {
        double ohms = si(quantity, Unit.OHM, typed);
        if (!(ohms > 0)) {
            throw new BadEntryException(new NoResistance(quote(typed)));
        }
        return Entry.measured(ReadingKind.RESISTOR_COLD, place, ohms);
    }

    private Entry plate(String word, String place, Quantity quantity, boolean unloaded, String typed) {
        boolean saysBPlus = word.equals("b+") || word.equals("ht");
        boolean atBPlus = sheet.plate().point() == PlateSense.Point.B_PLUS;
        if (!unloaded && saysBPlus && !atBPlus) {
            throw new BadEntryException(new ReadAtThePlate());
        }
        return Entry.measured(
                unloaded ? ReadingKind.PLATE_UNLOADED : ReadingKind.PLATE, place, si(quantity, Unit.VOLT, typed));
    }

    private Entry screenCurrent(String place, Quantity quantity, String typed) {
        if (isCurrent(quantity)) {
            return Entry.measured(ReadingKind.SCREEN_AMPS, place, si(quantity, Unit.MILLIAMP, typed));
        }
        if (quantity.unit().isEmpty()) {
            throw new BadEntryException(new ScreenNeedsUnit());
        }
        if (sheet.screen().stopperOhms().isEmpty()) {
            throw new BadEntryException(new NoStopperOnSheet());
        }
        return Entry.measured(ReadingKind.SCREEN_DROP, place, si(quantity, Unit.VOLT, typed));
    }

    private static boolean isCurrent(Quantity quantity) {
        return quantity.unit()
                .map(unit -> unit.dimension() == Unit.Dimension.CURRENT)
                .orElse(false);
    }

    private Entry current(String target, Quantity quantity, String typed) {
        Unit shows = sheet.current().shows();
        if (shows.dimension() == Unit.Dimension.VOLTAGE && isCurrent(quantity)) {
            return Entry.measured(ReadingKind.SENSE_AMPS, testPoint(target, typed), si(quantity, Unit.MILLIAMP, typed));
        }
        ReadingKind kind =
                shows.dimension() == Unit.Dimension.VOLTAGE ? ReadingKind.SENSE_VOLTS : ReadingKind.SENSE_AMPS;
        return Entry.measured(kind, testPoint(target, typed), si(quantity, shows, typed));
    }

    /** The test point a current was read at: named, or reached through a socket, or the only one there is. */
    private String testPoint(String target, String typed) {
        List<String> points = sheet.testPoints();
        if (target == null) {
            if (points.size() == 1) {
                return points.get(0);
            }
            throw new BadEntryException(new NoPlace(quote(typed), points, example()));
        }
        return sheet.socket(target).map(Socket::testPoint).orElse(target);
    }

    private static double si(Quantity quantity, Unit assumed, String typed) {
        try {
            return quantity.si(assumed);
        } catch (BadQuantityException e) {
            throw new BadEntryException(new WrongUnit(quote(typed), e.fault()));
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
