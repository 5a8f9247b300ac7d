package yellowrail.web.network;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import yellowrail.web.digest.Sha256;
import yellowrail.web.postgres.CannotStartException;

/**
 * What the application proves itself with to other devices: a key and a certificate that it signed itself, for one
 * address and the name {@link Lan#NAME}. Made when there is none that fits, by the JDK's own tool, and kept where only
 * its owner reads it.
 *
 * @param keystore where it is kept, PKCS #12
 * @param fingerprint SHA-256 of the certificate, for comparing with what the other device shows
 */
public record Certificate(Path keystore, String fingerprint) {

    /** A format that keeps keys wants one; what guards the key is who may read the file. */
    static final String PASSWORD = "yellow-rail";

    static final String ALIAS = "yellow-rail";

    private static final String FILE = "lan.p12";
    /** Browsers distrust what is valid for longer than 825 days. */
    private static final int VALID_DAYS = 800;

    private static final Duration LEFT = Duration.ofDays(30);
    private static final long LONGEST_SECONDS = 60;

    private static final int NAME_OF_HOST = 2;
    private static final int ADDRESS = 7;

    /** @throws CannotStartException if there is none and none can be made */
    public static Certificate of(Path folder, InetAddress address, Clock clock) {
        Path keystore = folder.resolve(FILE);
        try {
            Optional<X509Certificate> kept = read(keystore).filter(each -> fits(each, address, clock.instant()));
            if (kept.isEmpty()) {
                make(keystore, address);
            }
            X509Certificate certificate = kept.isPresent()
                    ? kept.get()
                    : read(keystore).orElseThrow(() -> new IOException("it holds no certificate"));
            return new Certificate(keystore, fingerprint(certificate));
        } catch (IOException | GeneralSecurityException e) {
            throw new CannotStartException(
                    "The certificate in %s could not be made or read: %s".formatted(keystore, e.getMessage()), e);
        }
    }

    private static Optional<X509Certificate> read(Path keystore) throws IOException, GeneralSecurityException {
        if (!Files.exists(keystore)) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(keystore)) {
            KeyStore store = KeyStore.getInstance("PKCS12");
            store.load(in, PASSWORD.toCharArray());
            return Optional.ofNullable((X509Certificate) store.getCertificate(ALIAS));
        }
    }

    private static boolean fits(X509Certificate certificate, InetAddress address, Instant now) {
        try {
            Collection<List<?>> names = certificate.getSubjectAlternativeNames();
            return names != null
                    && names.stream().anyMatch(name -> isOf(name, address))
                    && names.stream()
                            .anyMatch(name -> name.get(0).equals(NAME_OF_HOST)
                                    && name.get(1).equals(Lan.NAME))
                    && certificate.getNotAfter().toInstant().isAfter(now.plus(LEFT));
        } catch (GeneralSecurityException unreadable) {
            return false;
        }
    }

    private static boolean isOf(List<?> name, InetAddress address) {
        try {
            return name.get(0).equals(ADDRESS)
                    && InetAddress.getByName((String) name.get(1)).equals(address);
        } catch (UnknownHostException none) {
            return false;
        }
    }

    private static void make(Path keystore, InetAddress address) throws IOException {
        Path draft = keystore.resolveSibling(FILE + ".part");
        Files.deleteIfExists(draft);
        Process tool = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-genkeypair",
                        "-alias",
                        ALIAS,
                        "-keyalg",
                        "EC",
                        "-groupname",
                        "secp256r1",
                        "-sigalg",
                        "SHA256withECDSA",
                        "-dname",
                        "CN=Yellow Rail",
                        "-ext",
                        "SAN=ip:" + address.getHostAddress() + ",dns:" + Lan.NAME,
                        "-ext",
                        "EKU=serverAuth",
                        "-validity",
                        String.valueOf(VALID_DAYS),
                        "-storetype",
                        "PKCS12",
                        "-keystore",
                        draft.toString(),
                        "-storepass",
                        PASSWORD)
                .redirectErrorStream(true)
                .start();
        String said = new String(tool.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        if (!ended(tool)) {
            throw new IOException(said.isEmpty() ? "keytool did not end" : said);
        }
        Files.setPosixFilePermissions(draft, PosixFilePermissions.fromString("rw-------"));
        Files.move(draft, keystore, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    private static boolean ended(Process tool) {
        try {
            return tool.waitFor(LONGEST_SECONDS, TimeUnit.SECONDS) && tool.exitValue() == 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private static String fingerprint(X509Certificate certificate) throws GeneralSecurityException {
        byte[] sum = Sha256.of(certificate.getEncoded());
        return HexFormat.ofDelimiter(":").formatHex(sum).toUpperCase(Locale.ROOT);
    }
}
