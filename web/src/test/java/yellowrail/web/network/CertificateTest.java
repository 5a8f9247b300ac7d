package yellowrail.web.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yellowrail.web.postgres.CannotStartException;

class CertificateTest {

    private static final Clock NOW = Clock.systemUTC();

    @TempDir
    Path folder;

    private Certificate of(String address, Clock clock) throws Exception {
        return Certificate.of(folder, InetAddress.getByName(address), clock);
    }

    @Test
    void itIsMadeOnceForAnAddressAndKeptToItsOwner() throws Exception {
        Certificate made = of("192.168.77.1", NOW);
        assertThat(made.fingerprint()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(made.keystore())))
                .isEqualTo("rw-------");
        assertThat(of("192.168.77.1", NOW)).isEqualTo(made);
        assertThat(of("fd00::2", NOW).fingerprint()).as("another address").isNotEqualTo(made.fingerprint());
        try (var left = Files.list(folder)) {
            assertThat(left).containsExactly(made.keystore());
        }
    }

    @Test
    void oneThatEndsSoonIsReplaced() throws Exception {
        String before = of("10.0.0.9", NOW).fingerprint();
        assertThat(of("10.0.0.9", Clock.offset(NOW, Duration.ofDays(760))).fingerprint())
                .isEqualTo(before);
        assertThat(of("10.0.0.9", Clock.offset(NOW, Duration.ofDays(775))).fingerprint())
                .isNotEqualTo(before);
    }

    @Test
    void whatIsNoneIsToldWithItsPlace() throws Exception {
        Files.writeString(folder.resolve("lan.p12"), "nonsense");
        assertThatThrownBy(() -> of("10.0.0.9", NOW))
                .isInstanceOf(CannotStartException.class)
                .hasMessageContaining("lan.p12 could not be made or read");
    }
}
