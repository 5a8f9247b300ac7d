package yellowrail.web.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WholeFileTest {

    @TempDir
    Path folder;

    @Test
    void aWritingThatBreaksOffLeavesWhatWasThere() throws Exception {
        Path file = Files.writeString(folder.resolve("kept.json"), "before");
        assertThatThrownBy(() -> WholeFile.write(file, draft -> {
                    Files.writeString(draft, "half of");
                    throw new IOException("No space left on device");
                }))
                .hasMessage("No space left on device");
        assertThat(file).hasContent("before");
        assertThat(folder).isDirectoryNotContaining("glob:**.part");

        String draft =
                WholeFile.write(file, to -> Files.writeString(to, "after").toString());
        assertThat(draft).endsWith(".part");
        assertThat(file).hasContent("after");
    }

    /** The command as it is typed: it looks at the name before it makes anything. */
    @ParameterizedTest
    @CsvSource({
        "backup, ., is a folder: name a file in it",
        "export, ., is a folder: name a file in it",
        "backup, none/all.zip, There is no folder",
        "backup, letter.txt, is there already and is no backup",
        "export, letter.txt, is there already and is no export",
        "backup, /dev/null, is no file to write to",
        "restore, none.zip, There is no file",
    })
    void aNameThatCannotBeMeantCostsNothing(String verb, String name, String says) throws Exception {
        Path letter = Files.writeString(folder.resolve("letter.txt"), "Dear friend");
        Process command = new ProcessBuilder(
                        Path.of("../yellow-rail").toRealPath().toString(),
                        verb,
                        folder.resolve(name).toString(),
                        "--data=" + folder)
                .redirectErrorStream(true)
                .start();
        String said = new String(command.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(command.waitFor(20, TimeUnit.SECONDS)).isTrue();
        assertThat(said).contains(says);
        assertThat(command.exitValue()).isEqualTo(2);
        assertThat(letter).hasContent("Dear friend");
    }
}
