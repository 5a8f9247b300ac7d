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
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
            "gas",
            "setting",
            "warm_up");
    /** Those that tell of a test. */
    public static final List<String> OF_A_TEST = COLUMNS.subList(COLUMNS.indexOf("tested"), COLUMNS.size());

    /** {@code 59 at test 6L6}: a figure and the setting of the tester that showed it. */
    private static final Pattern AT_SETTING = Pattern.compile("(.*?\\S)\\s+at\\s+(\\S.*)", Pattern.CASE_INSENSITIVE);

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
                        volts(found, found.condition().plate()),
                        volts(found, found.condition().screen()),
                        Figures.typed(found.condition().grid(), 1),
                        written(found.current()),
                        figure(found),
                        Figures.typed(found.before(), 1e3),
                        Figures.typed(found.warmMinutes(), 1),
                        Figures.typed(found.transconductance(), 1e3),
                        found.tap() == Microphony.UNKNOWN ? "" : written(found.tap()),
                        found.gas(),
                        found.condition().setting(),
                        found.warmUp().written())),
                () -> OF_A_TEST.forEach(column -> cells.add("")));
        return cells;
    }

    /** With its unit where one without would be of the tester\u2019s own scale. */
    private static String figure(TesterReading test) {
        boolean unit = test.condition().isOwnScale() && test.current() != TesterReading.Current.SCALE;
        return Figures.typed(OptionalDouble.of(test.amps()), 1e3) + (unit ? " mA" : "");
    }

    /** A tester with a scale of its own tells none. */
    private static String volts(TesterReading test, double volts) {
        return test.condition().isOwnScale() ? "" : Figures.typed(OptionalDouble.of(volts), 1);
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
            Matcher at = AT_SETTING.matcher(text.apply("milliamps").strip());
            String setting = at.matches() && text.apply("setting").isBlank()
                    ? read.words("setting", at.group(2), LONGEST_WORD)
                    : words("setting", LONGEST_WORD);
            String figure = at.matches() ? at.group(1) : text.apply("milliamps");
            WarmUpFigures warmUp = warmUp();
            OptionalDouble steepness = plain("transconductance_ma_v", 0.01, 100);
            return new TesterReading(
                    read.date("tested", text.apply("tested")),
                    words("tester", LONGEST_WORD),
                    setting.isEmpty() ? volts() : TestCondition.at(setting),
                    current(setting, figure),
                    amps(figure, warmUp),
                    warmUp.isEmpty()
                            ? number("milliamps_before", Unit.MILLIAMP, 0.01, 2000)
                            : OptionalDouble.of(warmUp.first().amps()),
                    warmUp.isEmpty()
                            ? plain("warm_minutes", 0, 1000)
                            : OptionalDouble.of(warmUp.last().minutes()),
                    steepness.isPresent() ? OptionalDouble.of(steepness.getAsDouble() / 1e3) : steepness,
                    choice("tap", Microphony.values(), Microphony.UNKNOWN),
                    words("gas", LONGEST_NOTE),
                    warmUp);
        }

        private TestCondition volts() {
            double plate = read.required("plate_volts", text.apply("plate_volts"), Unit.VOLT, 1, 2000);
            OptionalDouble screen = number("screen_volts", Unit.VOLT, 1, 2000);
            return new TestCondition(plate, screen.orElse(plate), number("grid_volts", Unit.VOLT, -300, 0));
        }

        /** A figure without a unit at a setting is of the tester's own scale, whatever the usual choice says. */
        private TesterReading.Current current(String setting, String figure) {
            TesterReading.Current said =
                    choice("current", TesterReading.Current.values(), TesterReading.Current.CATHODE);
            boolean unit = figure.toLowerCase(Locale.ROOT).strip().endsWith("a");
            if (!setting.isEmpty() && !unit) {
                return TesterReading.Current.SCALE;
            }
            if (setting.isEmpty() && said == TesterReading.Current.SCALE) {
                faults.putIfAbsent("setting", new DrawerFinding.SettingNeeded());
            }
            return said;
        }

        private double amps(String figure, WarmUpFigures warmUp) {
            return figure.isBlank() && !warmUp.isEmpty()
                    ? warmUp.last().amps()
                    : read.required("milliamps", figure, Unit.MILLIAMP, 0.01, 2000);
        }

        private WarmUpFigures warmUp() {
            try {
                return WarmUpFigures.read(text.apply("warm_up"));
            } catch (IllegalArgumentException e) {
                faults.putIfAbsent("warm_up", new DrawerFinding.NoWarmUp());
                return WarmUpFigures.NONE;
            }
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
