package yellowrail.core.timeline;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import yellowrail.core.reading.Reading;

/**
 * Puts what a meter recorded among what hands typed, by its times: a file brought after a pot was turned tells of the
 * time before it, under the sheet of that time. What was typed keeps its order.
 */
public final class InTime {

    private InTime() {}

    /**
     * @param entered in the order of entry
     * @return the same in the order of what happened; the numbers are dealt out again, so that they rise along it
     */
    static List<Reading> of(List<Reading> entered) {
        if (entered.stream().noneMatch(Reading::recorded)) {
            return List.copyOf(entered);
        }
        List<Reading> ordered = order(entered, Reading::takenAt, Reading::recorded);
        List<Reading> placed = new ArrayList<>(ordered.size());
        int sheet = ordered.stream()
                .filter(reading -> !reading.recorded())
                .mapToInt(Reading::sheet)
                .findFirst()
                .orElse(ordered.get(0).sheet());
        for (int i = 0; i < ordered.size(); i++) {
            Reading reading = ordered.get(i);
            sheet = reading.recorded() ? sheet : reading.sheet();
            placed.add(new Reading(
                    entered.get(i).id(),
                    reading.entry(),
                    reading.takenAt(),
                    reading.line(),
                    sheet,
                    reading.recorded()));
        }
        return List.copyOf(placed);
    }

    /**
     * The order of what happened, of anything that tells of readings: each that was recorded stands after the last that
     * was typed and taken no later.
     */
    public static <T> List<T> order(List<T> entered, Function<T, Instant> takenAt, Predicate<T> recorded) {
        List<T> typed = entered.stream().filter(recorded.negate()).toList();
        Instant[] earliest = earliest(typed, takenAt);
        List<T> placed = new ArrayList<>(entered.size());
        int next = 0;
        for (T each : entered.stream()
                .filter(recorded)
                .sorted(Comparator.comparing(takenAt))
                .toList()) {
            while (next < typed.size() && !earliest[next].isAfter(takenAt.apply(each))) {
                placed.add(typed.get(next++));
            }
            placed.add(each);
        }
        placed.addAll(typed.subList(next, typed.size()));
        return placed;
    }

    /** Of each typed one, when the earliest of it and those after it was taken. */
    private static <T> Instant[] earliest(List<T> typed, Function<T, Instant> takenAt) {
        Instant[] earliest = new Instant[typed.size()];
        Instant least = Instant.MAX;
        for (int i = typed.size() - 1; i >= 0; i--) {
            Instant at = takenAt.apply(typed.get(i));
            least = at.isBefore(least) ? at : least;
            earliest[i] = least;
        }
        return earliest;
    }
}
