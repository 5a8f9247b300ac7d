package yellowrail.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.PotReach;
import yellowrail.core.amp.Side;
import yellowrail.core.balance.PotSwing;
import yellowrail.core.root.Root;
import yellowrail.core.supply.ReadingSet;

/**
 * What the balance pots of a stage are to be turned to before the level is set. A balance pot takes bias from one side
 * and gives it to the other, so by the three-halves law it raises {@code Ik^(2/3)} of every tube on one side by as much
 * as it lowers that of the other; it is turned until the plate currents of the two sides, which magnetise the core, are
 * alike.
 */
final class Balancing {

    /** Sides nearer than this, as a ratio of their mean, are left alone: what the most sensitive of EI cores wants. */
    static final double WORTH_A_TURN = 0.05;

    /** Of the greatest shift there can be. */
    private static final double CLOSE = 1e-14;

    private final AmpSheet sheet;
    private final ReadingSet newest;
    private final List<Turn> turns = new ArrayList<>();
    private final double[] shift;

    /**
     * A balance pot that is worth a turn.
     *
     * @param push the hottest tube of the push side, by its place on the sheet
     * @param pull the hottest of the other
     */
    record Turn(Pot pot, int push, int pull) {}

    Balancing(AmpSheet sheet, ReadingSet newest) {
        this.sheet = sheet;
        this.newest = newest;
        this.shift = new double[sheet.sockets().size()];
        sheet.pots().stream().filter(pot -> pot.action() == Pot.Action.BALANCE).forEach(this::take);
    }

    /** The balance pots are left alone. */
    static Balancing none(AmpSheet sheet, ReadingSet newest) {
        return new Balancing(sheet.withPots(List.of()), newest);
    }

    /** Whether they bring no tube above its ceiling that stands below it, A. */
    boolean keepsBelow(double[] ceilings) {
        double[] then = currents();
        return IntStream.range(0, then.length).allMatch(tube -> shift[tube] <= 0 || then[tube] <= ceilings[tube]);
    }

    private void take(Pot pot) {
        List<Integer> push = side(pot, Side.PUSH);
        List<Integer> pull = side(pot, Side.PULL);
        boolean seen = push.stream()
                .noneMatch(one -> pull.stream().anyMatch(other -> point(one).equals(point(other))));
        double apart = plateAmps(push, 0) - plateAmps(pull, 0);
        if (push.isEmpty()
                || pull.isEmpty()
                || !seen
                || Math.abs(apart) <= WORTH_A_TURN * (plateAmps(push, 0) + plateAmps(pull, 0)) / 2) {
            return;
        }
        double by = alike(push, pull);
        push.forEach(tube -> shift[tube] += by);
        pull.forEach(tube -> shift[tube] -= by);
        turns.add(new Turn(pot, hottest(push), hottest(pull)));
    }

    private List<Integer> side(Pot pot, Side side) {
        return PotReach.of(sheet, pot).stream()
                .filter(tube -> sheet.sockets().get(tube).side() == side)
                .toList();
    }

    private String point(int tube) {
        return sheet.sockets().get(tube).testPoint();
    }

    private int hottest(List<Integer> tubes) {
        return tubes.stream()
                .max((one, other) -> Double.compare(newest.cathode(one), newest.cathode(other)))
                .orElseThrow();
    }

    /** The shift of {@code Ik^(2/3)} at which both sides draw alike; their difference rises with it. */
    private double alike(List<Integer> push, List<Integer> pull) {
        double high = IntStream.range(0, shift.length)
                .mapToDouble(tube -> BiasLaw.x(newest.cathode(tube)))
                .max()
                .orElseThrow();
        return Root.between(by -> plateAmps(push, by) - plateAmps(pull, -by), -high, high, CLOSE * high);
    }

    private double plateAmps(List<Integer> tubes, double by) {
        return tubes.stream()
                .mapToDouble(tube -> BiasLaw.amps(BiasLaw.x(newest.cathode(tube)) + by)
                        * newest.values(tube).plateCurrent()
                        / newest.cathode(tube))
                .sum();
    }

    /**
     * The pots to turn, in the order of the sheet; none where the sides are alike, cannot be seen, or have no such pot.
     */
    List<Turn> turns() {
        return List.copyOf(turns);
    }

    /** How far a tube's {@code Ik^(2/3)} moves by them. */
    double shift(int tube) {
        return shift[tube];
    }

    /** Every cathode current after them, the level not yet set, A. */
    double[] currents() {
        return IntStream.range(0, shift.length)
                .mapToDouble(tube -> BiasLaw.amps(BiasLaw.x(newest.cathode(tube)) + shift[tube]))
                .toArray();
    }

    /** Why a balance pot at its stops does not reach the balance: both showed the same side ahead. */
    static Optional<MoveFinding> outOfReach(PotSwing swing) {
        double atA = swing.push().atA() - swing.pull().atA();
        double atB = swing.push().atB() - swing.pull().atB();
        return atA * atB > 0
                ? Optional.of(new MoveFinding.BalanceOutOfReach(
                        atA > 0 ? swing.push().point() : swing.pull().point()))
                : Optional.empty();
    }
}
