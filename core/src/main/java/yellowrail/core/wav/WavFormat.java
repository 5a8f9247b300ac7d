package yellowrail.core.wav;

import java.nio.ByteBuffer;
import java.util.Set;

/**
 * How a file holds its samples: the {@code fmt} chunk.
 *
 * @param floating else whole numbers
 * @param bits that count, the others of its bytes are 0
 * @param bytes of one sample
 */
public record WavFormat(boolean floating, int channels, int hertz, int bits, int bytes) {

    private static final int PCM = 1;
    private static final int FLOAT = 3;
    private static final int EXTENSIBLE = 0xFFFE;
    private static final int LEAST_BYTES = 16;
    private static final int EXTENSIBLE_BYTES = 40;
    private static final int SLOWEST = 8_000;
    private static final int FASTEST = 192_000;
    private static final Set<Integer> WHOLE = Set.of(16, 24, 32);

    /**
     * @param chunk the chunk's bytes, little-endian
     * @throws WavException if samples held like this are not read
     */
    static WavFormat of(ByteBuffer chunk) {
        if (chunk.remaining() < LEAST_BYTES) {
            throw new WavException(new WavFinding.FormatTooShort(chunk.remaining()));
        }
        int code = Short.toUnsignedInt(chunk.getShort(0));
        int channels = Short.toUnsignedInt(chunk.getShort(2));
        long hertz = Integer.toUnsignedLong(chunk.getInt(4));
        int frame = Short.toUnsignedInt(chunk.getShort(12));
        int held = Short.toUnsignedInt(chunk.getShort(14));
        int bits = held;
        if (code == EXTENSIBLE) {
            if (chunk.remaining() < EXTENSIBLE_BYTES) {
                throw new WavException(new WavFinding.FormatTooShort(chunk.remaining()));
            }
            int valid = Short.toUnsignedInt(chunk.getShort(18));
            bits = valid == 0 ? held : valid;
            code = Short.toUnsignedInt(chunk.getShort(24));
        }
        refuse(code);
        if (channels != 1 && channels != 2) {
            throw new WavException(new WavFinding.Channels(channels));
        }
        if (!(hertz >= SLOWEST && hertz <= FASTEST)) {
            throw new WavException(new WavFinding.Rate(hertz));
        }
        boolean floating = code == FLOAT;
        if (floating ? bits != 32 : !WHOLE.contains(bits)) {
            throw new WavException(new WavFinding.Bits(bits));
        }
        int bytes = frame / channels;
        if (bytes * channels != frame || bytes * 8 < bits || bytes > 4) {
            throw new WavException(new WavFinding.Frame(frame, channels));
        }
        return new WavFormat(floating, channels, (int) hertz, bits, bytes);
    }

    private static void refuse(int code) {
        for (WavFinding.Law law : WavFinding.Law.values()) {
            if (law.code() == code) {
                throw new WavException(new WavFinding.Packed(law));
            }
        }
        if (code != PCM && code != FLOAT) {
            throw new WavException(new WavFinding.UnknownCode(code));
        }
    }

    /** Of one sample of every channel. */
    int frame() {
        return channels * bytes;
    }
}
