package yellowrail.core.tube;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.quantity.Unit;
import yellowrail.core.resource.CsvResource;

/**
 * The tube types known to the application: the published ones that ship with it, and beside them whatever the builder
 * has added.
 */
public final class TubeCatalogue {

    private static final String SECTION = "section";
    private static final Pattern GAPS = Pattern.compile("[\\s-]");

    private final List<TubeType> types;
    /** By its own number and the others it has; the first that answers to one keeps it. */
    private final Map<String, TubeType> byKey = new HashMap<>();

    public TubeCatalogue(List<TubeType> types) {
        this.types = List.copyOf(types);
        this.types.forEach(type -> keys(type).forEach(key -> byKey.putIfAbsent(key, type)));
    }

    /** The catalogue that ships with the application. */
    public static TubeCatalogue published() {
        Map<String, List<Rating>> ratings = CsvResource.records(TubeCatalogue.class, "tube-ratings.csv").stream()
                .collect(Collectors.groupingBy(
                        row -> row.get("type"), Collectors.mapping(TubeCatalogue::rating, Collectors.toList())));
        return new TubeCatalogue(CsvResource.records(TubeCatalogue.class, "tube-types.csv").stream()
                .map(row -> type(row, ratings))
                .toList());
    }

    /**
     * This catalogue with the builder's own types. One that bears a published name adds its figures to that type as one
     * more rating; the published ratings stay what they are, and stay the customary ones.
     */
    public TubeCatalogue with(List<TubeType> own) {
        List<TubeType> all = new ArrayList<>();
        for (TubeType type : types) {
            List<Rating> ratings = new ArrayList<>(type.ratings());
            own.stream()
                    .filter(mine -> keys(type).anyMatch(key(mine.name())::equals))
                    .forEach(mine -> ratings.addAll(mine.ratings()));
            all.add(type.with(ratings));
        }
        own.stream().filter(mine -> find(mine.name()).isEmpty()).forEach(all::add);
        return new TubeCatalogue(all);
    }

    public List<TubeType> types() {
        return types;
    }

    /**
     * Finds a type by its number or another number of the same type, case and spaces free. {@code "KT88 (absolute)"}
     * finds the KT88 with that rating system as the customary one, {@code "6AS7G (section)"} one system of a double
     * tube.
     */
    public Optional<TubeType> find(String name) {
        return Optional.ofNullable(byKey.get(key(name))).or(() -> withSystem(name));
    }

    /**
     * The listed types nearest to one that is not: like it in use, of other ratings, so none of them stands for it.
     *
     * @return empty where none is known
     */
    public List<TubeType> nearest(String name) {
        return CsvResource.records(TubeCatalogue.class, "near-relatives.csv").stream()
                .filter(row -> key(row.get("type")).equals(key(name)))
                .flatMap(row -> Arrays.stream(row.get("nearest").split(" ")))
                .flatMap(nearest -> find(nearest).stream())
                .toList();
    }

    /** What is to be said of a name that is not listed. */
    public TubeFinding unlisted(String name) {
        List<String> nearest = nearest(name).stream().map(TubeType::name).toList();
        return nearest.isEmpty() ? new TubeFinding.NotListed(name) : new TubeFinding.NearestListed(name, nearest);
    }

    private Optional<TubeType> withSystem(String name) {
        int open = name.indexOf('(');
        if (open < 1 || !name.strip().endsWith(")")) {
            return Optional.empty();
        }
        String system = name.strip().substring(open + 1, name.strip().length() - 1);
        Optional<TubeType> whole = find(name.substring(0, open));
        if (system.strip().equalsIgnoreCase(SECTION)) {
            return whole.filter(type -> type.sections() > 1).map(type -> type.section(sectionOf(type)));
        }
        return whole.flatMap(type ->
                RatingSystem.of(system.strip()).flatMap(type::rating).map(rating -> type.with(List.of(rating))));
    }

    private static Stream<String> keys(TubeType type) {
        return Stream.concat(Stream.of(type.name()), type.aka().stream()).map(TubeCatalogue::key);
    }

    /** Every type as a choice: a double tube also as one of its sections. */
    public List<TubeType> choices() {
        return types.stream()
                .flatMap(type -> type.sections() > 1 ? Stream.of(type, type.section(sectionOf(type))) : Stream.of(type))
                .toList();
    }

    private static String sectionOf(TubeType type) {
        return type.name() + " (" + SECTION + ")";
    }

    static String key(String name) {
        return GAPS.matcher(name).replaceAll("").toUpperCase(Locale.ROOT);
    }

    private static TubeType type(CSVRecord row, Map<String, List<Rating>> ratings) {
        List<String> aka = Arrays.stream(row.get("aka").split(" "))
                .filter(other -> !other.isBlank())
                .toList();
        int sections = Integer.parseInt(row.get("sections"));
        return new TubeType(
                row.get("type"),
                aka,
                TubeKind.valueOf(row.get("kind").toUpperCase(Locale.ROOT)),
                Double.parseDouble(row.get("heater_volts")),
                Double.parseDouble(row.get("heater_amps")),
                new Base(row.get("base")),
                PinOut.parse(row.get("pins")).orElseThrow(),
                sections,
                Double.parseDouble(row.get("screen_share")),
                row.get("screen_spread").isBlank()
                        ? TubeType.SCREEN_SHARE_SPREAD
                        : Double.parseDouble(row.get("screen_spread")),
                BulbSize.parse(row.get("size_mm")),
                ratings.get(row.get("type")).stream()
                        .map(rating -> rating.times(sections))
                        .toList());
    }

    private static Rating rating(CSVRecord row) {
        RatingSystem system = RatingSystem.of(row.get("rating_system")).orElseThrow();
        return new Rating(
                system,
                number(row, "va_max", Unit.VOLT),
                number(row, "vg2_max", Unit.VOLT),
                Double.parseDouble(row.get("pa_max")),
                number(row, "pg2_max", Unit.WATT),
                number(row, "ik_max_ma", Unit.MILLIAMP),
                new Rating.Further(
                        number(row, "pa_pg2_max", Unit.WATT),
                        number(row, "va_triode_max", Unit.VOLT),
                        number(row, "ik_fixed_max_ma", Unit.MILLIAMP)),
                number(row, "rg1_fixed_k", Unit.KILOHM),
                number(row, "rg1_cathode_k", Unit.KILOHM),
                row.get("confidence").equals("sure"),
                new TubeFinding.DataSheet());
    }

    private static OptionalDouble number(CSVRecord row, String column, Unit unit) {
        String text = row.get(column);
        return text.isBlank() ? OptionalDouble.empty() : OptionalDouble.of(unit.toSi(Double.parseDouble(text)));
    }
}
