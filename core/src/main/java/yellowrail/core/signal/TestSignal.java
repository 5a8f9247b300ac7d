package yellowrail.core.signal;

import java.util.List;
import java.util.stream.IntStream;
import yellowrail.core.chart.Point;
import yellowrail.core.tone.TonePair;

/**
 * Tones one after the other, each for as long. From one to the next, from nothing to the first and from the last to
 * nothing the level goes along half a cosine, and the wave goes on where it was: nothing clicks, and nothing is louder
 * at once than it will be.
 *
 * @param steps one or more
 * @param seconds of each, more than two ramps
 */
public record TestSignal(List<Step> steps, double seconds) {

    /** How long the level takes from one step to the next, s. */
    public static final double RAMP = 0.05;

    private static final double LOW_TO_HIGH = 4;

    public TestSignal {
        steps = List.copyOf(steps);
        if (steps.isEmpty() || !(seconds > 2 * RAMP)) {
            throw new IllegalArgumentException("%d steps of %s s".formatted(steps.size(), seconds));
        }
    }

    /**
     * What is heard in a step: one sine, or two at once.
     *
     * @param peak of the first, of full scale, 0 to 1
     * @param otherPeak of the second; both together at most 1
     */
    public record Step(double hertz, double peak, double otherHertz, double otherPeak) {

        public Step {
            if (!(peak >= 0 && otherPeak >= 0 && peak + otherPeak <= 1 + 1e-9)) {
                throw new IllegalArgumentException("peaks of %s and %s".formatted(peak, otherPeak));
            }
        }

        static Step sine(double hertz, double peak) {
            return new Step(hertz, peak, 0, 0);
        }

        /** Crest of both together. */
        public double crest() {
            return peak + otherPeak;
        }
    }

    public static TestSignal sine(double hertz, double peak, double seconds) {
        return new TestSignal(List.of(Step.sine(hertz, peak)), seconds);
    }

    /** Levels in equal ratios, both ends in. */
    public static TestSignal levels(double hertz, double from, double to, int count, double seconds) {
        return new TestSignal(
                IntStream.range(0, count)
                        .mapToObj(i -> Step.sine(hertz, inEqualRatios(from, to, i, count)))
                        .toList(),
                seconds);
    }

    /** Frequencies in equal ratios, both ends in. */
    public static TestSignal frequencies(double from, double to, double peak, int count, double seconds) {
        return new TestSignal(
                IntStream.range(0, count)
                        .mapToObj(i -> Step.sine(inEqualRatios(from, to, i, count), peak))
                        .toList(),
                seconds);
    }

    /** Both ends as they were asked for, to the last digit. */
    private static double inEqualRatios(double from, double to, int step, int count) {
        if (step == 0 || step == count - 1) {
            return step == 0 ? from : to;
        }
        double between = from * Math.pow(to / from, (double) step / (count - 1));
        return Math.min(Math.max(from, to), between);
    }

    /** 60 Hz and 7 kHz at four to one, as SMPTE RP 120 has it: what bass does to treble. */
    public static TestSignal bassAndTreble(double crest, double seconds) {
        double high = crest / (1 + LOW_TO_HIGH);
        return new TestSignal(List.of(step(TonePair.BASS_AND_TREBLE, LOW_TO_HIGH * high, high)), seconds);
    }

    /** 19 and 20 kHz alike, as ITU-R has it: what treble does to itself. */
    public static TestSignal twinTreble(double crest, double seconds) {
        return new TestSignal(List.of(step(TonePair.TWIN_TREBLE, crest / 2, crest / 2)), seconds);
    }

    private static Step step(TonePair pair, double lowPeak, double highPeak) {
        return new Step(pair.low(), lowPeak, pair.high(), highPeak);
    }

    public static TestSignal silence(double seconds) {
        return new TestSignal(List.of(Step.sine(0, 0)), seconds);
    }

    /** Of all steps, s. */
    public double length() {
        return steps.size() * seconds;
    }

    /** The highest frequency in it, Hz. */
    public double highest() {
        return steps.stream()
                .mapToDouble(step -> Math.max(step.hertz(), step.otherHertz()))
                .max()
                .orElseThrow();
    }

    /** Crest over time, s, as it is drawn: of each step its beginning and its end. */
    public List<Point> crests() {
        return IntStream.range(0, 2 * steps.size())
                .mapToObj(i ->
                        new Point((i / 2 + i % 2) * seconds, steps.get(i / 2).crest()))
                .toList();
    }

    /** @param perSecond samples, more than twice the highest frequency */
    public double[] samples(int perSecond) {
        double[] samples = new double[(int) Math.round(length() * perSecond)];
        double turn = 0;
        double otherTurn = 0;
        for (int i = 0; i < samples.length; i++) {
            double at = (double) i / perSecond;
            int number = Math.min(steps.size() - 1, (int) (at / seconds));
            Step step = steps.get(number);
            Step before = number == 0 ? Step.sine(0, 0) : steps.get(number - 1);
            double into = ramp((at - number * seconds) / RAMP);
            double out = number == steps.size() - 1 ? ramp((length() - at) / RAMP) : 1;
            samples[i] = out
                    * (between(before.peak(), step.peak(), into) * Math.sin(turn)
                            + between(before.otherPeak(), step.otherPeak(), into) * Math.sin(otherTurn));
            turn = (turn + 2 * Math.PI * step.hertz() / perSecond) % (2 * Math.PI);
            otherTurn = (otherTurn + 2 * Math.PI * step.otherHertz() / perSecond) % (2 * Math.PI);
        }
        return samples;
    }

    /** On the way from one level to another, not a digit above the louder. */
    private static double between(double from, double to, double part) {
        return Math.min(Math.max(from, to), from + part * (to - from));
    }

    /** From 0 to 1 along half a cosine. */
    private static double ramp(double part) {
        return part >= 1 ? 1 : (1 - Math.cos(Math.PI * Math.max(0, part))) / 2;
    }
}
