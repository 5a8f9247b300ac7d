package yellowrail.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.Told;
import yellowrail.core.csv.CsvFinding;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.field.FieldFault;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.TestCondition;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.QuantityFault;

class DrawerTest {

    private static final String HEADER = String.join(",", DrawerRow.COLUMNS) + "\r\n";
    private static final String GOOD =
            "6L6GC,A1,Marsh Works,\"grey, \"\"round\"\" base\",2025-11-03,new,,2026-01-10,test amp,250,250,-14,"
                    + "cathode,72.5,70,10,6.1,faint,none seen,,\r\n";

    @Test
    void aRowIsReadWithAllItTells() {
        CsvTable<DrawerRow> csv = DrawerCsv.parse("\ufeff" + HEADER + GOOD + "EL34,B2,,,,,,,,,,,,,,,,,,,\r\n");
        assertThat(csv.faults()).isEmpty();
        DrawerRow row = csv.rows().get(0);
        assertThat(row.tube().markings()).isEqualTo("grey, \"round\" base");
        assertThat(row.tube().state()).isEqualTo(TubeState.NEW);
        TesterReading test = row.test().orElseThrow();
        assertThat(test.condition()).isEqualTo(new TestCondition(250, 250, OptionalDouble.of(-14)));
        assertThat(test.amps()).isCloseTo(0.0725, within(1e-12));
        assertThat(test.transconductance().orElseThrow()).isCloseTo(0.0061, within(1e-12));
        assertThat(test.rise().orElseThrow()).isCloseTo(0.0357, within(1e-4));
        assertThat(test.isUnstable()).isFalse();
        assertThat(csv.rows().get(1).test()).isEmpty();
        assertThat(csv.rows().get(1).tube().state()).isEqualTo(TubeState.USED);
        assertThat(DrawerCsv.write(csv.rows().subList(0, 1))).isEqualTo(HEADER + GOOD);
    }

    @Test
    void badRowsAreToldByLineAndColumnAndGoodOnesStand() {
        CsvTable<DrawerRow> csv = DrawerCsv.parse(
                HEADER + GOOD + GOOD.replace("2025-11-03", "3.11.2025").replace("72.5", "lots") + "6L6GC,A3\r\n"
                        + GOOD.replace("-14", "14").replace("A1", ""));
        assertThat(csv.rows()).hasSize(1);
        assertThat(csv.faults())
                .extracting(fault -> fault.line() + " " + fault.column())
                .containsExactly("3 bought", "3 milliamps", "4 ", "5 label", "5 grid_volts");
        assertThat(csv.faults())
                .extracting(CsvTable.Fault::says)
                .containsExactly(
                        new FieldFault.NoDate("\u201c3.11.2025\u201d"),
                        new FieldFault.NotUsable(new QuantityFault.NotANumber("\u201clots\u201d")),
                        new CsvFinding.OtherNumberOfColumns(2, 21),
                        new DrawerFinding.LabelNeeded(),
                        new FieldFault.OutOfRange("\u201c14\u201d", -300, 0, Unit.VOLT));
    }

    @ParameterizedTest
    @CsvSource({"59 at test 6L6,,cathode", "59,test 6L6,cathode", "59 AT Test  6l6,,plate"})
    void aTestersOwnScaleCountsWithItsSettingAsTheCondition(String figure, String setting, String current) {
        DrawerRow row = DrawerRow.read(column -> switch (column) {
            case "type" -> "6L6GC";
            case "label" -> "A1";
            case "milliamps" -> figure;
            case "setting" -> setting == null ? "" : setting;
            case "current" -> current;
            default -> "";
        });
        assertThat(row.faults()).isEmpty();
        TesterReading test = row.test().orElseThrow();
        assertThat(test.current()).isEqualTo(TesterReading.Current.SCALE);
        assertThat(test.amps()).isCloseTo(0.059, within(1e-12));
        assertThat(test.condition().isSame(TestCondition.at("test 6L6"))).isTrue();
        assertThat(test.condition().isSame(TestCondition.at("test 6V6"))).isFalse();
        assertThat(test.condition().isSame(new TestCondition(250, 250, OptionalDouble.empty())))
                .isFalse();
    }

