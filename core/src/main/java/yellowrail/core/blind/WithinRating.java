package yellowrail.core.blind;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Snapshot;

/** Whether a setting may be listened to at all: no ear outranks a rating. */
public final class WithinRating {

    private WithinRating() {}

    /**
     * @param said what the meter would read in that setting
     * @param now the amp, with the plate volts that were read
     * @return a tube that would stand over its rating, by nobody's choice
     */
    public static Optional<TubeIdle> over(List<Entry> said, Snapshot now) {
        List<Reading> before = now.moment().readings();
        long last = before.stream().mapToLong(Reading::id).max().orElse(0);
        Instant at = before.stream()
                .map(Reading::takenAt)
                .max(Comparator.naturalOrder())
                .orElse(Instant.EPOCH);
        List<Reading> readings = IntStream.range(0, said.size())
                .mapToObj(i -> new Reading(last + 1 + i, said.get(i), at))
                .toList();
        return StageIdle.of(now).at(now.moment().after(readings)).stream()
                .filter(tube -> tube.judgement().verdict() == Verdict.OVER_RATING)
                .findFirst();
    }
}
