package yellowrail.core.tone;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.finding.Finding;
import yellowrail.core.root.UnsettledException;

/**
 * What one channel of a recording tells of a tone: its fundamental is found or was named, fitted with its harmonics and
 * taken out; of what is left the lines of the mains are fitted and taken out; what then is left is noise.
 */
public final class ToneAnalysis {

    /** Shorter tells nothing of hum, s. */
    public static final double LEAST_SECONDS = 0.05;

    private static final double LEAST_CYCLES = 4;
    /** Samples. */
    private static final int LONG = 1 << 22;

    private static final int SEARCHED = 1 << 16;
    /** Of the fundamental's power: a line as strong that is no harmonic is another tone. */
    private static final double ANOTHER = 1e-4;

    /** A tone may lie somewhat below the band whose harmonics are counted. */
    private static final double BELOW = 0.5;

    /** What was named is within so much of what was played. */
    private static final double NEAR = 0.03;

    private static final double STANDS_OUT = 1000;
    private static final double FIFTY_AND_SIXTY = 110;
    /** Of the mains' frequency: a tone so near one of its multiples is that. */
    private static final double SAME = 0.005;

    private final double perSecond;
    private final double mains;
    private final Band band;
    private final OptionalDouble named;

    /**
     * @param perSecond samples
     * @param mains 50 or 60 Hz
     * @param named about what the fundamental is, Hz, if it was told
     */
    public ToneAnalysis(double perSecond, double mains, Band band, OptionalDouble named) {
        this.perSecond = perSecond;
        this.mains = mains;
        this.band = band;
        this.named = named;
    }

    /**
     * @param tone empty where there is none to be measured: the notes tell why
     * @param intermodulation where two tones were played for it
     */
    public record Outcome(Optional<Tone> tone, Optional<Intermodulation> intermodulation, List<Finding> notes) {
        public Outcome {
            notes = List.copyOf(notes);
        }

        private static Outcome not(ToneNote why) {
            return new Outcome(Optional.empty(), Optional.empty(), List.of(why));
        }
    }

    /** Channels of one recording; at once, unless they are so long that each takes hundreds of megabytes. */
    public List<Outcome> of(List<double[]> channels) {
        boolean isLong = channels.stream().anyMatch(samples -> samples.length > LONG);
        return (isLong ? channels.stream() : channels.parallelStream())
                .map(this::of)
                .toList();
    }

    /** @param samples from -1 to 1 */
    public Outcome of(double[] samples) {
        double seconds = samples.length / perSecond;
        double first = samples.length == 0 ? 0 : samples[0];
        if (Arrays.stream(samples).allMatch(sample -> sample == first)) {
            return Outcome.not(first == 0 ? new ToneNote.Silence() : new ToneNote.OnlyConstant(first));
        }
        if (seconds < LEAST_SECONDS) {
            return Outcome.not(new ToneNote.TooShort(seconds, LEAST_SECONDS));
        }
        double low = named.isPresent() ? named.getAsDouble() * (1 - NEAR) : BELOW * band.low();
        double high = Math.min(perSecond / 2, named.isPresent() ? named.getAsDouble() * (1 + NEAR) : perSecond / 2);
        OptionalDouble begin =
                band.low() < highest() && low < high ? begin(samples, low, high) : OptionalDouble.empty();
        if (begin.isEmpty()) {
            return Outcome.not(new ToneNote.NoTone(low, high));
        }
        double hertz = begin.getAsDouble();
        double half = perSecond / 2;
        if (half - hertz < NuttallWindow.LOBE / seconds) {
            return Outcome.not(new ToneNote.AtHalfTheRate(hertz, half));
        }
        if (hertz * seconds < LEAST_CYCLES) {
            return Outcome.not(new ToneNote.TooFewCycles(hertz, hertz * seconds, LEAST_CYCLES));
        }
        try {
            return told(samples, new HarmonicFit(perSecond).fit(samples, hertz));
        } catch (UnsettledException e) {
            return Outcome.not(new ToneNote.Unsettled(hertz));
        }
    }

    private double highest() {
        return Math.min(band.high(), perSecond / 2);
    }

