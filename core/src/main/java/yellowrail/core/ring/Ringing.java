package yellowrail.core.ring;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;
import yellowrail.core.quantity.Estimate;

/**
 * What the taps of one tube say together. Its frequency and its fall are those of the tube, however hard it was struck;
 * how loud it rang is the hand's as well.
 *
 * @param tube as the builder calls it
 * @param gain from the tube to where it was heard, times; empty where it was not told
 * @param struck taps
 * @param rings those of its loudest ring's frequency
 */
public record Ringing(String tube, OptionalDouble gain, int struck, List<Ring> rings) {

    private static final double SAME = 0.05;
    /** It sings on in music: until it has fallen by 60 dB, s. */
    private static final double SINGS_ON = 1.5;

    private static final double CERTAIN = 0.975;

    public Ringing {
        rings = List.copyOf(rings);
        if (!(gain.orElse(1) > 0)) {
            throw new IllegalArgumentException("a gain of %s".formatted(gain));
        }
    }

    /** @param rings of any frequency */
    public static Ringing of(String tube, OptionalDouble gain, int struck, List<Ring> rings) {
        Optional<Ring> loudest = rings.stream().max(Comparator.comparingDouble(Ring::level));
        return new Ringing(
                tube,
                gain,
                struck,
                rings.stream()
                        .filter(ring -> Math.abs(ring.hertz() / loudest.get().hertz() - 1) < SAME)
                        .toList());
    }

    /** Hz; there must be a ring. */
    public Estimate hertz() {
        return told(
                rings.stream().mapToDouble(Ring::hertz).toArray(), rings.get(0).hertzPlusMinus());
    }

    /** How fast it falls, 1/s. */
    Estimate fall() {
        return told(
                rings.stream().mapToDouble(Ring::fall).toArray(), rings.get(0).fallPlusMinus());
    }

    /** Until it has fallen by 60 dB, s; empty where it is not certain that it falls. */
    public Optional<Estimate> decay() {
        Estimate fall = fall();
        double decay = Ring.decay(fall.value());
        return fall.lower() > 0
                ? Optional.of(new Estimate(decay, decay * fall.plusMinus() / fall.value(), List.of()))
                : Optional.empty();
    }

    /** Mean and what it leaves open: by the scatter of the taps, where there is more than one. */
    private static Estimate told(double[] values, double alone) {
        double mean = mean(values);
        int more = values.length - 1;
        double plusMinus = more == 0 ? alone : student(more) * Math.sqrt(squares(values) / more / values.length);
        return new Estimate(mean, plusMinus, List.of());
    }

    /** Of full scale at the card; by its gain where that was told. The middle of the taps, as a ratio. */
    public double level() {
        return Math.exp(mean(logarithms())) / gain.orElse(1);
    }

    double[] logarithms() {
        return rings.stream().mapToDouble(ring -> Math.log(ring.level())).toArray();
    }

    /** What a tube is by its ring. */
    public enum Kind {
        DEAD,
        NORMAL,
        RINGS_ON,
        NEVER_STOPS
    }

    public Kind kind() {
        if (rings.isEmpty()) {
            return Kind.DEAD;
        }
        return decay().map(decay -> decay.value() > SINGS_ON ? Kind.RINGS_ON : Kind.NORMAL)
                .orElse(Kind.NEVER_STOPS);
    }

    public RingFinding verdict() {
        return switch (kind()) {
            case DEAD -> new RingFinding.Dead(struck);
            case NORMAL ->
                new RingFinding.RingsUnderTheTap(
                        hertz().value(), decay().orElseThrow().value());
            case RINGS_ON ->
                new RingFinding.RingsOn(hertz().value(), decay().orElseThrow().value());
            case NEVER_STOPS -> new RingFinding.NeverStops(hertz().value());
        };
    }

    /** Whether no stage before the last should have it. */
    public boolean isWaste() {
        return kind() == Kind.RINGS_ON || kind() == Kind.NEVER_STOPS;
    }

    static double mean(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum / values.length;
    }

    /** Sum of the squares about the mean. */
    static double squares(double[] values) {
        double mean = mean(values);
        double sum = 0;
        for (double value : values) {
            sum += (value - mean) * (value - mean);
        }
        return sum;
    }

    static double student(int freedom) {
        return new TDistribution(freedom).inverseCumulativeProbability(CERTAIN);
    }
}
