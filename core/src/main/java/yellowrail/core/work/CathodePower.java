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
 *
 * @param before W
 * @param after W
 */
public record CathodePower(double before, double after) {

    /** @return empty where one of the two does not settle, or no volts are left */
    public static Optional<CathodePower> of(
            AmpSheet sheet, LastRead read, TubeType type, GridNeed need, CathodeIdle idle) {
        OutputStage fixed = AmpStage.of(sheet, read, type, need.model()).stage();
        double plate = fixed.plateVolts() - idle.cathodeVolts();
        double screen = fixed.screenVolts() - idle.cathodeVolts();
        if (!(plate > 0 && screen > 0)) {
            return Optional.empty();
        }
        try {
            OutputStage lifted = AmpStage.atIdle(fixed.at(plate, screen), idle.hottestWatts() / plate, true);
            return Optional.of(new CathodePower(
                    new FullDrive(fixed).compute().powerWatts(),
                    new FullDrive(lifted).compute().powerWatts()));
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }
}
