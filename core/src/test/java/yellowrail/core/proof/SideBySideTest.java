package yellowrail.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.proof.ProofSettings.Proven;
import yellowrail.core.proof.SideBySide.Cell;
import yellowrail.core.proof.SideBySide.Column;
import yellowrail.core.proof.SideBySide.Row;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;

class SideBySideTest {

    private static List<Proven> settings(String... lines) {
        List<Reading> log = ByHandTest.log(lines);
        Timeline timeline = Timeline.of(TubeCatalogue.published(), Amps.pair(), Moment.EMPTY, log);
        return new ProofSettings(timeline, log).of(ByHand.all(log), List.of());
    }

    private static List<Row> compared(OptionalDouble before, OptionalDouble after, String... lines) {
        List<Proven> settings = settings(lines);
        assertThat(settings).hasSize(2);
        return SideBySide.of(List.of(
                new Column(settings.get(0).figures(), before),
                new Column(settings.get(1).figures(), after)));
    }

    private static Cell second(String... lines) {
        return compared(OptionalDouble.empty(), OptionalDouble.empty(), lines)
                .get(0)
                .cells()
                .get(1)
                .orElseThrow();
    }

    @Test
    void aTurnPartsSettingsAndPowerDoesNot() {
        assertThat(settings("hum 2.4mV", "off", "on", "hum 2.5mV")).hasSize(1);
        assertThat(settings("hum 2.4mV", "turn RANGE clockwise", "V1 38mV", "hum 2.5mV"))
                .extracting(each -> each.figures().size())
                .containsExactly(1, 1);
        assertThat(settings("hum 2.4mV", "tube V1 EL34", "hum 2.5mV")).hasSize(2);
    }

    @Test
    void repeatsTellWhatADifferenceIsWorth() {
        // Means 2.45 and 3.05 mV, s = 0.0707 with two degrees of freedom, t = 4.303: anything under 0.304 is none.
        Cell hum = second("hum 2.4mV", "hum 2.5mV", "turn RANGE clockwise", "hum 3.0mV", "hum 3.1mV");

        assertThat(hum.mean()).isCloseTo(0.00305, within(1e-9));
        assertThat(hum.repeats()).isEqualTo(2);
        assertThat(hum.says().orElseThrow())
                .isInstanceOfSatisfying(
                        ProofFinding.Differs.class,
                        says -> assertThat(says.ratio()).isCloseTo(0.2449, within(1e-4)));
        assertThat(second("hum 2.4mV", "hum 2.5mV", "turn RANGE clockwise", "hum 2.6mV", "hum 2.7mV")
                        .says()
                        .orElseThrow())
                .isInstanceOfSatisfying(
                        ProofFinding.WithinTheScatter.class,
                        says -> assertThat(says.scatter()).isCloseTo(0.30423 / 2.45, within(1e-4)));
    }

    @Test
    void onceEachTellsNothingOfTheScatter() {
        assertThat(second("hum 2.4mV", "turn RANGE clockwise", "hum 3.0mV")
                        .says()
                        .orElseThrow())
                .isInstanceOf(ProofFinding.OnceEach.class);
    }

    @Test
    void otherLoadMainsOrBandAreNotCompared() {
        assertThat(second("clips 16.9V 8R 1k", "turn RANGE clockwise", "clips 12V 4R 1k")
                        .says())
                .contains(new ProofFinding.OtherLoad(8, 4));
        assertThat(second("thd+n 1% 1W 1k band 20k", "turn RANGE clockwise", "thd+n 1.1% 1W 1k band 80k")
                        .says())
                .contains(new ProofFinding.OtherBand(20_000, 80_000));
        assertThat(compared(
                                OptionalDouble.of(120),
                                OptionalDouble.of(116),
                                "hum 2.4mV",
                                "turn RANGE clockwise",
                                "hum 3mV")
                        .get(0)
                        .cells()
                        .get(1)
                        .orElseThrow()
                        .says())
                .contains(new ProofFinding.OtherMains(120, 116));
    }

    @Test
    void anotherToneOrPowerIsAnotherQuestion() {
        List<Row> rows = compared(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                "thd 0.7% 1W 1k",
                "thd 0.9% 1W 50Hz",
                "turn RANGE clockwise",
                "thd 0.6% 1.05W 1010Hz",
                "thd 3% 10W 1k");

        assertThat(rows).hasSize(3);
        assertThat(rows.get(0).cells()).allMatch(cell -> cell.isPresent());
        assertThat(rows.get(1).cells().get(1)).isEmpty();
        assertThat(rows.get(2).cells().get(0)).isEmpty();
    }
}