    /** Where the fit begins. */
    private OptionalDouble begin(double[] samples, double low, double high) {
        int length = Math.min(samples.length, SEARCHED);
        int from = (samples.length - length) / 2;
        PowerSpectrum spectrum =
                new PowerSpectrum(Arrays.copyOfRange(samples, from, from + length), perSecond, SEARCHED);
        return new ToneSearch(spectrum, low, high).fundamental();
    }

    private Outcome told(double[] samples, LineFit.Fitted fitted) {
        LineFit lines = new LineFit(new NuttallWindow(samples.length), perSecond);
        double[] left = lines.without(samples, fitted.constant(), fitted.lines());
        List<Line> hum = new HumFit(perSecond, mains).fit(left, fitted.lines());
        double[] noise = lines.without(left, 0, hum);
        Tone tone = new Tone(band, fitted.constant(), fitted.lines(), hum, mains, new PowerSpectrum(noise, perSecond));
        List<Finding> notes = new ArrayList<>();
        CardClip.of(samples, perSecond, tone.fundamental()).ifPresent(notes::add);
        Breaks.of(noise, perSecond, tone.fundamental()).ifPresent(notes::add);
        double standsOut = STANDS_OUT * tone.left().median(new Band(band.low(), highest()));
        Optional<ToneNote> another = another(tone, standsOut);
        Optional<Intermodulation> pair = another.flatMap(other -> pair(samples));
        if (pair.isPresent()) {
            notes.add(new ToneNote.TwoTones(
                    pair.get().low().hertz(), pair.get().high().hertz()));
        } else if (isOtherMains(tone, standsOut)) {
            notes.add(new ToneNote.OtherMains(mains, FIFTY_AND_SIXTY - mains));
        } else {
            another.ifPresent(notes::add);
        }
        double multiple = tone.fundamental().hertz() / mains;
        if (named.isEmpty() && multiple < 2.5 && Math.abs(multiple - Math.rint(multiple)) < SAME * multiple) {
            notes.add(new ToneNote.IsMains(tone.fundamental().hertz(), mains));
        } else if (tone.humAt(1).isEmpty() || tone.humAt(2).isEmpty()) {
            notes.add(new ToneNote.MainsHidden(mains));
        }
        if (tone.part(2).isEmpty() || 2 * tone.fundamental().hertz() > band.high()) {
            notes.add(new ToneNote.NoHarmonic(highest()));
        }
        return new Outcome(Optional.of(tone), pair, notes);
    }

    private Optional<Intermodulation> pair(double[] samples) {
        PowerSpectrum spectrum = new PowerSpectrum(samples, perSecond);
        return Arrays.stream(TonePair.values())
                .flatMap(pair -> Intermodulation.of(pair, samples, perSecond, spectrum).stream())
                .findFirst();
    }

    /** Whether twice the mains' other frequency, which rectifiers leave, is louder than twice the one asked for. */
    private boolean isOtherMains(Tone tone, double standsOut) {
        double other = 2 * (FIFTY_AND_SIXTY - mains);
        double here = tone.humAt(2).map(Line::power).orElse(0.0);
        PowerSpectrum left = tone.left();
        return left.power(left.bin(other)) > standsOut
                && left.power(left.bin(other)) > here
                && tone.harmonics().stream().noneMatch(line -> Math.abs(line.hertz() - other) < SAME * other);
    }

    /** A line of what is left that nothing explains. */
    private Optional<ToneNote> another(Tone tone, double standsOut) {
        PowerSpectrum left = tone.left();
        int strongest = left.bin(band.low());
        for (int k = strongest; k < left.bin(highest()); k++) {
            strongest = left.power(k) > left.power(strongest) ? k : strongest;
        }
        // A line's power is shared by the bins of its lobe.
        double power = NuttallWindow.NOISE_BINS * left.power(strongest);
        return power > ANOTHER * tone.fundamental().power() && left.power(strongest) > standsOut
                ? Optional.of(new ToneNote.SecondTone(
                        left.hertz(strongest),
                        Math.sqrt(power / tone.fundamental().power())))
                : Optional.empty();
    }
}
