package yellowrail.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** No line of Java is longer than 120 columns, texts and remarks included: those the formatter leaves as they are. */
class LineLengthTest {

    private static final int LONGEST = 120;

    @Test
    void noLineIsLonger() throws IOException {
        List<String> longer = new ArrayList<>();
        for (String root : List.of("src", "../web/src")) {
            try (Stream<Path> files = Files.walk(Path.of(root))) {
                for (Path file :
                        files.filter(each -> each.toString().endsWith(".java")).toList()) {
                    Files.readAllLines(file).stream()
                            .filter(line -> line.length() > LONGEST)
                            .forEach(line -> longer.add(file.getFileName() + ": " + line.strip()));
                }
            }
        }
        assertThat(longer).isEmpty();
    }
}
