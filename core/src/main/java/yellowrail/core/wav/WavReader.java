package yellowrail.core.wav;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import yellowrail.core.finding.Finding;
import yellowrail.core.wav.WavFinding.Other;

/**
 * Reads RIFF WAVE files: whole numbers of 16, 24 or 32 bits or floating point of 32, one channel or two, 8 to 192 kHz,
 * also as WAVE_FORMAT_EXTENSIBLE. Chunks that are not needed are passed over, an odd one with its padding byte. What a
 * header announces is believed no further than the bytes that are there; more than {@value #MOST_SECONDS} seconds or
 * {@value #MOST_BYTES} bytes are not read.
 */
public final class WavReader {

    public static final int MOST_SECONDS = 60;
    public static final int MOST_BYTES = 64 << 20;

    private static final long NOT_TOLD = 0xFFFFFFFFL;
    private static final int HEADER = 12;
    private static final int MOST_FORMAT = 1024;

    private static final Map<String, Other> OTHERS = Map.of(
            "ID3",
            Other.MP3,
            "fLaC",
            Other.FLAC,
            "OggS",
            Other.OGG,
            "FORM",
            Other.AIFF,
            "RF64",
            Other.RF64,
            "RIFX",
            Other.BIG_ENDIAN);

    private final InputStream file;
    private final List<Finding> notes = new ArrayList<>();
    private int left = MOST_BYTES;

    private WavReader(InputStream file) {
        this.file = file;
    }

    /**
     * @throws WavException if it is no such file, or holds no sample
     * @throws IOException if the stream breaks off with an error
     */
    public static Sound read(InputStream file) throws IOException {
        return new WavReader(file).read();
    }

    /** @throws WavException if it is no such file, or holds no sample */
    public static Sound read(byte[] file) {
        try {
            return read(new ByteArrayInputStream(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Sound read() throws IOException {
        begins(take(HEADER));
        WavFormat format = null;
        while (true) {
            byte[] head = take(8);
            if (head.length < 8) {
                throw new WavException(format == null ? new WavFinding.NoFormat() : new WavFinding.NoData());
            }
            String name = new String(head, 0, 4, StandardCharsets.ISO_8859_1);
            long length = Integer.toUnsignedLong(little(head).getInt(4));
            if (name.equals("data")) {
                if (format == null) {
                    throw new WavException(new WavFinding.NoFormat());
                }
                return sound(format, length);
            }
            if (name.equals("fmt ")) {
                byte[] chunk = take((int) Math.min(length, MOST_FORMAT));
                format = WavFormat.of(little(chunk));
                pass(length - chunk.length + length % 2);
            } else {
                pass(length + length % 2);
            }
        }
    }

    private static void begins(byte[] head) {
        if (head.length == 0) {
            throw new WavException(new WavFinding.Empty());
        }
        String text = new String(head, StandardCharsets.ISO_8859_1);
        OTHERS.forEach((begin, is) -> {
            if (text.startsWith(begin)) {
                throw new WavException(new WavFinding.OtherFile(is));
            }
        });
        // The eleven bits that every frame of an MP3 begins with.
        if (head.length > 1 && (head[0] & 0xFF) == 0xFF && (head[1] & 0xE0) == 0xE0) {
            throw new WavException(new WavFinding.OtherFile(Other.MP3));
        }
        if (head.length < HEADER || !text.startsWith("RIFF") || !text.startsWith("WAVE", 8)) {
            throw new WavException(new WavFinding.NotWav());
        }
    }

    private Sound sound(WavFormat format, long announced) throws IOException {
        long whole = (long) MOST_SECONDS * format.hertz() * format.frame();
        boolean told = announced != 0 && announced != NOT_TOLD;
        long wanted = Math.min(told ? announced : Long.MAX_VALUE, Math.min(whole, left));
        byte[] data = take((int) wanted);
        int frames = data.length / format.frame();
        if (frames == 0) {
            throw new WavException(new WavFinding.NoSamples());
        }
        if (!told) {
            notes.add(new WavFinding.LengthNotTold());
        } else if (data.length < wanted) {
            notes.add(new WavFinding.LessThanAnnounced(announced, data.length));
        }
        if (data.length == wanted && (told ? announced > wanted : file.read() >= 0)) {
            notes.add(new WavFinding.CutOff((double) frames / format.hertz()));
        }
        return new Sound(format.hertz(), format, Samples.of(little(data), format, frames), notes);
    }

    private static ByteBuffer little(byte[] bytes) {
        return ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    }

    /** So many bytes, or as many as there are. */
    private byte[] take(int bytes) throws IOException {
        byte[] taken = file.readNBytes(Math.min(bytes, left));
        left -= taken.length;
        return taken;
    }

    private void pass(long bytes) throws IOException {
        long still = bytes;
        while (still > 0) {
            int taken = take((int) Math.min(still, 1 << 16)).length;
            if (taken == 0) {
                return;
            }
            still -= taken;
        }
    }
}
