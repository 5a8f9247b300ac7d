package yellowrail.web.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yellowrail.core.amp.AmpSheet;

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
                .isInstanceOf(UncheckedIOException.class)
                .hasMessageContaining("cannot be used")
                .hasMessageContaining(file.toString());
    }

    @Test
    void aSheetStoredBeforeAFieldCameUpIsStillRead() {
        AmpSheet old = new JsonColumn().read("""
                {"name": "Old", "notes": "", "quirks": "", "topology": "PUSH_PULL", "tubeType": "EL34",
                 "ratingSystem": "DESIGN_CENTRE",
                 "sockets": [{"label": "V1", "side": "PUSH", "channel": "MONO", "testPoint": "V1"}], "bias": "FIXED",
                  "pots": [],
                 "current": {"method": "SENSE_EACH", "ohms": 1.0, "tolerance": 0.01, "shows": "MILLIVOLT",
                  "copperCold": 20.0},
                 "plate": {"point": "PLATE", "reference": "GROUND"}, "screen": {"way": "TYPICAL",
                  "connection": "PENTODE"},
                 "meter": {"ofReading": 0.005, "digits": 2.0, "lastOfVolts": 0.1, "lastOfSense": 0.0001},
                  "mainsVolts": 120.0,
                 "settleMinutes": 10.0, "target": {"school": "SHARE_OF_RATING", "low": 0.5, "aim": 0.62,
                  "high": 0.7}}""", AmpSheet.class);
        assertThat(old.ownPlateWatts()).isEmpty();
        assertThat(old.plate().halfPrimaryOhms()).isEmpty();
        assertThat(old.current().ohms()).hasValue(1);
    }
}
