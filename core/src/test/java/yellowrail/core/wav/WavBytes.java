package yellowrail.core.wav;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/** Sound files put together chunk by chunk, sound ones and others. */
public final class WavBytes {

    private final ByteArrayOutputStream chunks = new ByteArrayOutputStream();

    /** One channel or more as whole numbers of 16, 24 or 32 bits. */
    public static byte[] pcm(int hertz, int bits, double[]... channels) {
        return new WavBytes()
                .format(1, channels.length, hertz, bits)
                .data(samples(bits, channels))
                .bytes();
    }

    static byte[] floats(int hertz, double[] samples) {
        ByteBuffer data = little(4 * samples.length);
        for (double sample : samples) {
            data.putFloat((float) sample);
        }
        return new WavBytes().format(3, 1, hertz, 32).data(data.array()).bytes();
    }

    static byte[] samples(int bits, double[]... channels) {
        int bytes = bits / 8;
        ByteBuffer data = little(bytes * channels.length * channels[0].length);
        for (int i = 0; i < channels[0].length; i++) {
            for (double[] channel : channels) {
                long whole = Math.round(Math.scalb(channel[i], bits - 1));
                for (int b = 0; b < bytes; b++) {
                    data.put((byte) (whole >> 8 * b));
                }
            }
        }
        return data.array();
    }

    WavBytes format(int code, int channels, int hertz, int bits) {
        return chunk(
                "fmt ",
                format(code, channels, hertz, bits, channels * bits / 8, 16).array());
    }

    /** As recorders write it that have more to say: the code stands behind. */
    WavBytes extensible(int code, int channels, int hertz, int held, int valid) {
        ByteBuffer format = format(0xFFFE, channels, hertz, held, channels * held / 8, 40);
        format.putShort(16, (short) 22).putShort(18, (short) valid).putShort(24, (short) code);
        return chunk("fmt ", format.array());
    }

    static ByteBuffer format(int code, int channels, int hertz, int bits, int frame, int length) {
        return little(length)
                .putShort(0, (short) code)
                .putShort(2, (short) channels)
                .putInt(4, hertz)
                .putInt(8, hertz * frame)
                .putShort(12, (short) frame)
                .putShort(14, (short) bits);
    }

    WavBytes data(byte[] samples) {
        return chunk("data", samples);
    }

    WavBytes data(byte[] samples, long announced) {
        head("data", announced);
        chunks.writeBytes(samples);
        return this;
    }

    /** An odd one gets its padding byte. */
    WavBytes chunk(String name, byte[] content) {
        head(name, content.length);
        chunks.writeBytes(content);
        if (content.length % 2 == 1) {
            chunks.write(0);
        }
        return this;
    }

    private void head(String name, long length) {
        chunks.writeBytes(name.getBytes(StandardCharsets.ISO_8859_1));
        chunks.writeBytes(little(4).putInt((int) length).array());
    }

    byte[] bytes() {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.writeBytes("RIFF".getBytes(StandardCharsets.ISO_8859_1));
        file.writeBytes(little(4).putInt(4 + chunks.size()).array());
        file.writeBytes("WAVE".getBytes(StandardCharsets.ISO_8859_1));
        file.writeBytes(chunks.toByteArray());
        return file.toByteArray();
    }

    static Sound read(byte[] file) {
        try {
            return WavReader.read(new ByteArrayInputStream(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ByteBuffer little(int bytes) {
        return ByteBuffer.allocate(bytes).order(ByteOrder.LITTLE_ENDIAN);
    }
}
