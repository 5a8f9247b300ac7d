package yellowrail.core.ring;

import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;

/**
 * The least-squares fit of one falling sine to the samples after a tap, hum fitted with it: steps of Gauss and Newton
 * in frequency and fall, halved as long as they lead up instead of down, amplitudes solved for at each. The whole ring
 * counts from its loudest sample on; no window takes its beginning away.
 */
final class RingFit {

    private static final int ROUNDS = 40;
    private static final int HALVES = 12;
    /** A step in frequency or fall so small has arrived, 1/s. */
    private static final double ARRIVED = 1e-3;

    /** 1/s. */
    private static final double[] GUESSES = {0, 3, 12, 50, 200, 700};

    private static final double CERTAIN = 1.96;

    private final RingEquations equations;
    private final double[] samples;
    private final double perSecond;

    /** @param samples from a little after the tap */
    RingFit(double[] samples, double perSecond, double mains) {
        this.samples = samples;
        this.perSecond = perSecond;
        this.equations = new RingEquations(samples, perSecond, mains);
    }

    /**
     * @param level at the first sample
     * @param energy of the ring over that of what is left, per sample: how far it stands out
     */
    record Fitted(
            double hertz, double hertzPlusMinus, double fall, double fallPlusMinus, double level, double energy) {}

    /**
     * @param hertz about what rings, a bin of the spectrum
     * @return empty where nothing settles
     */
    Optional<Fitted> fit(double hertz) {
        try {
            return settle(2 * Math.PI * hertz);
        } catch (MathRuntimeException e) {
            // A ring on a multiple of the mains cannot be told from it.
            return Optional.empty();
        }
    }

    private Optional<Fitted> settle(double begin) {
        double omega = begin;
        double fall = firstGuess(begin);
        RingEquations.Line line = equations.line(omega, fall);
        for (int round = 0; round < ROUNDS; round++) {
            RingEquations.Step step = equations.step(omega, fall, line);
            double part = 1;
            RingEquations.Line next = equations.line(omega + step.turn(), fall + step.drop());
            for (int half = 0; half < HALVES && !(next.left() <= line.left()); half++) {
                part /= 2;
                next = equations.line(omega + part * step.turn(), fall + part * step.drop());
            }
            if (!(next.left() <= line.left()) || Math.hypot(step.turn(), step.drop()) < ARRIVED) {
                return Optional.of(fitted(omega, fall, line, step));
            }
            omega += part * step.turn();
            fall += part * step.drop();
            line = next;
        }
        return Optional.empty();
    }

    /** Of a few falls the one that leaves least. */
    private double firstGuess(double omega) {
        double best = GUESSES[0];
        double least = Double.POSITIVE_INFINITY;
        for (double fall : GUESSES) {
            double left = equations.line(omega, fall).left();
            if (left < least) {
                least = left;
                best = fall;
            }
        }
        return best;
    }

    private Fitted fitted(double omega, double fall, RingEquations.Line line, RingEquations.Step step) {
        double variance = line.left() / equations.freedom();
        double energy = 0;
        for (int i = 0; i < samples.length; i++) {
            energy += Math.pow(line.peak() * Math.exp(-fall * i / perSecond), 2) / 2;
        }
        return new Fitted(
                omega / (2 * Math.PI),
                CERTAIN * Math.sqrt(variance * step.turnVariance()) / (2 * Math.PI),
                fall,
                CERTAIN * Math.sqrt(variance * step.dropVariance()),
                line.peak(),
                variance > 0 ? energy / variance : Double.POSITIVE_INFINITY);
    }
}
