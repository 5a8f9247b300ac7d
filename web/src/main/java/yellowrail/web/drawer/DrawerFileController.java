package yellowrail.web.drawer;

import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.web.bounds.TextUpload;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The drawer as a file, out and in. */
@Controller
class DrawerFileController {

    private final DrawerService drawer;
    private final ImportProgress progress;
    private final Words words;

    DrawerFileController(DrawerService drawer, ImportProgress progress, Words words) {
        this.drawer = drawer;
        this.progress = progress;
        this.words = words;
    }

    @GetMapping("/drawer.csv")
    ResponseEntity<String> export() {
        return Download.of(Download.CSV, "tube-drawer.csv").body(drawer.csv());
    }

    /**
     * Takes a file whole; with bad rows nothing is stored before the builder says so.
     *
     * @param number by which its progress can be asked for; blank if nobody will
     */
    @PostMapping("/drawer/import")
    ModelAndView take(
            @RequestParam(name = "file", required = false) MultipartFile file,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String keep,
            @RequestParam(defaultValue = "") String number)
            throws IOException {
        progress.tell(number, 0, 0);
        try {
            String read = file == null ? text : TextUpload.text(file);
            CsvTable<DrawerRow> csv = DrawerCsv.parse(read);
            int rows = csv.rows().size();
            boolean kept = rows > 0 && (csv.faults().isEmpty() || keep.equals("good"));
            if (kept) {
                drawer.keep(csv.rows(), done -> progress.tell(number, done, rows));
            }
            return page(csv, kept, read);
        } finally {
            progress.done(number);
        }
    }

    private ModelAndView page(CsvTable<DrawerRow> csv, boolean kept, String read) {
        ModelAndView page = new ModelAndView("drawer/import")
                .addObject("rail", Rail.plain(words.message("page.drawer.from-file")))
                .addObject("rows", csv.rows().size())
                .addObject("more", csv.more())
                .addObject("bad", csv.faults().stream().map(this::told).toList())
                .addObject("kept", kept)
                .addObject("text", kept ? "" : read);
        page.setStatus(kept ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    /** A fault of a file. */
    record Bad(long line, String column, String message) {}

    private Bad told(CsvTable.Fault fault) {
        return new Bad(fault.line(), fault.column(), words.say(fault.says()));
    }

    /** How far a file is; nothing once it is done. */
    @GetMapping("/drawer/import/{number}")
    ResponseEntity<ImportProgress.Far> far(@PathVariable String number) {
        return progress.of(number)
                .map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }
}
