package yellowrail.core.tube;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.resource.CsvResource;

/**
 * A rectifier, SI.
 *
 * @param name type number, or silicon
 * @param aka other numbers of the same type
 * @param heaterVolts V; 0 for silicon
 * @param heaterAmps A
 * @param dcAmps greatest DC output, A
 * @param firstFarads largest first capacitor at the usual supply impedance, F
 * @param dropVolts published drop of a plate at {@code dropAmps}, V
 * @param dropAmps A
 * @param inverseVolts greatest peak inverse, V
 * @param peakAmps greatest recurrent peak of a plate, A
 * @param transientAmps greatest current of the first cycles with a hot cathode, A; empty where none is published
 * @param direct whether its cathode is the filament itself: it is there seconds before any power tube draws
 * @param sure false when the figures should be verified with the maker's sheet
 */
public record RectifierType(
        String name,
        List<String> aka,
        double heaterVolts,
        double heaterAmps,
        double dcAmps,
        double firstFarads,
        double dropVolts,
        double dropAmps,
        double inverseVolts,
        double peakAmps,
        OptionalDouble transientAmps,
        boolean direct,
        boolean sure) {

    /** The published ones, silicon last. */
    public static List<RectifierType> published() {
        return CsvResource.records(RectifierType.class, "rectifiers.csv").stream()
                .map(RectifierType::of)
                .toList();
    }

    public static Optional<RectifierType> find(String name) {
        String wanted = name.strip();
        return published().stream()
                .filter(type -> type.name().equalsIgnoreCase(wanted)
                        || type.aka().stream().anyMatch(wanted::equalsIgnoreCase))
                .findFirst();
    }

    public boolean isSilicon() {
        return heaterVolts == 0;
    }

    private static RectifierType of(CSVRecord row) {
        return new RectifierType(
                row.get("type"),
                Arrays.stream(row.get("aka").split(" "))
                        .filter(other -> !other.isBlank())
                        .toList(),
                number(row, "heater_volts"),
                number(row, "heater_amps"),
                number(row, "dc_max_ma") / 1e3,
                number(row, "capacitor_max_uf") / 1e6,
                number(row, "drop_volts"),
                number(row, "drop_ma") / 1e3,
                number(row, "piv"),
                number(row, "peak_ma") / 1e3,
                row.get("transient_a").isBlank()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(number(row, "transient_a")),
                row.get("cathode").equals("direct"),
                row.get("confidence").equals("sure"));
    }

    private static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }
}
