package yellowrail.web.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.quantity.Unit;
import yellowrail.web.words.BundledWords;

class FormReaderTest {

    private final Faults faults = new Faults(BundledWords.read());
    private final FormReader read = new FormReader(faults);

    @Test
    void aFaultyNumberNeverReachesTheCore() {
        assertThat(read.number("ohms", "-3", Unit.OHM, 1, 10)).isEmpty();
        assertThat(read.required("volts", "1e12", Unit.VOLT, 80, 280)).isEqualTo(80);
        assertThat(faults.of("ohms")).isEqualTo("\u201c-3\u201d is out of range; from 1 to 10 ohm.");
        assertThat(faults.of("volts")).contains("too large");
    }

    @Test
    void whatIsNotTypedIsEmptyAndNoFault() {
        assertThat(read.number("ohms", "  ", Unit.OHM, 1, 10)).isEqualTo(OptionalDouble.empty());
        assertThat(read.number("ohms", null, Unit.OHM, 1, 10)).isEqualTo(OptionalDouble.empty());
        assertThat(faults.any()).isFalse();
    }

    @Test
    void theFirstFaultOfAFieldStands() {
        faults.add("name", "first");
        faults.add("name", "second");
        assertThat(faults.of("name")).isEqualTo("first");
        assertThat(faults.under("na", "x")).isTrue();
        assertThat(faults.under("x")).isFalse();
    }

    @Test
    void wordsKeepLineBreaksAndNoOtherControls() {
        assertThat(read.words("notes", " one\ntwo ", 20)).isEqualTo("one\ntwo");
        read.words("quirks", "bell\u0007", 20);
        assertThat(faults.of("quirks")).contains("cannot be shown");
        read.words("long", "\uD83D\uDE00".repeat(21), 20);
        assertThat(faults.of("long")).isEqualTo("At most 20 characters fit here; this has 21.");
    }

    @Test
    void aChoiceThatIsNoneListsThem() {
        read.choice("bias", "WARM", BiasKind.class);
        assertThat(faults.of("bias")).contains("\u201cWARM\u201d").contains("FIXED_ADJUSTABLE");
    }
}
