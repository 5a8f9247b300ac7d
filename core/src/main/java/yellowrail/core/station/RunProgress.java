package yellowrail.core.station;

import java.time.Instant;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;

/**
 * How far a run has come: the last word on each station and each safety item. A run with the chassis open has no live
 * readings before every gating item is ticked; with new tubes in, the pots' coldest ends are among them.
 */
public final class RunProgress {

    /** How a station stands. */
    public enum Status {
        DONE,
        SKIPPED,
        DUE
    }

    private final List<SafetyItem> items;
    private final Map<Station, StationEvent> stations = new EnumMap<>(Station.class);
    private final Map<String, StationEvent> ticks = new HashMap<>();

    /** @param events in the order they happened */
    public RunProgress(AmpSheet sheet, List<StationEvent> events) {
        for (StationEvent event : events) {
            switch (event.what()) {
                case DONE, SKIPPED, REOPENED -> stations.put(event.station(), event);
                case TICKED, UNTICKED -> ticks.put(event.item(), event);
            }
        }
        this.items = Safety.items(sheet, isTicked(Safety.BIAS_WORK));
    }

    public Status status(Station station) {
        return Optional.ofNullable(stations.get(station))
                .map(event -> switch (event.what()) {
                    case DONE -> Status.DONE;
                    case SKIPPED -> Status.SKIPPED;
                    default -> Status.DUE;
                })
                .orElse(Status.DUE);
    }

    /** Why a station was skipped; blank if it was not. */
    public String why(Station station) {
        return status(station) == Status.SKIPPED ? stations.get(station).words() : "";
    }

    /** Where the work goes on: the first station that is neither done nor skipped; the last when all are. */
    public Station next() {
        return Stream.of(Station.values())
                .filter(station -> status(station) == Status.DUE)
                .findFirst()
                .orElse(Station.CLOSE);
    }

    public List<SafetyItem> items(Station station) {
        return items.stream().filter(item -> item.station() == station).toList();
    }

    public Optional<SafetyItem> item(String id) {
        return items.stream().filter(item -> item.id().equals(id)).findFirst();
    }

    /** What is ticked by a name: one item, or all that are missing. */
    public List<SafetyItem> called(String name) {
        return name.equals(Safety.ALL) ? missing() : item(name).map(List::of).orElse(List.of());
    }

    public boolean isTicked(String item) {
        return tickedAt(item).isPresent();
    }

    public Optional<Instant> tickedAt(String item) {
        return Optional.ofNullable(ticks.get(item))
                .filter(event -> event.what() == StationEvent.What.TICKED)
                .map(StationEvent::at);
    }

    /** Whether the bias supply was soldered on and what it gives is not seen yet: no move is told before. */
    public boolean isBiasUnmeasured() {
        return missing().stream().anyMatch(item -> item.gate() == SafetyItem.Gate.WITH_BIAS_WORK);
    }

    /**
     * What is still to be ticked before live readings; when the chassis is closed only what was soldered in it asks.
     */
    public List<SafetyItem> missing() {
        boolean open = !isTicked(Safety.CLOSED);
        boolean fresh = isTicked(Safety.NEW_TUBES);
        return items.stream()
                .filter(item -> switch (item.gate()) {
                    case ALWAYS -> open;
                    case WITH_NEW_TUBES -> open && fresh;
                    case WITH_BIAS_WORK -> true;
                    case NEVER -> false;
                })
                .filter(item -> !isTicked(item.id()))
                .sorted(Comparator.comparing(SafetyItem::station))
                .toList();
    }
}
