package yellowrail.web.drawer;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How far the files are that are being taken into the drawer, by a number that the page gives each. */
@Component
class ImportProgress {

    /** So many files are followed at once; the oldest is forgotten first. */
    private static final int MOST = 20;

    private final Map<String, Far> files = new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Far> eldest) {
            return size() > MOST;
        }
    };

    /** @param rows of the file; 0 while it is being read */
    record Far(int kept, int rows) {}

    synchronized void tell(String file, int kept, int rows) {
        if (file.matches("[0-9a-f-]{36}")) {
            files.put(file, new Far(kept, rows));
        }
    }

    synchronized Optional<Far> of(String file) {
        return Optional.ofNullable(files.get(file));
    }

    synchronized void done(String file) {
        files.remove(file);
    }
}
