package yellowrail.core.move;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;

/**
 * The turns of a stage with several pots, one pot at a time. Each turn moves the supply under the other tubes, so each
 * is told the reading at which it will stand right once the rest has been turned too: then every pot is turned once.
 * Tubes that are beyond their window come down first, then always the one that is farthest off.
 */
final class FollowMe {

    private static final int SETTLED = 8;

    private final AmpSheet sheet;
    private final ReadingSet newest;
    private final SupplyLine line;
    private final Coupling coupling;
    private final Outlook outlook;
    private final double[] ceilings;
    private final double least;

    /**
     * @param ceilings the most each tube may draw where the stage lands, A
     * @param least a change smaller than this, as a ratio, is not worth a turn
     */
    FollowMe(
            AmpSheet sheet,
            ReadingSet newest,
            SupplyLine line,
            Coupling coupling,
            Outlook outlook,
            double[] ceilings,
            double least) {
        this.sheet = sheet;
        this.newest = newest;
        this.line = line;
        this.coupling = coupling;
        this.outlook = outlook;
        this.ceilings = ceilings.clone();
        this.least = least;
    }

    /** The stage after one pot: every current, A, and the plates, V. */
    private record Turned(PotGroup group, double[] amps, double volts, double by) {}

    /** @param from the currents it begins with, A */
    List<NextMove.Step> to(Landing landing, List<PotGroup> groups, double[] from) {
        List<NextMove.Step> steps = new ArrayList<>();
        List<PotGroup> left = new ArrayList<>(groups);
        double[] now = from.clone();
        double volts = newest.plateVolts();
        while (!left.isEmpty()) {
            double[] before = now;
            double at = volts;
            Turned next = left.stream()
                    .map(group -> turned(group, landing, before, at))
                    .max(Comparator.comparing((Turned each) -> isBeyond(each.group(), before))
                            .thenComparingDouble(each -> Math.abs(each.by())))
                    .orElseThrow();
            if (Math.abs(next.by()) <= least) {
                break;
            }
            int watched = next.group().tubes().stream()
                    .max(Comparator.comparingDouble(tube -> next.amps()[tube]))
                    .orElseThrow();
            steps.add(new NextMove.Step(
                    next.group().pot(),
                    mark(watched, now, next.amps()),
                    Optional.empty(),
                    others(next.group(), now, next.amps())));
            left.remove(next.group());
            now = next.amps();
            volts = next.volts();
        }
        return steps;
    }

    private boolean isBeyond(PotGroup group, double[] amps) {
        return group.tubes().stream().anyMatch(tube -> amps[tube] > ceilings[tube]);
    }

    private Turned turned(PotGroup group, Landing landing, double[] now, double volts) {
        double[] then = now.clone();
        double at = volts;
        for (int turn = 0; turn < SETTLED; turn++) {
            for (int tube = 0; tube < then.length; tube++) {
                then[tube] = group.tubes().contains(tube)
                        ? Math.min(
                                coupling.at(tube, landing.tubes().get(tube).cathode(), landing.plateVolts(), at),
                                ceilings[tube] * landing.plateVolts() / at)
                        : coupling.at(tube, now[tube], volts, at);
            }
            at = volts
                    - line.resistance()
                            * (DoubleStream.of(then).sum()
                                    - DoubleStream.of(now).sum());
        }
        double by = group.tubes().stream()
                .mapToDouble(tube -> then[tube] / now[tube] - 1)
                .reduce((one, other) -> Math.abs(one) > Math.abs(other) ? one : other)
                .orElseThrow();
        return new Turned(group, then, at, by);
    }

    private NextMove.Mark mark(int tube, double[] from, double[] to) {
        return new NextMove.Mark(
                sheet.sockets().get(tube).testPoint(), outlook.reading(tube, from), outlook.reading(tube, to));
    }

    private List<NextMove.Mark> others(PotGroup group, double[] from, double[] to) {
        List<String> own = group.tubes().stream()
                .map(tube -> sheet.sockets().get(tube).testPoint())
                .toList();
        return sheet.testPoints().stream()
                .filter(point -> !own.contains(point))
                .map(point -> mark(
                        IntStream.range(0, from.length)
                                .filter(i -> sheet.sockets().get(i).testPoint().equals(point))
                                .findFirst()
                                .orElseThrow(),
                        from,
                        to))
                .toList();
    }
}
