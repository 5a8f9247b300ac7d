package yellowrail.core.timeline;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.PotReach;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * Which of the newest readings were overtaken: by a pot that reaches them, by a neighbour's pot or tube that moved the
 * supply, by a reading of the same setting that came out otherwise without a word. A neighbour's pot that left the
 * plate voltage where it was has moved nothing.
 */
final class Staleness {

    /** Plates that read the same within this have not been moved by a neighbour. */
    private static final double SAME_PLATES = 0.004;

    private final AmpSheet sheet;
    /** By pot or socket, the last reading before it was turned or exchanged. */
    private final Map<String, Long> turned = new HashMap<>();

    private final Map<String, Long> exchanged = new HashMap<>();
    private Optional<Change> unsaid = Optional.empty();
    private Optional<TimelineFinding> moved = Optional.empty();
    private final List<Reading> plates;

    /** @param plates every plate voltage of the present hardware, oldest first */
    Staleness(AmpSheet sheet, List<Reading> plates) {
        this.sheet = sheet;
        this.plates = plates;
    }

    /** The same turns and exchanges under a sheet that says something else of the same hardware. */
    Staleness on(AmpSheet other) {
        Staleness same = new Staleness(other, plates);
        same.turned.putAll(turned);
        same.exchanged.putAll(exchanged);
        same.unsaid = unsaid;
        same.moved = moved;
        return same;
    }

    void turn(String pot, long after) {
        turned.put(pot, after);
    }

    void exchange(String socket, long after) {
        exchanged.put(socket, after);
    }

    void unsaid(Change change, TimelineFinding what) {
        unsaid = Optional.of(change);
        moved = Optional.of(what);
    }

    Freshness of(Reading reading) {
        if (reading.kind() == ReadingKind.NODE) {
            return byNeighbours(reading)
                    .or(() -> byTube(reading))
                    .map(Freshness::stale)
                    .orElse(Freshness.FRESH);
        }
        if (!OpenSetting.KINDS.contains(reading.kind()) && reading.kind() != ReadingKind.SCREEN_VOLTS) {
            return Freshness.FRESH;
        }
        return byPot(reading)
                .or(() -> byTube(reading))
                .or(() -> bySilence(reading))
                .map(Freshness::stale)
                .orElse(Freshness.FRESH);
    }

    private Optional<TimelineFinding> byPot(Reading reading) {
        Optional<TimelineFinding> neighbours = Optional.empty();
        for (var pot : sheet.pots()) {
            Long after = turned.get(pot.name());
            if (after == null || reading.id() > after) {
                continue;
            }
            if (reaches(PotReach.of(sheet, pot), reading)) {
                return Optional.of(new TimelineFinding.PotTurnedSince(pot.name()));
            }
            if (neighbours.isEmpty() && supplyMoved(after)) {
                neighbours = Optional.of(new TimelineFinding.NeighboursPotTurnedSince(pot.name()));
            }
        }
        return neighbours;
    }

    /** A node of the rest of the amp feels a pot of the output stage where the supply moved. */
    private Optional<TimelineFinding> byNeighbours(Reading reading) {
        return sheet.pots().stream()
                .map(pot -> pot.name())
                .filter(pot ->
                        turned.containsKey(pot) && reading.id() <= turned.get(pot) && supplyMoved(turned.get(pot)))
                .findFirst()
                .map(TimelineFinding.NeighboursPotTurnedSince::new);
    }

    private boolean reaches(List<Integer> sockets, Reading reading) {
        String place = reading.entry().target();
        return place.isEmpty()
                || sockets.stream()
                        .map(sheet.sockets()::get)
                        .anyMatch(socket -> socket.label().equals(place)
                                || socket.testPoint().equals(place));
    }

    /** Unless the plates were read before and after and stand where they stood. */
    private boolean supplyMoved(long after) {
        Reading before = null;
        Reading since = null;
        for (Reading plate : plates) {
            if (plate.id() <= after) {
                before = plate;
            } else {
                since = plate;
            }
        }
        return before == null
                || since == null
                || Math.abs(since.value() - before.value()) > SAME_PLATES * Math.abs(before.value());
    }

    private Optional<TimelineFinding> byTube(Reading reading) {
        boolean grids = reading.kind() == ReadingKind.BIAS && !sheet.bias().isCathode();
        return grids
                ? Optional.empty()
                : exchanged.entrySet().stream()
                        .filter(each -> reading.id() <= each.getValue())
                        .findFirst()
                        .map(each -> new TimelineFinding.NeighboursTubeExchangedSince(each.getKey()));
    }

    private Optional<TimelineFinding> bySilence(Reading reading) {
        return unsaid.filter(change -> reading.id() <= change.after()).flatMap(change -> moved);
    }
}
