package yellowrail.core.reading;

import static yellowrail.core.typed.Quantity.quote;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * A meter on the network is to be read by itself: {@code watch V1}, {@code watch plate 30s 2h}, {@code watch off}. A
 * first time is how often, a second for how long.
 *
 * @param place where its lead is, as it would begin on the entry line
 * @param every how often
 * @param howLong for how long
 * @param off whether it is to stop instead
 */
public record WatchLine(String place, Duration every, Duration howLong, boolean off) {

    public static final Duration USUAL = Duration.ofSeconds(20);
    public static final Duration OFTENEST = Duration.ofSeconds(1);
    public static final Duration RAREST = Duration.ofMinutes(10);
    public static final Duration USUALLY_FOR = Duration.ofHours(1);
    public static final Duration LONGEST = Duration.ofHours(24);

    private static final String WORD = "watch";

    /** Whether a line is one. */
    public static boolean is(String line) {
        return line.strip().toLowerCase(Locale.ROOT).matches(WORD + "(\\s.*)?");
    }

    /** @throws BadEntryException if it does not say what to read, how often or for how long */
    public static WatchLine parse(String line, AmpSheet sheet) {
        List<String> words = List.of(line.strip().split("\\s+"));
        List<String> said = words.subList(1, words.size());
        if (said.equals(List.of("off"))) {
            return new WatchLine("", USUAL, USUALLY_FOR, true);
        }
        List<String> times =
                said.stream().filter(word -> Character.isDigit(word.charAt(0))).toList();
        List<String> places =
                said.stream().filter(word -> !times.contains(word)).toList();
        String place = String.join(" ", places);
        if (times.size() > 2 || place.isEmpty() && sheet.testPoints().size() > 1) {
            throw bad(line, sheet);
        }
        String at = place.isEmpty() ? sheet.testPoints().get(0) : place;
        try {
            new EntryLine(sheet).parse(at + " 1V");
        } catch (BadEntryException e) {
            throw bad(line, sheet);
        }
        return of(
                at,
                times.isEmpty() ? USUAL : time(times.get(0), Unit.SECOND, line, sheet),
                times.size() < 2 ? USUALLY_FOR : time(times.get(1), Unit.MINUTE, line, sheet));
    }

    /** @throws BadEntryException if it is too often, too rare or too long */
    public static WatchLine of(String place, Duration every, Duration howLong) {
        if (every.compareTo(OFTENEST) < 0
                || every.compareTo(RAREST) > 0
                || howLong.compareTo(every) < 0
                || howLong.compareTo(LONGEST) > 0) {
            throw new BadEntryException(
                    new EntryFault.NoSuchWatch(OFTENEST.toSeconds(), RAREST.toMinutes(), LONGEST.toHours()));
        }
        return new WatchLine(place, every, howLong, false);
    }

    private static Duration time(String typed, Unit assumed, String line, AmpSheet sheet) {
        try {
            String seconds = typed.toLowerCase(Locale.ROOT).endsWith("h")
                    ? typed.substring(0, typed.length() - 1) + "min"
                    : typed;
            double factor = seconds.equals(typed) ? 1 : 60;
            return Duration.ofMillis(
                    Math.round(1000 * factor * Quantity.parse(seconds).si(assumed)));
        } catch (BadQuantityException e) {
            throw bad(line, sheet);
        }
    }

    private static BadEntryException bad(String line, AmpSheet sheet) {
        return new BadEntryException(
                new EntryFault.NoWatch(quote(line), sheet.testPoints().get(0)));
    }
}
