package yellowrail.core.closing;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.ReadingKind;

/**
 * A finding as it was typed: {@code must 2 x coupling capacitor 22n 630V at V2}. The words say the tier first; a number
 * with an x is how many, what follows the last at is where.
 */
public final class ItemLine {

    private static final Pattern FORM =
            Pattern.compile("(?i)(must|should|could)\\s+(?:(\\d{1,3})\\s*[x\u00d7]\\s+)?(.*?)(?:\\s+at\\s+(\\S+))?");

    private ItemLine() {}

    /** @return empty where the entry is none */
    public static Optional<Item> of(Entry entry) {
        if (entry.kind() != ReadingKind.FINDING) {
            return Optional.empty();
        }
        Matcher form = FORM.matcher(entry.words());
        if (!form.matches()) {
            return Optional.empty();
        }
        return Optional.of(new Item(
                Tier.of(form.group(1)).orElseThrow(),
                form.group(2) == null ? 1 : Integer.parseInt(form.group(2)),
                form.group(3),
                form.group(4) == null ? "" : form.group(4),
                Optional.empty()));
    }
}
