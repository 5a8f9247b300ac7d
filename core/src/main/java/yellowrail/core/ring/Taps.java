package yellowrail.core.ring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.PowerSpectrum;

/**
 * The taps of a recording, each with what rang after it.
 *
 * @param struck when something was struck, s
 * @param rings of those that anything rang after
 * @param notes why there is nothing, or what to know of it
 */
public record Taps(List<Double> struck, List<Ring> rings, List<Finding> notes) {

    /** More are not fitted. */
    public static final int MOST = 12;

    /** The blow itself, s. */
    private static final double LATE = 0.004;
    /** Before the next one the hand already moves, s. */
    private static final double MARGIN = 0.01;

    private static final double LONGEST = 1.0;
    private static final double LEAST = 0.05;
    private static final Band RINGS = new Band(150, 12_000);
    /** Energy of a ring over the noise of one sample: 20 dB. */
    private static final double STANDS_OUT = 400;

    /** What falls faster is a click, 1/s. */
    private static final double FASTEST = 700;

    private static final double SOUNDS = 1e4;
    /** Of the mains' frequency. */
    private static final double NEAR_HUM = 0.03;

    private static final double FULL = 0.999;

    public Taps {
        struck = List.copyOf(struck);
        rings = List.copyOf(rings);
        notes = List.copyOf(notes);
    }

    /**
     * @param samples from -1 to 1
     * @param mains 50 or 60 Hz
     */
    public static Taps of(double[] samples, double perSecond, double mains) {
        double[] held = HeldBack.of(samples, perSecond);
        List<Integer> found = new Onsets(perSecond).find(held);
        List<Integer> struck = found.subList(0, Math.min(MOST, found.size()));
        List<Finding> notes = new ArrayList<>();
        sounding(samples, perSecond, mains, struck).ifPresent(notes::add);
        if (struck.isEmpty()) {
            notes.add(new RingFinding.NothingStruck(samples.length / perSecond));
            return new Taps(List.of(), List.of(), notes);
        }
        if (found.size() > MOST) {
            notes.add(new RingFinding.MoreTaps(found.size(), MOST));
        }
        if (Arrays.stream(samples).anyMatch(sample -> Math.abs(sample) >= FULL)) {
            notes.add(new RingFinding.CardFull());
        }
        List<Ring> rings = new ArrayList<>();
        for (int i = 0; i < struck.size(); i++) {
            int next = i + 1 < found.size() ? found.get(i + 1) : samples.length;
            int before = i > 0 ? found.get(i - 1) : 0;
            ring(held, perSecond, mains, before, struck.get(i), next).ifPresent(rings::add);
        }
        return new Taps(struck.stream().map(sample -> sample / perSecond).toList(), rings, notes);
    }

    private static Optional<Ring> ring(double[] held, double perSecond, double mains, int before, int tap, int next) {
        int from = tap + (int) (LATE * perSecond);
        int to = Math.min(next - (int) (MARGIN * perSecond), from + (int) (LONGEST * perSecond));
        if (to - from < LEAST * perSecond) {
            return Optional.empty();
        }
        double[] after = Arrays.copyOfRange(held, from, to);
        int quiet = Math.max(before, tap - after.length);
        double[] then = Arrays.copyOfRange(held, quiet, Math.max(quiet, tap - (int) (MARGIN * perSecond)));
        return strongest(after, then, perSecond)
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
    private static Optional<Double> strongest(double[] after, double[] then, double perSecond) {
        PowerSpectrum rung = fromTheBegin(after, perSecond);
        PowerSpectrum quiet = fromTheBegin(Arrays.copyOf(backwards(then), after.length), perSecond);
        double part = then.length == 0 ? 0 : Math.min(10, (double) after.length / then.length);
        int best = -1;
        double most = 0;
        for (int k = 1; k < rung.bins() && rung.hertz(k) < Math.min(RINGS.high(), 0.45 * perSecond); k++) {
            double more = rung.power(k) - 2 * part * quiet.power(k);
            if (rung.hertz(k) > RINGS.low() && more > most) {
                most = more;
                best = k;
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(rung.hertz(best));
    }

    /** The window's middle at the first sample: a ring is loudest at its begin. */
    private static PowerSpectrum fromTheBegin(double[] samples, double perSecond) {
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

    /** A tone that stands in the recording before anything is struck, and is no hum. */
    private static Optional<Finding> sounding(double[] samples, double perSecond, double mains, List<Integer> struck) {
        int to = struck.isEmpty() ? samples.length : struck.get(0) - (int) (MARGIN * perSecond);
        if (to < LEAST * perSecond) {
            return Optional.empty();
        }
        PowerSpectrum spectrum = new PowerSpectrum(Arrays.copyOfRange(samples, 0, to), perSecond);
        double median = spectrum.median(new Band(RINGS.low(), Math.min(RINGS.high(), 0.45 * perSecond)));
        int best = -1;
        for (int k = 1; k < spectrum.bins() && spectrum.hertz(k) < Math.min(RINGS.high(), 0.45 * perSecond); k++) {
            double order = spectrum.hertz(k) / mains;
            boolean isHum =
                    Math.abs(order - Math.rint(order)) * mains < Math.max(NEAR_HUM * mains, 5 / (to / perSecond));
            if (spectrum.hertz(k) > RINGS.low()
                    && !isHum
                    && spectrum.power(k) > SOUNDS * median
                    && (best < 0 || spectrum.power(k) > spectrum.power(best))) {
                best = k;
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(new RingFinding.SoundsByItself(spectrum.hertz(best)));
    }
}