    /** A knob without volts, but a meter in mA: what goes out comes back the same. */
    @Test
    void aSettingMayHaveMilliamperes() {
        Map<String, String> typed = Map.of("type", "6L6GC", "label", "A1", "milliamps", "35 mA at knob 6");
        DrawerRow row = DrawerRow.read(column -> typed.getOrDefault(column, ""));
        assertThat(row.test().orElseThrow().current()).isEqualTo(TesterReading.Current.CATHODE);
        assertThat(DrawerCsv.parse(DrawerCsv.write(List.of(row))).rows()).containsExactly(row);
    }

    @Test
    void aScaleWithoutItsSettingAndAWarmUpThatGoesBackAreAskedAbout() {
        Map<String, String> typed = Map.of(
                "type", "6L6GC", "label", "A1", "milliamps", "59", "current", "scale", "warm_up", "0 70, 5 80, 3 90");
        DrawerRow row = DrawerRow.read(column -> typed.getOrDefault(column, ""));
        assertThat(row.faults())
                .containsEntry("setting", new DrawerFinding.SettingNeeded())
                .containsEntry("warm_up", new DrawerFinding.NoWarmUp());
    }

    @Test
    void aWarmUpTellsItsEndsAndWhetherItSettled() {
        Map<String, String> typed = Map.of(
                "type",
                "6L6GC",
                "label",
                "A1",
                "plate_volts",
                "250",
                "grid_volts",
                "-14",
                "warm_up",
                "0 60; 2 66.5; 5:70 mA; 8 71; 10 71.2");
        TesterReading test =
                DrawerRow.read(column -> typed.getOrDefault(column, "")).test().orElseThrow();
        assertThat(test.amps()).isCloseTo(0.0712, within(1e-12));
        assertThat(test.warmMinutes()).hasValue(10);
        assertThat(test.rise().orElseThrow()).isCloseTo(0.1867, within(1e-4));
        assertThat(test.warming().isSettled()).isTrue();
        assertThat(test.warmUp().written()).isEqualTo("0 60, 2 66.5, 5 70, 8 71, 10 71.2");
        assertThat(WarmUpFigures.read("0 60, 5 70, 8 75, 10 80").isSettled()).isFalse();
    }

