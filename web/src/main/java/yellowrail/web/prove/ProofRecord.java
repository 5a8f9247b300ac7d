package yellowrail.web.prove;

import java.util.List;
import org.springframework.stereotype.Service;
import yellowrail.web.run.Run;
import yellowrail.web.words.Words;

/** What was proven last, for what is printed of a run. */
@Service
public class ProofRecord {

    private final ProofSheetService sheets;
    private final ProveService service;
    private final Words words;

    ProofRecord(ProofSheetService sheets, ProveService service, Words words) {
        this.sheets = sheets;
        this.service = service;
        this.words = words;
    }

    /** The newest setting and its figures, in a line; blank where nothing was measured. */
    public String of(Run run) {
        SheetView sheet = sheets.of(run, service.ofRun(run.id()));
        if (sheet.rows().isEmpty()) {
            return "";
        }
        int last = sheet.settings().size() - 1;
        List<String> figures = sheet.rows().stream()
                .filter(row -> !row.cells().get(last).value().isBlank())
                .map(row -> row.question() + " " + row.cells().get(last).value())
                .toList();
        return words.message("page.record.proof-of", sheet.settings().get(last).idle())
                + " "
                + String.join("; ", figures)
                + ".";
    }
}
