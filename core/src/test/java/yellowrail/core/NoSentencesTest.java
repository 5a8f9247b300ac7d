package yellowrail.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * No class of the core words anything for a user: four words in a row stand in no text but what a programmer is told.
 */
class NoSentencesTest {

    private static final Pattern COMMENTS =
            Pattern.compile("/\\*.*?\\*/|//[^\"\\n]*$", Pattern.DOTALL | Pattern.MULTILINE);
    private static final Pattern TEXT = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern SENTENCE =
            Pattern.compile("\\p{L}[\\p{L}\\u2019'-]*(?:[,;:.]? \\p{L}[\\p{L}\\u2019'-]*){3}");
    /** A program's error, in its constructor or in a check that makes one. */
    private static final Pattern EXCEPTION = Pattern.compile("new \\w*Exception\\(|super\\(");

    static List<String> sentences(String source) {
        List<String> found = new ArrayList<>();
        for (String statement : COMMENTS.matcher(source).replaceAll("").split(";\\s*\\n")) {
            if (!EXCEPTION.matcher(statement).find()) {
                TEXT.matcher(statement)
                        .results()
                        .map(text -> text.group(1))
                        .filter(text -> SENTENCE.matcher(text).find())
                        .forEach(found::add);
            }
        }
        return found;
    }

    @Test
    void noClassOfTheCoreWritesASentence() throws IOException {
        List<String> found = new ArrayList<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file :
                    files.filter(each -> each.toString().endsWith(".java")).toList()) {
                sentences(Files.readString(file)).forEach(sentence -> found.add(file.getFileName() + ": " + sentence));
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void oneWouldBeFound() {
        assertThat(sentences("String says() {\n return \"Read the plates first.\";\n}"))
                .containsExactly("Read the plates first.");
        assertThat(sentences("throw new IllegalArgumentException(\"a tube has one plate\");\n"))
                .isEmpty();
        assertThat(sentences("/* \"a remark of four words\" */ // \"or of some more words\n"))
                .isEmpty();
    }
}
