package yellowrail.core.amp.node;

import static yellowrail.core.typed.Quantity.quote;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.amp.Channel;
import yellowrail.core.csv.CsvText;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.typed.LineFault;

/**
 * A chart as text: lines like {@code V1a plate 148}, or a table with the names of {@link ChartColumn} above it, parted
 * by tabs, semicolons or commas; a decimal comma is read where the columns are not parted by commas.
 *
 * @param nodes those of the good lines, in their order
 * @param faults what is wrong with the others
 */
public record ChartText(List<ChartNode> nodes, List<LineFault> faults) {

    public static final int LONGEST = 60_000;
    private static final int FAULTS_TOLD = 30;

    private static final String NUMBER = "[+\\-\u2212]?[.,]?\\d+(?:[.,]\\d+)*\\s*(?:m?v)?(?:ac|dc)?";
    private static final Pattern LINE = Pattern.compile(
            ("(?i)(?<name>.*?[^\\s:=;,])[\\s:=;,]+(?<volts>%1$s(?:\\s*(?:-|\u2013|to|\\.\\.+)\\s*%1$s)?)"
                            + "(?:\\s*(?<ac>ac|dc|~))?(?:\\s*;)?\\s*")
                    .formatted(NUMBER));

    public ChartText {
        nodes = List.copyOf(nodes);
        faults = List.copyOf(faults);
    }

    public static ChartText parse(String typed, ChartDefaults defaults) {
        String text = CsvText.withoutMark(typed);
        if (text.length() > LONGEST) {
            return new ChartText(
                    List.of(), List.of(new LineFault(0, new ChartFault.TextTooLong(text.length(), LONGEST))));
        }
        List<ChartNode> nodes = new ArrayList<>();
        List<LineFault> faults = new ArrayList<>();
        List<String> lines = text.lines().toList();
        int header = 0;
        while (header < lines.size() && lines.get(header).isBlank()) {
            header++;
        }
        if (header < lines.size() && isHeader(lines.get(header))) {
            table(lines, header, defaults, nodes, faults);
        } else {
            for (int i = 0; i < lines.size(); i++) {
                if (!lines.get(i).isBlank()) {
                    line(lines.get(i).strip(), i + 1, defaults, nodes, faults);
                }
            }
        }
        nodes.replaceAll(node -> isSupply(node, nodes) ? node.as(NodeKind.SUPPLY) : node);
        if (faults.isEmpty()) {
            VoltageChart.faults(nodes).forEach(fault -> faults.add(new LineFault(0, fault)));
        }
        return new ChartText(nodes, faults.subList(0, Math.min(faults.size(), FAULTS_TOLD)));
    }

    /** Whatever it is called, what others are fed from is a supply. */
    private static boolean isSupply(ChartNode node, List<ChartNode> nodes) {
        return node.kind() == NodeKind.OTHER
                && (node.hangs() != Hangs.NOTHING
                        || node.bank().isPresent()
                        || nodes.stream()
                                .flatMap(each -> each.feed().stream())
                                .anyMatch(feed -> node.isCalled(feed.from())));
    }

    private static boolean isHeader(String line) {
        return ChartColumn.of(line.split("[\t;,]")[0])
                .filter(ChartColumn.NAME::equals)
                .isPresent();
    }

    private static void line(
            String line, int number, ChartDefaults defaults, List<ChartNode> nodes, List<LineFault> faults) {
        Matcher matcher = LINE.matcher(line);
        if (!matcher.matches()) {
            faults.add(new LineFault(number, new ChartFault.NoNodeOnLine(quote(line))));
            return;
        }
        Map<ChartColumn, String> cells = new EnumMap<>(ChartColumn.class);
        cells.put(ChartColumn.NAME, matcher.group("name"));
        cells.put(ChartColumn.VOLTS, matcher.group("volts"));
        Optional.ofNullable(matcher.group("ac"))
                .ifPresent(ac -> cells.put(ChartColumn.AC, ac.equals("~") ? "ac" : ac.toLowerCase(Locale.ROOT)));
        take(ChartRow.read(cells::get, defaults), number, nodes, faults);
    }

    private static void take(ChartRow.Read row, int line, List<ChartNode> nodes, List<LineFault> faults) {
        row.node().ifPresent(nodes::add);
        row.faults().values().forEach(fault -> faults.add(new LineFault(line, fault)));
    }

