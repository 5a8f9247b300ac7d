package yellowrail.core.closing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Snapshot;

/**
 * An amp held against how it was left: the dissipation of each tube then and now, both taken to the mains of the sheet.
 *
 * @param state what became of it
 * @param changes of each tube that can be compared, as ratios
 * @param exchanged sockets that hold another tube than then
 */
public record SinceLeft(State state, List<Change> changes, List<String> exchanged) {

    /** What becomes of a setting. */
    public enum State {
        /** Every tube stands where it stood. */
        AS_LEFT,
        /** All of them moved a little, alike: that is tubes running in, or a mains that was not read. */
        SETTLED,
        /** Some tube moved by itself, or all of them far. */
        MOVED,
        /** Not every tube was read yet. */
        NOT_READ
    }

    /** A tube's change. */
    public record Change(String socket, double ratio) {}

    /** Two readings of one setting on two days differ by no more. */
    private static final double SAME = 0.03;
    /** All of them together may move by so much and be well. */
    private static final double TOGETHER = 0.10;

    public SinceLeft {
        changes = List.copyOf(changes);
        exchanged = List.copyOf(exchanged);
    }

    /** @return empty where nothing was judged when it was left */
    public static Optional<SinceLeft> of(Snapshot left, Snapshot now) {
        List<TubeIdle> then = StageIdle.of(left).at(left);
        List<TubeIdle> tubes = StageIdle.of(now).at(now);
        if (then.stream().allMatch(tube -> tube.figures().isEmpty())) {
            return Optional.empty();
        }
        List<Change> changes = new ArrayList<>();
        List<String> exchanged = new ArrayList<>();
        boolean complete = true;
        for (TubeIdle tube : tubes) {
            Optional<TubeIdle> before = then.stream()
                    .filter(each -> each.socket().label().equals(tube.socket().label()))
                    .findFirst();
            boolean another = before.map(each -> tube.occupant().logged()
                            && !each.occupant().tube().equals(tube.occupant().tube()))
                    .orElse(true);
            if (another) {
                exchanged.add(tube.socket().label());
            } else if (tube.figures().isEmpty()
                    || !tube.isFresh()
                    || before.get().figures().isEmpty()) {
                complete = false;
            } else {
                changes.add(new Change(
                        tube.socket().label(), atReference(tube, now) / atReference(before.get(), left) - 1));
            }
        }
        return Optional.of(new SinceLeft(complete ? state(changes, exchanged) : State.NOT_READ, changes, exchanged));
    }

    private static double atReference(TubeIdle tube, Snapshot at) {
        double mains = SupplyReadings.mainsRatio(at.moment(), at.sheet());
        return Mains.customary(at.sheet())
                .convertDissipation(tube.figures().orElseThrow().dissipation().value(), mains, 1);
    }

    private static State state(List<Change> changes, List<String> exchanged) {
        double least = changes.stream().mapToDouble(Change::ratio).min().orElse(0);
        double most = changes.stream().mapToDouble(Change::ratio).max().orElse(0);
        if (!exchanged.isEmpty()) {
            return State.MOVED;
        }
        if (Math.max(Math.abs(least), Math.abs(most)) <= SAME) {
            return State.AS_LEFT;
        }
        boolean alike = most - least <= SAME && least * most > 0;
        return alike && Math.max(Math.abs(least), Math.abs(most)) <= TOGETHER ? State.SETTLED : State.MOVED;
    }

    /** Whether nothing is to be done about it. */
    public boolean stands() {
        return state == State.AS_LEFT || state == State.SETTLED;
    }

    /** The tube that moved most. */
    public Optional<Change> most() {
        return changes.stream().max(Comparator.comparingDouble(change -> Math.abs(change.ratio())));
    }

    /** In words. */
    public ClosingFinding says() {
        if (!exchanged.isEmpty()) {
            return new ClosingFinding.OtherTubes(exchanged);
        }
        return switch (state) {
            case NOT_READ -> new ClosingFinding.ReadToCompare();
            case AS_LEFT -> new ClosingFinding.AsLeft();
            case SETTLED -> new ClosingFinding.Settled(most().orElseThrow().ratio());
            case MOVED ->
                new ClosingFinding.MovedMost(
                        most().orElseThrow().socket(), most().orElseThrow().ratio());
        };
    }
}
