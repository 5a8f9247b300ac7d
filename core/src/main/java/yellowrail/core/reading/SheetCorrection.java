package yellowrail.core.reading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.amp.Accepted;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * A correction of the amp sheet that a reading gave reason for, made from the entry line.
 *
 * <pre>
 * sheet shared              one resistor carries the tubes that are on the sheet with one each
 * sheet screen typical      take the type's typical screen share off the cathode current
 * sheet target customary    judge by the window that is customary for this bias
 * sheet pot RANGE balance   this pot is a balance pot
 * sheet pot RANGE clockwise (or anticlockwise) is hotter, seen on the meter
 * sheet plate up to 440     built so, knowingly over the type's published plate or screen voltage
 * </pre>
 *
 * @param words the correction as it is typed, without the word sheet
 * @param sheet the corrected sheet
 */
public record SheetCorrection(String words, AmpSheet sheet) {

    private static final Pattern UP_TO = Pattern.compile("(plate|screen) up to (\\S+)");
    private static final double MOST_VOLTS = 2000;

    /** @throws BadEntryException if the words are no correction of this sheet */
    public static SheetCorrection parse(String words, AmpSheet sheet) {
        String said =
                words.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ").replaceFirst("^anode ", "plate ");
        return switch (said) {
            case "shared" -> new SheetCorrection(said, shared(sheet));
            case "screen typical" ->
                new SheetCorrection(
                        said,
                        sheet.with(new ScreenSense(
                                ScreenSense.Way.TYPICAL,
                                sheet.screen().stopperOhms(),
                                sheet.screen().connection(),
                                sheet.screen().tap())));
            case "target customary" ->
                new SheetCorrection(said, sheet.with(Target.customary(sheet.bias(), sheet.topology())));
            default ->
                pot(said, sheet)
                        .or(() -> accepted(said, sheet))
                        .orElseThrow(() -> new BadEntryException(
                                new EntryFault.NoSuchCorrection(Quantity.quote("sheet " + words))));
        };
    }

    /** How far over a published limit an entry takes its volts on, V; empty for anything else. */
    public static OptionalDouble takesOn(Entry entry) {
        Matcher upTo = UP_TO.matcher(entry.kind() == ReadingKind.SHEET ? entry.words() : "");
        return upTo.matches() ? OptionalDouble.of(Quantity.parse(upTo.group(2)).si(Unit.VOLT)) : OptionalDouble.empty();
    }

    /** A sheet with everything corrected that a line says of it. */
    public static AmpSheet all(List<Entry> said, AmpSheet sheet) {
        AmpSheet corrected = sheet;
        for (Entry entry : said) {
            corrected = entry.kind() == ReadingKind.SHEET
                    ? parse(entry.words(), corrected).sheet()
                    : corrected;
        }
        return corrected;
    }

    /** The tubes of a channel on one test point. */
    private static AmpSheet shared(AmpSheet s) {
        AmpSheet together = s.withSockets(s.sockets().stream()
                .map(socket -> new Socket(
                        socket.label(), socket.side(), socket.channel(), AmpDefaults.sharedPoint(socket.channel())))
                .toList());
        return s.current().method() == CurrentMethod.SENSE_EACH ? together.with(CurrentMethod.SENSE_SHARED) : together;
    }

    private static Optional<SheetCorrection> pot(String said, AmpSheet sheet) {
        for (Pot pot : sheet.pots()) {
            String start = "pot " + pot.name().toLowerCase(Locale.ROOT) + " ";
            if (said.startsWith(start)) {
                return corrected(pot, said.substring(start.length()))
                        .map(changed -> new SheetCorrection(
                                "pot " + pot.name() + " " + said.substring(start.length()),
                                sheet.withPots(sheet.pots().stream()
                                        .map(each -> each.equals(pot) ? changed : each)
                                        .toList())));
            }
        }
        return Optional.empty();
    }

    /** Volts over a published limit, taken on for the type on the sheet. */
    private static Optional<SheetCorrection> accepted(String said, AmpSheet sheet) {
        Matcher upTo = UP_TO.matcher(said);
        if (!upTo.matches()) {
            return Optional.empty();
        }
        try {
            double volts = Quantity.parse(upTo.group(2)).si(Unit.VOLT);
            OptionalDouble limit = OptionalDouble.of(volts);
            Accepted accepted = upTo.group(1).equals("plate")
                    ? new Accepted(limit, sheet.accepted().screenVolts())
                    : new Accepted(sheet.accepted().plateVolts(), limit);
            return volts > 0 && volts <= MOST_VOLTS
                    ? Optional.of(new SheetCorrection(said, sheet.with(accepted)))
                    : Optional.empty();
        } catch (BadQuantityException e) {
            return Optional.empty();
        }
    }

    private static Optional<Pot> corrected(Pot pot, String what) {
        return switch (what) {
            case "balance" ->
                Optional.of(new Pot(pot.name(), Pot.Action.BALANCE, pot.acts(), pot.hotter(), pot.verified()));
            case "clockwise" -> Optional.of(new Pot(pot.name(), pot.action(), pot.acts(), Pot.Turn.CLOCKWISE, true));
            case "anticlockwise" ->
                Optional.of(new Pot(pot.name(), pot.action(), pot.acts(), Pot.Turn.ANTICLOCKWISE, true));
            default -> Optional.empty();
        };
    }
}
