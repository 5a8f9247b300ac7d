package yellowrail.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;

class EntryLineTest {

    private final EntryLine pair = new EntryLine(Amps.pair());
    private final EntryLine quad = new EntryLine(Amps.quad());

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "V1 38.2mV | SENSE_VOLTS | V1 | 0.0382",
                "v1 38,2 | SENSE_VOLTS | V1 | 0.0382",
                "38.2 mV V1 | SENSE_VOLTS | V1 | 0.0382",
                "V 1 = 38.2 mV | SENSE_VOLTS | V1 | 0.0382",
                "plate 452 | PLATE | '' | 452",
                "452V plate | PLATE | '' | 452",
                "PLATE:452 | PLATE | '' | 452",
                "plate452 | PLATE | '' | 452",
                "V2 anode 451.5 | PLATE | V2 | 451.5",
                "mains 119.6 | MAINS | '' | 119.6",
                "bias -46.8 | BIAS | '' | -46.8",
                "bias - 46.8 V | BIAS | '' | -46.8",
                "V1 bias \u221246.8 | BIAS | V1 | -46.8",
                "rk off 121.3 | RESISTOR_COLD | '' | 121.3",
                "off rk 121.3 ohm | RESISTOR_COLD | '' | 121.3",
                "plate 505 unloaded | PLATE_UNLOADED | '' | 505",
                "b+ 505 pulled | PLATE_UNLOADED | '' | 505",
                "screen 430 | SCREEN_VOLTS | '' | 430",
                "V1 screen 2.1mA | SCREEN_AMPS | V1 | 0.0021",
                "on 20 | POWER_ON | '' | 20"
            })
    void readsOneReading(String line, ReadingKind kind, String target, double value) {
        List<Entry> entries = pair.parse(line);
        assertThat(entries).hasSize(1);
        assertThat(entries.get(0).kind()).isEqualTo(kind);
        assertThat(entries.get(0).target()).isEqualTo(target);
        assertThat(entries.get(0).value()).isCloseTo(value, within(1e-9));
    }

    @Test
    void readsSeveralOnOneLine() {
        assertThat(pair.parse("V1 36.4 V2 33.9 mV plate 452; 119.6 mains"))
                .extracting(Entry::kind)
                .containsExactly(
                        ReadingKind.SENSE_VOLTS, ReadingKind.SENSE_VOLTS, ReadingKind.PLATE, ReadingKind.MAINS);
    }

    @Test
    void aSharedResistorIsReachedByItsNameBySocketOrAlone() {
        for (String line : List.of("TP 9.85", "vk 9.85", "9.85", "V3 9.85V", "9850mV")) {
            assertThat(quad.parse(line))
                    .as(line)
                    .singleElement()
                    .satisfies(entry -> same(entry, ReadingKind.SENSE_VOLTS, "TP", 9.85));
        }
    }

    @Test
    void leftAndRightTestPointsMayBeCalledLAndR() {
        AmpSheet stereo = Amps.with(
                Amps.quad(),
                List.of(
                        new Socket("V1", Side.PUSH, Channel.LEFT, "L"),
                        new Socket("V2", Side.PULL, Channel.LEFT, "L"),
                        new Socket("V3", Side.PUSH, Channel.RIGHT, "R"),
                        new Socket("V4", Side.PULL, Channel.RIGHT, "R")));
        EntryLine line = new EntryLine(stereo);
        assertThat(EntryLine.isReserved("R") || EntryLine.isReserved("L")).isFalse();
        for (String typed : List.of("R 0.98", "0.98 r", "R 0.98V", "V4 0,98")) {
            assertThat(line.parse(typed))
                    .as(typed)
                    .singleElement()
                    .satisfies(entry -> same(entry, ReadingKind.SENSE_VOLTS, "R", 0.98));
        }
        assertThat(line.parse("R rk off 12.4R"))
                .singleElement()
                .satisfies(entry -> same(entry, ReadingKind.RESISTOR_COLD, "R", 12.4));
    }

    @Test
    void notesRunToTheEndOfTheLine() {
        assertThat(pair.parse("note V1 glows 40 % redder").get(0).words()).isEqualTo("V1 glows 40 % redder");
        assertThat(pair.parse("mark before new tubes").get(0).kind()).isEqualTo(ReadingKind.MARK);
    }

    private static void same(Entry entry, ReadingKind kind, String target, double value) {
        assertThat(entry.kind()).isEqualTo(kind);
        assertThat(entry.target()).isEqualTo(target);
        assertThat(entry.value()).isCloseTo(value, within(1e-9));
    }

    /** 1.50 is read to a hundredth of a volt, 36.4 to a tenth of a millivolt, 4k7 to a hundred ohm. */
    @ParameterizedTest
    @CsvSource({"TP 1.50,0.01", "TP 1.5,0.1", "TP 1500mV,0.001", "9.850,0.001", "rk off 4k7,100", "plate 452,1"})
    void keepsWhatTheLastDigitStoodFor(String line, double lastDigit) {
        assertThat(quad.parse(line).get(0).lastDigit()).isCloseTo(lastDigit, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | nothing-typed",
                "V7 38 | no-such-socket",
                "plate | no-number",
                "38 | no-place",
                "V1 NaN | not-understood-in",
                "V1 1e309 | bad-number",
                "plate 452 453 | two-numbers",
                "plate mains 452 | two-kinds",
                "rk 121 | resistance-needs-off",
                "b+ 452 | read-at-the-plate",
                "plate 452ohm | wrong-unit",
                "note | empty-note",
                "mark | empty-mark",
                "on maybe | no-time-since-on",
                "<script>alert(1)</script> | not-understood",
                "\uD83D\uDE00 | not-understood",
                "V1 38parsec | bad-number",
                "ig2 2 | screen-needs-unit",
                "ig2 2mV | no-stopper-on-sheet",
                ";;; | no-reading",
                "V1 V2 38 | two-places",
                "rk off 0 | no-resistance",
                "V1 off -5 | no-resistance"
            })
    void saysWhatWasWrong(String line, String code) {
        assertThatThrownBy(() -> pair.parse(line))
                .isInstanceOfSatisfying(
                        BadEntryException.class,
                        e -> assertThat(e.fault().code()).isEqualTo(code));
    }

    /** Milliamps on a resistor are not refused: they are asked about. */
    @Test
    void milliampsAcrossAResistorAreRead() {
        same(pair.parse("V1 38 mA").get(0), ReadingKind.SENSE_AMPS, "V1", 0.038);
    }

    @Test
    void refusesTenThousandCharactersAndControlCharacters() {
        assertThatThrownBy(() -> pair.parse("9".repeat(10_000)))
                .hasMessageContaining("line-too-long: LineTooLong[characters=10000, most=500");
        assertThatThrownBy(() -> pair.parse("V1 \u0000 38")).hasMessageContaining("not-showable");
        assertThatThrownBy(() -> pair.parse(null)).hasMessageContaining("nothing-typed");
    }

    @Test
    void everyEntryCanBeTypedAgain() {
        AmpSheet sheet = Amps.pair();
        for (String line : List.of(
                "V1 38.2mV",
                "V2 plate 451.5V",
                "mains 119.6V",
                "V1 36.40mV",
                "bias -46.8V",
                "rk off 121.3ohm",
                "plate 505V unloaded")) {
            Entry entry = pair.parse(line).get(0);
            assertThat(EntryWriter.line(entry, sheet)).isEqualTo(line);
        }
    }
}
