package yellowrail.web.schematic;

import static yellowrail.web.chart.Plot.px;

import java.util.List;
import java.util.OptionalDouble;
import org.springframework.web.util.HtmlUtils;
import yellowrail.core.chart.Point;
import yellowrail.core.schematic.Drawn;

/**
 * How a part on the current\u2019s way is lit: a ring around it that is full at its rating.
 *
 * @param state over, driven, held or unknown
 * @param part of its rating that is asked; empty where that is not known
 * @param lines beside it, two at most
 * @param told all of it in words
 */
public record Light(String state, OptionalDouble part, List<String> lines, String told) {

    private static final double RADIUS = 25;
    private static final double FULL = 0.9999;
    private static final double LINE = 16;

    /** @param first whether it is the first of its kind, which is told in words */
    String at(Drawn.Stop stop, boolean first) {
        StringBuilder svg = new StringBuilder("<g class=\"on-the-way " + state + "\"><title>")
                .append(HtmlUtils.htmlEscape(told))
                .append("</title><circle class=\"ring\" r=\"")
                .append(px(RADIUS))
                .append("\" cx=\"")
                .append(px(stop.at().x()))
                .append("\" cy=\"")
                .append(px(stop.at().y()))
                .append("\"/>");
        part.ifPresent(asked -> svg.append("<path class=\"asked\" d=\"")
                .append(arc(stop.at(), Math.min(FULL, asked)))
                .append("\"/>"));
        for (int i = 0; first && i < lines.size(); i++) {
            svg.append("<text x=\"")
                    .append(px(stop.label().x()))
                    .append("\" y=\"")
                    .append(px(stop.label().y() + LINE * i))
                    .append("\">")
                    .append(HtmlUtils.htmlEscape(lines.get(i)))
                    .append("</text>");
        }
        return svg.append("</g>").toString();
    }

    /** Clockwise from the top. */
    private static String arc(Point at, double turn) {
        double angle = 2 * Math.PI * turn;
        return "M%s %sA%s %s 0 %d 1 %s %s"
                .formatted(
                        px(at.x()),
                        px(at.y() - RADIUS),
                        px(RADIUS),
                        px(RADIUS),
                        turn > 0.5 ? 1 : 0,
                        px(at.x() + RADIUS * Math.sin(angle)),
                        px(at.y() - RADIUS * Math.cos(angle)));
    }
}
