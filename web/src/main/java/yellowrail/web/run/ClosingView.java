package yellowrail.web.run;

import java.util.List;
import java.util.stream.Stream;
import yellowrail.core.closing.Closing;
import yellowrail.core.closing.Item;
import yellowrail.core.closing.Tier;
import yellowrail.core.reading.Reading;
import yellowrail.web.words.Words;

/**
 * What is still open when a run is closed, and what was found.
 *
 * @param open in words; nothing of it forbids to close
 * @param tiers what must, should and could be done; those without an item are left out
 */
public record ClosingView(List<String> open, List<Tiered> tiers) {

    /** The items of a tier. */
    public record Tiered(String name, List<String> items) {}

    static ClosingView of(Closing closing, List<Reading> readings, Words words) {
        List<Item> items = closing.items(readings);
        return new ClosingView(
                words.say(closing.open()),
                Stream.of(Tier.values())
                        .map(tier -> new Tiered(
                                words.name(tier),
                                items.stream()
                                        .filter(item -> item.tier() == tier)
                                        .map(item -> told(item, words))
                                        .toList()))
                        .filter(tier -> !tier.items().isEmpty())
                        .toList());
    }

    private static String told(Item item, Words words) {
        if (item.says().isPresent()) {
            return words.say(item.says().get());
        }
        String part = item.quantity() == 1 ? item.part() : item.quantity() + " \u00d7 " + item.part();
        return item.place().isBlank() ? part : words.message("page.closing.at", part, item.place());
    }
}
