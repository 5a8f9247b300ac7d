package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

class EnergyTest {

    private static final int STAGES = 5000;

    /** What the supplies give goes into the load, the copper, the plates, the screens and their stoppers. */
    @Test
    void nothingIsLostInAnyStage() {
        Random chance = new Random(3);
        List<KnownModel> models = TubeModels.published().all();
        int computed = 0;
        double worst = 0;
        for (int i = 0; i < STAGES; i++) {
            OutputStage stage = any(models.get(i % models.size()), chance);
            double part = chance.nextInt(4) == 0 ? 1 + chance.nextDouble() : 0.1 + 0.9 * chance.nextDouble();
            Energy energy;
            try {
                energy = new FullDrive(stage, 64, part).compute().energy();
            } catch (UnsettledException e) {
                continue;
            }
            computed++;
            double ends = energy.load() + energy.copper() + energy.plates() + energy.screens() + energy.stoppers();
            // A stage that carries next to nothing is compared as if it carried a milliwatt.
            double apart = Math.abs(ends - energy.supplied()) / (energy.supplied() + 1e-3);
            assertThat(apart).as("%d: %s", i, stage).isLessThan(0.001);
            worst = Math.max(worst, apart);
        }
        System.out.printf("%nEnergy of %d stages of %d: worst %.4f %%%n", computed, STAGES, 100 * worst);
        assertThat(computed).isGreaterThan((int) (0.99 * STAGES));
    }

    private static OutputStage any(KnownModel known, Random chance) {
        boolean pushPull = chance.nextBoolean();
        double volts = 150 + 500 * chance.nextDouble();
        OutputStage stage = new OutputStage(
                known.model(),
                pushPull ? Topology.PUSH_PULL : Topology.SINGLE_ENDED,
                1 + chance.nextInt(4),
                volts,
                volts * (0.5 + 0.5 * chance.nextDouble()),
                Connection.values()[chance.nextInt(3)],
                0.1 + 0.8 * chance.nextDouble(),
                chance.nextBoolean()
                        ? OutputStage.Bias.fixed(-70 * chance.nextDouble())
                        : OutputStage.Bias.cathode(20 * Math.pow(100, chance.nextDouble())),
                500 * Math.pow(40, chance.nextDouble()),
                new OutputStage.Losses(
                        chance.nextBoolean() ? 0 : 200 * chance.nextDouble(),
                        300 * chance.nextDouble(),
                        chance.nextBoolean() ? 0 : 400 * chance.nextDouble(),
                        chance.nextBoolean() ? 0 : 3000 * chance.nextDouble(),
                        chance.nextBoolean() ? 0 : 1500 * chance.nextDouble()));
        return pushPull && chance.nextBoolean()
                ? stage.with(new OutputStage.OtherSide(
                        known.model().scaled(0.7 + 0.6 * chance.nextDouble()).withMu(0.9 + 0.2 * chance.nextDouble()),
                        6 * chance.nextDouble() - 3))
                : stage;
    }
}
