package yellowrail.web.schematic;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.web.util.HtmlUtils;
import yellowrail.core.amp.OnTheWay;
import yellowrail.core.chart.Point;
import yellowrail.core.finding.Code;
import yellowrail.core.schematic.Drawn;
import yellowrail.core.schematic.Probed;
import yellowrail.core.schematic.Sign;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/**
 * Writes the marks of a schematic: wires first, then the rail, what breaks it, signs, points to be touched, words.
 * Signs that stand upright and look alike are one path. Every text is escaped here.
 */
final class SvgMarks {

    private static final Pattern ABSOLUTE = Pattern.compile("([ML])(-?[\\d.]+) (-?[\\d.]+)|([HV])(-?[\\d.]+)");

    private final Words words;
    private final Optional<Touch> touch;
    private final Map<String, ProbeView> views = new HashMap<>();
    private final StringBuilder wires = new StringBuilder();
    private final StringBuilder rails = new StringBuilder();
    private final Map<Sign, StringBuilder> alike = new TreeMap<>();
    private final StringBuilder symbols = new StringBuilder();
    private final StringBuilder probes = new StringBuilder();
    private final StringBuilder texts = new StringBuilder();
    private final Map<OnTheWay, Light> lights;
    private final StringBuilder ways = new StringBuilder();
    private final StringBuilder stops = new StringBuilder();
    private final Set<OnTheWay> told = EnumSet.noneOf(OnTheWay.class);

    SvgMarks(Words words, Optional<Touch> touch, Map<OnTheWay, Light> lights) {
        this.words = words;
        this.touch = touch;
        this.lights = lights;
    }

    void add(Drawn drawn) {
        if (drawn instanceof Drawn.Wire wire) {
            path(wire.corners(), wire.rail() ? rails : wires);
        } else if (drawn instanceof Drawn.Symbol symbol) {
            symbol(symbol);
        } else if (drawn instanceof Drawn.Probe probe) {
            probe(probe);
        } else if (drawn instanceof Drawn.Reading reading) {
            reading(reading);
        } else if (drawn instanceof Drawn.Touched touched) {
            touched(touched);
        } else if (drawn instanceof Drawn.Text text) {
            text(text);
        } else if (drawn instanceof Drawn.Way way) {
            path(way.corners(), ways);
        } else if (drawn instanceof Drawn.Stop stop) {
            Optional.ofNullable(lights.get(stop.part()))
                    .ifPresent(light -> stops.append(light.at(stop, told.add(stop.part()))));
        }
    }

    private static void path(List<Point> corners, StringBuilder to) {
        char command = 'M';
        for (Point corner : corners) {
            to.append(command).append(Plot.px(corner.x())).append(' ').append(Plot.px(corner.y()));
            command = 'L';
        }
    }

    private void symbol(Drawn.Symbol symbol) {
        Point at = symbol.at();
        String path = SignPath.of(symbol.sign());
        if (symbol.turn() == 0 && !isCounted(symbol.sign())) {
            alike.computeIfAbsent(symbol.sign(), sign -> new StringBuilder()).append(moved(path, at));
            return;
        }
        symbols.append("<path class=\"")
                .append(look(symbol.sign()))
                .append("\" d=\"")
                .append(path)
                .append("\" transform=\"translate(")
                .append(Plot.px(at.x()))
                .append(' ')
                .append(Plot.px(at.y()));
        symbols.append(symbol.turn() == 0 ? ")" : ") rotate(" + symbol.turn() + ")")
                .append("\"/>");
    }

    /** Tubes and pots stand for themselves. */
    private static boolean isCounted(Sign sign) {
        return switch (sign) {
            case POWER_TUBE, POWER_TRIODE, TRIODE, POT -> true;
            default -> false;
        };
    }

    private static String look(Sign sign) {
        return "sign " + Code.of(sign) + " " + SignPath.look(sign);
    }

    /** Only what is absolute in a path moves. */
    private static String moved(String path, Point by) {
        Matcher matcher = ABSOLUTE.matcher(path);
        StringBuilder moved = new StringBuilder();
        while (matcher.find()) {
            String command = matcher.group(1);
            String at = command != null
                    ? command + shifted(matcher.group(2), by.x()) + " " + shifted(matcher.group(3), by.y())
                    : matcher.group(4)
                            + shifted(matcher.group(5), matcher.group(4).equals("H") ? by.x() : by.y());
            matcher.appendReplacement(moved, at);
        }
        return matcher.appendTail(moved).toString();
    }

    private static String shifted(String number, double by) {
        return Plot.px(Double.parseDouble(number) + by);
    }

