package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import yellowrail.core.amp.Socket;
import yellowrail.core.drawer.AmpOutlook;
import yellowrail.core.drawer.Comparison;
import yellowrail.core.drawer.GroupForecast;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.match.Candidate;
import yellowrail.core.match.Group;
import yellowrail.core.match.Matching;
import yellowrail.core.match.Placing;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.web.amp.Amp;
import yellowrail.web.words.Words;

/**
 * The groups as they are shown.
 *
 * @param summary how many, and how they were found
 * @param basis the common condition
 * @param outlook where the amp would have them idle, blank without one
 * @param groups least difference first
 * @param leftovers tubes that found no group, and those that could not be compared, with the reason
 */
record MatchView(String summary, String basis, String outlook, List<Line> groups, boolean more, List<Left> leftovers) {

    private static final int MOST_SHOWN = 150;

    /** A tube in its group. */
    record Member(long id, String label, String figure, String steepness, String remark) {}

    /** One group; {@code tubes} are its numbers for the placing page, blank where it does not fill the amp. */
    record Line(List<Member> members, String spread, String forecast, String balance, String tubes) {}

    /** A tube without a group. */
    record Left(String label, String why) {}

    static MatchView of(
            TubeType type,
            Comparison comparison,
            Map<String, String> doubts,
            Words words,
            Matching.Result result,
            Optional<Amp> amp,
            Optional<AmpOutlook> outlook,
            Map<String, Long> ids,
            Function<Long, Optional<TubeModel>> traced,
            int otherTypes) {
        List<Left> left = new ArrayList<>();
        result.leftovers()
                .forEach(tube -> left.add(new Left(
                        tube.label(),
                        words.message("page.match.no-group-left", TestFigure.of(comparison.current(), tube.amps())))));
        comparison.leftOut().forEach((label, why) -> left.add(new Left(label, words.say(why))));
        if (otherTypes > 0) {
            left.add(new Left(
                    words.message("page.match.of-another-type", otherTypes), words.message("page.match.not-mixed")));
        }
        return new MatchView(
                summary(type, comparison, result, words),
                basis(comparison, result, words),
                amp.map(found -> outlook(found, outlook, words)).orElse(""),
                result.groups().stream()
                        .limit(MOST_SHOWN)
                        .map(group -> line(group, type, comparison, doubts, words, amp, outlook, ids, traced))
                        .toList(),
                result.groups().size() > MOST_SHOWN,
                left);
    }

    private static String summary(TubeType type, Comparison comparison, Matching.Result result, Words words) {
        return words.message(
                (result.byBoth() ? "page.match.summary-by-both" : "page.match.summary")
                        + (result.groups().size() == 1 ? "-one" : ""),
                result.groups().size(),
                type.name(),
                TestFigure.of(comparison.current(), result.difference()),
                words.say(result.method()));
    }

    private static String basis(Comparison comparison, Matching.Result result, Words words) {
        String key = comparison.current() == TesterReading.Current.SCALE
                ? "page.match.basis-of-scale"
                : result.byBoth() ? "page.match.basis-by-both" : "page.match.basis";
        return comparison
                .condition()
                .map(condition -> words.message(key, words.name(comparison.current()), words.say(condition.told())))
                .orElse("");
    }

    private static String outlook(Amp amp, Optional<AmpOutlook> outlook, Words words) {
        return outlook.map(at -> words.message(
                        "page.match.outlook",
                        amp.sheet().name(),
                        Figures.volts(at.plate()),
                        Figures.milliamps(at.mean())))
                .orElseGet(
                        () -> words.message("page.match.no-outlook", amp.sheet().name()));
    }

    private static Line line(
            Group group,
            TubeType type,
            Comparison comparison,
            Map<String, String> doubts,
            Words words,
            Optional<Amp> amp,
            Optional<AmpOutlook> outlook,
            Map<String, Long> ids,
            Function<Long, Optional<TubeModel>> traced) {
        List<Member> members = group.tubes().stream()
                .map(tube -> new Member(
                        ids.get(tube.label()),
                        tube.label(),
                        TestFigure.of(comparison.current(), tube.amps()),
                        tube.transconductance().isPresent()
                                ? DrawerLine.steepness(tube.transconductance().getAsDouble())
                                : "",
                        doubts.getOrDefault(tube.label(), "")))
                .toList();
        List<Socket> sockets = amp.map(found -> found.sheet().sockets()).orElse(List.of());
        boolean fills =
                sockets.size() == members.size() && amp.get().sheet().tubeType().equals(type.name());
        boolean currents = comparison.current() != TesterReading.Current.SCALE;
        Optional<GroupForecast> forecast = outlook.filter(at -> currents)
                .map(at -> GroupForecast.of(
                        type,
                        comparison.condition().orElseThrow(),
                        comparison.current(),
                        group.tubes(),
                        own(group, ids, traced),
                        at.plate(),
                        at.screen(),
                        at.mean()));
        return new Line(
                members,
                TestFigure.of(comparison.current(), group.spread()),
                forecast.map(found -> told(found, words)).orElse(""),
                fills
                        ? forecast.map(found -> balance(found, group, sockets, words))
                                .orElse("")
                        : "",
                fills
                        ? members.stream()
                                .map(member -> String.valueOf(member.id()))
                                .collect(Collectors.joining(","))
                        : "");
    }

    private static Map<String, TubeModel> own(
            Group group, Map<String, Long> ids, Function<Long, Optional<TubeModel>> traced) {
        Map<String, TubeModel> own = new HashMap<>();
        group.tubes()
                .forEach(tube -> traced.apply(ids.get(tube.label())).ifPresent(model -> own.put(tube.label(), model)));
        return own;
    }

    private static String told(GroupForecast forecast, Words words) {
        String amps = forecast.amps().stream()
                .map(each -> Figures.beside(forecast.plusMinus().orElse(0), each, Unit.MILLIAMP))
                .collect(Collectors.joining(", "));
        return forecast.grid().isEmpty()
                ? words.message("page.match.in-proportion", amps)
                : words.message(
                        "page.match.forecast",
                        amps,
                        Figures.plusMinus(forecast.plusMinus().orElseThrow(), Unit.MILLIAMP),
                        Figures.volts(forecast.grid().getAsDouble()));
    }

    private static String balance(GroupForecast forecast, Group group, List<Socket> sockets, Words words) {
        List<Candidate> there = IntStream.range(0, group.tubes().size())
                .mapToObj(i -> Candidate.of(
                        group.tubes().get(i).label(), forecast.amps().get(i)))
                .toList();
        double imbalance = new Placing(there, sockets)
                .best().imbalance().values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum();
        return words.message("page.match.sides-apart", Figures.milliamps(imbalance));
    }
}
