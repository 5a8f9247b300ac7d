package yellowrail.core.ring;

/** Low tones held back by two poles: what the blow does to the chassis, and most of the hum. */
final class HeldBack {

    /** Hz. */
    private static final double CORNER = 200;

    private HeldBack() {}

    static double[] of(double[] samples, double perSecond) {
        double pole = Math.exp(-2 * Math.PI * CORNER / perSecond);
        double[] held = new double[samples.length];
        double first = 0;
        double second = 0;
        double before = samples.length == 0 ? 0 : samples[0];
        for (int i = 0; i < samples.length; i++) {
            double was = first;
            first = pole * (first + samples[i] - before);
            second = pole * (second + first - was);
            before = samples[i];
            held[i] = second;
        }
        return held;
    }

    /** What is left of a sine of that frequency. */
    static double part(double hertz) {
        double ratio = hertz / CORNER;
        return ratio * ratio / (1 + ratio * ratio);
    }
}
