package yellowrail.core.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;

/**
 * Writes and reads comma-separated values. A cell that a spreadsheet would take for a formula, for it begins with
 * {@code = + - @} and is no number, is written behind an apostrophe and read back without it.
 */
public final class CsvText {

    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setIgnoreEmptyLines(true).get();
    private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+([.,]\\d*)?|[.,]\\d+)([eE][+-]?\\d+)?");
    private static final Pattern FORMULA = Pattern.compile("(?s)'*[=+\\-@\\t\\r].*");
    private static final String BYTE_ORDER_MARK = "\ufeff";

    private CsvText() {}

    /** A parser of a text, a mark of its byte order skipped; its cells are to be read by {@link #read}. */
    public static CSVParser parse(String text) throws IOException {
        return parse(text, ',');
    }

    /** The same of a text whose cells are parted by another sign. */
    public static CSVParser parse(String text, char between) throws IOException {
        return FORMAT.builder().setDelimiter(between).get().parse(new StringReader(withoutMark(text)));
    }

    /** The text of a file without the mark of its byte order, which some programs put before it. */
    public static String withoutMark(String text) {
        return text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text;
    }

    /** What a cell says. */
    public static String read(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell.substring(1)).matches() ? cell.substring(1) : cell;
    }

    public static String write(List<String> header, List<List<String>> rows) {
        StringBuilder text = new StringBuilder();
        try (var printer = FORMAT.print(text)) {
            printer.printRecord(header);
            for (List<String> row : rows) {
                printer.printRecord(row.stream().map(CsvText::inert));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static String inert(String cell) {
        return FORMULA.matcher(cell).matches() && !NUMBER.matcher(cell).matches() ? "'" + cell : cell;
    }
}
