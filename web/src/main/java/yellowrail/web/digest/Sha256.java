package yellowrail.web.digest;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** The sum that files, tokens and certificates are told by. */
public final class Sha256 {

    private Sha256() {}

    /** One to be fed bit by bit. */
    public static MessageDigest begin() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    public static byte[] of(byte[] bytes) {
        return begin().digest(bytes);
    }
}
