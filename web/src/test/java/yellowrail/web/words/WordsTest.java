package yellowrail.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
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
import yellowrail.core.balance.BalanceFinding;
import yellowrail.core.finding.Finding;
import yellowrail.core.finding.Shown;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.mistake.MistakeFinding;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.powerup.PowerUpFinding;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryFault;
import yellowrail.core.supply.SupplyFinding;
import yellowrail.core.timeline.TimelineFinding;

/** The bundle has the words of everything that the core can find, and nothing else under its names. */
class WordsTest {

    private static final List<Class<?>> KINDS = List.of(BalanceFinding.class, EntryFault.class, IdleFinding.class, MistakeFinding.class, MoveFinding.class, PowerUpFinding.class,
            SupplyFinding.class, TimelineFinding.class);
    private static final Pattern ARGUMENT = Pattern.compile("\\{(\\d+)");

    private static ResourceBundle bundle;
    private static Words words;

    @BeforeAll
    static void read() {
        bundle = ResourceBundle.getBundle("messages", Locale.ROOT);
        words = BundledWords.read();
    }

    private static Stream<Class<?>> findings() {
        return KINDS.stream().flatMap(kind -> Stream.of(kind.getPermittedSubclasses()));
    }

    private static String key(Class<?> finding) {
        return Words.key(finding, Finding.code(finding));
    }

    @Test
    void everyFindingHasItsWordsAndTheWordsUseEveryNumber() {
        List<String> wrong = new ArrayList<>();
        findings().forEach(finding -> {
            if (!bundle.containsKey(key(finding))) {
                wrong.add("no words for " + key(finding));
                return;
            }
            Set<Integer> used = ARGUMENT.matcher(bundle.getString(key(finding))).results().map(found -> Integer.valueOf(found.group(1))).collect(Collectors.toSet());
            Set<Integer> has = IntStream.range(0, finding.getRecordComponents().length).boxed().collect(Collectors.toSet());
            if (!used.equals(has)) {
                wrong.add("%s uses %s of %s".formatted(key(finding), used, has));
            }
        });
        assertThat(wrong).isEmpty();
    }

    @Test
    void noWordsAreLeftOverFromAFindingThatIsGone() {
        Set<String> known = findings().map(WordsTest::key).collect(Collectors.toCollection(HashSet::new));
        Set<String> homes = known.stream().map(each -> each.substring(0, each.indexOf('.'))).collect(Collectors.toSet());
        Set<String> left = new TreeSet<>(bundle.keySet());
        left.removeIf(each -> known.contains(each) || !homes.contains(each.substring(0, each.indexOf('.'))));
        assertThat(left).isEmpty();
    }

    @Test
    void numbersComeWithTheirUnitAndFindingsWithinFindingsAreWordedFirst() {
        assertThat(words.say(new IdleFinding.PlateOverLimit(430, 315))).contains("430.0 V", "315.0 V");
        assertThat(words.say(new IdleFinding.SwitchOffNow("V1", 62.24, 2.075))).contains("V1", "62.24 W", "207", "%").containsIgnoringCase("switch off");
        assertThat(words.say(new MoveFinding.Turn(List.of(new MoveFinding.Clockwise(new MoveFinding.PotCalled("RANGE"), "V1", Shown.toTurnTo(Unit.MILLIVOLT, 0.0442))),
                new MoveFinding.ExpectPlates(442.7)))).isEqualTo("Turn RANGE clockwise until V1 reads 44.2 mV; expect the plates at 442.7 V.");
    }
}
