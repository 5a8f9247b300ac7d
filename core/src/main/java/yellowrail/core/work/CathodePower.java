package yellowrail.core.work;

import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.bias.cathode.CathodeIdle;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.idle.LastRead;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.tube.TubeType;

/**
 * What a stage gives at full drive before and after it gets cathode bias; the cathodes' volts are lost to the plates.
 */
public final class CathodePower {

    private CathodePower() {}

    /** @return W before and after; empty where one of the two does not settle */
    public static Optional<double[]> of(AmpSheet sheet, LastRead read, TubeType type, GridNeed need, CathodeIdle idle) {
        try {
            OutputStage fixed = AmpStage.of(sheet, read, type, need.model()).stage();
            OutputStage lifted = AmpStage.atIdle(
                    fixed.at(fixed.plateVolts() - idle.cathodeVolts(), fixed.screenVolts() - idle.cathodeVolts()),
                    idle.hottestWatts() / (fixed.plateVolts() - idle.cathodeVolts()),
                    true);
            return Optional.of(new double[] {
                new FullDrive(fixed).compute().powerWatts(),
                new FullDrive(lifted).compute().powerWatts()
            });
        } catch (UnsettledException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
