package yellowrail.core.wav;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;

/** Turns the bytes of a file into samples of full scale 1. */
final class Samples {

    private Samples() {}

    static List<double[]> of(ByteBuffer data, WavFormat format, int frames) {
        double scale = scale(data, format, frames);
        List<double[]> channels = new ArrayList<>();
        for (int channel = 0; channel < format.channels(); channel++) {
            double[] samples = new double[frames];
            for (int i = 0; i < frames; i++) {
                int at = i * format.frame() + channel * format.bytes();
                samples[i] = format.floating() ? data.getFloat(at) : scale * whole(data, at, format.bytes());
            }
            channels.add(samples);
        }
        if (format.floating()) {
            refuseWhatIsNoNumber(channels, format.hertz());
        }
        return channels;
    }

    /** What one step of the whole number in a sample's bytes is. */
    private static double scale(ByteBuffer data, WavFormat format, int frames) {
        boolean high = format.bits() < 8 * format.bytes() && isHeldHigh(data, format, frames);
        return Math.scalb(1.0, 1 - (high ? 8 * format.bytes() : format.bits()));
    }

    /** Whether the bits that count are the upper ones, as they should be: then the lowest byte is 0 everywhere. */
    private static boolean isHeldHigh(ByteBuffer data, WavFormat format, int frames) {
        int samples = frames * format.channels();
        for (int i = 0; i < samples; i++) {
            if (data.get(i * format.bytes()) != 0) {
                return false;
            }
        }
        return true;
    }

    private static int whole(ByteBuffer data, int at, int bytes) {
        return switch (bytes) {
            case 2 -> data.getShort(at);
            case 3 -> data.get(at + 2) << 16 | Short.toUnsignedInt(data.getShort(at));
            default -> data.getInt(at);
        };
    }

    private static void refuseWhatIsNoNumber(List<double[]> channels, int hertz) {
        int found = 0;
        int first = Integer.MAX_VALUE;
        for (double[] samples : channels) {
            for (int i = 0; i < samples.length; i++) {
                if (!Double.isFinite(samples[i])) {
                    found++;
                    first = Math.min(first, i);
                }
            }
        }
        if (found > 0) {
            throw new WavException(new WavFinding.NoNumbers(found, (double) first / hertz));
        }
    }
}
