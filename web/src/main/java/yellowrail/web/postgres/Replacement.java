package yellowrail.web.postgres;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Puts another cluster in the place of the one that is there, which is kept aside. The new one is made in a folder
 * {@code replacement} of the data folder and told to be complete when it has been verified; from then on it takes the
 * place, now or, if the machine stops in between, at the next start. Nothing is ever in no place at all.
 */
public final class Replacement {

    private static final String COMPLETE = "complete";

    private final Path folder;
    private final ClusterFolder place;
    private final ClusterFolder made;

    /** @param folder the data folder, claimed */
    public Replacement(Path folder) {
        this.folder = folder;
        this.place = new ClusterFolder(folder);
        this.made = new ClusterFolder(folder.resolve("replacement"));
    }

    /** An empty data folder to make it in; what an earlier attempt left there is gone. */
    public Path begin() throws IOException {
        ClusterFolder.clear(made.folder());
        return Files.createDirectories(made.folder());
    }

    /** Gives up what was begun. */
    public void abandon() throws IOException {
        ClusterFolder.clear(made.folder());
    }

    /**
     * What was made is good, and its server stopped: it takes the place.
     *
     * @param aside the folder beside, that does not exist yet, for what was there
     */
    public void complete(Path aside) throws IOException {
        Path draft = made.folder().resolve(COMPLETE + ".new");
        Files.writeString(draft, aside.getFileName().toString());
        made.take(draft, made.folder().resolve(COMPLETE));
        finish();
    }

    /** Ends what was complete; does nothing where nothing was. */
    void finish() throws IOException {
        Path complete = made.folder().resolve(COMPLETE);
        if (!Files.exists(complete)) {
            return;
        }
        ClusterFolder aside = new ClusterFolder(folder.resolve(Files.readString(complete)));
        if (Files.exists(made.cluster())) {
            if (place.exists()) {
                Files.createDirectories(aside.folder());
                aside.take(place.cluster(), aside.cluster());
            }
            if (Files.exists(aside.cluster())
                    && Files.exists(place.passwordFile())
                    && !Files.exists(aside.passwordFile())) {
                aside.take(place.passwordFile(), aside.passwordFile());
            }
            if (Files.exists(made.passwordFile())) {
                place.take(made.passwordFile(), place.passwordFile());
            }
            place.take(made.cluster(), place.cluster());
        }
        ClusterFolder.clear(made.folder());
    }
}
