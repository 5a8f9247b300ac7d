package yellowrail.core.iron;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Told;
import yellowrail.core.finding.Code;

class IronTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private static OptionalDouble of(double value) {
        return OptionalDouble.of(value);
    }

    private static RatioMeasurement test(double primary, double... taps) {
        return new RatioMeasurement(
                true,
                primary,
                IntStream.range(0, taps.length)
                        .mapToObj(i -> new RatioMeasurement.Tap("tap " + (i + 1), taps[i], NO))
                        .toList(),
                NO,
                NO,
                NO,
                NO,
                NO,
                NO);
    }

    /** 67.2 / 2.40 = 28.0; 28.0 squared 784; 784 x 8 = 6272. */
    @Test
    void aMeasuredPairOfVoltsMakesTheRatio() {
        Reflection reflection = Reflection.measured(67.2, 2.40, 8, NO);
        assertThat(reflection.verdict())
                .as("volts alone do not tell what the primary was made for")
                .isEmpty();
        assertThat(reflection.turnsRatio()).isCloseTo(28.0, within(1e-9));
        assertThat(reflection.impedanceRatio()).isCloseTo(784, within(1e-9));
        assertThat(reflection.reflectedOhms()).isCloseTo(6272, within(1e-9));
        RatioMeasurement.Found found = test(67.2, 2.40).found().get(0);
        assertThat(found.primaryOhms())
                .usingElementComparator((one, other) -> Math.abs(one - other) < 1e-6 ? 0 : 1)
                .containsExactly(784 * 2.0, 784 * 4.0, 784 * 8.0, 784 * 16.0);
        assertThat(test(67.2, 2.40).caution()).isInstanceOfSatisfying(IronFinding.StepsUp.class, caution -> {
            assertThat(caution.turns()).isCloseTo(28.0, within(1e-9));
            assertThat(caution.fed()).isCloseTo(1.786, within(1e-3));
            assertThat(caution.touch()).isEqualTo(50);
        });
    }

    @ParameterizedTest
    @CsvSource({
        "8, 16, 13200, light",
        "8, 4, 3300, heavy",
        "16, 16, 6600, matched",
        "8, 8, 6600, matched",
        "8, 20, 16500, far-too-light",
        "8, 3, 2475, far-too-heavy",
        "8, 0, 0, shorted",
        "4, 8, 13200, light"
    })
    void aSpeakerOnATapIsTold(double tap, double speaker, double reflected, String verdict) {
        Reflection reflection = Reflection.onTap(6600, tap, speaker);
        assertThat(reflection.reflectedOhms()).isCloseTo(reflected, within(1e-6));
        assertThat(Code.of(reflection.verdict().orElseThrow())).isEqualTo(verdict);
    }

    @Test
    void anOpenOutputIsAStop() {
        assertThat(Reflection.onTap(6600, 8, Double.POSITIVE_INFINITY).verdict())
                .contains(LoadVerdict.OPEN);
        assertThat(LoadVerdict.OPEN.isStop()).isTrue();
        assertThatThrownBy(() -> Reflection.onTap(0, 8, 8)).hasMessageContaining("more than 0, was 0.0");
        assertThatThrownBy(() -> Reflection.measured(67, 0, 8, NO)).hasMessageContaining("secondary\u2019s voltage");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "8 | 6600",
                "8//8 | 3300",
                "16@16 | 6600",
                "8+8 | 13200",
                "(8+8)//16 | 6600",
                "8@8, 16@16 | 3300",
                "16@8, 16 ohm @ 16 | 4400",
                "open | Infinity",
                "4@4, open | 6600"
            })
    void hookupsAreReflectedByTheirTaps(String written, double ohms) {
        assertThat(Hookup.parse(written).reflected(6600, 8)).isCloseTo(ohms, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "eight | no-hookup",
                "8+ | no-hookup",
                "8@@8 | hookup-parts",
                "8@open | tap-not-named",
                "(8 | no-hookup",
                ", | hookup-parts",
                "8 8 | no-hookup"
            })
    void hookupsThatCannotBeReadAreTold(String written, String code) {
        assertThatThrownBy(() -> Hookup.parse(written))
                .isInstanceOfSatisfying(
                        BadHookupException.class,
                        e -> assertThat(e.fault().code()).isEqualTo(code));
    }

    @Test
    void tapsAreNamedByTheSquaresOfTheirVolts() {
        List<RatioMeasurement.TapSet> sets = test(67.2, 1.70, 2.40, 3.39).tapSets();
        assertThat(sets)
                .extracting(RatioMeasurement.TapSet::speakers)
                .containsExactly(List.of(2.0, 4.0, 8.0), List.of(4.0, 8.0, 16.0));
        assertThat(sets.get(0).primaryOhms()).isCloseTo(3125, within(1.0));
        assertThat(sets.get(1).primaryOhms()).isCloseTo(6250, within(2.0));
        assertThat(test(67.2, 1.70, 2.80).doubts()).singleElement().isInstanceOf(IronFinding.TapsDoNotFit.class);
        assertThat(test(67.2, 2.40).doubts()).isEmpty();
        assertThat(test(67.2, 30).doubts()).singleElement().isInstanceOf(IronFinding.TooFewTurns.class);
        assertThat(test(67.2, 0.0024).doubts()).singleElement().isInstanceOf(IronFinding.TooManyTurns.class);
    }

    @Test
    void halvesTapsCopperAndTheSourceAreHeldAgainstOneAnother() {
        RatioMeasurement good = new RatioMeasurement(
                true,
                67.2,
                List.of(new RatioMeasurement.Tap("8", 2.40, of(0.4))),
                of(33.6),
                of(33.5),
                of(14.4),
                of(2.5),
                of(10),
                of(240));
        assertThat(good.screenTap().orElseThrow()).isCloseTo(14.4 / 33.6, within(1e-12));
        assertThat(good.doubts()).isEmpty();
        // 8 x 784 = 6272; copper 240 and 0.4 x 784 = 314: 1 - 6272 / 6826 = 8.1 %.
        assertThat(good.found().get(0).loss().orElseThrow()[0]).isCloseTo(0.0811, within(1e-4));
        assertThat(good.corePart().orElseThrow()).isCloseTo(0.1 / 10 * 8 / 2.4, within(1e-9));
        RatioMeasurement bad = new RatioMeasurement(
                true,
                67.2,
                List.of(new RatioMeasurement.Tap("8", 2.40, NO)),
                of(33.6),
                of(29.0),
                of(33.5),
                of(6),
                of(10),
                NO);
        assertThat(bad.doubts())
                .extracting(IronFinding::code)
                .containsExactly("halves-differ", "halves-do-not-add-up", "no-screen-tap", "source-sags");
        assertThat(Told.one(bad.doubts(), IronFinding.SourceSags.class).part()).isCloseTo(1.20, within(1e-9));
        assertThatThrownBy(() -> test(0, 2.4)).hasMessageContaining("takes the volts");
    }

    /** At fs the moving system is Re Qms/Qes on top of Re: 6.3 (1 + 4/0.7) = 42.3. */
    @Test
    void aSpeakerByItsSmallSignalParameters() {
        Speaker speaker = new SmallSignalSpeaker(6.3, 80, 4, 0.7, 0.0006, 0.65);
        assertThat(speaker.at(80).ohms()).isCloseTo(42.4, within(0.8));
        assertThat(speaker.resonance().hertz()).isCloseTo(80, within(2.0));
        assertThat(speaker.least().ohms()).isBetween(6.3, 9.0);
        assertThat(speaker.at(5000).ohms()).isGreaterThan(speaker.least().ohms());
        assertThat(speaker.at(5000).degrees()).isPositive();
        assertThat(speaker.at(100).degrees()).isNegative();
        assertThat(new SmallSignalSpeaker(6, 80, 4, 0.7, 0.001, 1).at(1e5).ohms())
                .as("a plain inductance")
                .isCloseTo(2 * Math.PI * 1e5 * 0.001, within(1.0));
        assertThatThrownBy(() -> new SmallSignalSpeaker(0, 80, 4, 0.7, 0, 1))
                .hasMessageContaining("more than 0, was 0.0");
    }

    @Test
    void aMeasuredFileIsReadWithItsGaps() {
        ImpedanceFile file = ImpedanceFile.parse(
                "* woofer on the bench\nfreq ohms phase\n20 8.0 20\n40, 16.0, 30\n400;7;-5\n20000\t25\t50\n");
        assertThat(file.faults()).isEmpty();
        assertThat(file.points()).isEqualTo(4);
        assertThat(file.remarks()).hasSize(2).first().isEqualTo(new ImpedanceFinding.Gap(40, 400));
        assertThat(file.speaker().orElseThrow().at(Math.sqrt(20 * 40)).ohms())
                .isCloseTo(Math.sqrt(8 * 16), within(1e-9));
        assertThat(file.speaker().orElseThrow().at(5).ohms()).isEqualTo(8);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "8 20 0;9 40 0;8.5 80 0;7 160 0 | columns-swapped",
                "20 8;40 9;30 7 | frequencies-fall",
                "20;40 | one-column",
                "20 8,5x;40 9 | no-numbers",
                "20 -8;40 9 | cannot-be",
                "hello;world | no-figures",
                "20 8 400;40 8 0 | cannot-be-with-phase",
                "',,,;;;\t' | no-figures"
            })
    void filesThatCannotBeUsedSayWhy(String rows, String code) {
        ImpedanceFile file = ImpedanceFile.parse(rows.replace(";", "\n"));
        assertThat(file.speaker()).isEmpty();
        assertThat(file.faults()).extracting(ImpedanceFinding::code).contains(code);
    }

    @Test
    void aHundredThousandLinesAreThinnedOut() {
        String text = IntStream.range(0, 100_000)
                .mapToObj(i -> "%.4f %.3f 5".formatted(20 * Math.pow(1000, i / 100_000.0), 8 + Math.sin(i / 9000.0)))
                .collect(Collectors.joining("\n"));
        ImpedanceFile file = ImpedanceFile.parse(text);
        assertThat(Told.one(file.remarks(), ImpedanceFinding.Thinned.class).points())
                .isEqualTo(100_000);
        assertThat(Told.one(file.remarks(), ImpedanceFinding.Thinned.class).kept())
                .isBetween(1000, 1200);
        assertThat(ImpedanceFile.parse(text + "\n" + text + "\n" + text).faults())
                .extracting(ImpedanceFinding::code)
                .contains("too-many-lines");
    }

    /** The nominal impedance holds at a few frequencies only: twice beside the resonance, once in the treble. */
    @Test
    void aSpeakerCrossesItsNominal() {
        Speaker speaker = new SmallSignalSpeaker(6, 80, 6, 0.8, 0.8e-3, 0.65);
        List<Double> crossings = speaker.crossings(8);
        assertThat(crossings).hasSize(3).isSorted();
        for (double hertz : crossings) {
            assertThat(speaker.at(hertz).ohms()).isCloseTo(8, within(0.02));
        }
        assertThat(new Speaker.Nominal(8).crossings(8)).isEmpty();
        assertThat(speaker.crossings(500)).isEmpty();
    }
}
