package yellowrail.core.tube.model;

import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.resource.CsvResource;

/**
 * One published operation of a whole stage: what a model is held against, and what loads a type works into. SI; empty
 * where not published.
 *
 * @param triode a tube without a screen; its screen volts are the plate’s
 * @param pushPull else single-ended
 * @param loadOhms plate to plate, single-ended on the plate
 * @param distortion total, as a ratio
 * @param sure false where it should be verified with a data sheet
 */
public record PublishedOperation(
        String type,
        boolean triode,
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
        double distortion,
        boolean sure) {

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
                row.get("vg2").isBlank(),
                row.get("stage").equals("PP"),
                number(row, "va"),
                number(row, row.get("vg2").isBlank() ? "va" : "vg2"),
                number(row, "vg1"),
                number(row, "ia_idle") / 1e3,
                milliamps(row, "ia_full"),
                milliamps(row, "ig2_idle").orElse(0),
                milliamps(row, "ig2_full"),
                1e3 * number(row, "load_k"),
                number(row, "watts"),
                number(row, "thd_percent") / 100,
                row.get("confidence").equals("sure"));
    }

    private static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    private static OptionalDouble milliamps(CSVRecord row, String column) {
        return row.get(column).isBlank() ? OptionalDouble.empty() : OptionalDouble.of(number(row, column) / 1e3);
    }

    /**
     * Whether its power is that at the grid’s edge: the sheets that give no current at full drive give the power at
     * some distortion instead, with less drive.
     */
    public boolean isToTheEdge() {
        return triode || fullPlateAmps.isPresent();
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
                OptionalDouble.of(idleScreenAmps / tubes()),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                triode);
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
        return triode
                ? "%s %s, %.0f V".formatted(type, pushPull ? "PP" : "SE", plateVolts)
                : "%s %s, %.0f/%.0f V".formatted(type, pushPull ? "PP" : "SE", plateVolts, screenVolts);
    }
}
