package yellowrail.core.tube.model;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.quantity.Unit;
import yellowrail.core.resource.CsvResource;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;

/**
 * The models of the types that have published static points, or share the curves of one that has; the others have none,
 * and that is said. Each is fitted when it is first asked for.
 */
public final class TubeModels {

    private static final TubeModels PUBLISHED = new TubeModels();

    private final Map<String, List<StaticPoint>> points = points();
    private final Map<String, KnownModel.Like> likes =
            CsvResource.records(TubeModels.class, "shared-curves.csv").stream()
                    .collect(Collectors.toMap(
                            row -> row.get("type"),
                            row -> new KnownModel.Like(
                                    row.get("like"), row.get("confidence").equals("sure"))));
    private final Map<String, KnownModel> fitted = new ConcurrentHashMap<>();

    private TubeModels() {}

    /** The models that ship with the application. */
    public static TubeModels published() {
        return PUBLISHED;
    }

    /** @return the type's model, also under another of its numbers; empty if nothing to fit one to is published */
    public Optional<KnownModel> of(TubeType type) {
        return number(type).map(this::known).map(known -> known.as(type.name(), type.sections()));
    }

    /** The numbers of those of a catalogue that have one. */
    public List<String> types(TubeCatalogue catalogue) {
        return catalogue.choices().stream()
                .filter(type -> number(type).isPresent())
                .map(TubeType::name)
                .toList();
    }

    /** One to go on with where what was asked for has none and that is said. */
    public KnownModel any() {
        return known(points.keySet().iterator().next());
    }

    /** The published operations of a type, or of the one whose curves it shares. */
    public List<PublishedOperation> operations(TubeType type, boolean pushPull) {
        Optional<String> of = number(type)
                .map(number -> likes.containsKey(number) ? likes.get(number).type() : number);
        return PublishedOperation.all().stream()
                .filter(operation -> of.filter(operation.type()::equals).isPresent())
                .filter(operation -> operation.pushPull() == pushPull)
                .toList();
    }

    /** Its number, without what one section of it or its rating system is told by, that there are points of. */
    private Optional<String> number(TubeType type) {
        String number = type.name().replaceFirst(" \\(.*", "");
        return Stream.concat(Stream.of(number), type.aka().stream())
                .filter(this::has)
                .findFirst();
    }

    /** The numbers there are any of. */
    private List<String> types() {
        return Stream.concat(points.keySet().stream(), likes.keySet().stream().sorted())
                .toList();
    }

    /** Each as of one section. */
    public List<KnownModel> all() {
        return types().stream().map(this::known).toList();
    }

    private boolean has(String type) {
        return points.containsKey(type) || likes.containsKey(type);
    }

    private KnownModel known(String type) {
        KnownModel.Like like = likes.get(type);
        if (like != null) {
            return known(like.type()).sharedBy(type, like.sure());
        }
        return fitted.computeIfAbsent(
                type,
                each -> new ModelFit(
                                each,
                                points.get(each),
                                PublishedOperation.all().stream()
                                        .filter(operation -> operation.type().equals(each))
                                        .toList())
                        .fit());
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
                volts(row, row.get("vg2").isBlank() ? "va" : "vg2"),
                volts(row, "vg1"),
                Unit.MILLIAMP.toSi(volts(row, "ia")),
                number(row, "ig2", 1e-3),
                number(row, "gm", 1e-3),
                number(row, "ra", 1e3),
                row.get("vg2").isBlank());
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
