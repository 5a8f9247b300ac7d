package yellowrail.core.tube.model;

import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.resource.CsvResource;

/**
 * One published operation of a whole stage: what a model is held against, and what loads a type works into. SI; empty
 * where not published.
 *
 * @param pushPull else single-ended
 * @param loadOhms plate to plate, single-ended on the plate
 * @param distortion total, as a ratio
 */
public record PublishedOperation(
        String type,
        boolean pushPull,
        double plateVolts,
        double screenVolts,
        double gridVolts,
        double idlePlateAmps,
        OptionalDouble fullPlateAmps,
        double idleScreenAmps,
        OptionalDouble fullScreenAmps,
        double loadOhms,
        double watts,
        double distortion) {

    private static final List<PublishedOperation> ALL =
            CsvResource.records(PublishedOperation.class, "typical-operation.csv").stream()
                    .map(PublishedOperation::of)
                    .toList();

    public static List<PublishedOperation> all() {
        return ALL;
    }

    private static PublishedOperation of(CSVRecord row) {
        return new PublishedOperation(
                row.get("type"),
                row.get("stage").equals("PP"),
                number(row, "va"),
                number(row, "vg2"),
                number(row, "vg1"),
                number(row, "ia_idle") / 1e3,
                milliamps(row, "ia_full"),
                number(row, "ig2_idle") / 1e3,
                milliamps(row, "ig2_full"),
                1e3 * number(row, "load_k"),
                number(row, "watts"),
                number(row, "thd_percent") / 100);
    }

    private static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    private static OptionalDouble milliamps(CSVRecord row, String column) {
        return row.get(column).isBlank() ? OptionalDouble.empty() : OptionalDouble.of(number(row, column) / 1e3);
    }

    public int tubes() {
        return pushPull ? 2 : 1;
    }

    /** One tube at rest. */
    StaticPoint idle() {
        return new StaticPoint(
                type,
                plateVolts,
                screenVolts,
                gridVolts,
                idlePlateAmps / tubes(),
                idleScreenAmps / tubes(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /**
     * Push-pull, the current a tube carries at the peak, when its grid just meets the cathode: the published power asks
     * for it, A.
     */
    double kneeAmps() {
        return Math.sqrt(8 * watts / loadOhms);
    }

    /** The plate voltage at that moment, V. */
    double kneeVolts() {
        return plateVolts - kneeAmps() * loadOhms / 4;
    }

    /** As it is called in tables of numbers. */
    @Override
    public String toString() {
        return "%s %s, %.0f/%.0f V".formatted(type, pushPull ? "PP" : "SE", plateVolts, screenVolts);
    }
}
