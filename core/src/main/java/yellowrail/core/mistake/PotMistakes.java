package yellowrail.core.mistake;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.finding.Code;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Question;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.soak.Soak;

/** Mistakes about what is turned, and which way. */
final class PotMistakes {

    /** A change worth calling a change, as a ratio. */
    private static final double MOVED = 0.04;

    private PotMistakes() {}

    private static Optional<Pot> turned(Entry entry, Situation now) {
        return entry.kind() != ReadingKind.TURN
                ? Optional.empty()
                : now.sheet().pots().stream()
                        .filter(pot -> entry.target().equals(pot.name()))
                        .findFirst();
    }

    /** New tubes are in, nothing has been read yet, and the pot goes toward hotter. */
    static Optional<Question> hotWayWithNewTubes(Entry entry, Situation now) {
        Optional<Pot> pot = turned(entry, now);
        Optional<Reading> fresh = now.everything().stream()
                .filter(reading -> reading.entry().isNewTube())
                .reduce((one, later) -> later);
        if (pot.isEmpty()
                || fresh.isEmpty()
                || pot.get().hotter() != entry.way()
                || now.readings().stream()
                        .anyMatch(reading -> reading.id() > fresh.get().id()
                                && reading.entry().isCurrent())) {
            return Optional.empty();
        }
        return Optional.of(Situation.ask(
                entry,
                new MistakeFinding.HotWayWithNewTubes(entry.way()),
                List.of(List.of(Entry.turned(pot.get().name(), entry.way().opposite())))));
    }

    /** A tube that keeps rising while its neighbours stand still is about to be trimmed. */
    static Optional<Question> creepingTube(Entry entry, Situation now) {
        if (turned(entry, now).isEmpty()) {
            return Optional.empty();
        }
        return risen(now)
                .map(risen -> Situation.ask(
                        entry, risen, List.of(List.of(Situation.words(ReadingKind.NOTE, risen.point() + " creeps")))));
    }

    /** By three readings in a row, or by what the soak says. */
    private static Optional<MistakeFinding.TrimmingACreepingTube> risen(Situation now) {
        return Creep.in(now.sheet(), now.sinceTurned()).stream()
                .findFirst()
                .map(creep -> new MistakeFinding.TrimmingACreepingTube(creep.point(), creep.by()))
                .or(() -> {
                    Soak soak = Soak.of(now.timeline());
                    return soak.trouble().stream()
                            .filter(point -> point.now().state().isTrouble() && point.rises())
                            .findFirst()
                            .map(point -> new MistakeFinding.TrimmingACreepingTube(
                                    point.label(),
                                    point.trouble().orElseThrow().rate()
                                            * soak.present().orElseThrow().minutes()
                                            / 100));
                });
    }

    /**
     * A turn was logged and one side went up, the other down: the pot taken for the bias control is the balance
     * control.
     */
    static Optional<Question> balanceForRange(Entry entry, Situation now) {
        List<Pot> ranges = now.sheet().pots().stream()
                .filter(pot -> pot.action() == Pot.Action.ALL)
                .toList();
        if (!entry.isCurrent()
                || ranges.size() != 1
                || now.sheet().pots().size() != 1
                || now.lastTurn().isEmpty()) {
            return Optional.empty();
        }
        double here = lastTwo(entry.kind(), entry.target(), now, entry.value());
        Optional<Side> side = side(entry.target(), now);
        for (String point : now.sheet().testPoints()) {
            double there = lastTwo(entry.kind(), point, now, Double.NaN);
            boolean across = side.isPresent()
                    && side(point, now).isPresent()
                    && side.get() != side(point, now).get();
            if (across && Math.abs(here) > MOVED && Math.abs(there) > MOVED && here * there < 0) {
                return Optional.of(Situation.ask(
                        entry,
                        new MistakeFinding.BalanceForRange(
                                here > 0 ? entry.target() : point,
                                here > 0 ? point : entry.target(),
                                ranges.get(0).name()),
                        List.of(List.of(
                                entry,
                                Situation.words(
                                        ReadingKind.SHEET,
                                        "pot " + ranges.get(0).name() + " balance")))));
            }
        }
        return Optional.empty();
    }

    private static Optional<Side> side(String point, Situation now) {
        List<Side> sides = now.sheet().socketsAt(point).stream()
                .map(Socket::side)
                .distinct()
                .toList();
        return sides.size() == 1 ? Optional.of(sides.get(0)) : Optional.empty();
    }

    /**
     * The change of a test point from its last reading but one, or to {@code newest} where that is given, as a ratio.
     */
    private static double lastTwo(ReadingKind kind, String point, Situation now, double newest) {
        List<Reading> readings = now.readings().stream()
                .filter(reading -> reading.entry().kind() == kind
                        && reading.entry().target().equals(point))
                .toList();
        int last = readings.size() - 1;
        if (!Double.isNaN(newest)) {
            return last < 0 ? 0 : newest / readings.get(last).value() - 1;
        }
        return last < 1
                ? 0
                : readings.get(last).value() / readings.get(last - 1).value() - 1;
    }

    /** The reading moved against the direction that the sheet gives for the turn just logged. */
    static Optional<Question> otherDirection(Entry entry, Situation now) {
        if (!entry.isCurrent() || now.readings().isEmpty()) {
            return Optional.empty();
        }
        Optional<Reading> turn = now.lastTurn();
        Optional<Reading> before = now.before().at(entry.kind(), entry.target());
        if (turn.isEmpty() || before.isEmpty() || before.get().id() > turn.get().id()) {
            return Optional.empty();
        }
        Optional<Pot> pot = turned(turn.get().entry(), now)
                .filter(each -> each.action() == Pot.Action.ALL && each.hotter() != Pot.Turn.UNKNOWN);
        double change = entry.value() / before.get().value() - 1;
        if (pot.isEmpty()
                || Math.abs(change) < MOVED
                || (turn.get().entry().way() == pot.get().hotter()) == (change > 0)) {
            return Optional.empty();
        }
        Pot.Turn turned = turn.get().entry().way();
        return Optional.of(Situation.ask(
                entry,
                change > 0
                        ? new MistakeFinding.RoseTheOtherWay(pot.get().name(), turned)
                        : new MistakeFinding.FellTheOtherWay(pot.get().name(), turned),
                List.of(List.of(
                        entry,
                        Situation.words(
                                ReadingKind.SHEET,
                                "pot " + pot.get().name() + " "
                                        + Code.of(pot.get().hotter().opposite()))))));
    }
}
