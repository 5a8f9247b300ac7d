package yellowrail.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.quantity.Unit;

/** The bundle has the words of everything that can be found and of every choice, and nothing else under their names. */
class WordsTest {

    private static final Pattern ARGUMENT = Pattern.compile("\\{(\\d+)");

    private static ResourceBundle bundle;
    private static Words words;
    private static List<Class<?>> findings;
    private static List<Class<?>> choices;

    @BeforeAll
    static void read() {
        bundle = ResourceBundle.getBundle("messages", Locale.ROOT);
        words = BundledWords.read();
        List<JavaClass> all = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("yellowrail").stream()
                        .toList();
        findings = all.stream()
                .filter(type -> type.isRecord() && type.isAssignableTo(Finding.class))
                .<Class<?>>map(JavaClass::reflect)
                .toList();
        choices = all.stream()
                .filter(type -> type.isEnum() && type.getPackageName().startsWith("yellowrail.core"))
                .<Class<?>>map(JavaClass::reflect)
                .toList();
    }

    @Test
    void everyFindingHasItsWordsAndTheWordsUseEveryNumber() {
        List<String> wrong = new ArrayList<>();
        findings.forEach(finding -> {
            String key = Words.key(finding);
            if (!bundle.containsKey(key)) {
                wrong.add("no words for " + key);
                return;
            }
            Set<Integer> used = ARGUMENT.matcher(bundle.getString(key))
                    .results()
                    .map(found -> Integer.valueOf(found.group(1)))
                    .collect(Collectors.toSet());
            Set<Integer> has = IntStream.range(0, finding.getRecordComponents().length)
                    .boxed()
                    .collect(Collectors.toSet());
            if (!used.equals(has)) {
                wrong.add("%s uses %s of %s".formatted(key, used, has));
            }
        });
        assertThat(findings).hasSizeGreaterThan(400);
        assertThat(wrong).isEmpty();
    }

    private static List<String> names(Class<?> choice) {
        return Stream.of(choice.getEnumConstants())
                .map(each -> Words.key(choice) + "." + Code.of((Enum<?>) each))
                .toList();
    }

    /** A choice that is told has a name for each of its values; one that is never told has none. */
    @Test
    void everyChoiceIsNamedWholeOrNotAtAll() {
        List<String> wrong = new ArrayList<>();
        choices.forEach(choice -> {
            List<String> missing = names(choice).stream()
                    .filter(name -> !bundle.containsKey(name))
                    .toList();
            boolean told = findings.stream()
                            .flatMap(finding -> Stream.of(finding.getRecordComponents()))
                            .anyMatch(part -> tells(part, choice))
                    && choice != Unit.class;
            if (!missing.isEmpty() && (told || missing.size() < names(choice).size())) {
                wrong.addAll(missing);
            }
        });
        assertThat(wrong).isEmpty();
    }

    private static boolean tells(RecordComponent part, Class<?> choice) {
        return part.getType() == choice
                || part.getGenericType() instanceof ParameterizedType type
                        && type.getActualTypeArguments()[0] == choice;
    }

    @Test
    void noWordsAreLeftOverFromAFindingThatIsGone() {
        Set<String> known = Stream.concat(
                        findings.stream().map(Words::key), choices.stream().flatMap(choice -> names(choice).stream()))
                .collect(Collectors.toSet());
        Set<String> homes =
                known.stream().map(each -> each.substring(0, each.indexOf('.'))).collect(Collectors.toSet());
        Set<String> left = new TreeSet<>(bundle.keySet());
        left.removeIf(each -> known.contains(each) || !homes.contains(each.substring(0, each.indexOf('.'))));
        assertThat(left).isEmpty();
    }

    @Test
    void twoFindingsOfOneHomeNeverShareTheirWords() {
        assertThat(findings.stream().map(Words::key).toList()).doesNotHaveDuplicates();
    }

    @Test
    void numbersComeWithTheirUnitAndFindingsWithinFindingsAreWordedFirst() {
        assertThat(words.say(new IdleFinding.PlateOverLimit(430, 315))).contains("430.0 V", "limit of 315 V");
        assertThat(words.say(new IdleFinding.SwitchOffNow("V1", 62.24, 2.075)))
                .contains("V1", "62.24 W", "207", "%")
                .containsIgnoringCase("switch off");
        assertThat(words.say(new MoveFinding.Turn(
                        List.of(new MoveFinding.Clockwise(
                                new MoveFinding.PotCalled("RANGE"), "V1", Shown.toTurnTo(Unit.MILLIVOLT, 0.0442))),
                        new MoveFinding.ExpectPlates(442.7))))
                .isEqualTo("Turn RANGE clockwise until V1 reads 44.2 mV; expect the plates at 442.7 V.");
    }
}
