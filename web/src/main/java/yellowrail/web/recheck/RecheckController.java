package yellowrail.web.recheck;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import yellowrail.core.closing.SinceLeft;
import yellowrail.core.quantity.Figures;
import yellowrail.core.typed.Quantity;
import yellowrail.web.layout.Download;
import yellowrail.web.words.Words;

/** The looks that are due: on an amp's page, and for calendars. */
@Controller
class RecheckController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);
    /** When on a day somebody looks, where only the day is said. */
    private static final LocalTime EVENING = LocalTime.of(18, 0);

    private static final int MOST_YEARS = 9999;

    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final RecheckService rechecks;
    private final Words words;
    private final Clock clock;

    RecheckController(RecheckService rechecks, Words words, Clock clock) {
        this.rechecks = rechecks;
        this.words = words;
        this.clock = clock;
    }

    /** A look as it is shown. */
    record Look(long id, String at, String day, Instant was, boolean due) {}

    /** The looks at an amp, as a part of its page. */
    @GetMapping("/amps/{ampId}/rechecks")
    ModelAndView ofAmp(@PathVariable long ampId) {
        return part(ampId, "");
    }

    private ModelAndView part(long ampId, String fault) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        return new ModelAndView("recheck/looks :: looks")
                .addObject("ampId", ampId)
                .addObject("fault", fault)
                .addObject(
                        "looks",
                        rechecks.openOf(ampId).stream()
                                .map(row -> new Look(
                                        row.id(),
                                        DAY.format(row.dueAt().atZoneSameInstant(clock.getZone())),
                                        row.dueAt()
                                                .atZoneSameInstant(clock.getZone())
                                                .toLocalDate()
                                                .toString(),
                                        row.dueAt().toInstant(),
                                        !row.dueAt().isAfter(now)))
                                .toList());
    }

    /** What became of the setting, as a part of a run's page. */
    @GetMapping("/amps/{ampId}/since")
    ModelAndView since(@PathVariable long ampId) {
        return new ModelAndView("recheck/looks :: since")
                .addObject("since", rechecks.since(ampId).map(this::told).orElse(null));
    }

    /** What became of it, and of each tube. */
    record Told(String says, String each) {}

    private Told told(SinceLeft since) {
        return new Told(
                words.say(since.says()),
                since.changes().stream()
                        .map(change -> change.socket() + " " + (change.ratio() > 0 ? "+" : "")
                                + Figures.percent(change.ratio()))
                        .reduce((one, other) -> one + ", " + other)
                        .orElse(""));
    }

    @PostMapping("/amps/{ampId}/rechecks/{id}")
    ModelAndView change(
            @PathVariable long ampId,
            @PathVariable long id,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "") Instant was,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        if (what.equals("drop")) {
            rechecks.drop(ampId, id);
            return changed(ampId, htmx);
        }
        Optional<LocalDate> to = day(day.strip());
        if (to.isEmpty()) {
            return refused(
                    ampId,
                    words.message("page.recheck.no-day", Quantity.quote(day.strip())),
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    htmx);
        }
        OffsetDateTime evening =
                to.get().atTime(EVENING).atZone(clock.getZone()).toOffsetDateTime();
        if (was == null || !rechecks.move(ampId, id, was.atOffset(ZoneOffset.UTC), evening)) {
            return refused(ampId, words.message("page.recheck.moved-meanwhile"), HttpStatus.CONFLICT, htmx);
        }
        return changed(ampId, htmx);
    }

    private ModelAndView refused(long ampId, String fault, HttpStatus status, String htmx) {
        ModelAndView again = part(ampId, fault);
        again.setStatus(htmx == null ? status : HttpStatus.OK);
        return again;
    }

    /** A day as a field for days sends it; empty for any other, and for years beyond 9999. */
    private static Optional<LocalDate> day(String sent) {
        try {
            return Optional.of(LocalDate.parse(sent)).filter(day -> day.getYear() >= 0 && day.getYear() <= MOST_YEARS);
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private ModelAndView changed(long ampId, String htmx) {
        return htmx == null ? new ModelAndView("redirect:/amps/" + ampId) : part(ampId, "");
    }

    /** Every look, for a calendar that asks again and again. */
    @GetMapping("/looks.ics")
    ResponseEntity<String> feed(HttpServletRequest request) {
        return calendar(rechecks.open(), request, "yellow-rail.ics");
    }

    @GetMapping("/amps/{ampId}/looks.ics")
    ResponseEntity<String> ofAmpAsFile(@PathVariable long ampId, HttpServletRequest request) {
        return calendar(rechecks.openOf(ampId), request, "amp-%d.ics".formatted(ampId));
    }

    private ResponseEntity<String> calendar(List<RecheckRow> rows, HttpServletRequest request, String name) {
        String address =
                ServletUriComponentsBuilder.fromContextPath(request).build().toUriString();
        return Download.of(CALENDAR, name).body(CalendarFile.of(rows, address, clock.instant(), words));
    }
}
