package yellowrail.web.recheck;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Duration;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import yellowrail.web.words.Words;

/** Looks as a calendar reads them (RFC 5545). Times are in UTC: a calendar without time zones reads them too. */
final class CalendarFile {

    private static final java.time.Duration TAKES = java.time.Duration.ofMinutes(15);

    private CalendarFile() {}

    /** @param address of the application, as the one who asks reaches it */
    static String of(List<RecheckRow> rows, String address, Instant now, Words words) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Yellow Rail//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", words.message("page.recheck.calendar")));
        for (RecheckRow row : rows) {
            VEvent event = new VEvent(false);
            event.add(new Uid("look-%d@yellow-rail".formatted(row.id())));
            event.add(new DtStamp(now.truncatedTo(ChronoUnit.SECONDS)));
            event.add(new DtStart<>(row.dueAt().toInstant().truncatedTo(ChronoUnit.SECONDS)));
            event.add(new Duration(TAKES));
            event.add(new Summary(words.message("page.recheck.summary", row.amp())));
            event.add(new Description(words.message("page.recheck.description")));
            event.add(new Url(java.net.URI.create(address + "/amps/" + row.ampId())));
            calendar.add(event);
        }
        return calendar.toString();
    }
}
