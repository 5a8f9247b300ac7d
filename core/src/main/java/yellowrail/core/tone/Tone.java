package yellowrail.core.tone;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A recorded tone in parts of full scale. Distortion is told of the fundamental: 100 % where harmonics have as much
 * power as that.
 *
 * @param band what counts as harmonic, hum and noise
 * @param constant mean
 * @param harmonics the fundamental first, as far as they lie below half the rate, the 20th at most
 * @param hum multiples of the mains' frequency that can be told from harmonics
 * @param mains its frequency as asked for, Hz
 * @param left what neither is: noise, other tones, harmonics beyond the 20th
 */
public record Tone(Band band, double constant, List<Line> harmonics, List<Line> hum, double mains, PowerSpectrum left) {

    private static final double STANDS_OUT = 10;

    public Tone {
        harmonics = List.copyOf(harmonics);
        hum = List.copyOf(hum);
    }

    public Line fundamental() {
        return harmonics.get(0);
    }

    /** A harmonic's part of the fundamental; empty where half the rate lies below it. */
    public OptionalDouble part(int order) {
        return order <= harmonics.size()
                ? OptionalDouble.of(
                        harmonics.get(order - 1).rms() / fundamental().rms())
                : OptionalDouble.empty();
    }

    /** Total harmonic distortion, the 2nd to the 20th within the band, of the fundamental. */
    public double distortion() {
        return Math.sqrt(harmonicPower() / fundamental().power());
    }

    /** The same with hum and noise and whatever else is in the band. */
    public double distortionAndNoise() {
        return Math.sqrt((harmonicPower() + power(hum) + left.power(band, Weighting.FLAT))
                / fundamental().power());
    }

    private double harmonicPower() {
        return power(harmonics.subList(1, harmonics.size()));
    }

    private double power(List<Line> lines) {
        return lines.stream()
                .filter(line -> band.has(line.hertz()))
                .mapToDouble(Line::power)
                .sum();
    }

    /** Whether a line is more than noise about it would show there. */
    public boolean standsOut(Line line) {
        return line.power() > STANDS_OUT * left.about(line.hertz());
    }

    /** At a multiple of the mains' frequency; empty where it cannot be told from the tone. */
    public Optional<Line> humAt(int multiple) {
        return hum.stream()
                .filter(line -> Math.round(line.hertz() / mains) == multiple)
                .findFirst();
    }

    /** RMS of noise within the band, hum and harmonics left out. */
    public double noise(Weighting weighting) {
        return Math.sqrt(left.power(band, weighting));
    }
}
