package yellowrail.web.postgres;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class InstalledTest {

    @TempDir
    private Path folder;

    private void version(String name) throws IOException {
        Path bin = Files.createDirectories(folder.resolve(name).resolve("bin"));
        assertThat(Files.createFile(bin.resolve("postgres")).toFile().setExecutable(true))
                .isTrue();
    }

    @Test
    void versionsAreToldByTheirFoldersAndOddOnesArePassedOver() throws IOException {
        version("9");
        version("15");
        version("15.old");
        version("16-backup");
        version("999999999999");
        Files.createDirectory(folder.resolve("17"));
        Files.createFile(folder.resolve("18"));
        assertThat(Installed.in(folder).programs().keySet()).containsExactly(9, 15);
        assertThat(Installed.in(folder).newest()).isEqualTo(15);
    }

    @Test
    void aClusterRunsOnItsOwnVersionAndANewOneOnTheNewest() throws IOException {
        version("14");
        version("15");
        ClusterFolder cluster = new ClusterFolder(folder.resolve("data"));
        assertThat(Installed.in(folder).running(cluster)).isEqualTo(folder.resolve("15/bin"));
        Files.createDirectories(cluster.cluster());
        Files.writeString(cluster.cluster().resolve("PG_VERSION"), "14\n");
        assertThat(Installed.in(folder).running(cluster)).isEqualTo(folder.resolve("14/bin"));
    }

    @Test
    void whereNothingIsInstalledNothingIsFound() {
        assertThat(Installed.in(folder.resolve("nowhere")).programs()).isEmpty();
    }
}
