package yellowrail.web.closing;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import yellowrail.core.csv.CsvText;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.timeline.Snapshot;
import yellowrail.web.amp.Amp;
import yellowrail.web.bounds.TextUpload;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.prove.ProofRecord;
import yellowrail.web.recheck.RecheckRow;
import yellowrail.web.recheck.RecheckService;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunArchive;
import yellowrail.web.run.RunRecords;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.SeatService;
import yellowrail.web.words.Words;

/** The record, the chassis label and the files of a run. */
@Controller
class ClosingController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);

    /** With more tubes the page is set smaller. */
    private static final int ROOMY = 4;

    private final RunService runs;
    private final RunRecords records;
    private final RunArchive archive;
    private final SeatService seats;
    private final RecheckService rechecks;
    private final ProofRecord proofs;
    private final Words words;
    private final Clock clock;

    ClosingController(
            RunService runs,
            RunRecords records,
            RunArchive archive,
            SeatService seats,
            RecheckService rechecks,
            ProofRecord proofs,
            Words words,
            Clock clock) {
        this.runs = runs;
        this.records = records;
        this.archive = archive;
        this.seats = seats;
        this.rechecks = rechecks;
        this.proofs = proofs;
        this.words = words;
        this.clock = clock;
    }

    /** One page, to be printed. */
    @GetMapping("/runs/{id}/record")
    ModelAndView record(@PathVariable long id) {
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        Map<String, String> seated = seats.labels(amp.id(), id);
        RunRecords.Whole whole = records.whole(run, seated);
        return new ModelAndView("closing/record")
                .addObject("rail", Rail.plain(amp.sheet().name()))
                .addObject("runId", id)
                .addObject("amp", amp.sheet().name())
                .addObject("what", words.say(amp.sheet().told()))
                .addObject(
                        "date",
                        DAY.format((run.isOpen() ? run.begunAt() : run.closedAt()).atZoneSameInstant(clock.getZone())))
                .addObject("open", run.isOpen())
                .addObject("crowded", amp.sheet().sockets().size() > ROOMY)
                .addObject("meter", meter(amp))
                .addObject(
                        "target",
                        words.say(
                                amp.sheet().target().told(amp.sheet().current().shows())))
                .addObject("seated", seated)
                .addObject("view", whole.foundAndLeft().orElse(null))
                .addObject("soak", whole.soak())
                .addObject("proof", proofs.of(run))
                .addObject("closing", whole.closing());
    }

    private String meter(Amp amp) {
        return words.message(
                "page.record.meter",
                Figures.percent(amp.sheet().meter().ofReading()),
                Figures.plain(amp.sheet().meter().digits()));
    }

    /** The card for the chassis, to be printed at its own size. */
    @GetMapping("/runs/{id}/label")
    ModelAndView label(@PathVariable long id, HttpServletRequest request) {
        Run run = runs.run(id);
        Snapshot now = runs.timeline(run).present();
        String address = ServletUriComponentsBuilder.fromContextPath(request)
                .path("/runs/" + id)
                .build()
                .toUriString();
        return new ModelAndView("closing/label")
                .addObject("rail", Rail.plain(now.sheet().name()))
                .addObject("runId", id)
                .addObject(
                        "label",
                        LabelView.of(
                                run,
                                now,
                                StageIdle.of(now).at(now),
                                seats.labels(run.ampId(), id),
                                rechecks.nextOf(run.ampId()).map(RecheckRow::dueAt),
                                address,
                                clock.getZone(),
                                words));
    }

    @GetMapping("/runs/{id}/parts.csv")
    ResponseEntity<String> parts(@PathVariable long id) {
        List<List<String>> rows = records.items(runs.run(id)).stream()
                .map(item -> List.of(
                        item.tier().word(),
                        item.quantity() == 0 ? "" : String.valueOf(item.quantity()),
                        item.says().map(words::say).orElse(item.part()),
                        item.place()))
                .toList();
        return csv("parts-run-%d.csv".formatted(id), CsvText.write(List.of("tier", "quantity", "part", "place"), rows));
    }

    /** The whole run, to be read in on another bench. */
    @GetMapping("/runs/{id}/run.json")
    ResponseEntity<String> whole(@PathVariable long id) {
        return Download.of(MediaType.APPLICATION_JSON, "run-%d.json".formatted(id))
                .body(archive.write(id));
    }

    @GetMapping("/runs/import")
    ModelAndView toImport() {
        return imported("");
    }

    @PostMapping("/runs/import")
    ModelAndView read(@RequestParam(required = false) MultipartFile file) throws IOException {
        if (file == null || file.isEmpty()) {
            return imported(words.message("page.meter.no-file"));
        }
        RunArchive.Read read = archive.read(TextUpload.text(file));
        return read.fault().isEmpty()
                ? new ModelAndView("redirect:/runs/" + read.runId() + "/record")
                : imported(read.fault());
    }

    private ModelAndView imported(String fault) {
        ModelAndView page = new ModelAndView("closing/import")
                .addObject("rail", Rail.plain(words.message("page.archive.title")))
                .addObject("fault", fault);
        page.setStatus(fault.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    @GetMapping("/runs/{id}/readings.csv")
    ResponseEntity<String> readings(@PathVariable long id) {
        List<List<String>> rows = records.readings(runs.run(id)).stream()
                .map(reading -> List.of(
                        reading.takenAt().toString(),
                        reading.kind().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                        reading.entry().target(),
                        reading.kind().isMeasured() ? Figures.plain(reading.value()) : "",
                        reading.kind().isMeasured() ? unit(reading.kind().unit()) : "",
                        reading.entry().words()))
                .toList();
        return csv(
                "readings-run-%d.csv".formatted(id),
                CsvText.write(List.of("taken", "kind", "place", "value", "unit", "words"), rows));
    }

    private static String unit(Unit unit) {
        return switch (unit.dimension()) {
            case VOLTAGE -> "V";
            case CURRENT -> "A";
            default -> "ohm";
        };
    }

    private static ResponseEntity<String> csv(String name, String text) {
        return Download.of(Download.CSV, name).body(text);
    }
}
