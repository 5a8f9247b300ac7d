package yellowrail.core.wav;

import yellowrail.core.finding.Finding;
import yellowrail.core.finding.In;
import yellowrail.core.quantity.Unit;

/** What is to be told of a sound file. */
public sealed interface WavFinding extends Finding {

    // Why it cannot be read

    record Empty() implements WavFinding {}

    /** By its first bytes it is something else. */
    record OtherFile(Other is) implements WavFinding {}

    record NotWav() implements WavFinding {}

    record NoFormat() implements WavFinding {}

    record FormatTooShort(int bytes) implements WavFinding {}

    /** Its samples are packed by a law that loses some of them. */
    record Packed(Law law) implements WavFinding {}

    record UnknownCode(int has) implements WavFinding {}

    record Channels(int has) implements WavFinding {}

    record Rate(long has) implements WavFinding {}

    record Bits(int has) implements WavFinding {}

    record Frame(int has, int channels) implements WavFinding {}

    record NoData() implements WavFinding {}

    record NoSamples() implements WavFinding {}

    /** @param first s from the beginning */
    record NoNumbers(
            int samples,
            @In(value = Unit.SECOND, decimals = 3) double first) implements WavFinding {}

    // What is told beside what was read

    record LessThanAnnounced(long announced, long bytes) implements WavFinding {}

    record LengthNotTold() implements WavFinding {}

    record CutOff(@In(value = Unit.SECOND, decimals = 1) double seconds) implements WavFinding {}

    /** What a file that is called a sound file may be. */
    enum Other {
        MP3,
        FLAC,
        OGG,
        AIFF,
        RF64,
        BIG_ENDIAN
    }

    /** How samples may be packed. */
    enum Law {
        A_LAW(6),
        MU_LAW(7),
        ADPCM(2),
        ADPCM_IMA(0x11),
        GSM(0x31),
        MPEG_LAYER_3(0x55);

        private final int code;

        Law(int code) {
            this.code = code;
        }

        int code() {
            return code;
        }
    }
}
