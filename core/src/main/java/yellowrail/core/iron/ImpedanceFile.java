package yellowrail.core.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import yellowrail.core.typed.Quantity;

/**
 * A measured impedance as text: on each line frequency in Hz, ohms and, if measured, degrees, parted by blanks, tabs,
 * commas or semicolons; lines that begin with a letter, a star, a quote or a hash are remarks.
 *
 * @param speaker what was measured; empty if there are faults
 * @param points lines with figures
 * @param faults why it cannot be used
 * @param remarks what to know of it
 */
public record ImpedanceFile(
        Optional<MeasuredSpeaker> speaker, int points, List<ImpedanceFinding> faults, List<ImpedanceFinding> remarks) {

    public static final int MOST_LINES = 200_000;
    /** More are thinned out: no ear and no drawing needs them. */
    private static final int KEPT = 1200;

    private static final int MOST_FAULTS = 8;
    private static final double GAP = 2;
    private static final double PASSIVE = 95;
    private static final Pattern BETWEEN = Pattern.compile("[\\s,;]+");

    public ImpedanceFile {
        faults = List.copyOf(faults);
        remarks = List.copyOf(remarks);
    }

    public static ImpedanceFile parse(String text) {
        List<Impedance> points = new ArrayList<>();
        List<ImpedanceFinding> faults = new ArrayList<>();
        List<ImpedanceFinding> remarks = new ArrayList<>();
        int line = 0;
        boolean phased = true;
        for (String row : (Iterable<String>) text.lines()::iterator) {
            line++;
            if (line > MOST_LINES || faults.size() >= MOST_FAULTS) {
                faults.add(
                        line > MOST_LINES
                                ? new ImpedanceFinding.TooManyLines(MOST_LINES)
                                : new ImpedanceFinding.StoppedReading(line));
                break;
            }
            String[] cells = BETWEEN.split(row.strip().replace("\ufeff", ""));
            if (cells.length == 0 || cells[0].isEmpty() || !"-+.0123456789".contains(cells[0].substring(0, 1))) {
                continue;
            }
            phased &= cells.length > 2;
            take(cells, line, points, faults);
        }
        if (faults.isEmpty()) {
            order(points, faults);
        }
        if (!faults.isEmpty() || points.size() < 2) {
            if (faults.isEmpty()) {
                faults.add(new ImpedanceFinding.NoFigures(line));
            }
            return new ImpedanceFile(Optional.empty(), points.size(), faults, remarks);
        }
        remark(points, phased, remarks);
        return new ImpedanceFile(
                Optional.of(new MeasuredSpeaker(thinned(points, remarks))), points.size(), faults, remarks);
    }

    private static void take(String[] cells, int line, List<Impedance> points, List<ImpedanceFinding> faults) {
        if (cells.length < 2) {
            faults.add(new ImpedanceFinding.OneColumn(line));
            return;
        }
        try {
            double hertz = Double.parseDouble(cells[0]);
            double ohms = Double.parseDouble(cells[1]);
            double degrees = cells.length > 2 ? Double.parseDouble(cells[2]) : 0;
            if (!(hertz > 0 && hertz <= 1e6) || !(ohms > 0 && ohms <= 1e5) || !(Math.abs(degrees) <= 180)) {
                faults.add(
                        cells.length > 2
                                ? new ImpedanceFinding.CannotBeWithPhase(line, cells[0], cells[1], cells[2])
                                : new ImpedanceFinding.CannotBe(line, cells[0], cells[1]));
                return;
            }
            points.add(new Impedance(hertz, ohms, degrees));
        } catch (NumberFormatException e) {
            faults.add(new ImpedanceFinding.NoNumbers(line, Quantity.quote(String.join(" ", cells))));
        }
    }

    private static void order(List<Impedance> points, List<ImpedanceFinding> faults) {
        int back = -1;
        boolean secondRises = points.size() > 2;
        for (int i = 1; i < points.size(); i++) {
            back = back < 0 && points.get(i).hertz() <= points.get(i - 1).hertz() ? i : back;
            secondRises &= points.get(i).ohms() > points.get(i - 1).ohms();
        }
        if (back > 0 && secondRises) {
            faults.add(new ImpedanceFinding.ColumnsSwapped());
        } else if (back > 0) {
            faults.add(new ImpedanceFinding.FrequenciesFall(
                    points.get(back).hertz(), points.get(back - 1).hertz()));
        }
    }

    private static void remark(List<Impedance> points, boolean phased, List<ImpedanceFinding> remarks) {
        for (int i = 1; i < points.size() && remarks.size() < 3; i++) {
            if (points.get(i).hertz() > GAP * points.get(i - 1).hertz()) {
                remarks.add(new ImpedanceFinding.Gap(
                        points.get(i - 1).hertz(), points.get(i).hertz()));
            }
        }
        if (points.get(0).hertz() > 2 * Speaker.LOWEST
                || points.get(points.size() - 1).hertz() < Speaker.TREBLE) {
            remarks.add(new ImpedanceFinding.Reaches(
                    points.get(0).hertz(), points.get(points.size() - 1).hertz()));
        }
        if (!phased) {
            remarks.add(new ImpedanceFinding.NoPhase());
        } else if (points.stream().anyMatch(point -> Math.abs(point.degrees()) > PASSIVE)) {
            remarks.add(new ImpedanceFinding.PhaseBeyondPassive());
        }
    }

    private static List<Impedance> thinned(List<Impedance> points, List<ImpedanceFinding> remarks) {
        if (points.size() <= KEPT) {
            return points;
        }
        double ratio =
                Math.pow(points.get(points.size() - 1).hertz() / points.get(0).hertz(), 1.0 / KEPT);
        List<Impedance> kept = new ArrayList<>();
        for (Impedance point : points) {
            if (kept.isEmpty()
                    || point.hertz() >= ratio * kept.get(kept.size() - 1).hertz()) {
                kept.add(point);
            }
        }
        remarks.add(new ImpedanceFinding.Thinned(points.size(), kept.size()));
        return kept;
    }
}
