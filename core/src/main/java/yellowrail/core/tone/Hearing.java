package yellowrail.core.tone;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import yellowrail.core.finding.Finding;
import yellowrail.core.tone.ToneAnalysis.Outcome;

/**
 * One channel of a recording, whatever was played: a tone as a whole, or a tone that goes step by step.
 *
 * @param outcome of the whole; of its loudest step where there are steps
 */
public record Hearing(Outcome outcome, Optional<SteppedTone> stepped) {

    /** Of channels of one recording. */
    public static List<Hearing> of(List<double[]> channels, double perSecond, double mains, Band band) {
        List<Optional<SteppedTone>> stepped = channels.stream()
                .map(samples -> SteppedTone.of(samples, perSecond, mains, band))
                .toList();
        ToneAnalysis whole = new ToneAnalysis(perSecond, mains, band, OptionalDouble.empty());
        if (stepped.stream().allMatch(Optional::isEmpty)) {
            return whole.of(channels).stream()
                    .map(outcome -> new Hearing(outcome, Optional.empty()))
                    .toList();
        }
        return IntStream.range(0, channels.size())
                .mapToObj(i -> stepped.get(i)
                        .map(steps -> new Hearing(loudest(steps), Optional.of(steps)))
                        .orElseGet(() -> new Hearing(whole.of(channels.get(i)), Optional.empty())))
                .toList();
    }

    /** Those samples that the outcome is of. */
    public double[] part(double[] samples, double perSecond) {
        return stepped.map(steps -> Arrays.copyOfRange(
                        samples, (int) Math.round(steps.loudest().from() * perSecond), (int)
                                Math.round(steps.loudest().to() * perSecond)))
                .orElse(samples);
    }

    private static Outcome loudest(SteppedTone stepped) {
        SteppedTone.Step loudest = stepped.loudest();
        List<Finding> notes = new ArrayList<>();
        int steps = stepped.steps().size();
        notes.add(stepped.isByLevel() ? new ToneNote.SteppedLevel(steps) : new ToneNote.SteppedTones(steps));
        stepped.steps().stream()
                .flatMap(step -> step.cardClip().stream())
                .findFirst()
                .ifPresent(notes::add);
        return new Outcome(Optional.of(loudest.tone()), Optional.empty(), notes);
    }
}
