package yellowrail.web.api;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.replay.Replay;
import yellowrail.core.tube.TubeCatalogue;

/** Makes a log to be played of a request. */
final class RunRequestReader {

    private static final Set<String> KNOWN = AmpRequestReader.known(RunRequest.class);
    private static final Set<String> ITEM = AmpRequestReader.known(RunRequest.Item.class);
    private static final int MOST_ITEMS = 2000;
    private static final int LONGEST_LINE = 500;

    private final JsonFields fields;
    private final TubeCatalogue catalogue;
    private final AmpSheet amp;
    private final List<Item> items;
    private final Instant now;

    /** @param sheet of an amp that was changed; null where a line was typed */
    private record Item(Instant at, String line, boolean confirmed, AmpSheet sheet) {}

    RunRequestReader(JsonFields fields, TubeCatalogue catalogue) {
        this.fields = fields;
        this.catalogue = catalogue;
        fields.only(KNOWN);
        this.amp = fields.object("amp")
                .map(each -> new AmpRequestReader(each, catalogue).read())
                .orElse(null);
        List<JsonFields> log = fields.objects("log", 0, MOST_ITEMS);
        this.items = log.stream().map(this::item).toList();
        for (int i = 1; i < items.size(); i++) {
            if (items.get(i).at().isBefore(items.get(i - 1).at())) {
                log.get(i).fault("at", "It was typed before the one above it.");
            }
        }
        this.now = readNow();
    }

    private Item item(JsonFields each) {
        each.only(ITEM);
        if (!each.has("at")) {
            each.fault("at", "Missing: when it was typed.");
        }
        Instant at = each.time("at").orElse(Instant.EPOCH);
        if (each.has("line") == each.has("amp")) {
            each.fault("line", "Expected either a line or an amp.");
            return new Item(at, "", false, null);
        }
        if (each.has("amp")) {
            return new Item(
                    at,
                    "",
                    false,
                    each.object("amp")
                            .map(sheet -> new AmpRequestReader(sheet, catalogue).read())
                            .orElse(null));
        }
        String line = each.words("line");
        if (line.length() > LONGEST_LINE) {
            each.fault("line", "A line has at most %d characters.".formatted(LONGEST_LINE));
        }
        return new Item(at, line, each.flag("confirmed"), null);
    }

    /** When the answer is wanted for; the last of the log where that is not said. */
    private Instant readNow() {
        Instant last =
                items.isEmpty() ? Instant.EPOCH : items.get(items.size() - 1).at();
        Instant asked = fields.time("now").orElse(last);
        if (asked.isBefore(last)) {
            fields.fault("now", "The log goes on after it.");
        }
        return asked;
    }

    /** Only where there are no faults. */
    Replay play() {
        Replay replay = new Replay(catalogue, amp);
        for (int i = 0; i < items.size(); i++) {
            Item item = items.get(i);
            if (item.sheet() != null) {
                replay.sheet(item.sheet());
            } else {
                replay.line(i, item.at(), item.line(), item.confirmed());
            }
        }
        return replay;
    }

    Instant now() {
        return now;
    }
}
