package yellowrail.core.tube.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.tube.model.OwnTube.Reading;
import yellowrail.core.tube.model.OwnTube.What;

class OwnTubeTest {

    private static final TubeModel TYPE =
            TubeModels.published().of(Amps.type("6L6GC")).orElseThrow().model();

    private static Reading reading(TubeModel tube, double plate, double screen, double grid, double error) {
        return new Reading(
                plate, screen, grid, What.CATHODE_CURRENT, tube.cathodeCurrent(plate, screen, grid), error, 0);
    }

    /** At two conditions that pull differently both can be told. */
    @Test
    void aTubeIsFoundAgain() {
        TubeModel tube = TYPE.withMu(1.05).scaled(0.85);
        OwnTube own = OwnTube.of(
                        TYPE,
                        List.of(
                                reading(tube, 250, 250, -14, 0.01),
                                reading(tube, 450, 400, -37, 0.01),
                                reading(tube, 450, 400, -46, 0.01)))
                .orElseThrow();
        assertThat(own.isUsual()).isTrue();
        assertThat(own.current()).isCloseTo(0.85, within(0.02));
        assertThat(own.mu()).isCloseTo(1.05, within(0.01));
        assertThat(own.of(TYPE).cathodeCurrent(430, 380, -40))
                .isCloseTo(tube.cathodeCurrent(430, 380, -40), within(2e-4));
    }

    /** Current and transconductance at one condition tell both. */
    @Test
    void aTesterTellsBoth() {
        TubeModel tube = TYPE.withMu(1.08).scaled(0.9);
        OwnTube own = OwnTube.of(
                        TYPE,
                        List.of(
                                reading(tube, 250, 250, -14, 0.01),
                                new Reading(
                                        250,
                                        250,
                                        -14,
                                        What.TRANSCONDUCTANCE,
                                        tube.transconductance(250, 250, -14),
                                        0.01,
                                        0)))
                .orElseThrow();
        assertThat(own.current()).isCloseTo(0.9, within(0.03));
        assertThat(own.mu()).isCloseTo(1.08, within(0.02));
    }

    @Test
    void farFromItsTypeIsFarFromItsType() {
        TubeModel tube = TYPE.withMu(1.3).scaled(1.6);
        OwnTube own = OwnTube.of(TYPE, List.of(reading(tube, 250, 250, -14, 0.02), reading(tube, 450, 400, -37, 0.02)))
                .orElseThrow();
        assertThat(own.isUsual()).isFalse();
    }

    /** One reading fixes what is drawn there, and leaves open whether perveance or cut-off made it. */
    @Test
    void oneReadingTellsOneThing() {
        TubeModel tube = TYPE.withMu(0.96).scaled(1.1);
        OwnTube own =
                OwnTube.of(TYPE, List.of(reading(tube, 450, 400, -40, 0.02))).orElseThrow();
        assertThat(own.of(TYPE).cathodeCurrent(450, 400, -40))
                .isCloseTo(tube.cathodeCurrent(450, 400, -40), within(0.02 * 0.05));
        assertThat(own.currentPlusMinus()).isGreaterThan(0.1);
        assertThat(own.muPlusMinus()).isGreaterThan(0.03);
        assertThat(OwnTube.of(TYPE, List.of(new Reading(450, 400, 3, What.CATHODE_CURRENT, 0.04, 0.02, 0))))
                .isEmpty();
    }

    /** The truth lies within the ± as often as it says: tubes as they scatter, readings as meters err. */
    @Test
    void thePlusMinusHolds() {
        Random chance = new Random(12);
        int tubes = 600;
        int currentHeld = 0;
        int muHeld = 0;
        for (int i = 0; i < tubes; i++) {
            double current = Math.exp(0.20 * chance.nextGaussian());
            double mu = Math.exp(0.06 * chance.nextGaussian());
            TubeModel tube = TYPE.withMu(mu).scaled(current);
            List<Reading> readings = new ArrayList<>();
            for (int j = 0; j < 1 + i % 5; j++) {
                double plate = 250 + 200 * chance.nextDouble();
                double screen = 0.9 * plate;
                double grid = TYPE.gridFor(0.02 + 0.05 * chance.nextDouble(), plate, screen);
                double error = 0.02 + 0.06 * chance.nextDouble();
                double gridError = 0.6 * chance.nextDouble();
                double amps = tube.cathodeCurrent(plate, screen, grid) * (1 + error / 2 * chance.nextGaussian());
                readings.add(new Reading(
                        plate,
                        screen,
                        grid + gridError / 2 * chance.nextGaussian(),
                        What.CATHODE_CURRENT,
                        amps,
                        error,
                        gridError));
            }
            OwnTube own = OwnTube.of(TYPE, readings).orElseThrow();
            currentHeld += Math.abs(own.current() - current) <= own.currentPlusMinus() ? 1 : 0;
            muHeld += Math.abs(own.mu() - mu) <= own.muPlusMinus() ? 1 : 0;
        }
        System.out.printf("%nOwn tubes: current within its ± %d of %d, mu %d%n", currentHeld, tubes, muHeld);
        assertThat(currentHeld).isBetween((int) (0.90 * tubes), (int) (0.99 * tubes));
        assertThat(muHeld).isBetween((int) (0.90 * tubes), (int) (0.99 * tubes));
    }
}
