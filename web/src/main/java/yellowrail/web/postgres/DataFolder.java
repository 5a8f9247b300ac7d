package yellowrail.web.postgres;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Locale;

/**
 * The folder that holds a builder's data, claimed by one running application. The claim is a file lock, which the
 * system takes back by itself when the application dies, however it dies.
 */
public final class DataFolder implements AutoCloseable {

    private static final String CLAIM = "in-use-by";
    private static final String ANOTHER = "choose another folder with --data";

    private final Path path;
    private final FileLock lock;

    private DataFolder(Path path, FileLock lock) {
        this.path = path;
        this.lock = lock;
    }

    /**
     * @param path the folder, made if there is none
     * @param url where the application that claims it will be found
     * @throws CannotStartException if another application has claimed it, or it cannot be worked on; the message says
     *     what to do
     */
    public static DataFolder claim(Path path, String url) {
        try {
            Files.createDirectories(path);
            FileChannel channel = FileChannel.open(
                    path.resolve(CLAIM), StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
            FileLock lock = lock(path, channel);
            if (lock == null) {
                throw new InUseException("Yellow Rail already runs on the data in %s: %s"
                        .formatted(path, Files.readString(path.resolve(CLAIM))));
            }
            channel.truncate(0);
            channel.write(StandardCharsets.UTF_8.encode(
                    url + " (process " + ProcessHandle.current().pid() + ")"));
            channel.force(true);
            return new DataFolder(path, lock);
        } catch (IOException e) {
            throw new CannotStartException(whyNot(path, e), e);
        }
    }

    private static FileLock lock(Path path, FileChannel channel) {
        try {
            return channel.tryLock();
        } catch (IOException e) {
            throw new CannotStartException(
                    ("The file system of %s cannot lock files (%s), so nothing would keep two applications from "
                                    + "writing there at once: %s, on a disk of this machine.")
                            .formatted(path, e.getMessage(), ANOTHER),
                    e);
        }
    }

    private static String whyNot(Path path, IOException e) {
        String said = String.valueOf(e.getMessage()).toLowerCase(Locale.ROOT);
        if (said.contains("read-only")) {
            return "The data folder %s is on a file system that can only be read: make it writable, or %s."
                    .formatted(path, ANOTHER);
        }
        if (said.contains("no space") || said.contains("quota") || Space.isShort(path)) {
            return Space.full(path);
        }
        if (e instanceof FileAlreadyExistsException) {
            return "%s is a file, not a folder: %s.".formatted(path, ANOTHER);
        }
        if (e instanceof AccessDeniedException denied) {
            return "You (%s) may not write to %s%s: start as its owner, or %s."
                    .formatted(System.getProperty("user.name"), denied.getFile(), owner(path), ANOTHER);
        }
        return "The data folder %s cannot be used (%s): %s.".formatted(path, e.getMessage(), ANOTHER);
    }

    private static String owner(Path path) {
        try {
            return ", which belongs to " + Files.getOwner(path).getName();
        } catch (IOException unknown) {
            return "";
        }
    }

    public Path path() {
        return path;
    }

    /** Another application works on this folder. */
    public static final class InUseException extends CannotStartException {

        InUseException(String message) {
            super(message);
        }
    }

    @Override
    public void close() {
        try {
            lock.channel().close();
        } catch (IOException gone) {
            // the system takes the claim back when the process ends
        }
    }
}
