package yellowrail.web.run;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.web.watch.Watch;
import yellowrail.web.words.Words;

/**
 * The meter that is read by itself, as the soak shows it.
 *
 * @param possible whether the amp has a meter on the network
 * @param says what is being watched; blank for nothing
 * @param last what was read last; blank before
 * @param fault why the last reading was not taken; blank where it was
 * @param places where its lead may be
 */
record WatchView(boolean possible, String says, String last, String fault, List<String> places) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT);

    static WatchView of(AmpSheet sheet, Optional<Watch> watch, ZoneId zone, Words words) {
        return new WatchView(
                sheet.measuring().link().isSet(),
                watch.map(each -> words.message(
                                "page.soak.watching",
                                each.place(),
                                each.everySeconds(),
                                TIME.format(each.until().atZoneSameInstant(zone))))
                        .orElse(""),
                watch.filter(each -> each.readAt() != null)
                        .map(each -> words.message(
                                "page.soak.watch-last",
                                each.shown(),
                                TIME.format(each.readAt().atZoneSameInstant(zone))))
                        .orElse(""),
                watch.map(Watch::fault).orElse(""),
                Stream.concat(sheet.testPoints().stream(), Stream.of("plate", "mains"))
                        .toList());
    }
}
