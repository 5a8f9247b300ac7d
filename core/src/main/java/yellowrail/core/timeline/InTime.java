package yellowrail.core.timeline;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import yellowrail.core.reading.Reading;

/**
 * Puts what a meter recorded among what hands typed, by its times: a file brought after a pot was turned tells of the
 * time before it. What was typed keeps its order.
 */
final class InTime {

    private InTime() {}

    /**
     * @param entered in the order of entry
     * @return the same in the order of what happened; the numbers are dealt out again, so that they rise along it
     */
    static List<Reading> of(List<Reading> entered) {
        if (entered.stream().noneMatch(Reading::recorded)) {
            return List.copyOf(entered);
        }
        List<Reading> typed =
                entered.stream().filter(reading -> !reading.recorded()).toList();
        List<Reading> recorded = entered.stream()
                .filter(Reading::recorded)
                .sorted(Comparator.comparing(Reading::takenAt))
                .toList();
        Instant[] earliest = earliest(typed);
        List<Reading> placed = new ArrayList<>(entered.size());
        int next = 0;
        for (Reading reading : recorded) {
            while (next < typed.size() && !earliest[next].isAfter(reading.takenAt())) {
                placed.add(typed.get(next++));
            }
            placed.add(under(sheet(placed, typed, reading), reading));
        }
        placed.addAll(typed.subList(next, typed.size()));
        return numbered(placed, entered);
    }

    /** Of each typed one, when the earliest of it and those after it was taken. */
    private static Instant[] earliest(List<Reading> typed) {
        Instant[] earliest = new Instant[typed.size()];
        Instant least = Instant.MAX;
        for (int i = typed.size() - 1; i >= 0; i--) {
            Instant at = typed.get(i).takenAt();
            least = at.isBefore(least) ? at : least;
            earliest[i] = least;
        }
        return earliest;
    }

    /** The sheet that held when it was taken: it was brought under a later one perhaps. */
    private static int sheet(List<Reading> before, List<Reading> typed, Reading reading) {
        if (!before.isEmpty()) {
            return before.get(before.size() - 1).sheet();
        }
        return typed.isEmpty() ? reading.sheet() : typed.get(0).sheet();
    }

    private static Reading under(int sheet, Reading reading) {
        return numbered(reading, reading.id(), sheet);
    }

    private static List<Reading> numbered(List<Reading> placed, List<Reading> entered) {
        List<Reading> numbered = new ArrayList<>(placed.size());
        for (int i = 0; i < placed.size(); i++) {
            Reading reading = placed.get(i);
            numbered.add(numbered(reading, entered.get(i).id(), reading.sheet()));
        }
        return List.copyOf(numbered);
    }

    private static Reading numbered(Reading reading, long id, int sheet) {
        return new Reading(id, reading.entry(), reading.takenAt(), reading.line(), sheet, reading.recorded());
    }
}