    @Test
    void aFileThatIsNoDrawerIsSaid() {
        assertThat(DrawerCsv.parse("").faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.says()).isInstanceOf(CsvFinding.EmptyFile.class));
        assertThat(DrawerCsv.parse("label,colour\r\nA,b\r\n").faults())
                .extracting(CsvTable.Fault::column)
                .containsExactly("colour", "type");
        assertThat(DrawerCsv.parse(HEADER + "6L6GC,\"A1").faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.says()).isInstanceOf(CsvFinding.NotCsv.class));
    }

    @Test
    void theFirstHundredFaultsAreToldAndTheRestCounted() {
        String bad = "6L6GC,only two\r\n";
        CsvTable<DrawerRow> csv = DrawerCsv.parse(HEADER + bad.repeat(350) + GOOD);
        assertThat(csv.faults()).hasSize(100);
        assertThat(csv.more()).isEqualTo(250);
        assertThat(csv.rows()).as("what stands behind them is read").hasSize(1);
        CsvTable<DrawerRow> far = DrawerCsv.parse(HEADER + bad.repeat(DrawerCsv.MOST_ROWS) + GOOD);
        assertThat(far.faults().get(0).says()).isEqualTo(new CsvFinding.TooManyRows(DrawerCsv.MOST_ROWS));
        assertThat(far.rows()).isEmpty();
    }

    /** Two thousand rows by chance come back as they went out. */
    @Test
    void aDrawerOfTwoThousandComesBackTheSame() {
        Random chance = new Random(4);
        String text = IntStream.range(0, 2000)
                .mapToObj(i -> ("6L6GC,T%d,Fen %d,,,used,\"line\none\",2026-02-01,bridge,250,250,-14,plate,"
                                + "%.2f,%.2f,5,%.2f,%s,,,\r\n")
                        .formatted(
                                i,
                                i % 7,
                                60 + 20 * chance.nextDouble(),
                                60 + 10 * chance.nextDouble(),
                                5 + chance.nextDouble(),
                                DrawerRow.written(Microphony.values()[1 + i % 4])))
                .collect(Collectors.joining("", HEADER, ""));
        CsvTable<DrawerRow> first = DrawerCsv.parse(text);
        assertThat(first.faults()).isEmpty();
        CsvTable<DrawerRow> second = DrawerCsv.parse(DrawerCsv.write(first.rows()));
        assertThat(second.rows()).isEqualTo(first.rows()).hasSize(2000);
    }

    private static Comparison.Tested tested(
            String label, double milliamps, double plate, TesterReading.Current current) {
        TesterReading test = new TesterReading(
                Optional.empty(),
                "",
                new TestCondition(plate, plate, OptionalDouble.of(-14)),
                current,
                milliamps / 1000,
                label.equals("hot") ? OptionalDouble.of(0.040) : OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Microphony.NONE,
                "",
                WarmUpFigures.NONE);
        return new Comparison.Tested(
                new DrawerTube(
                        "6L6GC",
                        label,
                        "",
                        "",
                        Optional.empty(),
                        label.equals("bad") ? TubeState.WASTE : TubeState.USED,
                        ""),
                Optional.of(test));
    }

    @Test
    void differentConditionsAreNeverMixed() {
        Comparison comparison = Comparison.of(
                Amps.type("6L6GC"),
                List.of(
                        tested("A", 72, 250, TesterReading.Current.CATHODE),
                        tested("B", 71, 250, TesterReading.Current.CATHODE),
                        tested("near", 85, 270, TesterReading.Current.CATHODE),
                        tested("far", 40, 400, TesterReading.Current.CATHODE),
                        tested("plate", 68, 250, TesterReading.Current.PLATE),
                        tested("bad", 70, 250, TesterReading.Current.CATHODE),
                        tested("hot", 72, 250, TesterReading.Current.CATHODE)));
        assertThat(comparison.condition()).contains(new TestCondition(250, 250, OptionalDouble.of(-14)));
        assertThat(comparison.candidates()).extracting(Candidate::label).containsExactly("A", "B", "near", "hot");
        assertThat(comparison.candidates().get(2).amps()).isBetween(0.060, 0.080);
        assertThat(comparison.remarks()).containsKeys("near", "hot");
        assertThat(comparison.remarks().get("near"))
                .containsExactly(
                        new DrawerFinding.Converted(new TestCondition(270, 270, OptionalDouble.of(-14)).told()));
        assertThat(Told.one(comparison.remarks().get("hot"), DrawerFinding.Unstable.class)
                        .rise())
                .isCloseTo(0.80, within(1e-9));
        assertThat(comparison.leftOut()).containsOnlyKeys("far", "plate", "bad");
    }

    @Test
    void aGroupIsForetoldAtOneBiasVoltage() {
        TestCondition at = new TestCondition(250, 250, OptionalDouble.of(-14));
        List<Candidate> tubes = List.of(
                Candidate.of("A", 0.070),
                Candidate.of("B", 0.077),
                new Candidate("C", 0.070, OptionalDouble.of(0.0066)));
        GroupForecast forecast = GroupForecast.of(
                Amps.type("6L6GC"), at, TesterReading.Current.CATHODE, tubes, Map.of(), 440, 430, 0.040);
        assertThat(forecast.byModel()).isTrue();
        assertThat(forecast.grid().orElseThrow()).isBetween(-50.0, -36.0);
        assertThat(forecast.amps().stream()
                        .mapToDouble(Double::doubleValue)
                        .average()
                        .orElseThrow())
                .isCloseTo(0.040, within(1e-9));
        assertThat(forecast.amps().get(1) / forecast.amps().get(0)).isCloseTo(1.1, within(1e-6));
        assertThat(forecast.amps().get(2))
                .as("steeper at the same test current: colder at a farther bias")
                .isLessThan(forecast.amps().get(0));
        assertThat(GroupForecast.of(
                                Amps.type("KT77"),
                                at,
                                TesterReading.Current.CATHODE,
                                tubes.subList(0, 2),
                                Map.of(),
                                440,
                                430,
                                0.040)
                        .byModel())
                .isFalse();
        assertThat(forecast.spread()).isPositive();
        assertThat(forecast.plusMinus().orElseThrow())
                .as("carried from -14 V to some -45 V it is not known to a milliamp")
                .isBetween(0.001, 0.020);
        assertThat(GroupForecast.of(
                                Amps.type("6L6GC"), at, TesterReading.Current.CATHODE, tubes, Map.of(), 250, 250, 0.070)
                        .plusMinus()
                        .orElseThrow())
                .as("where it was tested it is")
                .isCloseTo(0.02 * 0.077, within(1e-4));
    }
}
