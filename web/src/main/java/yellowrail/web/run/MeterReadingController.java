package yellowrail.web.run;

import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.MeterLog;
import yellowrail.core.station.Station;
import yellowrail.web.bounds.TextUpload;
import yellowrail.web.meter.MeterException;
import yellowrail.web.words.Words;

/** Readings that a meter gives instead of a typing hand: one at a time, or its whole log. */
@Controller
class MeterReadingController {

    private static final int LONGEST_FILE = 1_000_000;
    private final RunService runs;
    private final RunEntries entries;
    private final MeterFiles files;
    private final RunPages pages;
    private final Words words;
    private final MeterReadings meter;

    MeterReadingController(
            RunService runs, RunEntries entries, MeterFiles files, RunPages pages, Words words, MeterReadings meter) {
        this.runs = runs;
        this.entries = entries;
        this.files = files;
        this.pages = pages;
        this.words = words;
        this.meter = meter;
    }

    /** @param line where the lead is, as it would begin on the entry line: V1, plate */
    @PostMapping("/runs/{id}/meter")
    ModelAndView read(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String line,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String at,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        EntryOutcome outcome = outcome(id, line.strip(), by);
        boolean refused = !(outcome instanceof EntryOutcome.Accepted);
        if (htmx == null && !refused) {
            return pages.toStation(id, at);
        }
        ModelAndView page = pages.page(id, at, "", by, outcome, htmx != null ? "run/page :: live" : "run/page");
        if (htmx == null) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return page;
    }

    private EntryOutcome outcome(long id, String where, String by) {
        AmpSheet sheet = runs.amp(runs.run(id)).sheet();
        if (where.isEmpty() && sheet.testPoints().size() > 1) {
            return new EntryOutcome.Refused(
                    where, words.message("page.meter.where", sheet.testPoints().get(0)));
        }
        if (where.matches(".*\\s[+-]?[.,]?\\d\\S*\\s*")) {
            return new EntryOutcome.Refused(where, words.message("page.meter.number-already"));
        }
        try {
            return entries.enter(id, meter.line(where, sheet), by, false);
        } catch (MeterException e) {
            return new EntryOutcome.Refused(where, words.say(e.fault()));
        }
    }

    /** The meter is read by itself from now on, or no more. */
    @PostMapping("/runs/{id}/watch")
    ModelAndView watch(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String place,
            @RequestParam(defaultValue = "") String every,
            @RequestParam(defaultValue = "") String howLong,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "false") boolean off) {
        String line = off
                ? "watch off"
                : "watch %s %s %s".formatted(place, every, howLong).strip();
        EntryOutcome outcome = entries.enter(id, line, by, false);
        if (outcome instanceof EntryOutcome.Accepted) {
            return pages.toStation(id, Station.SOAK.token());
        }
        ModelAndView page = pages.page(id, Station.SOAK.token(), "", by, outcome, "run/page");
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    @PostMapping("/runs/{id}/csv")
    ModelAndView log(
            @PathVariable long id,
            @RequestParam(required = false) MultipartFile file,
            @RequestParam(defaultValue = "") String where,
            @RequestParam(defaultValue = "") String at)
            throws IOException {
        String fault;
        if (file == null || file.isEmpty()) {
            fault = words.message("page.meter.no-file");
        } else if (file.getSize() > LONGEST_FILE) {
            fault = words.message("page.meter.long-file");
        } else {
            fault = put(id, TextUpload.text(file), where.strip());
        }
        if (fault.isEmpty()) {
            return pages.toStation(id, at);
        }
        ModelAndView page = pages.page(id, at, "", null, null, "run/page").addObject("csvFault", fault);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private String put(long id, String text, String where) {
        try {
            MeterLog log = files.parse(id, text);
            if (!log.faults().isEmpty()) {
                return words.message("page.meter.nothing-stored", String.join("; ", words.say(log.faults())));
            }
            return files.enterLog(id, log, where);
        } catch (BadEntryException e) {
            return words.say(e.fault());
        }
    }
}
