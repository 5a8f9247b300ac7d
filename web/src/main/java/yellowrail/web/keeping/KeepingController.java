package yellowrail.web.keeping;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The backups that are there, how old they are, and one more now. */
@Controller
class KeepingController {

    private final DailyBackup daily;
    private final DataSource database;
    private final Words words;
    private final Clock clock;

    KeepingController(DailyBackup daily, DataSource database, Words words, Clock clock) {
        this.daily = daily;
        this.database = database;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/keeping")
    ModelAndView page() {
        return new ModelAndView(
                "keeping/page",
                Map.of(
                        "keeping",
                        KeepingView.of(daily, OffsetDateTime.now(clock), words),
                        "rail",
                        Rail.plain(words.message("page.keeping.title"))));
    }

    @PostMapping("/keeping")
    String make() {
        daily.make();
        return "redirect:/keeping";
    }

    @GetMapping("/keeping/{name:[a-z0-9-]+\\.zip}")
    ResponseEntity<Resource> download(@PathVariable String name) {
        Backups.Kept kept = daily.backups()
                .flatMap(backups -> backups.of(name))
                .orElseThrow(() -> new NotFoundException("backup " + name));
        return Download.of(MediaType.valueOf("application/zip"), "yellow-rail-" + kept.name())
                .body(new FileSystemResource(kept.file()));
    }

    /** All that is stored, as JSON, while it is read. */
    @GetMapping("/keeping/everything.json")
    void everything(HttpServletResponse response) throws SQLException, IOException {
        try (Connection connection = database.getConnection()) {
            response.setContentType(MediaType.APPLICATION_JSON_VALUE);
            response.setHeader(HttpHeaders.CONTENT_DISPOSITION, Download.disposition("yellow-rail-everything.json"));
            new Everything(connection).write(response.getOutputStream());
        }
    }
}
