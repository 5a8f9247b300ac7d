package yellowrail.core.drawer;

import java.util.List;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.csv.CsvText;

/**
 * The drawer as a file: comma-separated (RFC 4180), a header with the names of {@link DrawerRow#COLUMNS} in any order,
 * one row a test; a tube with several tests has several rows, one without has one with those columns empty.
 */
public final class DrawerCsv {

    public static final int MOST_ROWS = 20_000;

    private static final CsvTable.Shape<DrawerRow> SHAPE = new CsvTable.Shape<>(
            DrawerRow.COLUMNS, List.of("type", "label"), MOST_ROWS, DrawerRow::read, DrawerRow::faults);

    private DrawerCsv() {}

    public static CsvTable<DrawerRow> parse(String text) {
        return CsvTable.parse(text, SHAPE);
    }

    /** The file of these rows. */
    public static String write(List<DrawerRow> rows) {
        return CsvText.write(
                DrawerRow.COLUMNS, rows.stream().map(DrawerRow::written).toList());
    }
}
