package yellowrail.web.walk;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.walk.ChartCheck;
import yellowrail.core.walk.NodeStanding;
import yellowrail.core.walk.Route;
import yellowrail.core.walk.Stop;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.schematic.Touch;
import yellowrail.web.words.Words;

/**
 * A walk as its page shows it.
 *
 * @param at the stop one stands at; null behind the last
 * @param wrong nodes that stand wrong, what wants attention first first
 * @param notRead nodes of the chart that were not read
 * @param compared how it was compared, where that wants saying
 * @param charted whether there is a chart at all
 */
record WalkView(
        At at,
        String route,
        List<Row> wrong,
        List<Row> notRead,
        List<String> compared,
        List<String> cautions,
        boolean charted,
        SchematicView.Both drawing,
        Touch touch) {

    /**
     * A stop.
     *
     * @param typed what stands before its number on the entry line
     * @param signed whether its volts may be negative
     * @param ofChart whether it is a node of the chart
     */
    record At(
            String typed,
            String name,
            String place,
            List<String> expects,
            String read,
            String verdict,
            List<String> says,
            boolean signed,
            boolean ofChart) {}

    /** A node in words. */
    record Row(
            String typed,
            String label,
            String read,
            String freshness,
            String verdict,
            boolean wrong,
            List<String> expects,
            List<String> says) {}

    static WalkView of(
            long runId, Timeline timeline, ChartCheck check, Route route, String wanted, boolean drawn, Words words) {
        Snapshot now = timeline.present();
        List<Stop> stops = Stop.of(now.sheet(), route);
        int index = wanted.equals(WalkController.END)
                ? stops.size()
                : Stop.indexOf(stops, wanted).orElse(0);
        List<NodeStanding> wrong = check.wrong();
        At at = index < stops.size() ? at(stops, index, now, check, words) : null;
        Touch touch = Touch.of(runId, route, at == null ? "" : at.typed());
        return new WalkView(
                at,
                Code.of(route),
                toldOnce(wrong.stream().map(each -> row(each, words)).toList()),
                check.notRead().stream().map(each -> row(each, words)).toList(),
                words.say(check.compared()),
                words.say(Stop.cautions(now.sheet())),
                !check.chart().isEmpty(),
                check.chart().isEmpty() || !drawn ? null : SchematicView.of(check, Optional.of(touch), words),
                touch);
    }

    private static At at(List<Stop> stops, int index, Snapshot now, ChartCheck check, Words words) {
        Stop stop = stops.get(index);
        Optional<NodeStanding> standing = stop.node().map(check::of);
        Optional<Reading> reading = stop.reading(now.moment());
        return new At(
                stop.typed(),
                words.say(stop.says()).strip(),
                words.message("page.walk.place", index + 1, stops.size()),
                standing.map(each -> words.say(each.expectation())).orElse(List.of()),
                reading.map(each -> EntryWriter.shown(each.entry(), now.sheet()))
                        .orElse(""),
                standing.map(each -> words.name(each.verdict())).orElse(""),
                standing.map(each -> words.say(each.says())).orElse(List.of()),
                stop.isSigned(),
                stop.node().isPresent());
    }

    /** What explains several of them is said at the first. */
    private static List<Row> toldOnce(List<Row> rows) {
        Set<String> told = new HashSet<>();
        return rows.stream()
                .map(row -> new Row(
                        row.typed(),
                        row.label(),
                        row.read(),
                        row.freshness(),
                        row.verdict(),
                        row.wrong(),
                        row.expects(),
                        row.says().stream().filter(told::add).toList()))
                .toList();
    }

    /** Every node of a chart. */
    static List<Row> rows(ChartCheck check, Words words) {
        return check.standings().stream().map(each -> row(each, words)).toList();
    }

    private static Row row(NodeStanding standing, Words words) {
        return new Row(
                standing.node().typed(),
                standing.node().label(),
                standing.isRead() ? volts(standing) : "",
                standing.freshness().why().map(words::say).orElse(""),
                words.name(standing.verdict()),
                standing.verdict().isWrong(),
                words.say(standing.expectation()),
                words.say(standing.says()));
    }

    private static String volts(NodeStanding standing) {
        String figure = Figures.aligned(standing.volts(), standing.plusMinus(), Unit.VOLT);
        return standing.node().ac() ? figure + " AC" : figure;
    }
}
