package yellowrail.core.resource;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads the data files that ship with the application: comma separated, a header line, remarks behind {@code #}. */
public final class CsvResource {

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .get();

    private CsvResource() {}

    /** The rows of a file beside a class. */
    public static List<CSVRecord> records(Class<?> beside, String name) {
        try (Reader reader = new InputStreamReader(beside.getResourceAsStream(name), StandardCharsets.UTF_8)) {
            return FORMAT.parse(reader).getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException("the data file " + name + " cannot be read", e);
        }
    }
}
