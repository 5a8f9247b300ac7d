package yellowrail.core.tone;

/**
 * One step of the Gauss-Newton method for the frequency of a line: how far it is from where the samples have it, the
 * other lines that were fitted taken out in closed form.
 */
final class FrequencyFit {

    private final NuttallWindow window;
    private final LineFit lines;
    private final double spread;

    FrequencyFit(NuttallWindow window, LineFit lines) {
        this.window = window;
        this.lines = lines;
        this.spread = window.spread();
    }

    /**
     * @param weighted samples times the window's weights
     * @param line to be moved
     * @param fitted all lines, that one too
     * @return Hz to add to it
     */
    double step(double[] weighted, Line line, LineFit.Fitted fitted) {
        double radians = lines.radians(line.hertz());
        double[] timed = new double[weighted.length];
        for (int i = 0; i < timed.length; i++) {
            timed[i] = weighted[i] * window.time(i);
        }
        double[][] sums = new LineSums(new double[] {radians}).of(timed);
        double slope = line.sin() * sums[0][0] - line.cos() * sums[1][0];
        slope += line.cos() * fitted.constant() * window.moment(radians);
        slope -= fitted.lines().stream()
                .mapToDouble(other -> slope(line, radians, other))
                .sum();
        return lines.hertz(slope / (line.power() * spread));
    }

    /** What another line, or the line itself, adds to the sums at a line's frequency. */
    private double slope(Line line, double radians, Line other) {
        double theirs = lines.radians(other.hertz());
        double sum = window.moment(theirs + radians);
        double difference = window.moment(theirs - radians);
        return (line.sin() * other.sin() * (sum + difference) - line.cos() * other.cos() * (sum - difference)) / 2;
    }
}
