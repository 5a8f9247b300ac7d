package yellowrail.web.run;

import java.time.OffsetDateTime;

/** A row to be added to the log. */
record NewReading(long runId, String kind, String target, double value, String words, String typed, String byWhom,
                  OffsetDateTime takenAt, Long strikes) {

    static NewReading strike(long runId, long strikes, OffsetDateTime now) {
        return new NewReading(runId, "STRIKE", "", 0, "", "undo", "", now, strikes);
    }
}
