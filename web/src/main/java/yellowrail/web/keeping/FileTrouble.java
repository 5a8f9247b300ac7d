package yellowrail.web.keeping;

import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;

/** Why a file could not be read or written: the system often tells no more than its name. */
final class FileTrouble {

    private FileTrouble() {}

    static String of(Exception e) {
        if (e instanceof NoSuchFileException missing) {
            return "there is no " + missing.getFile();
        }
        if (e instanceof AccessDeniedException denied) {
            return "you (%s) may not use %s".formatted(System.getProperty("user.name"), denied.getFile());
        }
        return String.valueOf(e.getMessage());
    }
}
