package yellowrail.core.drawer;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import yellowrail.core.quantity.Figures;

/**
 * What a tester showed while a tube warmed up: {@code 0 70, 2 88, 5 95} are minutes and milliamperes, or marks of the
 * tester's own scale.
 *
 * @param figures in the order of their minutes
 */
public record WarmUpFigures(List<Figure> figures) {

    public static final WarmUpFigures NONE = new WarmUpFigures(List.of());

    private static final int MOST = 60;
    private static final double MOST_MINUTES = 1000;
    private static final Pattern FIGURE =
            Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(?:min)?\\s*[: ]\\s*(\\d+(?:\\.\\d+)?)\\s*(?:mA)?");
    /** A figure that changes by less over the last third of its time has settled. */
    private static final double SETTLED = 0.02;

    /** A figure after so many minutes, A. */
    public record Figure(double minutes, double amps) {}

    public WarmUpFigures {
        figures = List.copyOf(figures);
    }

    /** @throws IllegalArgumentException if it is no list of minutes and figures that goes forward */
    public static WarmUpFigures read(String text) {
        List<Figure> figures = new ArrayList<>();
        for (String part : text.strip().split("\\s*[,;]\\s*")) {
            Matcher figure = FIGURE.matcher(part);
            if (!part.isBlank()) {
                if (!figure.matches()) {
                    throw new IllegalArgumentException(part);
                }
                figures.add(new Figure(Double.parseDouble(figure.group(1)), Double.parseDouble(figure.group(2)) / 1e3));
            }
        }
        if (figures.size() > MOST) {
            throw new IllegalArgumentException(text);
        }
        for (int i = 0; i < figures.size(); i++) {
            boolean back =
                    i > 0 && figures.get(i).minutes() <= figures.get(i - 1).minutes();
            if (back
                    || figures.get(i).minutes() > MOST_MINUTES
                    || !(figures.get(i).amps() > 0)) {
                throw new IllegalArgumentException(text);
            }
        }
        return new WarmUpFigures(figures);
    }

    public String written() {
        return figures.stream()
                .map(figure -> Figures.plain(figure.minutes()) + " " + Figures.plain(figure.amps() * 1e3))
                .collect(Collectors.joining(", "));
    }

    public boolean isEmpty() {
        return figures.isEmpty();
    }

    public Figure first() {
        return figures.get(0);
    }

    public Figure last() {
        return figures.get(figures.size() - 1);
    }

    /** Whether it stands at its end where it stood at two thirds of its time. */
    public boolean isSettled() {
        double since = first().minutes() + 2 * (last().minutes() - first().minutes()) / 3;
        return figures.size() > 2
                && isNear(at(since))
                && figures.stream()
                        .filter(figure -> figure.minutes() >= since)
                        .allMatch(figure -> isNear(figure.amps()));
    }

    private boolean isNear(double amps) {
        return Math.abs(amps / last().amps() - 1) <= SETTLED;
    }

    /** On the straight line between the figures beside it, A. */
    private double at(double minutes) {
        int next = 1;
        while (figures.get(next).minutes() < minutes) {
            next++;
        }
        Figure one = figures.get(next - 1);
        Figure other = figures.get(next);
        double part = (minutes - one.minutes()) / (other.minutes() - one.minutes());
        return one.amps() + part * (other.amps() - one.amps());
    }
}
