package yellowrail.web.bounds;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartFile;

/** A file of text that was sent: sounds may be larger. */
public final class TextUpload {

    private static final long LONGEST = 8L << 20;

    private TextUpload() {}

    /** @throws MaxUploadSizeExceededException if it is longer than 8 MB */
    public static String text(MultipartFile file) throws IOException {
        if (file.getSize() > LONGEST) {
            throw new MaxUploadSizeExceededException(LONGEST);
        }
        return new String(file.getBytes(), StandardCharsets.UTF_8);
    }
}
