package yellowrail.core.wav;

import java.util.List;
import yellowrail.core.finding.Finding;

/**
 * What a sound file holds. The samples are not copied, for they may be millions.
 *
 * @param hertz samples a second
 * @param format how the file holds them
 * @param channels one or two, samples from -1 to 1, full scale
 * @param notes what the file's header said and was not so
 */
public record Sound(int hertz, WavFormat format, List<double[]> channels, List<Finding> notes) {

    public Sound {
        channels = List.copyOf(channels);
        notes = List.copyOf(notes);
    }

    /** s. */
    public double seconds() {
        return (double) channels.get(0).length / hertz;
    }
}
