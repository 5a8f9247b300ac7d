package yellowrail.core.csv;

import java.util.List;
import yellowrail.core.finding.Finding;

/** What is wrong with a file of named columns as a whole, or with a line of it. */
public sealed interface CsvFinding extends Finding {

    record TooManyRows(int rows) implements CsvFinding {}

    record EmptyFile(List<String> columns) implements CsvFinding {}

    record NotCsv() implements CsvFinding {}

    record ColumnTwice() implements CsvFinding {}

    record NoSuchColumn(List<String> columns) implements CsvFinding {}

    record ColumnMissing() implements CsvFinding {}

    record OtherNumberOfColumns(int columns, int header) implements CsvFinding {}
}
