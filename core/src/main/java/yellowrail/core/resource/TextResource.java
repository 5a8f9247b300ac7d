package yellowrail.core.resource;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Reads a text that ships with the application. */
public final class TextResource {

    private TextResource() {}

    /** The file beside a class. */
    public static String read(Class<?> beside, String name) {
        try (InputStream file = beside.getResourceAsStream(name)) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the file " + name + " cannot be read", e);
        }
    }
}
