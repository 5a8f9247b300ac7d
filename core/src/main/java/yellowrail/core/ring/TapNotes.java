package yellowrail.core.ring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import yellowrail.core.finding.Finding;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.PowerSpectrum;

/** What is to be known of a recording of taps, besides what rang. */
public final class TapNotes {

    private static final double LEAST = 0.05;
    /** Power of a line over that of the median bin. */
    private static final double SOUNDS = 1e4;

    /** Of the mains' frequency, or so many bins. */
    private static final double NEAR_HUM = 0.03;

    private static final double BINS = 5;
    private static final double FULL = 0.999;

    private final double perSecond;
    private final double mains;

    /**
     * @param perSecond samples
     * @param mains 50 or 60 Hz
     */
    public TapNotes(double perSecond, double mains) {
        this.perSecond = perSecond;
        this.mains = mains;
    }

    /** @param struck when something was struck, s */
    public List<Finding> of(double[] samples, List<Double> struck) {
        List<Finding> notes = new ArrayList<>();
        sounding(samples, struck).ifPresent(hertz -> notes.add(new RingFinding.SoundsByItself(hertz)));
        if (struck.isEmpty()) {
            notes.add(new RingFinding.NothingStruck(samples.length / perSecond));
        }
        if (struck.size() > TapAnalysis.MOST) {
            notes.add(new RingFinding.MoreTaps(struck.size(), TapAnalysis.MOST));
        }
        if (Arrays.stream(samples).anyMatch(sample -> Math.abs(sample) >= FULL)) {
            notes.add(new RingFinding.CardFull());
        }
        return notes;
    }

    /** A tone that stands in the recording before anything is struck, and is no hum, Hz. */
    private Optional<Double> sounding(double[] samples, List<Double> struck) {
        double seconds = struck.isEmpty() ? samples.length / perSecond : struck.get(0) - TapAnalysis.MARGIN;
        if (seconds < LEAST) {
            return Optional.empty();
        }
        PowerSpectrum spectrum =
                new PowerSpectrum(Arrays.copyOfRange(samples, 0, (int) (seconds * perSecond)), perSecond);
        Band rings = TapAnalysis.rings(perSecond);
        double least = SOUNDS * spectrum.median(rings);
        int best = -1;
        for (int k = 1; k < spectrum.bins() && spectrum.hertz(k) < rings.high(); k++) {
            boolean stands = spectrum.hertz(k) > rings.low()
                    && spectrum.power(k) > (best < 0 ? least : spectrum.power(best))
                    && !isHum(spectrum.hertz(k), seconds);
            best = stands ? k : best;
        }
        return best < 0 ? Optional.empty() : Optional.of(spectrum.hertz(best));
    }

    private boolean isHum(double hertz, double seconds) {
        double order = hertz / mains;
        return Math.abs(order - Math.rint(order)) * mains < Math.max(NEAR_HUM * mains, BINS / seconds);
    }
}
