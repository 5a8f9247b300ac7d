package yellowrail.core.tube.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.quantity.Unit;
import yellowrail.core.resource.CsvResource;
import yellowrail.core.tube.TubeType;

/** The models of the types that have published static points; the others have none, and that is said. */
public final class TubeModels {

    private static final TubeModels PUBLISHED = new TubeModels();

    private final Map<String, KnownModel> byType = new LinkedHashMap<>();

    private TubeModels() {
        points().forEach((type, points) -> byType.put(
                type,
                new ModelFit(
                                type,
                                points,
                                PublishedOperation.all().stream()
                                        .filter(operation -> operation.type().equals(type))
                                        .toList())
                        .fit()));
    }

    /** The models that ship with the application, fitted once, when first asked for. */
    public static TubeModels published() {
        return PUBLISHED;
    }

    /** @return the type's model, also under another of its numbers; empty if nothing to fit one to is published */
    public Optional<KnownModel> of(TubeType type) {
        return Optional.ofNullable(byType.get(type.name()))
                .or(() -> type.aka().stream()
                        .filter(byType::containsKey)
                        .map(byType::get)
                        .findFirst());
    }

    public List<KnownModel> all() {
        return List.copyOf(byType.values());
    }

    /** The published points by type. */
    public static Map<String, List<StaticPoint>> points() {
        return CsvResource.records(TubeModels.class, "static-points.csv").stream()
                .map(TubeModels::point)
                .collect(Collectors.groupingBy(StaticPoint::type, LinkedHashMap::new, Collectors.toList()));
    }

    private static StaticPoint point(CSVRecord row) {
        return new StaticPoint(
                row.get("type"),
                volts(row, "va"),
                volts(row, "vg2"),
                volts(row, "vg1"),
                Unit.MILLIAMP.toSi(volts(row, "ia")),
                Unit.MILLIAMP.toSi(volts(row, "ig2")),
                number(row, "gm", 1e-3),
                number(row, "ra", 1e3));
    }

    private static double volts(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    private static OptionalDouble number(CSVRecord row, String column, double inSi) {
        return row.get(column).isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(inSi * Double.parseDouble(row.get(column)));
    }
}
