package yellowrail.core.ring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import yellowrail.core.chart.Point;
import yellowrail.core.finding.Finding;

class TapsTest {

    private static final int RATE = 48_000;
    private static final double HUM = 0.01;

    /** Hum, noise and a thump; after each tap a ring. */
    private static double[] recording(double seconds, double[] taps, double hertz, double fall, double level) {
        Random chance = new Random(7);
        double[] samples = new double[(int) (seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            double t = (double) i / RATE;
            samples[i] = HUM * Math.sin(2 * Math.PI * 60 * t)
                    + 0.5 * HUM * Math.sin(2 * Math.PI * 120 * t + 1)
                    + 1e-4 * chance.nextGaussian();
            for (double tap : taps) {
                if (t >= tap) {
                    double after = t - tap;
                    samples[i] += level * Math.exp(-fall * after) * Math.sin(2 * Math.PI * hertz * after)
                            + 0.05 * Math.exp(-after / 0.012) * Math.sin(2 * Math.PI * 45 * after)
                            + (after < 0.0015 ? 0.03 * chance.nextGaussian() : 0);
                }
            }
        }
        return samples;
    }

    private static Taps heard(double[] samples) {
        return new TapAnalysis(RATE, 60).of(samples);
    }

    private static List<Finding> notes(double[] samples) {
        return new TapNotes(RATE, 60).of(samples, heard(samples).struck());
    }

    @Test
    void everyTapIsFoundAndItsRingFitted() {
        double[] taps = {0.7, 1.5, 2.6};
        for (double hertz : new double[] {310, 842.7, 3177}) {
            for (double fall : new double[] {6, 30, 120}) {
                double[] samples = recording(3.6, taps, hertz, fall, 0.02);
                Taps heard = heard(samples);

                assertThat(notes(samples)).isEmpty();
                assertThat(heard.struck()).hasSize(3);
                assertThat(heard.rings()).as("%s Hz, %s 1/s", hertz, fall).hasSize(3);
                // Of a ring of a few turns the thump takes its part.
                double loose = fall > 100 ? 3 : 1;
                for (int i = 0; i < 3; i++) {
                    Ring ring = heard.rings().get(i);
                    assertThat(ring.at()).isCloseTo(taps[i], within(0.004));
                    assertThat(ring.hertz()).isCloseTo(hertz, within(loose * 3e-3 * hertz));
                    assertThat(ring.fall()).isCloseTo(fall, within(loose * 0.06 * fall));
                    assertThat(ring.level()).isCloseTo(0.02, within(loose * 0.1 * 0.02));
                    assertThat(ring.decay()).isCloseTo(6.908 / fall, within(loose * 0.07 * 6.908 / fall));
                }
            }
        }
    }

    @Test
    void whatIsLeftOpenHoldsTheTruth() {
        Ring ring = heard(recording(3, new double[] {1}, 900, 20, 0.01)).rings().get(0);

        assertThat(Math.abs(ring.hertz() - 900)).isLessThan(3 * ring.hertzPlusMinus());
        assertThat(ring.hertzPlusMinus()).isBetween(1e-4, 0.5);
        assertThat(Math.abs(ring.fall() - 20)).isLessThan(3 * ring.fallPlusMinus());
    }

    @Test
    void humAndNoiseAloneAreNoTap() {
        double[] quiet = recording(3, new double[0], 900, 20, 0.01);

        assertThat(heard(quiet).struck()).isEmpty();
        assertThat(notes(quiet)).containsExactly(new RingFinding.NothingStruck(3));
        assertThat(notes(new double[RATE])).containsExactly(new RingFinding.NothingStruck(1));
        assertThat(heard(new double[0]).rings()).isEmpty();
    }

    @Test
    void aThumpWithoutARingIsATapOfADeadTube() {
        Taps heard = heard(recording(3, new double[] {1, 2}, 900, 20, 0));

        assertThat(heard.struck()).hasSize(2);
        assertThat(heard.rings()).isEmpty();
        assertThat(Ringing.of("V1", OptionalDouble.empty(), 2, heard.rings()).verdict())
                .isEqualTo(new RingFinding.Dead(2));
    }

    @Test
    void aTubeThatSingsBeforeItIsStruckIsTold() {
        double[] samples = recording(3, new double[] {2}, 900, 20, 0.02);
        for (int i = 0; i < samples.length; i++) {
            samples[i] += 0.01 * Math.sin(2 * Math.PI * 640 * i / RATE);
        }

        assertThat(notes(samples))
                .singleElement()
                .isInstanceOfSatisfying(
                        RingFinding.SoundsByItself.class,
                        told -> assertThat(told.hertz()).isCloseTo(640, within(2.0)));
    }

    @Test
    void aRingThatDoesNotFallNeverStops() {
        List<Ring> rings = heard(recording(3, new double[] {1}, 900, 0, 0.02)).rings();

        assertThat(Ringing.of("V1", OptionalDouble.empty(), 1, rings).verdict())
                .isInstanceOfSatisfying(
                        RingFinding.NeverStops.class,
                        told -> assertThat(told.hertz()).isCloseTo(900, within(1.0)));
    }

    @Test
    void manyTapsAreFittedToABoundAndAFullCardIsTold() {
        double[] taps = new double[15];
        for (int i = 0; i < taps.length; i++) {
            taps[i] = 0.3 + 0.4 * i;
        }
        double[] samples = recording(6.8, taps, 900, 40, 0.1);
        samples[(int) (0.3001 * RATE)] = 1;

        Taps heard = heard(samples);

        assertThat(heard.rings()).hasSize(TapAnalysis.MOST);
        assertThat(notes(samples)).contains(new RingFinding.CardFull());
        assertThat(notes(samples)).anyMatch(RingFinding.MoreTaps.class::isInstance);
    }

    /** Where the line of a ring is drawn, what was heard lies on it. */
    @Test
    void theStraightLineLiesOnWhatWasHeard() {
        double[] samples = recording(3, new double[] {1}, 900, 8, 0.05);
        Taps taps = heard(samples);

        RingTrace trace = RingTrace.of(samples, RATE, taps, 600);

        List<Point> line = trace.fitted().get(0);
        double slope = (line.get(1).y() - line.get(0).y())
                / (line.get(1).x() - line.get(0).x());
        assertThat(slope).isCloseTo(-8 * 8.686, within(1.0));
        trace.heard().stream()
                .filter(point -> point.x() > 1.05 && point.x() < 1.2)
                .forEach(point -> assertThat(point.y())
                        .isCloseTo(
                                line.get(0).y()
                                        + slope * (point.x() - line.get(0).x()),
                                within(1.0)));
    }
}
