package yellowrail.core.part;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.quantity.Figures;

/** Resistors joined to one. */
public sealed interface Joined {

    double ohms();

    /** As builders write it: {@code (470 ohm || 470 ohm) + 15 ohm}. */
    String written();

    /** All resistors in it. */
    List<One> parts();

    /** The worst share of its rating that one of them takes while the whole burns so much, W; 0 where none is rated. */
    double hardestWorked(double watts);

    /**
     * A single one.
     *
     * @param ohms its value, ohm, &gt; 0
     * @param ratedWatts W; infinite where that is not known
     */
    record One(double ohms, double ratedWatts) implements Joined {

        public One {
            if (!(ohms > 0 && ratedWatts > 0)) {
                throw new IllegalArgumentException(
                        "a resistor has ohms and watts, was %s ohm, %s W".formatted(ohms, ratedWatts));
            }
        }

        @Override
        public String written() {
            return Figures.resistance(ohms);
        }

        @Override
        public List<One> parts() {
            return List.of(this);
        }

        @Override
        public double hardestWorked(double watts) {
            return watts / ratedWatts;
        }
    }

    /**
     * Groups in a row, or beside each other.
     *
     * @param groups two or more, none of them joined the same way
     * @param inRow else beside each other
     */
    record Group(List<Joined> groups, boolean inRow) implements Joined {

        public Group {
            groups = List.copyOf(groups);
        }

        @Override
        public double ohms() {
            return inRow
                    ? groups.stream().mapToDouble(Joined::ohms).sum()
                    : 1 / groups.stream().mapToDouble(each -> 1 / each.ohms()).sum();
        }

        @Override
        public String written() {
            return groups.stream()
                    .map(each -> each instanceof Group ? "(" + each.written() + ")" : each.written())
                    .collect(Collectors.joining(inRow ? " + " : " || "));
        }

        @Override
        public List<One> parts() {
            return groups.stream().flatMap(each -> each.parts().stream()).toList();
        }

        /** In a row the watts go with the ohms, beside each other against them. */
        @Override
        public double hardestWorked(double watts) {
            return groups.stream()
                    .mapToDouble(
                            each -> each.hardestWorked(watts * (inRow ? each.ohms() / ohms() : ohms() / each.ohms())))
                    .max()
                    .orElse(0);
        }
    }

    static Joined row(Joined one, Joined other) {
        return group(one, other, true);
    }

    static Joined beside(Joined one, Joined other) {
        return group(one, other, false);
    }

    /** Larger first, groups joined the same way made one: a network has one way of being written. */
    private static Joined group(Joined one, Joined other, boolean inRow) {
        List<Joined> groups = Stream.of(one, other)
                .flatMap(each -> each instanceof Group group && group.inRow() == inRow
                        ? group.groups().stream()
                        : Stream.of(each))
                .sorted((a, b) -> Double.compare(b.ohms(), a.ohms()))
                .toList();
        return new Group(groups, inRow);
    }
}
