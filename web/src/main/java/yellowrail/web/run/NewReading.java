package yellowrail.web.run;

import java.time.OffsetDateTime;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.ReadingKind;
import yellowrail.web.amp.Amp;

/**
 * A row to be added to the log.
 *
 * @param line null where it is the first of its line
 * @param takenAt by the run's clock
 * @param enteredAt by the wall's
 * @param kept whether it was asked about, and kept as it was typed
 * @param recorded whether a meter recorded it by itself
 */
record NewReading(
        long runId,
        String kind,
        String target,
        double value,
        String words,
        String typed,
        String byWhom,
        OffsetDateTime takenAt,
        Long strikes,
        int sheetVersion,
        Long line,
        double lastDigit,
        OffsetDateTime enteredAt,
        boolean kept,
        boolean recorded) {

    static NewReading of(
            long runId, Amp amp, Entry entry, String byWhom, OffsetDateTime taken, OffsetDateTime entered) {
        return of(runId, amp, entry, byWhom, taken, entered, false);
    }

    /** A row of a logging meter's file. */
    static NewReading recorded(long runId, Amp amp, Entry entry, OffsetDateTime taken, OffsetDateTime entered) {
        return of(runId, amp, entry, "logging meter", taken, entered, true);
    }

    private static NewReading of(
            long runId,
            Amp amp,
            Entry entry,
            String byWhom,
            OffsetDateTime taken,
            OffsetDateTime entered,
            boolean recorded) {
        boolean earlier = entry.kind() == ReadingKind.POWER_ON;
        return new NewReading(
                runId,
                entry.kind().name(),
                entry.target(),
                earlier ? 0 : entry.value(),
                entry.words(),
                EntryWriter.line(entry, amp.sheet()),
                byWhom,
                earlier ? RunService.earlier(taken, entry.value()) : taken,
                null,
                amp.version(),
                null,
                entry.lastDigit(),
                entered,
                false,
                recorded);
    }

    static NewReading strike(long runId, long strikes, OffsetDateTime now, int sheetVersion) {
        return new NewReading(
                runId, "STRIKE", "", 0, "", "undo", "", now, strikes, sheetVersion, null, 0, now, false, false);
    }

    /**
     * @param first row of its line; null where it is that
     * @param asked whether the line was asked about
     */
    NewReading onLine(Long first, boolean asked) {
        return new NewReading(
                runId,
                kind,
                target,
                value,
                words,
                typed,
                byWhom,
                takenAt,
                strikes,
                sheetVersion,
                first,
                lastDigit,
                enteredAt,
                asked,
                recorded);
    }
}
