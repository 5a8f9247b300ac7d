package yellowrail.core.reading;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;
import yellowrail.core.csv.CsvText;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/**
 * The log of a logging meter: comma-separated rows of time, value and unit (RFC 4180), with or without a header. The
 * time is ISO 8601, with or without a zone, or seconds; of seconds the last row is taken as now.
 *
 * @param rows the good rows, in the order of the file
 * @param faults what is wrong with the others, by line
 */
public record MeterLog(List<Row> rows, List<EntryFault> faults) {

    /** More than a day of one reading in ten seconds. */
    public static final int MOST_ROWS = 10_000;

    private static final int COLUMNS = 3;
    private static final int MOST_FAULTS = 10;
    /** Two clocks differ by so much without anybody minding. */
    private static final Duration AHEAD = Duration.ofMinutes(2);

    /**
     * One reading.
     *
     * @param line of the file
     * @param at when
     * @param typed value and unit, as they would be typed
     */
    public record Row(long line, Instant at, String typed) {}

    public MeterLog {
        rows = List.copyOf(rows);
        faults = List.copyOf(faults);
    }

    /**
     * @param now when the last row was read, where the times are seconds
     * @param zone of times without one
     */
    public static MeterLog parse(String text, Instant now, ZoneId zone) {
        List<CSVRecord> records = records(text);
        double last = records.stream()
                .map(record -> seconds(record.get(0)))
                .flatMap(Optional::stream)
                .reduce((one, later) -> later)
                .orElse(0.0);
        List<Row> rows = new ArrayList<>();
        List<EntryFault> faults = new ArrayList<>();
        for (CSVRecord record : records) {
            boolean header = record.getRecordNumber() == 1
                    && record.size() >= COLUMNS
                    && value(record.get(1), record.get(2)).isEmpty()
                    && time(record.get(0), now, zone, last).isEmpty();
            if (header) {
                continue;
            }
            fault(record, now, zone, last)
                    .ifPresentOrElse(
                            fault -> {
                                if (faults.size() < MOST_FAULTS) {
                                    faults.add(fault);
                                }
                            },
                            () -> rows.add(new Row(
                                    record.getRecordNumber(),
                                    time(record.get(0), now, zone, last)
                                            .filter(at -> at.isBefore(now))
                                            .orElse(now),
                                    record.get(1).strip() + record.get(2).strip())));
        }
        return new MeterLog(rows, faults);
    }

    private static List<CSVRecord> records(String text) {
        try (var parser = CsvText.parse(text)) {
            return parser.stream().limit(MOST_ROWS + 1L).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (UncheckedIOException | IllegalStateException e) {
            throw new BadEntryException(new EntryFault.NotCsv());
        }
    }

    private static Optional<EntryFault> fault(CSVRecord record, Instant now, ZoneId zone, double last) {
        if (record.size() < COLUMNS) {
            return Optional.of(new EntryFault.TooFewColumns(record.getRecordNumber(), record.size()));
        }
        Optional<Instant> time = time(record.get(0), now, zone, last);
        String typed = Quantity.quote(record.get(0).strip());
        if (time.isEmpty()) {
            return Optional.of(new EntryFault.NoTime(record.getRecordNumber(), typed));
        }
        if (time.get().isAfter(now.plus(AHEAD))) {
            return Optional.of(new EntryFault.YetToCome(record.getRecordNumber(), typed));
        }
        return value(record.get(1), record.get(2)).isPresent()
                ? Optional.empty()
                : Optional.of(new EntryFault.NoValue(
                        record.getRecordNumber(),
                        Quantity.quote(
                                record.get(1).strip() + "," + record.get(2).strip())));
    }

    private static Optional<Quantity> value(String number, String unit) {
        try {
            Quantity quantity = Quantity.parse(number.strip() + unit.strip());
            return quantity.unit().isPresent() && quantity.unit().get().dimension() != Unit.Dimension.TIME
                    ? Optional.of(quantity)
                    : Optional.empty();
        } catch (BadQuantityException e) {
            return Optional.empty();
        }
    }

    private static Optional<Double> seconds(String text) {
        return text.strip().matches("\\d{1,9}(\\.\\d{1,9})?")
                ? Optional.of(Double.parseDouble(text.strip()))
                : Optional.empty();
    }

    private static Optional<Instant> time(String text, Instant now, ZoneId zone, double last) {
        Optional<Double> seconds = seconds(text);
        if (seconds.isPresent()) {
            return Optional.of(now.minus(Duration.ofMillis(Math.round(1000 * (last - seconds.get())))));
        }
        String iso = text.strip().replace(' ', 'T');
        try {
            return Optional.of(OffsetDateTime.parse(iso).toInstant());
        } catch (DateTimeException zoned) {
            try {
                return Optional.of(LocalDateTime.parse(iso).atZone(zone).toInstant());
            } catch (DateTimeException e) {
                return Optional.empty();
            }
        }
    }
}
