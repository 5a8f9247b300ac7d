package yellowrail.core.tube;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.resource.CsvResource;

/**
 * A tube of which only the heater counts here.
 *
 * @param name type number
 * @param aka other numbers of the same type
 * @param heaterVolts V, of both halves in series where it has a centre tap
 * @param heaterAmps A, at those
 * @param centreTap whether its halves may stand side by side, at half the volts and twice the current
 * @param sure false when the figures should be verified with the maker's sheet
 */
public record SmallTube(
        String name, List<String> aka, double heaterVolts, double heaterAmps, boolean centreTap, boolean sure) {

    private static final List<SmallTube> PUBLISHED = CsvResource.records(SmallTube.class, "small-tubes.csv").stream()
            .map(SmallTube::of)
            .toList();

    public static Optional<SmallTube> find(String name) {
        return PUBLISHED.stream()
                .filter(type ->
                        type.name.equalsIgnoreCase(name) || type.aka.stream().anyMatch(name::equalsIgnoreCase))
                .findFirst();
    }

    public static List<SmallTube> published() {
        return PUBLISHED;
    }

    private static SmallTube of(CSVRecord row) {
        return new SmallTube(
                row.get("type"),
                Stream.of(row.get("aka").split(" "))
                        .filter(other -> !other.isBlank())
                        .toList(),
                Double.parseDouble(row.get("heater_volts")),
                Double.parseDouble(row.get("heater_amps")),
                row.get("centre_tap").equals("yes"),
                row.get("confidence").equals("sure"));
    }
}
