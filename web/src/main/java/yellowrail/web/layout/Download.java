package yellowrail.web.layout;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file to take away. */
public final class Download {

    public static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    public static final MediaType TEXT = new MediaType("text", "plain", StandardCharsets.UTF_8);

    private Download() {}

    /** @param name of the file, of plain letters */
    public static ResponseEntity.BodyBuilder of(MediaType type, String name) {
        return ResponseEntity.ok().contentType(type).header(HttpHeaders.CONTENT_DISPOSITION, disposition(name));
    }

    /** The header's value, where the answer is written by hand. */
    public static String disposition(String name) {
        return ContentDisposition.attachment().filename(name).build().toString();
    }
}
