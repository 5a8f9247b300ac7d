package yellowrail.core.iron;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yellowrail.core.tube.model.PublishedOperation;

/** For which tubes a load is a published one. */
public final class WorkingLoad {

    /** As far apart two published loads of the same tubes are. */
    private static final double NEAR = 0.15;

    private WorkingLoad() {}

    /** @return the nearest of each type first, each type once */
    public static List<PublishedOperation> near(double ohms, boolean pushPull) {
        Map<String, PublishedOperation> nearest = new LinkedHashMap<>();
        PublishedOperation.all().stream()
                .filter(operation -> operation.pushPull() == pushPull && apart(operation, ohms) <= Math.log1p(NEAR))
                .sorted(Comparator.comparingDouble(operation -> apart(operation, ohms)))
                .forEach(operation -> nearest.putIfAbsent(operation.type(), operation));
        return List.copyOf(nearest.values());
    }

    private static double apart(PublishedOperation operation, double ohms) {
        return Math.abs(Math.log(operation.loadOhms() / ohms));
    }
}
