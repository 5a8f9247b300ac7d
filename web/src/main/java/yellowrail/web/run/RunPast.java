package yellowrail.web.run;

import java.util.List;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;

/** A run from its first reading to its last, and the bench as it was after any of them. */
public final class RunPast {

    private final RunLog log;
    private final List<Reading> readings;

    RunPast(RunLog log) {
        this.log = log;
        this.readings = log.inTime().stream().map(ReadingRow::reading).toList();
    }

    /** Those that count, in the order of what happened. */
    public List<Reading> readings() {
        return readings;
    }

    public Timeline timeline() {
        return log.timeline();
    }

    /** @param last the number of the last reading that was there; 0 for none */
    public Snapshot after(long last) {
        int count = 0;
        for (int i = 0; i < readings.size(); i++) {
            count = readings.get(i).id() == last ? i + 1 : count;
        }
        return log.log().only(readings.subList(0, count)).timeline().present();
    }
}
