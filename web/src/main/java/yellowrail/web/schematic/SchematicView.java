package yellowrail.web.schematic;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.chart.Point;
import yellowrail.core.finding.Code;
import yellowrail.core.schematic.Drawn;
import yellowrail.core.schematic.Probed;
import yellowrail.core.schematic.Schematic;
import yellowrail.core.schematic.StagePoints;
import yellowrail.core.walk.ChartCheck;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/**
 * An amp's schematic as SVG.
 *
 * @param rails paths of the rail
 * @param wires paths of the wires
 * @param probes where readings are entered
 */
public record SchematicView(
        int width,
        int height,
        List<String> rails,
        List<String> wires,
        List<Symbol> symbols,
        List<Label> labels,
        List<Probe> probes) {

    /** On a laptop it is one row for a pair and two for an octet. */
    private static final double WIDE = 1280;
    /** On a phone it folds. */
    private static final double NARROW = 372;

    /** A symbol; {@code look} is its kind and how it is filled. */
    public record Symbol(String look, String path, String place) {}

    /** Words beside it. */
    public record Label(String text, String x, String y, String anchor, boolean strong) {}

    /**
     * A node that can be touched.
     *
     * @param typed what stands before its number on the entry line
     * @param look fresh, stale or missing, and its verdict
     * @param path of its shape
     * @param says all of it in words
     */
    public record Probe(String typed, String look, String path, String x, String y, String says) {}

    /** The same amp for a wide screen and for a phone. */
    public record Both(SchematicView wide, SchematicView narrow) {}

    /** @param written what is written on the tubes, by socket */
    public static Both of(AmpSheet sheet, Map<String, String> written, Words words) {
        return new Both(of(Schematic.of(sheet, written, WIDE), words), of(Schematic.of(sheet, written, NARROW), words));
    }

    /** The same with what was read at the points of its stage. */
    public static Both of(AmpSheet sheet, Map<String, String> written, StagePoints points, Words words) {
        return new Both(
                of(Schematic.of(sheet, written, points, WIDE), words),
                of(Schematic.of(sheet, written, points, NARROW), words));
    }

    /** An amp's chart for a wide screen and for a phone. */
    public static Both of(ChartCheck check, Words words) {
        return new Both(of(Schematic.of(check, WIDE), words), of(Schematic.of(check, NARROW), words));
    }

    private static SchematicView of(Schematic schematic, Words words) {
        List<String> rails = new ArrayList<>();
        List<String> wires = new ArrayList<>();
        List<Symbol> symbols = new ArrayList<>();
        List<Label> labels = new ArrayList<>();
        List<Probe> probes = new ArrayList<>();
        for (Drawn each : schematic.drawn()) {
            if (each instanceof Drawn.Wire wire) {
                (wire.rail() ? rails : wires).add(path(wire.corners()));
            } else if (each instanceof Drawn.Symbol symbol) {
                symbols.add(new Symbol(
                        Code.of(symbol.sign()) + " " + SignPath.look(symbol.sign()),
                        SignPath.of(symbol.sign()),
                        place(symbol)));
            } else if (each instanceof Drawn.Probe probe) {
                probes.add(probe(probe, words));
            } else if (each instanceof Drawn.Text text) {
                labels.add(new Label(
                        words.say(text.says()),
                        Plot.px(text.at().x()),
                        Plot.px(text.at().y()),
                        text.anchor().name().toLowerCase(Locale.ROOT),
                        text.strong()));
            }
        }
        return new SchematicView(
                (int) Math.ceil(schematic.width()),
                (int) Math.ceil(schematic.height()),
                rails,
                wires,
                symbols,
                labels,
                probes);
    }

    private static Probe probe(Drawn.Probe probe, Words words) {
        Probed point = probe.point();
        String state = Code.of(point.state());
        return new Probe(
                point.typed(),
                point.wrong() ? state + " wrong" : state,
                ProbePath.of(point),
                Plot.px(probe.at().x()),
                Plot.px(probe.at().y()),
                words.message(
                        "page.walk.probe",
                        words.say(point.called()).strip(),
                        words.say(point.volts()),
                        point.how().map(words::say).orElse(""),
                        words.message("page.walk." + state)));
    }

    private static String path(List<Point> corners) {
        StringBuilder path = new StringBuilder();
        for (Point corner : corners) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(Plot.px(corner.x()))
                    .append(' ')
                    .append(Plot.px(corner.y()));
        }
        return path.toString();
    }

    private static String place(Drawn.Symbol symbol) {
        String moved = "translate(%s %s)"
                .formatted(Plot.px(symbol.at().x()), Plot.px(symbol.at().y()));
        return symbol.turn() == 0 ? moved : moved + " rotate(" + symbol.turn() + ")";
    }

    /** The part of the drawing that is shown. */
    public String viewBox() {
        return "0 0 %d %d".formatted(width, height);
    }
}
