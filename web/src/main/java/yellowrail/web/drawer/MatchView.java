package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import yellowrail.core.amp.Socket;
import yellowrail.core.drawer.AmpOutlook;
import yellowrail.core.drawer.Comparison;
import yellowrail.core.drawer.GroupForecast;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Group;
import yellowrail.core.match.Matching;
import yellowrail.core.match.Placing;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;
import yellowrail.web.amp.Amp;

/**
 * The groups as they are shown.
 *
 * @param summary   how many, and how they were found
 * @param basis     the common condition
 * @param outlook   where the amp would have them idle, blank without one
 * @param groups    least difference first
 * @param leftovers tubes that found no group, and those that could not be compared, with the reason
 */
record MatchView(String summary, String basis, String outlook, List<Line> groups, boolean more, List<Left> leftovers) {

    private static final int MOST_SHOWN = 150;

    /** A tube in its group. */
    record Member(long id, String label, String figure, String steepness, String remark) {
    }

    /** One group; {@code tubes} are its numbers for the placing page, blank where it does not fill the amp. */
    record Line(List<Member> members, String spread, String forecast, String balance, String tubes) {
    }

    /** A tube without a group. */
    record Left(String label, String why) {
    }

    static MatchView of(TubeType type, Comparison comparison, Map<String, String> doubts, Matching.Result result, Optional<Amp> amp, Optional<AmpOutlook> outlook,
                        Map<String, Long> ids, int otherTypes) {
        List<Left> left = new ArrayList<>();
        result.leftovers().forEach(tube -> left.add(new Left(tube.label(), "%s, no group left".formatted(Figures.milliamps(tube.amps())))));
        comparison.leftOut().forEach((label, why) -> left.add(new Left(label, why)));
        if (otherTypes > 0) {
            left.add(new Left("%d of another type".formatted(otherTypes), "tubes of different types are not matched with one another"));
        }
        String basis = comparison.condition().map(condition -> "By %s current at %s%s.".formatted(comparison.current().inWords(), condition.inWords(),
                result.byBoth() ? ", and transconductance, one percent of either counting alike" : "; transconductance is not known of all and not counted")).orElse("");
        return new MatchView("%d group%s of %s, total difference %s%s. Found by %s.".formatted(result.groups().size(), result.groups().size() == 1 ? "" : "s", type.name(),
                Figures.milliamps(result.difference()),
                result.byBoth() ? " with transconductance told as current" : "", result.method()), basis,
                amp.isEmpty() ? "" : outlook.map(at -> "In %s, plates at %s to the cathode, set to a mean of %s each.".formatted(amp.get().sheet().name(), Figures.volts(at.plate()), Figures.milliamps(at.mean())))
                        .orElse("Nothing has been read in %s yet, so what they would do there is not known.".formatted(amp.get().sheet().name())),
                result.groups().stream().limit(MOST_SHOWN).map(group -> line(group, type, comparison, doubts, amp, outlook, ids)).toList(), result.groups().size() > MOST_SHOWN, left);
    }

    private static Line line(Group group, TubeType type, Comparison comparison, Map<String, String> doubts, Optional<Amp> amp, Optional<AmpOutlook> outlook, Map<String, Long> ids) {
        List<Member> members = group.tubes().stream().map(tube -> new Member(ids.get(tube.label()), tube.label(), Figures.milliamps(tube.amps()),
                tube.transconductance().isPresent() ? DrawerLine.steepness(tube.transconductance().getAsDouble()) : "", doubts.getOrDefault(tube.label(), ""))).toList();
        List<Socket> sockets = amp.map(found -> found.sheet().sockets()).orElse(List.of());
        boolean fills = sockets.size() == members.size() && amp.get().sheet().tubeType().equals(type.name());
        Optional<GroupForecast> forecast = outlook.map(at -> GroupForecast.of(type, comparison.condition().orElseThrow(), comparison.current(), group.tubes(), at.plate(), at.screen(), at.mean()));
        return new Line(members, Figures.milliamps(group.spread()), forecast.map(MatchView::inWords).orElse(""), fills ? forecast.map(found -> balance(found, group, sockets)).orElse("") : "",
                fills ? members.stream().map(member -> String.valueOf(member.id())).collect(Collectors.joining(",")) : "");
    }

    private static String inWords(GroupForecast forecast) {
        String amps = forecast.amps().stream().map(Figures::milliamps).collect(Collectors.joining(", "));
        return forecast.grid().isPresent() ? "%s, each \u00b1 %s, at %s".formatted(amps, Figures.plusMinus(forecast.plusMinus().orElseThrow(), Unit.MILLIAMP), Figures.volts(forecast.grid().getAsDouble())) : "%s, in proportion: no model".formatted(amps);
    }

    private static String balance(GroupForecast forecast, Group group, List<Socket> sockets) {
        List<Candidate> there = IntStream.range(0, group.tubes().size()).mapToObj(i -> Candidate.of(group.tubes().get(i).label(), forecast.amps().get(i))).toList();
        double imbalance = new Placing(there, sockets).best().imbalance().values().stream().mapToDouble(Double::doubleValue).sum();
        return "sides apart by %s".formatted(Figures.milliamps(imbalance));
    }
}
