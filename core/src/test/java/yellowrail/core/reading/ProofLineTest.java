package yellowrail.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.reading.ProofLine.Role;
import yellowrail.core.reading.ProofLine.What;

class ProofLineTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "clips 16.9 Vrms 8R 1k       | CLIPS | OUTPUT | 16.9",
                "clips 16.9 Vrms 8R 1k       | CLIPS | LOAD | 8",
                "clips 16.9 Vrms 8R 1k       | CLIPS | TONE | 1000",
                "CLIPPING 8.1 ohm 1 kHz 23.9 V peak in 0.42V | CLIPS | OUTPUT | 16.8999",
                "clips 23.9Vp 8R in 420 mV   | CLIPS | DRIVE | 0.42",
                "clips 35W 8R                | CLIPS | POWER | 35",
                "out 47.8 Vpp 8R 50Hz        | OUT | OUTPUT | 16.8998",
                "scope 2.5div 0.1V           | OUT | OUTPUT | 0.0883883",
                "scope 6.5 div 5V/div 8R 1k clips | CLIPS | OUTPUT | 11.4905",
                "scope 4,8div 1V x10 8R      | OUT | OUTPUT | 16.9706",
                "scope 0.5V 6div             | OUT | OUTPUT | 1.06066",
                "hum 2.4mV                   | HUM | OUTPUT | 0.0024",
                "noise 800uV                 | NOISE | OUTPUT | 0.0008",
                "thd 0.7% 1W 1k              | THD | DISTORTION | 0.007",
                "thd 0.7% 1W 1k              | THD | POWER | 1",
                "thd+n 0.9% 1W 1k band 80k   | THD_NOISE | BAND | 80000",
                "thd+n 0.9% 1W 1k band 80k   | THD_NOISE | TONE | 1000",
                "damping 2.83V 3.1V 8R       | DAMPING | OPEN | 3.1",
                "damping open 3.1V loaded 2.83V 8R | DAMPING | OUTPUT | 2.83",
                "response -3dB 31k           | RESPONSE | TONE | 31000",
                "response 1dB 20 Hz          | RESPONSE | DECIBELS | -1",
                "response 31 kHz             | RESPONSE | DECIBELS | -3"
            })
    void readsWhatIsSaid(String line, What what, Role role, double value) {
        ProofLine read = ProofLine.parse(line);

        assertThat(read.what()).isEqualTo(what);
        assertThat(read.figure(role).orElseThrow().value()).isCloseTo(value, within(1e-4 * Math.abs(value)));
    }

    @Test
    void theLastDigitGoesWithIt() {
        assertThat(ProofLine.parse("clips 16.9V 8R")
                        .figure(Role.OUTPUT)
                        .orElseThrow()
                        .lastDigit())
                .isCloseTo(0.1, within(1e-12));
        assertThat(ProofLine.parse("scope 2.5div 0.1V")
                        .figure(Role.OUTPUT)
                        .orElseThrow()
                        .lastDigit())
                .as("a tenth of a division of 0.1 V, top to bottom")
                .isCloseTo(0.1 * 0.1 / 2.8284, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "clips                  | no-proof-figure",
                "clips 8R 1k            | no-proof-figure",
                "hum gone               | not-understood-in",
                "hum 2.4                | no-proof-unit",
                "thd 0.7 1W             | no-proof-unit",
                "thd 1W 1k              | no-proof-figure",
                "clips 16.9V 17V 8R     | two-numbers",
                "clips 16.9V -8R        | proof-beyond",
                "clips 16.9V 0R         | proof-beyond",
                "out -3V 8R             | proof-beyond",
                "thd 5000% 1W           | proof-beyond",
                "scope 2.5div           | scope-half-told",
                "scope 0.1V             | scope-half-told",
                "out 2.5div 8R          | scope-half-told",
                "damping 2.83V 8R       | no-proof-figure",
                "damping 8R             | no-proof-figure",
                "response -3dB          | no-proof-figure",
                "response 3000dB 31k    | proof-beyond",
                "clips 1,690V 8R        | bad-number",
                "clips 16.9furlongs 8R  | not-understood-in"
            })
    void saysWhatIsWrongWithIt(String line, String code) {
        assertThatThrownBy(() -> ProofLine.parse(line))
                .isInstanceOfSatisfying(
                        BadEntryException.class,
                        bad -> assertThat(bad.fault().code()).isEqualTo(code));
    }

    @ParameterizedTest
    @ValueSource(strings = {"clips 16.9 Vrms 8R 1k", "hum 2.4mV", "thd 0.7% 1W 1k", "scope 2.5div 0.1V"})
    void standsInTheLogAsItWasTyped(String line) {
        var sheet = Amps.pair();
        Entry entry = new EntryLine(sheet).parse(line).get(0);

        assertThat(entry.kind()).isEqualTo(ReadingKind.PROOF);
        assertThat(EntryWriter.line(entry, sheet)).isEqualTo(line);
        assertThat(ProofLine.of(entry)).contains(ProofLine.parse(line));
    }

    @Test
    void othersStandBesideItOnTheLine() {
        var read = new EntryLine(Amps.pair()).parse("plate 452; hum 2.4mV; mains 119");

        assertThat(read)
                .extracting(Entry::kind)
                .containsExactly(ReadingKind.PLATE, ReadingKind.PROOF, ReadingKind.MAINS);
    }

    @Test
    void whatCannotBeReadAnyMoreSaysNothing() {
        assertThat(ProofLine.of(Entry.said(ReadingKind.PROOF, "", "clips of old")))
                .isEmpty();
        assertThat(ProofLine.of(Entry.said(ReadingKind.NOTE, "", "hum 2.4mV"))).isEmpty();
    }
}
