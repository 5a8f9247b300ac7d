package yellowrail.web.amp;

import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.AmpSheet;
import yellowrail.web.form.Faults;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** A sheet that nobody typed here, held against what the form demands. */
@Component
public class SheetCheck {

    private final TubeService tubes;
    private final Words words;

    SheetCheck(TubeService tubes, Words words) {
        this.tubes = tubes;
        this.words = words;
    }

    /** @return where it is wrong and why; empty if the form would take it */
    public Optional<Map.Entry<String, String>> fault(AmpSheet sheet) {
        Faults faults = new Faults(words);
        new AmpFormReader(AmpFormWriter.form(sheet, 0), tubes.catalogue(), faults).sheet();
        return faults.byField().entrySet().stream().findFirst();
    }
}
