package yellowrail.web.keeping;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.SQLException;

/** A file that takes its name when all of it is on the disk; until then what was called so stays as it was. */
final class WholeFile {

    private WholeFile() {}

    /** Writes into a draft, and tells something of what was written. */
    @FunctionalInterface
    interface Writing<T> {
        T into(Path draft) throws IOException, SQLException;
    }

    static <T> T write(Path file, Writing<T> writing) throws IOException, SQLException {
        Path draft = file.resolveSibling(file.getFileName() + ".part");
        try {
            T told = writing.into(draft);
            try (FileChannel written = FileChannel.open(draft, StandardOpenOption.WRITE)) {
                written.force(true);
            }
            Files.move(draft, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return told;
        } finally {
            draft.toFile().delete();
        }
    }
}
