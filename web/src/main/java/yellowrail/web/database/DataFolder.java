package yellowrail.web.database;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * The folder that holds a builder's data, claimed by one running application. The claim is a file lock, which the
 * system takes back by itself when the application dies, however it dies.
 */
public final class DataFolder implements AutoCloseable {

    private final Path path;
    private final FileLock lock;

    private DataFolder(Path path, FileLock lock) {
        this.path = path;
        this.lock = lock;
    }

    /**
     * @param path the folder, made if there is none
     * @param url where the application that claims it will be found
     * @throws InUseException if another application has claimed it
     */
    public static DataFolder claim(Path path, String url) {
        try {
            Files.createDirectories(path);
            FileChannel channel = FileChannel.open(
                    path.resolve("in-use-by"),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.READ,
                    StandardOpenOption.WRITE);
            FileLock lock = channel.tryLock();
            if (lock == null) {
                throw new InUseException(path, Files.readString(path.resolve("in-use-by")));
            }
            channel.truncate(0);
            channel.write(StandardCharsets.UTF_8.encode(
                    url + " (process " + ProcessHandle.current().pid() + ")"));
            channel.force(true);
            return new DataFolder(path, lock);
        } catch (IOException e) {
            throw new UncheckedIOException("the data folder " + path + " cannot be used: " + e.getMessage(), e);
        }
    }

    public Path path() {
        return path;
    }

    @Override
    public void close() {
        try {
            lock.channel().close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Another application works on this folder. */
    public static final class InUseException extends RuntimeException {

        InUseException(Path path, String where) {
            super("Yellow Rail already runs on the data in %s: %s".formatted(path, where));
        }
    }
}
