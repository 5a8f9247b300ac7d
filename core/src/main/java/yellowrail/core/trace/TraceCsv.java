package yellowrail.core.trace;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.csv.CsvText;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TracedPoint;

/**
 * Points of a tube's curves as text: a file with the columns of {@link TraceRow} under their names, or lines of numbers
 * in their order, parted by commas, semicolons, tabs or spaces; {@code -} stands for what was not read.
 */
public final class TraceCsv {

    public static final int MOST_ROWS = 500;

    private static final String NAMES = String.join(",", TraceRow.COLUMNS);

    private TraceCsv() {}

    /** @param type the tube's, by whose rating a figure is asked about */
    public static CsvTable<TraceRow> parse(String text, TubeType type) {
        String read = text.strip();
        String first = read.lines().findFirst().orElse("");
        if (first.matches(".*[A-Za-z]{3}.*") || read.isEmpty()) {
            return table(first.contains(";") ? lines(read, 0) : read, type);
        }
        CsvTable<TraceRow> plain = table(NAMES + "\n" + lines(read, TraceRow.COLUMNS.size()), type);
        return new CsvTable<>(
                plain.rows(),
                plain.faults().stream()
                        .map(fault -> new CsvTable.Fault(fault.line() - 1, fault.column(), fault.says()))
                        .toList(),
                plain.more());
    }

    private static CsvTable<TraceRow> table(String text, TubeType type) {
        return CsvTable.parse(
                text,
                new CsvTable.Shape<>(
                        TraceRow.COLUMNS,
                        List.of("plate_volts", "grid_volts", "plate_milliamps"),
                        MOST_ROWS,
                        row -> TraceRow.read(row, type),
                        TraceRow::faults));
    }

    /** @param columns to fill up to where only the last is missing */
    private static String lines(String text, int columns) {
        return text.lines().map(line -> cells(line, columns)).collect(Collectors.joining("\n"));
    }

    private static String cells(String line, int columns) {
        String sign = line.contains(";") ? ";" : line.contains("\t") ? "\t" : line.contains(",") ? "," : "\\s+";
        List<String> cells = new ArrayList<>(List.of(line.strip().split("\\s*" + sign + "\\s*", -1)));
        if (cells.size() == columns - 1) {
            cells.add("");
        }
        return cells.stream()
                .map(cell -> cell.equals("-") ? "" : cell.replace("\"", ""))
                .map("\"%s\""::formatted)
                .collect(Collectors.joining(","));
    }

    /** The file of these points. */
    public static String write(List<TracedPoint> points) {
        return CsvText.write(
                TraceRow.COLUMNS, points.stream().map(TraceRow::written).toList());
    }
}
