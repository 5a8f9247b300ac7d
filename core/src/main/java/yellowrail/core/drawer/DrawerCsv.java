package yellowrail.core.drawer;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.csv.CsvText;
import yellowrail.core.finding.Finding;

/**
 * The drawer as a file: comma-separated (RFC 4180), a header with the names of {@link DrawerRow#COLUMNS} in any order,
 * one row a test; a tube with several tests has several rows, one without has one with those columns empty.
 *
 * @param rows the good rows, in the order of the file
 * @param faults what is wrong with the others, by line and column
 * @param more how many faults there are besides those
 */
public record DrawerCsv(List<DrawerRow> rows, List<Fault> faults, int more) {

    public static final int MOST_ROWS = 20_000;
    /** As many are told one by one; the rest are counted. */
    static final int FAULTS_TOLD = 100;

    /** What is wrong where. */
    public record Fault(long line, String column, Finding says) {}

    public DrawerCsv {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
    }

    public static DrawerCsv parse(String text) {
        List<DrawerRow> rows = new ArrayList<>();
        List<Fault> faults = new ArrayList<>();
        try (var parser = CsvText.parse(text)) {
            List<String> header = null;
            int read = 0;
            for (CSVRecord record : parser) {
                long line = parser.getCurrentLineNumber();
                if (header == null) {
                    header = record.stream()
                            .map(name -> name.strip().toLowerCase(Locale.ROOT))
                            .toList();
                    faults.addAll(headerFaults(header));
                    if (!faults.isEmpty()) {
                        break;
                    }
                } else if (++read > MOST_ROWS) {
                    faults.add(0, new Fault(line, "", new DrawerFinding.TooManyRows(MOST_ROWS)));
                    break;
                } else {
                    take(record, header, line, rows, faults);
                }
            }
            if (header == null) {
                faults.add(new Fault(1, "", new DrawerFinding.EmptyFile(DrawerRow.COLUMNS)));
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            faults.add(new Fault(rows.size() + faults.size() + 2L, "", new DrawerFinding.NotCsv()));
        }
        int told = Math.min(faults.size(), FAULTS_TOLD);
        return new DrawerCsv(rows, faults.subList(0, told), faults.size() - told);
    }

    private static List<Fault> headerFaults(List<String> header) {
        List<Fault> faults = new ArrayList<>();
        Set<String> seen = new LinkedHashSet<>();
        header.stream()
                .filter(name -> !DrawerRow.COLUMNS.contains(name) || !seen.add(name))
                .forEach(name -> faults.add(new Fault(
                        1,
                        name,
                        DrawerRow.COLUMNS.contains(name)
                                ? new DrawerFinding.ColumnTwice()
                                : new DrawerFinding.NoSuchColumn(DrawerRow.COLUMNS))));
        List.of("type", "label").stream()
                .filter(name -> !header.contains(name))
                .forEach(name -> faults.add(new Fault(1, name, new DrawerFinding.ColumnMissing())));
        return faults;
    }

    private static void take(
            CSVRecord record, List<String> header, long line, List<DrawerRow> rows, List<Fault> faults) {
        if (record.size() != header.size()) {
            faults.add(new Fault(line, "", new DrawerFinding.OtherNumberOfColumns(record.size(), header.size())));
            return;
        }
        DrawerRow row = DrawerRow.read(
                column -> header.contains(column) ? CsvText.read(record.get(header.indexOf(column))) : "");
        if (row.faults().isEmpty()) {
            rows.add(row);
        }
        header.stream()
                .filter(row.faults()::containsKey)
                .forEach(column ->
                        faults.add(new Fault(line, column, row.faults().get(column))));
        row.faults().keySet().stream()
                .filter(column -> !header.contains(column))
                .sorted()
                .forEach(column ->
                        faults.add(new Fault(line, column, row.faults().get(column))));
    }

    /** The file of these rows. */
    public static String write(List<DrawerRow> rows) {
        return CsvText.write(
                DrawerRow.COLUMNS, rows.stream().map(DrawerRow::written).toList());
    }
}
