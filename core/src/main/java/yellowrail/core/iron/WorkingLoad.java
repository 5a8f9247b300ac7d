package yellowrail.core.iron;

import java.util.Comparator;
import java.util.List;
import yellowrail.core.tube.model.PublishedOperation;

/** For which tubes a load is a published one. */
public final class WorkingLoad {

    /** As far apart two published loads of the same tubes are. */
    private static final double NEAR = 0.15;

    private WorkingLoad() {}

    /** @return the nearest of each type first, each type once */
    public static List<PublishedOperation> near(double ohms, boolean pushPull) {
        List<PublishedOperation> near = PublishedOperation.all().stream()
                .filter(operation -> operation.pushPull() == pushPull && apart(operation, ohms) <= Math.log1p(NEAR))
                .sorted(Comparator.comparingDouble(operation -> apart(operation, ohms)))
                .toList();
        return near.stream()
                .filter(operation -> near.stream()
                        .filter(other -> other.type().equals(operation.type()))
                        .findFirst()
                        .orElseThrow()
                        .equals(operation))
                .toList();
    }

    private static double apart(PublishedOperation operation, double ohms) {
        return Math.abs(Math.log(operation.loadOhms() / ohms));
    }
}
