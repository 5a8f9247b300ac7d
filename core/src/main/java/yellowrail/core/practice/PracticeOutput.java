package yellowrail.core.practice;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import yellowrail.core.quantity.Figures;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.wav.WavWriter;

/**
 * What comes out of a practice amp into its dummy load when a signal is played, and what a sound card behind a divider
 * hears of it: the signal goes through the two sides' own curves, which clip where grids or knees do; ripple of the
 * supply and of the bias comes through as far as the sides do not cancel it; the transformer ends the band at both
 * ends; noise is added. Supply and screens sag with the level of each step, at once.
 *
 * <p>Not in it: feedback, blocking of coupling capacitors, saturation of the core, what a speaker does to a load.
 */
public final class PracticeOutput {

    /** Peak at the amp that is full scale at the card, V. */
    public static final double FULL_SCALE = 60;

    public static final double LOAD = 8;

    /** Ends of the transformer's band, Hz. */
    private static final double LOW_END = 12;

    private static final double HIGH_END = 38_000;

    /** Of heaters and wiring, whatever the tubes do, peak V at the load. */
    private static final double HEATER_HUM = 6e-4;

    private static final double NOISE = 3e-4;
    /** Of full scale: what a card adds by itself. */
    private static final double CARD_NOISE = 4e-6;

    private static final double CARD_BEND = 2e-5;
    /** A ramp and what the transformer makes of it, s. */
    private static final double MARGIN = 0.09;

    private static final int BITS = 24;
    private static final int METER_DIGITS = 4;

    private final PushPullTransfer transfer;
    private final double mainsHertz;
    private final double fullDrive;
    private final double perWinding;
    private final long seed;
    private final Map<Double, PushPullTransfer.Curve> curves = new HashMap<>();

    /**
     * @param mainsHertz 50 or 60
     * @param fullDrive peak at each grid that a signal of full scale makes, V
     * @param plateToPlate what the load is at the tubes, ohm
     */
    PracticeOutput(PushPullTransfer transfer, double mainsHertz, double fullDrive, double plateToPlate, long seed) {
        this.transfer = transfer;
        this.mainsHertz = mainsHertz;
        this.fullDrive = fullDrive;
        this.perWinding = Math.sqrt(LOAD / (plateToPlate / 4));
        this.seed = seed;
    }

    /** At the load, V. */
    public double[] volts(TestSignal signal, int perSecond) {
        double[] played = signal.samples(perSecond);
        double[] out = new double[played.length];
        Random chance = new Random(seed);
        double phase = 2 * Math.PI * chance.nextDouble();
        int step = (int) Math.round(signal.seconds() * perSecond);
        int ramp = (int) Math.round(TestSignal.RAMP * perSecond);
        double turn = 2 * Math.PI * mainsHertz / perSecond;
        for (int i = 0; i < played.length; i++) {
            int number = Math.min(signal.steps().size() - 1, i / step);
            PushPullTransfer.Curve curve = curve(signal, number);
            double drive = fullDrive * played[i];
            double ripple = Math.sin(2 * turn * i + phase);
            double bias = Math.sin(turn * i + phase);
            double winding = curve.winding(drive, ripple, bias);
            int into = i - number * step;
            if (number > 0 && into < ramp) {
                double part = (1 - Math.cos(Math.PI * into / ramp)) / 2;
                winding =
                        part * winding + (1 - part) * curve(signal, number - 1).winding(drive, ripple, bias);
            }
            out[i] = perWinding * winding;
        }
        return noisy(banded(out, perSecond), turn, phase, chance);
    }

    /**
     * A signal that was played.
     *
     * @param wav what the card heard of it
     * @param volts what a meter at the load read of its loudest step, RMS
     */
    public record Played(byte[] wav, double volts) {}

    public Played play(TestSignal signal, int perSecond) {
        double[] volts = volts(signal, perSecond);
        return new Played(
                WavWriter.write(heard(volts, perSecond), perSecond, BITS, seed + 2), read(volts, signal, perSecond));
    }

    /** What the card hears while a tube of it is tapped a few times and nothing is played. */
    byte[] tapped(TappedTube tube, int perSecond) {
        double[] volts = volts(TestSignal.silence(TappedTube.SECONDS), perSecond);
        tube.ring(volts, perSecond, new Random(seed + 3));
        return WavWriter.write(heard(volts, perSecond), perSecond, BITS, seed + 2);
    }

    private static double read(double[] volts, TestSignal signal, int perSecond) {
        int step = (int) Math.round(signal.seconds() * perSecond);
        int ramp = (int) Math.round(TestSignal.RAMP * perSecond);
        double most = 0;
        for (int number = 0; number < signal.steps().size(); number++) {
            double squares = 0;
            int from = number * step + ramp;
            int to = Math.min(volts.length, (number + 1) * step) - ramp;
            for (int i = from; i < to; i++) {
                squares += volts[i] * volts[i];
            }
            most = Math.max(most, Math.sqrt(squares / Math.max(1, to - from)));
        }
        return Figures.rounded(most, METER_DIGITS);
    }

    /** As the card hears it, of full scale; clipped at it. It records when the signal has come up until it goes. */
    public double[] heard(TestSignal signal, int perSecond) {
        return heard(volts(signal, perSecond), perSecond);
    }

    private double[] heard(double[] played, int perSecond) {
        int ramp = (int) Math.round(MARGIN * perSecond);
        double[] heard = Arrays.copyOfRange(played, ramp, played.length - ramp);
        Random chance = new Random(seed + 1);
        for (int i = 0; i < heard.length; i++) {
            double sample = heard[i] / FULL_SCALE;
            sample += CARD_BEND * sample * sample + CARD_NOISE * chance.nextGaussian();
            heard[i] = Math.max(-1, Math.min(1, sample));
        }
        return heard;
    }

    private PushPullTransfer.Curve curve(TestSignal signal, int step) {
        return curves.computeIfAbsent(fullDrive * signal.steps().get(step).crest(), transfer::curve);
    }

    /** One pole at each end. */
    private static double[] banded(double[] samples, int perSecond) {
        double low = Math.exp(-2 * Math.PI * LOW_END / perSecond);
        double high = Math.exp(-2 * Math.PI * HIGH_END / perSecond);
        double before = 0;
        double passed = 0;
        double smoothed = 0;
        for (int i = 0; i < samples.length; i++) {
            passed = low * (passed + samples[i] - before);
            before = samples[i];
            smoothed += (1 - high) * (passed - smoothed);
            samples[i] = smoothed;
        }
        return samples;
    }

    private static double[] noisy(double[] samples, double turn, double phase, Random chance) {
        for (int i = 0; i < samples.length; i++) {
            samples[i] += HEATER_HUM * Math.sin(turn * i + phase + 1) + NOISE * chance.nextGaussian();
        }
        return samples;
    }
}
