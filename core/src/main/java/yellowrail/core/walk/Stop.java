package yellowrail.core.walk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.NodeKind;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * A place on a walk: a node of the chart, or a point of the output stage.
 *
 * @param kind what is read there
 * @param place where, as it stands in the log
 * @param node of the chart; empty for a point of the output stage
 */
public record Stop(ReadingKind kind, String place, Optional<ChartNode> node) {

    /** Above it a place is called hot, V. */
    private static final double HOT = 60;

    private static final int HOTTEST_TOLD = 3;

    /** The whole walk: the mains first, for all is scaled by it; then the chart; then the output stage. */
    public static List<Stop> of(AmpSheet sheet, Route route) {
        List<Stop> stops = new ArrayList<>();
        stops.add(stage(ReadingKind.MAINS, ""));
        route.of(sheet.chart()).forEach(node -> stops.add(new Stop(ReadingKind.NODE, node.label(), Optional.of(node))));
        stops.add(stage(ReadingKind.HEATER, ""));
        sheet.sockets().forEach(socket -> stops.add(stage(ReadingKind.PLATE, socket.label())));
        if (!sheet.bias().isCathode()) {
            sheet.sockets().stream().map(Socket::label).forEach(label -> stops.add(stage(ReadingKind.BIAS, label)));
        }
        sheet.testPoints().forEach(point -> stops.add(stage(ReadingKind.SENSE_VOLTS, point)));
        return stops;
    }

    /** Where on a walk a stop is, by what is typed there; empty where it is none of them. */
    public static OptionalInt indexOf(List<Stop> stops, String typed) {
        return IntStream.range(0, stops.size())
                .filter(i -> stops.get(i).typed().equalsIgnoreCase(typed))
                .findFirst();
    }

    private static Stop stage(ReadingKind kind, String place) {
        return new Stop(kind, place, Optional.empty());
    }

    /** What is typed there before the number; no two stops are alike in it. */
    public String typed() {
        return EntryWriter.before(kind, place);
    }

    /** Whether what is read there may be negative: a grid, a bias supply. */
    public boolean isSigned() {
        return kind == ReadingKind.BIAS
                || node.filter(found -> found.kind() == NodeKind.GRID
                                || found.expected()
                                        .filter(expected -> expected.low() < 0)
                                        .isPresent())
                        .isPresent();
    }

    public WalkFinding says() {
        return node.isPresent() ? new WalkFinding.AtNode(place) : new WalkFinding.AtStage(place, kind);
    }

    /** The newest reading taken there. */
    public Optional<Reading> reading(Moment moment) {
        return switch (kind) {
            case SENSE_VOLTS -> moment.current(place);
            case NODE -> moment.at(kind, place);
            default -> moment.last(kind, place);
        };
    }

    /** What is to be known before the probe goes in: where it is hottest, what keeps its charge. */
    public static List<WalkFinding> cautions(AmpSheet sheet) {
        List<WalkFinding> cautions = new ArrayList<>();
        List<ChartNode> hot = sheet.chart().nodes().stream()
                .filter(node -> volts(node) > HOT)
                .sorted(Comparator.comparingDouble(Stop::volts).reversed())
                .limit(HOTTEST_TOLD)
                .toList();
        if (!hot.isEmpty()) {
            cautions.add(
                    new WalkFinding.HotSpots(hot.stream().map(ChartNode::label).toList(), volts(hot.get(0))));
        }
        List<String> charged = sheet.chart().nodes().stream()
                .filter(node -> node.bank().isPresent())
                .map(ChartNode::label)
                .toList();
        if (!charged.isEmpty()) {
            cautions.add(new WalkFinding.KeepTheirCharge(charged));
        }
        return cautions;
    }

    private static double volts(ChartNode node) {
        return node.expected().map(Expected::high).orElse(0.0);
    }
}
