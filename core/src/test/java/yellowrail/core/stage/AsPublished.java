package yellowrail.core.stage;

import yellowrail.core.root.Root;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModel;

/** A published operation by a model, driven as far as its sheet drives it: to the grid’s edge or to a distortion. */
final class AsPublished {

    private static final double LEAST_PART = 0.3;
    private static final double PART_TOLERANCE = 1e-4;

    private AsPublished() {}

    static Performance of(PublishedOperation operation, TubeModel model) {
        OutputStage stage = OutputStage.of(operation, model);
        Performance full = new FullDrive(stage).compute();
        if (operation.isToTheEdge() || full.distortion() <= operation.distortion()) {
            return full;
        }
        double part = Root.between(
                drive -> new FullDrive(stage, FullDrive.STEPS, drive).compute().distortion() - operation.distortion(),
                LEAST_PART,
                1,
                PART_TOLERANCE);
        return new FullDrive(stage, FullDrive.STEPS, part).compute();
    }
}
