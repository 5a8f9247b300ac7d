package yellowrail.core.mistake;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.quantity.Figures;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/** Mistakes about what is turned, and which way. */
final class PotMistakes {

    /** A change worth calling a change, as a ratio. */
    private static final double MOVED = 0.04;
    private static final double CREPT = 0.05;
    private static final Duration CREEPS = Duration.ofMinutes(3);
    private static final int IN_A_ROW = 3;

    private PotMistakes() {
    }

    private static Optional<Pot> turned(Entry entry, Situation now) {
        return entry.kind() != ReadingKind.TURN ? Optional.empty()
                : now.sheet().pots().stream().filter(pot -> entry.words().startsWith(pot.name() + " ")).findFirst();
    }

    private static Pot.Turn way(Entry entry) {
        return entry.words().endsWith(" clockwise") ? Pot.Turn.CLOCKWISE : Pot.Turn.ANTICLOCKWISE;
    }

    /** New tubes are in, nothing has been read yet, and the pot goes toward hotter. */
    static Optional<Question> hotWayWithNewTubes(Entry entry, Situation now) {
        Optional<Pot> pot = turned(entry, now);
        Optional<Reading> fresh = now.readings().stream().filter(reading -> reading.entry().kind() == ReadingKind.TUBE
                && reading.entry().words().toLowerCase(Locale.ROOT).contains("new")).reduce((one, later) -> later);
        if (pot.isEmpty() || fresh.isEmpty() || pot.get().hotter() != way(entry)
                || now.readings().stream().anyMatch(reading -> reading.id() > fresh.get().id() && Situation.isCurrent(reading.entry()))) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "New tubes are in and nothing has been read since: %s is the hot way by the sheet. The coldest end first.".formatted(way(entry).inWords()),
                List.of(List.of(Situation.words(ReadingKind.TURN, pot.get().name() + " " + way(entry).opposite().inWords())))));
    }

    /** A tube that keeps rising while its neighbours stand still is about to be trimmed. */
    static Optional<Question> creepingTube(Entry entry, Situation now) {
        if (turned(entry, now).isEmpty()) {
            return Optional.empty();
        }
        for (String point : now.sheet().testPoints()) {
            double crept = crept(point, now);
            double neighbours = now.sheet().testPoints().stream().filter(other -> !other.equals(point)).mapToDouble(other -> change(other, now)).max().orElse(Double.NaN);
            if (crept > CREPT && neighbours < crept / 3) {
                return Optional.of(now.ask(entry, "%s keeps rising, by %s so far, while the others stand still. Trimming a creeping tube is chasing one\u2019s tail: swap it with its neighbour and see whether the trouble follows."
                        .formatted(point, Figures.percent(crept)), List.of(List.of(Situation.words(ReadingKind.NOTE, point + " creeps: tubes to be swapped before any trimming")))));
            }
        }
        return Optional.empty();
    }

    private static List<Reading> currents(String point, Situation now) {
        ReadingKind kind = now.before().at(ReadingKind.SENSE_AMPS, point).isPresent() ? ReadingKind.SENSE_AMPS : ReadingKind.SENSE_VOLTS;
        return now.since(ReadingKind.TURN, kind, point);
    }

    /** How much a test point has risen without a fall since the last turn; 0 if it did not rise steadily. */
    private static double crept(String point, Situation now) {
        List<Reading> readings = currents(point, now);
        if (readings.size() < IN_A_ROW) {
            return 0;
        }
        for (int i = 1; i < readings.size(); i++) {
            if (!(readings.get(i).value() > readings.get(i - 1).value())) {
                return 0;
            }
        }
        Reading first = readings.get(0);
        Reading last = readings.get(readings.size() - 1);
        return Duration.between(first.takenAt(), last.takenAt()).compareTo(CREEPS) < 0 ? 0 : last.value() / first.value() - 1;
    }

    private static double change(String point, Situation now) {
        List<Reading> readings = currents(point, now);
        return readings.size() < 2 ? Double.NaN : Math.abs(readings.get(readings.size() - 1).value() / readings.get(0).value() - 1);
    }

    /** One side up, the other down: the pot taken for the bias control is the balance control. */
    static Optional<Question> balanceForRange(Entry entry, Situation now) {
        List<Pot> ranges = now.sheet().pots().stream().filter(pot -> pot.action() == Pot.Action.ALL).toList();
        if (!Situation.isCurrent(entry) || ranges.size() != 1 || now.sheet().pots().size() != 1) {
            return Optional.empty();
        }
        double here = lastTwo(entry.kind(), entry.target(), now, entry.value());
        Optional<Side> side = side(entry.target(), now);
        for (String point : now.sheet().testPoints()) {
            double there = lastTwo(entry.kind(), point, now, Double.NaN);
            boolean across = side.isPresent() && side(point, now).isPresent() && side.get() != side(point, now).get();
            if (across && Math.abs(here) > MOVED && Math.abs(there) > MOVED && here * there < 0) {
                return Optional.of(now.ask(entry, "%s went %s as %s went %s: %s is a balance pot, not a bias control. The level itself has not been set.".formatted(
                        here > 0 ? entry.target() : point, "up", here > 0 ? point : entry.target(), "down", ranges.get(0).name()),
                        List.of(List.of(entry, Situation.words(ReadingKind.SHEET, "pot " + ranges.get(0).name() + " balance")))));
            }
        }
        return Optional.empty();
    }

    private static Optional<Side> side(String point, Situation now) {
        List<Side> sides = now.sheet().socketsAt(point).stream().map(Socket::side).distinct().toList();
        return sides.size() == 1 ? Optional.of(sides.get(0)) : Optional.empty();
    }

    /** The change of a test point from its last reading but one, or to {@code newest} where that is given, as a ratio. */
    private static double lastTwo(ReadingKind kind, String point, Situation now, double newest) {
        List<Reading> readings = now.readings().stream().filter(reading -> reading.entry().kind() == kind && reading.entry().target().equals(point)).toList();
        int last = readings.size() - 1;
        if (!Double.isNaN(newest)) {
            return last < 0 ? 0 : newest / readings.get(last).value() - 1;
        }
        return last < 1 ? 0 : readings.get(last).value() / readings.get(last - 1).value() - 1;
    }

    /** The reading moved against the direction that the sheet gives for the turn just logged. */
    static Optional<Question> otherDirection(Entry entry, Situation now) {
        if (!Situation.isCurrent(entry) || now.readings().isEmpty()) {
            return Optional.empty();
        }
        Optional<Reading> turn = now.before().at(ReadingKind.TURN, "");
        Optional<Reading> before = now.before().at(entry.kind(), entry.target());
        if (turn.isEmpty() || before.isEmpty() || before.get().id() > turn.get().id()) {
            return Optional.empty();
        }
        Optional<Pot> pot = turned(turn.get().entry(), now).filter(each -> each.action() == Pot.Action.ALL && each.hotter() != Pot.Turn.UNKNOWN);
        double change = entry.value() / before.get().value() - 1;
        if (pot.isEmpty() || Math.abs(change) < MOVED || (way(turn.get().entry()) == pot.get().hotter()) == (change > 0)) {
            return Optional.empty();
        }
        return Optional.of(now.ask(entry, "%s was turned %s and the reading %s: the sheet has its direction the wrong way round.".formatted(pot.get().name(),
                way(turn.get().entry()).inWords(), change > 0 ? "rose" : "fell"),
                List.of(List.of(entry, Situation.words(ReadingKind.SHEET, "pot " + pot.get().name() + " " + pot.get().hotter().opposite().inWords())))));
    }
}
