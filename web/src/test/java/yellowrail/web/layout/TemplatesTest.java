package yellowrail.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Templates write down what a view has ready: they compute nothing, style nothing and have no words of their own. */
class TemplatesTest {

    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Path STYLES = Path.of("src/main/resources/static/css");
    private static final Pattern EXPRESSION = Pattern.compile("\\$\\{([^{}]*(?:\\{[^{}]*}[^{}]*)?)}");
    private static final Pattern STRING = Pattern.compile("'[^']*'");
    /** Arithmetic, or a counter that is compared; names that are put together are none. */
    private static final Pattern COMPUTES = Pattern.compile(
            "\\s[-*/%]\\s|\\d\\s*\\+|\\+\\s*\\d|[\\w)]\\s*[<>]=?\\s*[1-9]|#(numbers|strings|lists|dates)");

    private record Template(String name, String text) {}

    private static List<Template> all() throws IOException {
        try (Stream<Path> files = Files.walk(TEMPLATES)) {
            return files.filter(file -> file.toString().endsWith(".html"))
                    .map(file -> new Template(TEMPLATES.relativize(file).toString(), read(file)))
                    .toList();
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void templatesComputeNothing() throws IOException {
        assertThat(all()).hasSizeGreaterThan(20).allSatisfy(template -> {
            Matcher expression = EXPRESSION.matcher(template.text());
            while (expression.find()) {
                String code = STRING.matcher(expression.group(1)).replaceAll("''");
                assertThat(COMPUTES.matcher(code).find())
                        .as("%s: %s", template.name(), expression.group())
                        .isFalse();
            }
        });
    }

    /** The content security policy would refuse them. */
    @Test
    void nothingIsStyledOrScriptedInPlace() throws IOException {
        assertThat(all()).allSatisfy(template -> {
            assertThat(template.text()).as(template.name()).doesNotContain(" style=", "<style", " onclick=");
            assertThat(Pattern.compile("<script(?![^>]*src=)")
                            .matcher(template.text())
                            .find())
                    .as(template.name())
                    .isFalse();
        });
    }

    /** What is styled is drawn somewhere; a class that is gone from the pages leaves no rule behind. */
    @Test
    void everyRuleOfOursIsOfAClassThatIsUsed() throws IOException {
        StringBuilder used = new StringBuilder();
        all().forEach(template -> used.append(template.text()));
        try (Stream<Path> files = Stream.concat(
                Files.walk(Path.of("src/main/resources/static/js")), Files.walk(Path.of("src/main/java")))) {
            files.filter(Files::isRegularFile).map(TemplatesTest::read).forEach(used::append);
        }
        Set<String> unused = new TreeSet<>();
        try (Stream<Path> files = Files.list(STYLES)) {
            files.map(TemplatesTest::read)
                    .map(text -> text.replaceAll("url\\([^)]*\\)|(?s)/\\*.*?\\*/|\\{[^{}]*}", "{}"))
                    .forEach(text -> Pattern.compile("\\.([a-z][a-z0-9-]+)")
                            .matcher(text)
                            .results()
                            .map(rule -> rule.group(1))
                            .distinct()
                            .filter(name -> !hasWord(used, name))
                            .filter(name -> !name.matches("(btn|form|input|table|card)(-.*)?"))
                            .forEach(unused::add));
        }
        assertThat(unused).isEmpty();
    }

    /** Looked for without a pattern, which takes a hundred times as long. */
    private static boolean hasWord(StringBuilder text, String word) {
        for (int at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) {
            if (isBetweenWords(text, at - 1) && isBetweenWords(text, at + word.length())) {
                return true;
            }
        }
        return false;
    }

    private static boolean isBetweenWords(StringBuilder text, int at) {
        return at < 0 || at == text.length() || !Character.isLetterOrDigit(text.charAt(at)) && text.charAt(at) != '_';
    }
}
