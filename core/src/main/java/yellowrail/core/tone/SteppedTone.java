package yellowrail.core.tone;

import java.util.Arrays;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import yellowrail.core.finding.Finding;

/**
 * A recording of a tone that goes step by step, in level or in frequency: each step measured by itself.
 *
 * @param steps in their order
 */
public record SteppedTone(List<Step> steps) {

    /** Fewer are no steps. */
    private static final int FEWEST = 3;

    private static final double SAME_TONE = 1.02;

    public SteppedTone {
        steps = List.copyOf(steps);
    }

    /**
     * One of them.
     *
     * @param from s
     * @param to s
     * @param cardClip whether the card clipped in it
     */
    public record Step(double from, double to, Tone tone, Optional<Finding> cardClip) {

        /** RMS of the fundamental, part of full scale. */
        public double level() {
            return tone.fundamental().rms();
        }
    }

    /** @return empty where it is one tone, or none */
    public static Optional<SteppedTone> of(double[] samples, double perSecond, double mains, Band band) {
        List<Plateaus.Stretch> stretches = new Plateaus(samples, perSecond).find();
        if (stretches.size() < FEWEST) {
            return Optional.empty();
        }
        ToneAnalysis analysis = new ToneAnalysis(perSecond, mains, band, OptionalDouble.empty());
        List<Step> steps = stretches.parallelStream()
                .flatMap(stretch -> step(
                        analysis.of(Arrays.copyOfRange(samples, stretch.from(), stretch.to())),
                        stretch.from() / perSecond,
                        stretch.to() / perSecond)
                        .stream())
                .toList();
        return steps.size() < FEWEST ? Optional.empty() : Optional.of(new SteppedTone(steps));
    }

    private static Optional<Step> step(ToneAnalysis.Outcome outcome, double from, double to) {
        Optional<Finding> clip = outcome.notes().stream()
                .filter(ToneNote.CardClipped.class::isInstance)
                .findFirst();
        return outcome.tone().map(tone -> new Step(from, to, tone, clip));
    }

    public Step loudest() {
        return steps.stream().max(Comparator.comparingDouble(Step::level)).orElseThrow();
    }

    /** Whether the level goes and the frequency stands. */
    public boolean isByLevel() {
        return isOneTone(
                steps.stream().mapToDouble(step -> step.tone().fundamental().hertz()));
    }

    /** @param hertz of one step or more */
    public static boolean isOneTone(DoubleStream hertz) {
        DoubleSummaryStatistics range = hertz.summaryStatistics();
        return range.getMax() < SAME_TONE * range.getMin();
    }

    /** RMS at which distortion passes a mark, part of full scale. */
    public OptionalDouble levelAt(double mark) {
        return ClippingPoint.of(
                steps.stream()
                        .map(step -> new ClippingPoint.Point(
                                step.level(), step.tone().distortion()))
                        .toList(),
                mark);
    }

    /** RMS at which the tops flatten, part of full scale. */
    public OptionalDouble levelWhereTopsFlatten() {
        return ClippingPoint.flat(steps.stream()
                .filter(step -> Tops.roundness(step.tone()).isPresent())
                .map(step -> new ClippingPoint.Point(
                        step.level(), Tops.roundness(step.tone()).getAsDouble()))
                .toList());
    }
}
