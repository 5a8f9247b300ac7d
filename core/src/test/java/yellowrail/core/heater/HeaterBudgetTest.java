package yellowrail.core.heater;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.tube.SmallTube;

class HeaterBudgetTest {

    private static HeaterBudget budget(String line) {
        HeaterText text = HeaterText.parse(line);
        assertThat(text.faults()).as(line).isEmpty();
        return new HeaterBudget(text.windings().get(0), Amps.CATALOGUE);
    }

    private static List<String> says(String line) {
        return budget(line).says().stream().map(HeaterFinding::code).toList();
    }

    /** 2 x 1.5 + 3 x 0.3 + 0.15 = 4.05 A of 6; 6.9 V bare and 6.4 loaded: 7.8 %, 0.123 ohm. */
    @Test
    void whatHangsOnAWindingIsSummedUp() {
        HeaterBudget main = budget("main 6.3V 6A bare 6.9 loaded 6.4: 2 EL34, 3 12AX7, 1 lamp 0.15A");
        assertThat(main.amps()).isCloseTo(4.05, within(1e-9));
        assertThat(main.regulation().orElseThrow()).isCloseTo(0.078125, within(1e-9));
        assertThat(main.says())
                .containsExactly(
                        new HeaterFinding.TakesOf(main.amps(), 6, main.amps() / 6),
                        new HeaterFinding.LoadedGood(6.4, 6.4 / 6.3 - 1),
                        new HeaterFinding.Sags(6.9, 6.4, main.regulation().getAsDouble(), (6.9 - 6.4) / main.amps()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "main 6.3V 3A: 2 EL34, 3 12AX7 | takes-more",
                "main 6.3 V: 2x EL34 | takes",
                "rectifier 5V 3A: GZ34 | takes-of",
                "main 6.3V 6A: 2 EL34, magic eye | not-known",
                "series 12.6V 1A: 3 ECC83 | takes-of",
                "odd 12.6V 1A: 6SN7 | other-volts",
                "main 6.3V 6A: 1 ECL86 | verify",
                "main 6.3V loaded 6.7: EL34 | loaded-allowed",
                "main 6.3V loaded 7.1: EL34 | loaded-wrong",
                "main 6.3V bare 6.2 loaded 6.4: EL34 | bare-below-loaded",
            })
    void whatIsToBeSaidIsSaid(String line, String code) {
        assertThat(says(line)).contains(code);
    }

    /** A 12AX7 takes 0.3 A from 6.3 V and 0.15 A from 12.6 V. */
    @Test
    void aCentreTappedHeaterTakesWhatItsWindingAsksFor() {
        assertThat(budget("a 6.3V: 12AX7").amps()).isCloseTo(0.3, within(1e-12));
        assertThat(budget("a 12.6V: 12AX7").amps()).isCloseTo(0.15, within(1e-12));
        assertThat(says("a 6.3V: 12AX7")).doesNotContain("other-volts");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "nonsense | no-winding",
                "main 6.3V 6A glowing: EL34 | not-understood",
                "main 630V 6A: EL34 | out-of-range",
                "main 6.3V 600A: EL34 | out-of-range",
                "main 6.3V bare 99: EL34 | out-of-range",
            })
    void whatIsWrongWithALineIsSaid(String line, String code) {
        HeaterText text = HeaterText.parse("ok 5V: GZ34\n" + line);
        assertThat(text.windings()).hasSize(1);
        assertThat(text.faults()).singleElement().satisfies(fault -> {
            assertThat(fault.line()).isEqualTo(2);
            assertThat(fault.says().code()).isEqualTo(code);
        });
    }

    @Test
    void whatIsWrittenIsReadTheSame() {
        String lines = "main 6.3V 6A bare 6.9 loaded 6.4: 2 EL34, 3 12AX7, 1 pilot lamp 0.15A\nrectifier 5V: 1 GZ34";
        List<HeaterWinding> windings = HeaterText.parse(lines).windings();
        assertThat(HeaterText.write(windings)).isEqualTo(lines);
        assertThat(HeaterText.parse("main 6,3V: 2 EL34, 1 lamp 150mA")
                        .windings()
                        .get(0)
                        .loads()
                        .get(1)
                        .amps())
                .hasValue(0.15);
        assertThat(HeaterText.parse("a 5V\n".repeat(9)).faults()).hasSize(1);
        assertThat(HeaterText.parse("\n".repeat(HeaterText.LONGEST) + "late 5V").faults())
                .as("nothing is cut off in silence")
                .extracting(fault -> fault.says().code())
                .containsExactly("text-too-long");
    }

    @Test
    void theSmallOnesAreNoPowerTubes() {
        assertThat(SmallTube.published()).hasSizeGreaterThan(20).allSatisfy(tube -> {
            assertThat(tube.heaterAmps()).isBetween(0.1, 1.0);
            assertThat(Amps.CATALOGUE.find(tube.name())).as(tube.name()).isEmpty();
        });
        assertThat(SmallTube.find("ecc83").orElseThrow().name()).isEqualTo("12AX7");
    }
}