    private static void table(
            List<String> lines, int from, ChartDefaults defaults, List<ChartNode> nodes, List<LineFault> faults) {
        char between = Stream.of('\t', ';', ',')
                .filter(sign -> lines.get(from).indexOf(sign) >= 0)
                .findFirst()
                .orElse(',');
        List<ChartColumn> columns = new ArrayList<>();
        for (String name : lines.get(from).split(String.valueOf(between), -1)) {
            Optional<ChartColumn> column = ChartColumn.of(name.replace("\"", ""));
            column.filter(columns::contains)
                    .ifPresent(
                            twice -> faults.add(new LineFault(from + 1, new ChartFault.ColumnTwice(twice.header()))));
            column.ifPresentOrElse(
                    columns::add,
                    () -> faults.add(new LineFault(
                            from + 1, new ChartFault.NoSuchColumn(quote(name.strip()), ChartColumn.headers()))));
        }
        if (!faults.isEmpty()) {
            return;
        }
        String rows = String.join("\n", lines.subList(from + 1, lines.size()));
        try (var parser = CsvText.parse(rows, between)) {
            for (CSVRecord record : parser) {
                int line = from + 1 + (int) parser.getCurrentLineNumber();
                if (record.size() > columns.size()) {
                    faults.add(new LineFault(line, new ChartFault.MoreCells(record.size(), columns.size())));
                } else if (record.stream().anyMatch(cell -> !cell.isBlank())) {
                    take(ChartRow.read(cells(record, columns)::get, defaults), line, nodes, faults);
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            faults.add(new LineFault(0, new ChartFault.NotCsv()));
        }
    }

    private static Map<ChartColumn, String> cells(CSVRecord record, List<ChartColumn> columns) {
        Map<ChartColumn, String> cells = new EnumMap<>(ChartColumn.class);
        for (int i = 0; i < record.size(); i++) {
            cells.put(columns.get(i), CsvText.read(record.get(i)));
        }
        return cells;
    }

    /** The chart as a table, with the columns that are used. */
    public static String write(VoltageChart chart) {
        List<Map<ChartColumn, String>> rows =
                chart.nodes().stream().map(ChartText::cells).toList();
        List<ChartColumn> used = Stream.of(ChartColumn.values())
                .filter(column -> column == ChartColumn.NAME
                        || rows.stream()
                                .anyMatch(row -> !row.getOrDefault(column, "").isEmpty()))
                .toList();
        return CsvText.write(
                used.stream().map(ChartColumn::header).toList(),
                rows.stream()
                        .map(row -> used.stream()
                                .map(column -> row.getOrDefault(column, ""))
                                .toList())
                        .toList());
    }

    /** A node as the cells of its row. */
    public static Map<ChartColumn, String> cells(ChartNode node) {
        Map<ChartColumn, String> cells = new EnumMap<>(ChartColumn.class);
        cells.put(ChartColumn.NAME, node.label());
        cells.put(ChartColumn.KIND, node.kind() == NodeKind.of(node.label()) ? "" : Code.of(node.kind()));
        boolean usual = node.ac() == (node.kind() == NodeKind.HEATER);
        cells.put(ChartColumn.AC, usual ? "" : node.ac() ? "ac" : "dc");
        node.expected().ifPresent(expected -> expected(expected, cells));
        cells.put(ChartColumn.STAGE, node.stage());
        cells.put(ChartColumn.TWIN, node.twin());
        node.feed().ifPresent(feed -> {
            cells.put(ChartColumn.FROM, feed.from());
            feed.through().ifPresent(through -> {
                cells.put(ChartColumn.OHMS, (feed.choke() ? "choke " : "") + ohms(through.ohms()));
                cells.put(ChartColumn.OHMS_TOLERANCE, tolerance(through.tolerance(), Resistor.USUAL_TOLERANCE));
                cells.put(ChartColumn.WATTS, plain(through.watts()));
            });
        });
        node.toGround().ifPresent(resistor -> {
            cells.put(ChartColumn.GROUND_OHMS, ohms(resistor.ohms()));
            cells.put(ChartColumn.GROUND_TOLERANCE, tolerance(resistor.tolerance(), Resistor.USUAL_TOLERANCE));
            cells.put(ChartColumn.GROUND_WATTS, plain(resistor.watts()));
        });
        node.bank().ifPresent(bank -> {
            cells.put(ChartColumn.UF, plain(1e6 * bank.farads()));
            cells.put(ChartColumn.CAPACITOR_VOLTS, plain(bank.volts()));
            cells.put(ChartColumn.IN_SERIES, bank.inSeries() == 1 ? "" : String.valueOf(bank.inSeries()));
            cells.put(
                    ChartColumn.BLEEDER_OHMS,
                    bank.bleederOhms().isPresent() ? ohms(bank.bleederOhms().getAsDouble()) : "");
        });
        cells.put(ChartColumn.FEEDS, node.hangs() == Hangs.NOTHING ? "" : Code.of(node.hangs()));
        cells.put(ChartColumn.CHANNEL, node.channel() == Channel.MONO ? "" : Code.of(node.channel()));
        return cells;
    }

    private static void expected(Expected expected, Map<ChartColumn, String> cells) {
        boolean one = expected.low() == expected.high();
        cells.put(
                ChartColumn.VOLTS,
                one ? plain(expected.low()) : plain(expected.low()) + " to " + plain(expected.high()));
        cells.put(ChartColumn.SOURCE, Code.of(expected.source()));
        cells.put(ChartColumn.MAINS, expected.mains().isPresent() ? plain(expected.mains()) : ChartRow.NOT_KNOWN);
        cells.put(
                ChartColumn.TOLERANCE,
                tolerance(expected.tolerance(), one ? expected.source().tolerance() : 0));
    }

    private static String tolerance(double ratio, double usual) {
        return ratio == usual ? "" : plain(100 * ratio);
    }

    private static String ohms(double ohms) {
        return ohms < 1000 ? plain(ohms) : plain(ohms / 1000) + "k";
    }

    private static String plain(OptionalDouble value) {
        return value.isPresent() ? plain(value.getAsDouble()) : "";
    }

    private static String plain(double value) {
        return Figures.typed(OptionalDouble.of(value), 1);
    }
}