    private void probe(Drawn.Probe probe) {
        ProbeView view = view(probe.point());
        probes.append("<a class=\"probe ")
                .append(view.look())
                .append(touch.filter(each -> each.isAt(view.typed()))
                        .map(each -> " here")
                        .orElse(""))
                .append('"');
        touch.ifPresent(each -> attribute("href", each.to(view.typed()), probes));
        attribute("data-node", view.typed(), probes);
        attribute("aria-label", view.says(), probes);
        probes.append(" transform=\"translate(")
                .append(Plot.px(probe.at().x()))
                .append(' ')
                .append(Plot.px(probe.at().y()))
                .append(")\"><title>")
                .append(HtmlUtils.htmlEscape(view.says()))
                .append("</title><circle class=\"touch\" r=\"18\"/><path class=\"dot\" d=\"")
                .append(view.path())
                .append("\"/></a>");
    }

    /** A point and its reading are two marks. */
    private ProbeView view(Probed point) {
        return views.computeIfAbsent(point.typed(), typed -> ProbeView.of(point, words));
    }

    private static void attribute(String name, String value, StringBuilder to) {
        to.append(' ')
                .append(name)
                .append("=\"")
                .append(HtmlUtils.htmlEscape(value))
                .append('"');
    }

    private void reading(Drawn.Reading reading) {
        ProbeView view = view(reading.point());
        String text = switch (reading.figure()) {
            case VOLTS -> view.volts();
            case HOW -> view.how();
            case ALL -> (view.volts() + " " + view.how()).strip();
        };
        texts.append("<text");
        attribute("data-of", view.typed(), texts);
        attribute("data-figure", Code.of(reading.figure()), texts);
        at(reading.at());
        texts.append('>').append(HtmlUtils.htmlEscape(text)).append("</text>");
    }

    /** A part that is taken hold of: its name in {@code data-part} is that of its field. */
    private void touched(Drawn.Touched touched) {
        String kind = Code.of(touched.part().kind());
        String value = words.say(touched.says());
        probes.append("<g class=\"part\" role=\"button\" tabindex=\"0\"");
        attribute("data-part", kind, probes);
        attribute("aria-label", (words.name(touched.part().kind()) + " " + value).strip(), probes);
        probes.append("><circle class=\"touch\" r=\"22\" cx=\"")
                .append(Plot.px(touched.at().x()))
                .append("\" cy=\"")
                .append(Plot.px(touched.at().y()))
                .append("\"/><path class=\"")
                .append(look(touched.sign()))
                .append("\" d=\"")
                .append(SignPath.of(touched.sign()))
                .append("\" transform=\"translate(")
                .append(Plot.px(touched.at().x()))
                .append(' ')
                .append(Plot.px(touched.at().y()))
                .append(touched.turn() == 0 ? ")" : ") rotate(" + touched.turn() + ")")
                .append("\"/>");
        probes.append("<text x=\"")
                .append(Plot.px(touched.label().x()))
                .append("\" y=\"")
                .append(Plot.px(touched.label().y()))
                .append("\" text-anchor=\"")
                .append(touched.anchor().name().toLowerCase(Locale.ROOT))
                .append("\">")
                .append(HtmlUtils.htmlEscape(value))
                .append("</text></g>");
    }

    private void at(Point point) {
        texts.append(" x=\"")
                .append(Plot.px(point.x()))
                .append("\" y=\"")
                .append(Plot.px(point.y()))
                .append('"');
    }

    private void text(Drawn.Text text) {
        texts.append("<text");
        at(text.at());
        texts.append(" text-anchor=\"")
                .append(text.anchor().name().toLowerCase(Locale.ROOT))
                .append(text.strong() ? "\" class=\"name\">" : "\">")
                .append(HtmlUtils.htmlEscape(words.say(text.says())))
                .append("</text>");
    }

    @Override
    public String toString() {
        StringBuilder all = new StringBuilder();
        if (!ways.isEmpty()) {
            all.append("<path class=\"way\" d=\"").append(ways).append("\"/>");
        }
        all.append("<path class=\"wire\" d=\"").append(wires).append("\"/>");
        all.append("<path class=\"wire rail-wire\" d=\"").append(rails).append("\"/>");
        Optional.ofNullable(alike.remove(Sign.GAP)).ifPresent(paths -> alike(all, Sign.GAP, paths));
        alike.forEach((sign, paths) -> alike(all, sign, paths));
        return all.append(symbols).append(probes).append(stops).append(texts).toString();
    }

    private static void alike(StringBuilder all, Sign sign, StringBuilder paths) {
        all.append("<path class=\"")
                .append(look(sign))
                .append("\" d=\"")
                .append(paths)
                .append("\"/>");
    }
}
