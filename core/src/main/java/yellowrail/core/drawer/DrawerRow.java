package yellowrail.core.drawer;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import yellowrail.core.finding.Code;
import yellowrail.core.match.TestCondition;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.Quantity;

/**
 * A tube and, where its figures are filled in, one test of it, as a row of named columns: a form is read by the same
 * rules as a line of a file.
 *
 * @param tube the tube
 * @param test its test, if the row has one
 * @param faults what is wrong, by column; the values count only if there are none
 */
public record DrawerRow(DrawerTube tube, Optional<TesterReading> test, Map<String, DrawerFinding> faults) {

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
                        plain(OptionalDouble.of(found.condition().plate()), 1),
                        plain(OptionalDouble.of(found.condition().screen()), 1),
                        plain(found.condition().grid(), 1),
                        written(found.current()),
                        plain(OptionalDouble.of(found.amps()), 1e3),
                        plain(found.before(), 1e3),
                        plain(found.warmMinutes(), 1),
                        plain(found.transconductance(), 1e3),
                        found.tap() == Microphony.UNKNOWN ? "" : written(found.tap()),
                        found.gas())),
                () -> OF_A_TEST.forEach(column -> cells.add("")));
        return cells;
    }

    /** As a choice is written in a file: {@code rings alone}. */
    public static String written(Enum<?> choice) {
        return Code.of(choice).replace('-', ' ');
    }

    /** To the sixth decimal: finer is dust of the binary fractions. */
    private static String plain(OptionalDouble si, double in) {
        return si.isPresent()
                ? BigDecimal.valueOf(si.getAsDouble() * in)
                        .setScale(6, RoundingMode.HALF_EVEN)
                        .stripTrailingZeros()
                        .toPlainString()
                : "";
    }

    /** Reads one row; every fault is noted beside its column. */
    private static final class Reader {

        private final Function<String, String> text;
        private final Map<String, DrawerFinding> faults = new LinkedHashMap<>();

        Reader(Function<String, String> text) {
            this.text = text;
        }

        DrawerRow row() {
            DrawerTube tube = new DrawerTube(
                    needed("type", new DrawerFinding.TypeNeeded()).toUpperCase(Locale.ROOT),
                    needed("label", new DrawerFinding.LabelNeeded()),
                    words("maker", LONGEST_WORD),
                    words("markings", LONGEST_WORD),
                    date("bought"),
                    state(),
                    words("notes", LONGEST_NOTE));
            boolean tested = OF_A_TEST.stream()
                    .anyMatch(column ->
                            !column.equals("current") && !text.apply(column).isBlank());
            Optional<TesterReading> test = tested ? Optional.of(test()) : Optional.empty();
            return new DrawerRow(tube, test, faults);
        }

        private TubeState state() {
            String typed = text.apply("state").strip();
            return typed.isEmpty() ? TubeState.USED : choice("state", TubeState.values());
        }

        private TesterReading test() {
            double plate = neededNumber("plate_volts", Unit.VOLT, 1, 2000);
            OptionalDouble screen = number("screen_volts", Unit.VOLT, 1, 2000);
            OptionalDouble grid = number("grid_volts", Unit.VOLT, -300, 0);
            TesterReading.Current current = text.apply("current").isBlank()
                    ? TesterReading.Current.CATHODE
                    : choice("current", TesterReading.Current.values());
            Microphony tap = text.apply("tap").isBlank() ? Microphony.UNKNOWN : choice("tap", Microphony.values());
            OptionalDouble steepness = number("transconductance_ma_v", null, 0.01, 100);
            return new TesterReading(
                    date("tested"),
                    words("tester", LONGEST_WORD),
                    new TestCondition(plate, screen.orElse(plate), grid),
                    current,
                    neededNumber("milliamps", Unit.MILLIAMP, 0.01, 2000),
                    number("milliamps_before", Unit.MILLIAMP, 0.01, 2000),
                    number("warm_minutes", null, 0, 1000),
                    steepness.isPresent() ? OptionalDouble.of(steepness.getAsDouble() / 1e3) : steepness,
                    tap,
                    words("gas", LONGEST_NOTE));
        }

        private String words(String column, int longest) {
            String typed = text.apply(column).strip();
            if (typed.length() > longest) {
                faults.putIfAbsent(column, new DrawerFinding.TooLong(longest, typed.length()));
            }
            if (typed.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')) {
                faults.putIfAbsent(column, new DrawerFinding.NotShowable());
            }
            return typed;
        }

        private String needed(String column, DrawerFinding what) {
            String typed = words(column, LONGEST_WORD);
            if (typed.isEmpty()) {
                faults.putIfAbsent(column, what);
            }
            return typed;
        }

        private Optional<LocalDate> date(String column) {
            String typed = text.apply(column).strip();
            if (typed.isEmpty()) {
                return Optional.empty();
            }
            try {
                LocalDate date = LocalDate.parse(typed);
                if (date.getYear() >= 1900 && date.getYear() <= 2200) {
                    return Optional.of(date);
                }
            } catch (DateTimeException e) {
                // the one message below says what to type
            }
            faults.putIfAbsent(column, new DrawerFinding.NoDate(Quantity.quote(typed)));
            return Optional.empty();
        }

        private <E extends Enum<E>> E choice(String column, E[] values) {
            String typed = text.apply(column).strip();
            return Arrays.stream(values)
                    .filter(value -> written(value).equalsIgnoreCase(typed))
                    .findFirst()
                    .orElseGet(() -> {
                        faults.putIfAbsent(
                                column,
                                new DrawerFinding.NoSuchChoice(
                                        Quantity.quote(typed),
                                        Arrays.stream(values)
                                                .map(DrawerRow::written)
                                                .toList()));
                        return values[0];
                    });
        }

        private double neededNumber(String column, Unit unit, double least, double most) {
            if (text.apply(column).isBlank()) {
                faults.putIfAbsent(column, new DrawerFinding.NumberNeeded(least, most, Optional.ofNullable(unit)));
            }
            return number(column, unit, least, most).orElse(unit.toSi(least));
        }

        /** A plain number, or one with the column's own unit; SI where there is a unit. */
        private OptionalDouble number(String column, Unit unit, double least, double most) {
            String typed = text.apply(column).strip();
            if (typed.isEmpty()) {
                return OptionalDouble.empty();
            }
            try {
                double shown = unit == null
                        ? Double.parseDouble(typed)
                        : unit.fromSi(Quantity.parse(typed).si(unit));
                if (shown >= least && shown <= most) {
                    return OptionalDouble.of(unit == null ? shown : unit.toSi(shown));
                }
            } catch (IllegalArgumentException e) {
                // the one message below says what to type
            }
            faults.putIfAbsent(
                    column, new DrawerFinding.NoNumber(Quantity.quote(typed), least, most, Optional.ofNullable(unit)));
            return OptionalDouble.empty();
        }
    }
}
