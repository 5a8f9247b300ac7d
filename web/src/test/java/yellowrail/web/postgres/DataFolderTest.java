package yellowrail.web.postgres;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DataFolderTest {

    @TempDir
    private Path folder;

    @Test
    void saysWhereItWillBeFound() throws Exception {
        try (DataFolder claimed = DataFolder.claim(folder.resolve("made/when/missing"), "http://127.0.0.1:8123")) {
            assertThat(Files.readString(claimed.path().resolve("in-use-by")))
                    .startsWith("http://127.0.0.1:8123 (process ");
        }
    }

    @Test
    void canBeClaimedAgainOnceGivenUp() {
        DataFolder.claim(folder, "first").close();
        DataFolder.claim(folder, "second").close();
    }

    @Test
    void aFileInTheWayIsNamed() throws Exception {
        Path file = Files.writeString(folder.resolve("file"), "");
        assertThatThrownBy(() -> DataFolder.claim(file.resolve("below"), "x"))
                .isInstanceOf(CannotStartException.class)
                .hasMessageContaining("cannot be used")
                .hasMessageContaining(file.toString());
    }
}
