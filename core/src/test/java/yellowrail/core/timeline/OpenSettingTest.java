package yellowrail.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;

class OpenSettingTest {

    private static final AmpSheet PAIR = Amps.pair();

    private final OpenSetting open = new OpenSetting();
    private final Moment.Running counts = new Moment.Running();
    private final List<Occupant> occupants = Occupants.of(Amps.CATALOGUE, PAIR).all();

    private void read(String... lines) {
        for (Reading reading : Amps.readings(PAIR, lines)) {
            if (OpenSetting.KINDS.contains(reading.kind())) {
                open.add(reading, counts);
            }
            counts.add(reading);
        }
    }

    private Optional<Setting> finish() {
        return open.finish(0, PAIR, occupants, counts);
    }

    /** Currents are read twice to within 1.5 %, volts to within 0.4 %; three times that, and it moved for certain. */
    @ParameterizedTest
    @CsvSource({
        "V1 30,V1 30.4,same",
        "V1 30,V1 30.6,moved",
        "V1 30,V1 29.4,moved",
        "V1 30,V1 31.4,certain",
        "plate 450,plate 451.7,same",
        "plate 450,plate 452,moved",
        "plate 450,plate 456,certain",
        "bias -46,bias -46.1,same",
        "bias -46,bias -47,certain",
        "V1 30,V2 60,same",
        "V1 30,mains 110,same",
        "V1 30,turn RANGE clockwise; V1 40,same",
        "V1 30,tube V1 EL34; V1 40,same",
        "V1 30,V1 40; turn RANGE clockwise,certain"
    })
    void aReadingThatDiffersIsOfAnotherSetting(String before, String line, String found) {
        read(before);
        String seen = open.moved(Amps.readings(PAIR, line))
                .map(moved -> moved.certain() ? "certain" : "moved")
                .orElse("same");
        assertThat(seen).isEqualTo(found);
    }

    @Test
    void whatMovedIsTheFirstOfTheLine() {
        read("V1 30", "V2 31");
        assertThat(open.moved(Amps.readings(PAIR, "V2 31.1; V1 36; plate 440"))).hasValueSatisfying(moved -> {
            assertThat(moved.before().value()).isEqualTo(0.030);
            assertThat(moved.now().value()).isEqualTo(0.036);
        });
    }

    @Test
    void theNewestReadingOfAPlaceCounts() {
        read("V1 30", "V2 31", "plate 450", "V1 30.3");
        Setting setting = finish().orElseThrow();
        assertThat(setting.own()).extracting(Reading::value).containsExactly(0.031, 450.0, 0.0303);
        assertThat(setting.lacks()).isEmpty();
        assertThat(setting.lastId()).isEqualTo(4);
        assertThat(finish()).as("a new one is empty").isEmpty();
    }

    @Test
    void aTurnBeginsTheNextOne() {
        open.turned();
        assertThat(open.isTurned()).isTrue();
        assertThat(finish()).as("nothing was read yet").isEmpty();
        read("V1 30");
        assertThat(finish().orElseThrow().begunByTurn()).isTrue();
        assertThat(open.isTurned()).isFalse();
    }

    /** Who read the mains first the first time is taken to do so again; who read it last, too. */
    @Test
    void theMainsBelongsByHabit() {
        read("mains 120", "V1 30");
        assertThat(finish().orElseThrow().mains().orElseThrow().value()).isEqualTo(120);
        read("V1 33", "mains 117");
        assertThat(finish().orElseThrow().mains().orElseThrow().value())
                .as("what comes after is of the next one")
                .isEqualTo(120);
    }

    @Test
    void theMainsReadLastByHabit() {
        read("V1 30", "mains 120");
        assertThat(finish().orElseThrow().mains().orElseThrow().value()).isEqualTo(120);
        read("V1 33", "mains 117");
        assertThat(finish().orElseThrow().mains().orElseThrow().value()).isEqualTo(117);
    }

    @Test
    void theMainsReadAmongTheTubesIsTheirs() {
        read("mains 120", "V1 30");
        finish();
        read("V1 33", "mains 117", "V2 33");
        assertThat(finish().orElseThrow().mains().orElseThrow().value()).isEqualTo(117);
    }

    @Test
    void whatIsForgottenWasNeverRead() {
        read("V1 30");
        open.forget();
        assertThat(finish()).isEmpty();
        assertThat(open.moved(Amps.readings(PAIR, "V1 50"))).isEmpty();
    }
}
