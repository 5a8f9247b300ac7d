package yellowrail.web.layout;

import java.net.URI;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;

/** Back to where a setting was made. */
public final class Back {

    private static final int LONGEST = 2000;

    private Back() {}

    /** @param to an address of ours; anywhere else leads to the bench */
    public static ResponseEntity.BodyBuilder to(String to) {
        if (to.length() > LONGEST) {
            throw new BadRequestException("an address of %d characters".formatted(to.length()));
        }
        boolean ours = to.matches("/[\\w/?=&.-]*") && !to.startsWith("//");
        return ResponseEntity.status(HttpStatus.SEE_OTHER).location(URI.create(ours ? to : "/"));
    }
}
