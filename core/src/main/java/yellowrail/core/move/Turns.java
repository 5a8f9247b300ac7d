package yellowrail.core.move;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.PotReach;
import yellowrail.core.supply.ReadingSet;

/** The turns that lead to a landing: the balance pots first, then one turn for each pot that sets a level. */
final class Turns {

    private final AmpSheet sheet;
    private final ReadingSet newest;
    private final Outlook outlook;
    private final Balancing balancing;
    private final FollowMe followMe;
    /** A change smaller than this is not worth a turn of its own. */
    private final double least;

    Turns(AmpSheet sheet, ReadingSet newest, Outlook outlook, Balancing balancing, FollowMe followMe, double least) {
        this.sheet = sheet;
        this.newest = newest;
        this.outlook = outlook;
        this.balancing = balancing;
        this.followMe = followMe;
        this.least = least;
    }

    List<NextMove.Step> to(Landing landing, List<PotGroup> groups) {
        List<NextMove.Step> steps = new ArrayList<>(balance());
        if (!setsLevel()) {
            return steps;
        }
        if (groups.size() > 1) {
            steps.addAll(followMe.to(landing, groups, balancing.currents()));
            return steps;
        }
        NextMove.Step level = level(landing, groups.get(0));
        if (steps.isEmpty() || Math.abs(level.mark().to() / level.mark().from() - 1) > least) {
            steps.add(level);
        }
        return steps;
    }

    private NextMove.Step level(Landing landing, PotGroup group) {
        int hottest = group.tubes().stream()
                .max(Comparator.comparingDouble(
                        tube -> landing.tubes().get(tube).cathode()))
                .orElseThrow();
        return new NextMove.Step(
                group.pot(),
                mark(
                        hottest,
                        outlook.reading(hottest, balancing.currents()),
                        landing.tubes().get(hottest).reading()),
                Optional.empty(),
                List.of());
    }

    /**
     * Whether a pot sets the level; where none is on the sheet it is an unnamed one, unless the amp has balance pots
     * only.
     */
    boolean setsLevel() {
        return sheet.pots().isEmpty() || !PotReach.levels(sheet).isEmpty();
    }

    private List<NextMove.Step> balance() {
        double[] now = IntStream.range(0, sheet.sockets().size())
                .mapToDouble(newest::cathode)
                .toArray();
        double[] balanced = balancing.currents();
        return balancing.turns().stream()
                .map(turn -> new NextMove.Step(
                        Optional.of(turn.pot()),
                        mark(turn.push(), outlook.reading(turn.push(), now), outlook.reading(turn.push(), balanced)),
                        Optional.of(mark(
                                turn.pull(),
                                outlook.reading(turn.pull(), now),
                                outlook.reading(turn.pull(), balanced))),
                        List.of()))
                .toList();
    }

    private NextMove.Mark mark(int tube, double from, double to) {
        return new NextMove.Mark(sheet.sockets().get(tube).testPoint(), from, to);
    }
}
