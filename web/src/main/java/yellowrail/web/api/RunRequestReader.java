package yellowrail.web.api;

import java.time.Instant;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.field.FieldFault;
import yellowrail.core.replay.Replay;
import yellowrail.core.tube.TubeCatalogue;

/** Makes a log to be played of a request. */
final class RunRequestReader {

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
        this.amp = fields.object(RunShape.AMP)
                .map(each -> new AmpRequestReader(each, catalogue).read())
                .orElse(null);
        List<JsonFields> log = fields.objects(RunShape.LOG);
        this.items = log.stream().map(this::item).toList();
        for (int i = 1; i < items.size(); i++) {
            if (items.get(i).at().isBefore(items.get(i - 1).at())) {
                log.get(i).fault(RunShape.AT, new RequestFault.BeforeTheOneAbove());
            }
        }
        this.now = readNow();
    }

    private Item item(JsonFields each) {
        Instant at = each.time(RunShape.AT).orElse(Instant.EPOCH);
        if (each.has(RunShape.LINE) == each.has(RunShape.CHANGED)) {
            each.fault(RunShape.LINE, new RequestFault.LineOrAmp());
            return new Item(at, "", false, null);
        }
        if (each.has(RunShape.CHANGED)) {
            return new Item(
                    at,
                    "",
                    false,
                    each.object(RunShape.CHANGED)
                            .map(sheet -> new AmpRequestReader(sheet, catalogue).read())
                            .orElse(null));
        }
        String line = each.words(RunShape.LINE);
        int length = line.codePointCount(0, line.length());
        if (length > LONGEST_LINE) {
            each.fault(RunShape.LINE, new FieldFault.TooLong(LONGEST_LINE, length));
        }
        return new Item(at, line, each.flag(RunShape.CONFIRMED), null);
    }

    /** When the answer is wanted for; the last of the log where that is not said. */
    private Instant readNow() {
        Instant last =
                items.isEmpty() ? Instant.EPOCH : items.get(items.size() - 1).at();
        Instant asked = fields.time(RunShape.NOW).orElse(last);
        if (asked.isBefore(last)) {
            fields.fault(RunShape.NOW, new RequestFault.LogGoesOn());
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
