package yellowrail.core.wav;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.SplittableRandom;

/**
 * Writes samples as a RIFF WAVE file of one channel. Each is dithered by the difference of two even random numbers of a
 * step (triangular, two steps wide), so that what is rounded off is noise and no distortion: 93 dB below a full sine
 * with 16 bits, 141 dB with 24.
 */
public final class WavWriter {

    private static final int HEADER = 44;
    private static final int BYTE = 8;

    private WavWriter() {}

    /**
     * @param samples from -1 to 1; beyond they are cut
     * @param bits 16 or 24
     * @param seed of the dither, so that the same is written again
     */
    public static byte[] write(double[] samples, int hertz, int bits, long seed) {
        if (bits != 16 && bits != 24) {
            throw new IllegalArgumentException("%d bits".formatted(bits));
        }
        int bytes = bits / BYTE;
        int length = bytes * samples.length;
        ByteBuffer file = ByteBuffer.allocate(HEADER + length).order(ByteOrder.LITTLE_ENDIAN);
        file.put(name("RIFF")).putInt(HEADER - 8 + length).put(name("WAVE"));
        file.put(name("fmt ")).putInt(16).putShort((short) 1).putShort((short) 1);
        file.putInt(hertz).putInt(hertz * bytes).putShort((short) bytes).putShort((short) bits);
        file.put(name("data")).putInt(length);
        SplittableRandom dither = new SplittableRandom(seed);
        double full = Math.scalb(1.0, bits - 1);
        for (double sample : samples) {
            double whole = Math.rint(full * sample + dither.nextDouble() - dither.nextDouble());
            int held = (int) Math.max(-full, Math.min(full - 1, whole));
            for (int i = 0; i < bytes; i++) {
                file.put((byte) (held >> BYTE * i));
            }
        }
        return file.array();
    }

    private static byte[] name(String chunk) {
        return chunk.getBytes(StandardCharsets.US_ASCII);
    }
}
