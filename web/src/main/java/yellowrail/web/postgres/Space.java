package yellowrail.web.postgres;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Room on the disk that holds the data. */
public final class Space {

    /** PostgreSQL writes its log in pieces of 16 MB; with less than one it cannot go on. */
    private static final long LEAST_BYTES = 16L << 20;

    private static final long MEGABYTE = 1L << 20;

    private Space() {}

    /** Whether the database has too little room to work. Where that cannot be told, it has not. */
    public static boolean isShort(Path folder) {
        try {
            return Files.getFileStore(existing(folder)).getUsableSpace() < LEAST_BYTES;
        } catch (IOException e) {
            return false;
        }
    }

    static String full(Path folder) {
        return ("The disk that holds %s is full: %d MB are free, and the database needs %d. Make room, then start "
                        + "again; nothing that was stored is lost.")
                .formatted(folder, freeMegabytes(folder), LEAST_BYTES / MEGABYTE);
    }

    public static long freeMegabytes(Path folder) {
        try {
            return Files.getFileStore(existing(folder)).getUsableSpace() / MEGABYTE;
        } catch (IOException e) {
            return 0;
        }
    }

    private static Path existing(Path folder) {
        Path at = folder.toAbsolutePath();
        while (!Files.exists(at) && at.getParent() != null) {
            at = at.getParent();
        }
        return at;
    }
}
