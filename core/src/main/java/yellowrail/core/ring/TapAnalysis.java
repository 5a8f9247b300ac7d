package yellowrail.core.ring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.PowerSpectrum;

/** Finds the taps of a recording and fits the ring after each. */
public final class TapAnalysis {

    /** More are not fitted. */
    public static final int MOST = 12;

    /** The blow itself, s. */
    private static final double LATE = 0.004;
    /** Before the next one the hand already moves, s. */
    static final double MARGIN = 0.01;

    private static final double LONGEST = 1.0;
    private static final double LEAST = 0.05;
    /** Energy of a ring over the noise of one sample: 26 dB. */
    private static final double STANDS_OUT = 400;

    /** What falls faster is a click, 1/s. */
    private static final double FASTEST = 700;

    private final double perSecond;
    private final double mains;
    private final Band rings;

    /**
     * @param perSecond samples
     * @param mains 50 or 60 Hz
     */
    public TapAnalysis(double perSecond, double mains) {
        this.perSecond = perSecond;
        this.mains = mains;
        this.rings = rings(perSecond);
    }

    /** Where tubes ring and a recording tells of it. */
    static Band rings(double perSecond) {
        return new Band(150, Math.min(12_000, 0.45 * perSecond));
    }

    /** @param samples from -1 to 1 */
    public Taps of(double[] samples) {
        double[] held = HeldBack.of(samples, perSecond);
        List<Integer> struck = new Onsets(perSecond).find(held);
        List<Ring> found = new ArrayList<>();
        for (int i = 0; i < Math.min(MOST, struck.size()); i++) {
            int next = i + 1 < struck.size() ? struck.get(i + 1) : samples.length;
            int before = i > 0 ? struck.get(i - 1) : 0;
            ring(held, before, struck.get(i), next).ifPresent(found::add);
        }
        return new Taps(struck.stream().map(sample -> sample / perSecond).toList(), found);
    }

    private Optional<Ring> ring(double[] held, int before, int tap, int next) {
        int from = tap + (int) (LATE * perSecond);
        int to = Math.min(next - (int) (MARGIN * perSecond), from + (int) (LONGEST * perSecond));
        if (to - from < LEAST * perSecond) {
            return Optional.empty();
        }
        double[] after = Arrays.copyOfRange(held, from, to);
        int quiet = Math.max(before, tap - after.length);
        double[] then = Arrays.copyOfRange(held, quiet, Math.max(quiet, tap - (int) (MARGIN * perSecond)));
        return strongest(after, then)
                .flatMap(hertz -> new RingFit(after, perSecond, mains).fit(hertz))
                .filter(fit -> fit.energy() > STANDS_OUT && fit.fall() < FASTEST)
                .map(fit -> new Ring(
                        tap / perSecond,
                        fit.hertz(),
                        fit.hertzPlusMinus(),
                        fit.fall(),
                        fit.fallPlusMinus(),
                        fit.level() * Math.exp(fit.fall() * LATE) / HeldBack.part(fit.hertz())));
    }

    /** Where the spectrum after a tap stands highest over that before. */
    private Optional<Double> strongest(double[] after, double[] then) {
        PowerSpectrum rung = fromTheBegin(after);
        PowerSpectrum quiet = fromTheBegin(Arrays.copyOf(backwards(then), after.length));
        double part = then.length == 0 ? 0 : Math.min(10, (double) after.length / then.length);
        int best = -1;
        double most = 0;
        for (int k = 1; k < rung.bins() && rung.hertz(k) < rings.high(); k++) {
            double more = rung.power(k) - 2 * part * quiet.power(k);
            if (rung.hertz(k) > rings.low() && more > most) {
                most = more;
                best = k;
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(rung.hertz(best));
    }

    /** The window's middle at the first sample: a ring is loudest at its begin. */
    private PowerSpectrum fromTheBegin(double[] samples) {
        double[] padded = new double[2 * samples.length];
        System.arraycopy(samples, 0, padded, samples.length, samples.length);
        return new PowerSpectrum(padded, perSecond, Integer.highestOneBit(2 * padded.length - 1));
    }

    /** What matters of the time before a tap is what still sounds at the tap. */
    private static double[] backwards(double[] samples) {
        double[] turned = new double[samples.length];
        for (int i = 0; i < turned.length; i++) {
            turned[i] = samples[samples.length - 1 - i];
        }
        return turned;
    }
}
