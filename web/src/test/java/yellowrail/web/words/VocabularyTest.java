package yellowrail.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.i18n.LocaleContextHolder;
import yellowrail.core.idle.IdleFinding;

/**
 * The two vocabularies: each whole, neither with a word of the other, and every message of the pages known and used.
 */
class VocabularyTest {

    private static final Pattern TUBE_WORDS = Pattern.compile("(?i)\\b(tubes?|plates?|ground(ed)?)\\b|B\\+");
    private static final Pattern VALVE_WORDS = Pattern.compile("(?i)\\b(valves?|anodes?|earth(ed)?)\\b|\\bHT\\b");
    private static final Pattern ARGUMENT = Pattern.compile("\\{\\d+");
    private static final Pattern IN_TEMPLATE = Pattern.compile("#\\{([\\w.-]+)");
    private static final Pattern IN_CODE = Pattern.compile("\"((?:page|compare|summary|run|input|words)\\.[\\w.-]*)\"");

    private final Map<String, String> first = read("/messages.properties");
    private final Map<String, String> british = read("/messages_en_GB.properties");

    private static Map<String, String> read(String name) {
        Properties properties = new Properties();
        try (InputStream file = VocabularyTest.class.getResourceAsStream(name)) {
            properties.load(new InputStreamReader(file, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        return new TreeMap<>(properties.entrySet().stream()
                .collect(Collectors.toMap(each -> (String) each.getKey(), each -> (String) each.getValue())));
    }

    private static List<String> with(Pattern words, Map<String, String> messages) {
        return messages.entrySet().stream()
                .filter(each -> !each.getKey().equals("words.vocabulary")
                        && words.matcher(each.getValue()).find())
                .map(each -> each.getKey() + "=" + each.getValue())
                .toList();
    }

    @Test
    void noMessageOfOneCarriesAWordOfTheOther() {
        assertThat(with(VALVE_WORDS, first)).isEmpty();
        Map<String, String> effective = new TreeMap<>(first);
        effective.putAll(british);
        assertThat(with(TUBE_WORDS, effective)).isEmpty();
    }

    @Test
    void theOtherOverridesWhatDiffersAndNothingElse() {
        List<String> wrong = new ArrayList<>();
        british.forEach((key, text) -> {
            String other = first.get(key);
            if (other == null || other.equals(text)) {
                wrong.add(key + (other == null ? " is no message" : " says the same"));
            } else if (!arguments(other).equals(arguments(text))) {
                wrong.add(key + " has other numbers in it");
            }
        });
        assertThat(wrong).isEmpty();
    }

    private static Set<String> arguments(String text) {
        return ARGUMENT.matcher(text)
                .results()
                .map(found -> found.group())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void aThirdLanguageIsOneMoreFile(@TempDir Path folder) throws IOException {
        Files.writeString(
                folder.resolve("messages_de.properties"),
                "words.vocabulary=R\u00f6hre\nidle.warm=Warm seit {0} min.\n");
        ClassLoader before = Thread.currentThread().getContextClassLoader();
        try (URLClassLoader more = new URLClassLoader(new URL[] {folder.toUri().toURL()}, before)) {
            Thread.currentThread().setContextClassLoader(more);
            LocaleContextHolder.setLocale(Locale.GERMAN);
            Vocabularies vocabularies = BundledWords.vocabularies();
            assertThat(vocabularies.all()).containsExactlyInAnyOrder(Locale.ENGLISH, Locale.UK, Locale.GERMAN);
            assertThat(vocabularies.others(Locale.ENGLISH))
                    .extracting(Vocabularies.Other::name)
                    .contains("R\u00f6hre");
            assertThat(vocabularies.spokenBy("de-AT,en;q=0.5")).isEqualTo(Locale.GERMAN);
            assertThat(BundledWords.read().say(new IdleFinding.Warm(12))).isEqualTo("Warm seit 12 min.");
            assertThat(BundledWords.read().say(new IdleFinding.ClockNotKnown()))
                    .as("what it does not say stays English")
                    .startsWith("Warm-up not known");
        } finally {
            Thread.currentThread().setContextClassLoader(before);
            LocaleContextHolder.resetLocaleContext();
        }
    }

    private static String sources(String root, String ending) throws IOException {
        try (Stream<Path> files = Files.walk(Path.of(root))) {
            StringBuilder all = new StringBuilder();
            for (Path file :
                    files.filter(each -> each.toString().endsWith(ending)).toList()) {
                all.append(Files.readString(file));
            }
            return all.toString();
        }
    }

    @Test
    void everyMessageOfThePagesIsThereAndIsUsed() throws IOException {
        Set<String> asked = IN_TEMPLATE
                .matcher(sources("src/main/resources/templates", ".html"))
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(asked)
                .hasSizeGreaterThan(400)
                .allSatisfy(key -> assertThat(first).containsKey(key));
        Set<String> named = IN_CODE.matcher(sources("src/main/java", ".java"))
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toSet());
        List<String> left = first.keySet().stream()
                .filter(key -> key.startsWith("page.") && !asked.contains(key))
                .filter(key -> named.stream()
                        .noneMatch(name -> key.equals(name)
                                || key.startsWith(name) && !Character.isLetter(name.charAt(name.length() - 1))
                                || key.startsWith(name + "-")))
                .toList();
        assertThat(left).isEmpty();
    }
}
