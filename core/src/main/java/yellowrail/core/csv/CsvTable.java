package yellowrail.core.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.finding.Finding;

/**
 * A file of named columns in any order, under a header (RFC 4180).
 *
 * @param rows the good rows, in the order of the file
 * @param faults what is wrong with the others, by line and column
 * @param more how many faults there are besides those
 */
public record CsvTable<R>(List<R> rows, List<Fault> faults, int more) {

    /** As many are told one by one; the rest are counted. */
    public static final int FAULTS_TOLD = 100;

    /** What is wrong where. */
    public record Fault(long line, String column, Finding says) {}

    /**
     * What a file may have.
     *
     * @param columns that there are
     * @param needed those that no file is without
     * @param most rows
     * @param reader of a row by the text of its columns
     * @param faults of a row, by column
     */
    public record Shape<R>(
            List<String> columns,
            List<String> needed,
            int most,
            Function<Function<String, String>, R> reader,
            Function<R, Map<String, Finding>> faults) {}

    public CsvTable {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
    }

    public static <R> CsvTable<R> parse(String text, Shape<R> shape) {
        return new Reading<>(shape).parse(text);
    }

    /** A file on its way. */
    private static final class Reading<R> {

        private final Shape<R> shape;
        private final List<R> rows = new ArrayList<>();
        private final List<Fault> faults = new ArrayList<>();

        Reading(Shape<R> shape) {
            this.shape = shape;
        }

        CsvTable<R> parse(String text) {
            try (var parser = CsvText.parse(text)) {
                List<String> header = null;
                int read = 0;
                for (CSVRecord record : parser) {
                    long line = parser.getCurrentLineNumber();
                    if (header == null) {
                        header = record.stream()
                                .map(name -> name.strip().toLowerCase(Locale.ROOT))
                                .toList();
                        head(header);
                        if (!faults.isEmpty()) {
                            break;
                        }
                    } else if (++read > shape.most()) {
                        faults.add(0, new Fault(line, "", new CsvFinding.TooManyRows(shape.most())));
                        break;
                    } else {
                        take(record, header, line);
                    }
                }
                if (header == null) {
                    faults.add(new Fault(1, "", new CsvFinding.EmptyFile(shape.columns())));
                }
            } catch (IOException | UncheckedIOException | IllegalStateException e) {
                faults.add(new Fault(rows.size() + faults.size() + 2L, "", new CsvFinding.NotCsv()));
            }
            int told = Math.min(faults.size(), FAULTS_TOLD);
            return new CsvTable<>(rows, faults.subList(0, told), faults.size() - told);
        }

        private void head(List<String> header) {
            Set<String> seen = new LinkedHashSet<>();
            header.stream()
                    .filter(name -> !shape.columns().contains(name) || !seen.add(name))
                    .forEach(name -> faults.add(new Fault(
                            1,
                            name,
                            shape.columns().contains(name)
                                    ? new CsvFinding.ColumnTwice()
                                    : new CsvFinding.NoSuchColumn(shape.columns()))));
            shape.needed().stream()
                    .filter(name -> !header.contains(name))
                    .forEach(name -> faults.add(new Fault(1, name, new CsvFinding.ColumnMissing())));
        }

        private void take(CSVRecord record, List<String> header, long line) {
            if (record.size() != header.size()) {
                faults.add(new Fault(line, "", new CsvFinding.OtherNumberOfColumns(record.size(), header.size())));
                return;
            }
            R row = shape.reader()
                    .apply(column -> header.contains(column) ? CsvText.read(record.get(header.indexOf(column))) : "");
            Map<String, Finding> wrong = shape.faults().apply(row);
            if (wrong.isEmpty()) {
                rows.add(row);
            }
            header.stream()
                    .filter(wrong::containsKey)
                    .forEach(column -> faults.add(new Fault(line, column, wrong.get(column))));
            wrong.keySet().stream()
                    .filter(column -> !header.contains(column))
                    .sorted()
                    .forEach(column -> faults.add(new Fault(line, column, wrong.get(column))));
        }
    }
}
