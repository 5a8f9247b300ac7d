package yellowrail.core.drawer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import yellowrail.core.field.FieldReader;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.Finding;
import yellowrail.core.match.TestCondition;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;

/**
 * A tube and, where its figures are filled in, one test of it, as a row of named columns: a form is read by the same
 * rules as a line of a file.
 *
 * @param tube the tube
 * @param test its test, if the row has one
 * @param faults what is wrong, by column; the values count only if there are none
 */
public record DrawerRow(DrawerTube tube, Optional<TesterReading> test, Map<String, Finding> faults) {

    /** In the order of the file. */
    public static final List<String> COLUMNS = List.of(
            "type",
            "label",
            "maker",
            "markings",
            "bought",
            "state",
            "notes",
            "tested",
            "tester",
            "plate_volts",
            "screen_volts",
            "grid_volts",
            "current",
            "milliamps",
            "milliamps_before",
            "warm_minutes",
            "transconductance_ma_v",
            "tap",
            "gas");
    /** Those that tell of a test. */
    public static final List<String> OF_A_TEST = COLUMNS.subList(COLUMNS.indexOf("tested"), COLUMNS.size());

    private static final int LONGEST_WORD = 40;
    private static final int LONGEST_NOTE = 500;

    public DrawerRow {
        faults = Map.copyOf(faults);
    }

    /** @param text the text of a column, never null */
    public static DrawerRow read(Function<String, String> text) {
        return new Reader(text).row();
    }

    /** This row as text, column by column. */
    public List<String> written() {
        List<String> cells = new ArrayList<>(List.of(
                tube.type(),
                tube.label(),
                tube.maker(),
                tube.markings(),
                tube.bought().map(LocalDate::toString).orElse(""),
                written(tube.state()),
                tube.notes()));
        test.ifPresentOrElse(
                found -> cells.addAll(List.of(
                        found.tested().map(LocalDate::toString).orElse(""),
                        found.tester(),
                        Figures.typed(OptionalDouble.of(found.condition().plate()), 1),
                        Figures.typed(OptionalDouble.of(found.condition().screen()), 1),
                        Figures.typed(found.condition().grid(), 1),
                        written(found.current()),
                        Figures.typed(OptionalDouble.of(found.amps()), 1e3),
                        Figures.typed(found.before(), 1e3),
                        Figures.typed(found.warmMinutes(), 1),
                        Figures.typed(found.transconductance(), 1e3),
                        found.tap() == Microphony.UNKNOWN ? "" : written(found.tap()),
                        found.gas())),
                () -> OF_A_TEST.forEach(column -> cells.add("")));
        return cells;
    }

    /** As a choice is written in a file: {@code rings alone}. */
    public static String written(Enum<?> choice) {
        return Code.of(choice).replace('-', ' ');
    }

    /** Reads one row; every fault is noted beside its column. */
    private static final class Reader {

        private final Function<String, String> text;
        private final Map<String, Finding> faults = new LinkedHashMap<>();
        private final FieldReader read = new FieldReader(faults::putIfAbsent);

        Reader(Function<String, String> text) {
            this.text = text;
        }

        DrawerRow row() {
            DrawerTube tube = new DrawerTube(
                    needed("type", new DrawerFinding.TypeNeeded()).toUpperCase(Locale.ROOT),
                    needed("label", new DrawerFinding.LabelNeeded()),
                    words("maker", LONGEST_WORD),
                    words("markings", LONGEST_WORD),
                    read.date("bought", text.apply("bought")),
                    choice("state", TubeState.values(), TubeState.USED),
                    words("notes", LONGEST_NOTE));
            boolean tested = OF_A_TEST.stream()
                    .anyMatch(column ->
                            !column.equals("current") && !text.apply(column).isBlank());
            Optional<TesterReading> test = tested ? Optional.of(test()) : Optional.empty();
            return new DrawerRow(tube, test, faults);
        }

        private TesterReading test() {
            double plate = read.required("plate_volts", text.apply("plate_volts"), Unit.VOLT, 1, 2000);
            OptionalDouble screen = number("screen_volts", Unit.VOLT, 1, 2000);
            OptionalDouble grid = number("grid_volts", Unit.VOLT, -300, 0);
            OptionalDouble steepness = plain("transconductance_ma_v", 0.01, 100);
            return new TesterReading(
                    read.date("tested", text.apply("tested")),
                    words("tester", LONGEST_WORD),
                    new TestCondition(plate, screen.orElse(plate), grid),
                    choice("current", TesterReading.Current.values(), TesterReading.Current.CATHODE),
                    read.required("milliamps", text.apply("milliamps"), Unit.MILLIAMP, 0.01, 2000),
                    number("milliamps_before", Unit.MILLIAMP, 0.01, 2000),
                    plain("warm_minutes", 0, 1000),
                    steepness.isPresent() ? OptionalDouble.of(steepness.getAsDouble() / 1e3) : steepness,
                    choice("tap", Microphony.values(), Microphony.UNKNOWN),
                    words("gas", LONGEST_NOTE));
        }

        private String words(String column, int longest) {
            return read.words(column, text.apply(column), longest);
        }

        private String needed(String column, DrawerFinding what) {
            return read.needed(column, text.apply(column), LONGEST_WORD, what);
        }

        /** @param usual where nothing is written */
        private <E extends Enum<E>> E choice(String column, E[] values, E usual) {
            String typed = text.apply(column).strip();
            return typed.isEmpty() ? usual : read.choice(column, typed, values, DrawerRow::written);
        }

        private OptionalDouble number(String column, Unit unit, double least, double most) {
            return read.number(column, text.apply(column), unit, least, most);
        }

        private OptionalDouble plain(String column, double least, double most) {
            return read.plain(column, text.apply(column), least, most);
        }
    }
}
