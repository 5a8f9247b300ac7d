package yellowrail.core.wav;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.wav.WavFinding.Law;
import yellowrail.core.wav.WavFinding.Other;

class WavReaderTest {

    private static final double[] WAVE = {0, 0.5, -0.5, 0.999, -1, 0.25};

    private static WavFinding why(byte[] file) {
        return catchThrowableOfType(WavException.class, () -> WavBytes.read(file))
                .why();
    }

    private static WavBytes of(int code, int channels, int hertz, int bits) {
        return new WavBytes().format(code, channels, hertz, bits).data(new byte[48]);
    }

    @ParameterizedTest
    @ValueSource(ints = {16, 24, 32})
    void wholeNumbersAreReadToTheirLastBit(int bits) {
        Sound sound = WavBytes.read(WavBytes.pcm(48_000, bits, WAVE));
        assertThat(sound.hertz()).isEqualTo(48_000);
        assertThat(sound.seconds()).isEqualTo(6 / 48_000.0);
        assertThat(sound.notes()).isEmpty();
        for (int i = 0; i < WAVE.length; i++) {
            assertThat(sound.channels().get(0)[i]).isCloseTo(WAVE[i], within(Math.scalb(0.51, 1 - bits)));
        }
    }

    @Test
    void floatingPointMayPassFullScale() {
        double[] loud = {0.1f, 1.5f, -2f};
        assertThat(WavBytes.read(WavBytes.floats(96_000, loud)).channels().get(0))
                .containsExactly(loud);
    }

    @Test
    void channelsAreParted() {
        Sound sound = WavBytes.read(WavBytes.pcm(44_100, 16, WAVE, new double[6]));
        assertThat(sound.channels()).hasSize(2);
        assertThat(sound.channels().get(0)[1]).isEqualTo(0.5);
        assertThat(sound.channels().get(1)).containsOnly(0);
    }

    /** 24 bits in four bytes: the upper three as the standard has it, or the lower three as some drivers do. */
    @Test
    void twentyFourBitsStandInFourBytesEitherWay() {
        byte[] narrow = WavBytes.samples(24, WAVE);
        byte[] high = new byte[WAVE.length * 4];
        byte[] low = new byte[WAVE.length * 4];
        for (int i = 0; i < WAVE.length; i++) {
            System.arraycopy(narrow, 3 * i, high, 4 * i + 1, 3);
            System.arraycopy(narrow, 3 * i, low, 4 * i, 3);
            low[4 * i + 3] = (byte) (narrow[3 * i + 2] < 0 ? -1 : 0);
        }
        for (byte[] data : new byte[][] {high, low}) {
            double[] read = WavBytes.read(new WavBytes()
                            .extensible(1, 1, 48_000, 32, 24)
                            .data(data)
                            .bytes())
                    .channels()
                    .get(0);
            assertThat(read[1]).isEqualTo(0.5);
            assertThat(read[2]).isEqualTo(-0.5);
            assertThat(read[4]).isEqualTo(-1);
        }
    }

    @Test
    void chunksThatAreNotNeededArePassedOver() {
        byte[] file = new WavBytes()
                .chunk("LIST", new byte[7])
                .format(1, 1, 8_000, 16)
                .chunk("fact", new byte[4])
                .data(WavBytes.samples(16, WAVE))
                .chunk("tail", new byte[3])
                .bytes();
        assertThat(WavBytes.read(file).channels().get(0)).hasSize(6);
    }

    @Test
    void aHeaderIsBelievedNoFurtherThanItsBytes() {
        byte[] data = WavBytes.samples(16, WAVE);
        Sound gigabyte = WavBytes.read(
                new WavBytes().format(1, 1, 48_000, 16).data(data, 1 << 30).bytes());
        assertThat(gigabyte.channels().get(0)).hasSize(6);
        assertThat(gigabyte.notes()).hasSize(1).first().isInstanceOf(WavFinding.LessThanAnnounced.class);
        for (long untold : new long[] {0, 0xFFFFFFFFL}) {
            Sound sound = WavBytes.read(
                    new WavBytes().format(1, 1, 48_000, 16).data(data, untold).bytes());
            assertThat(sound.channels().get(0)).hasSize(6);
            assertThat(sound.notes()).containsExactly(new WavFinding.LengthNotTold());
        }
        // Half a sample at the end is none.
        assertThat(WavBytes.read(new WavBytes()
                                .format(1, 1, 48_000, 16)
                                .data(Arrays.copyOf(data, 11), 12)
                                .bytes())
                        .channels()
                        .get(0))
                .hasSize(5);
    }

    @Test
    void aMinuteIsRead() {
        Sound sound = WavBytes.read(WavBytes.pcm(8_000, 16, new double[8_000 * 61]));
        assertThat(sound.seconds()).isEqualTo(60);
        assertThat(sound.notes()).containsExactly(new WavFinding.CutOff(60));
    }

    @Test
    void whatIsNoWavIsCalledByItsName() {
        assertThat(why(new byte[0])).isEqualTo(new WavFinding.Empty());
        assertThat(why("ID3 and so on".getBytes(StandardCharsets.US_ASCII)))
                .isEqualTo(new WavFinding.OtherFile(Other.MP3));
        assertThat(why(new byte[] {(byte) 0xFF, (byte) 0xFB, 0, 0})).isEqualTo(new WavFinding.OtherFile(Other.MP3));
        assertThat(why("fLaC and so on".getBytes(StandardCharsets.US_ASCII)))
                .isEqualTo(new WavFinding.OtherFile(Other.FLAC));
        assertThat(why("a page of text".getBytes(StandardCharsets.US_ASCII))).isEqualTo(new WavFinding.NotWav());
        assertThat(why("RIFF0000AVI  and so on".getBytes(StandardCharsets.US_ASCII)))
                .isEqualTo(new WavFinding.NotWav());
    }

    @Test
    void whatIsNotReadIsToldWhy() {
        assertThat(why(of(6, 1, 8_000, 8).bytes())).isEqualTo(new WavFinding.Packed(Law.A_LAW));
        assertThat(why(of(0x55, 2, 44_100, 0).bytes())).isEqualTo(new WavFinding.Packed(Law.MPEG_LAYER_3));
        assertThat(why(of(0x1234, 1, 44_100, 16).bytes())).isEqualTo(new WavFinding.UnknownCode(0x1234));
        assertThat(why(of(1, 6, 48_000, 16).bytes())).isEqualTo(new WavFinding.Channels(6));
        assertThat(why(of(1, 1, 384_000, 16).bytes())).isEqualTo(new WavFinding.Rate(384_000));
        assertThat(why(of(1, 1, 44_100, 8).bytes())).isEqualTo(new WavFinding.Bits(8));
        assertThat(why(of(3, 1, 44_100, 64).bytes())).isEqualTo(new WavFinding.Bits(64));
        assertThat(why(new WavBytes()
                        .chunk("fmt ", WavBytes.format(1, 2, 44_100, 16, 3, 16).array())
                        .data(new byte[12])
                        .bytes()))
                .isEqualTo(new WavFinding.Frame(3, 2));
        assertThat(why(new WavBytes().chunk("fmt ", new byte[4]).bytes())).isEqualTo(new WavFinding.FormatTooShort(4));
        assertThat(why(new WavBytes().data(new byte[12]).bytes())).isEqualTo(new WavFinding.NoFormat());
        assertThat(why(new WavBytes().format(1, 1, 44_100, 16).bytes())).isEqualTo(new WavFinding.NoData());
        assertThat(why(new WavBytes().format(1, 1, 44_100, 16).data(new byte[1]).bytes()))
                .isEqualTo(new WavFinding.NoSamples());
    }

    @Test
    void whatIsNoNumberIsCounted() {
        double[] wave = new double[100];
        wave[50] = Double.NaN;
        wave[60] = Double.POSITIVE_INFINITY;
        assertThat(why(WavBytes.floats(10_000, wave))).isEqualTo(new WavFinding.NoNumbers(2, 0.005));
    }

    /** Any byte may be any other: it is read or refused, and nothing else. */
    @Property(tries = 500)
    void aDamagedFileIsReadOrRefused(@ForAll long seed, @ForAll @IntRange(max = 120) int length) {
        Random random = new Random(seed);
        byte[] file = Arrays.copyOf(WavBytes.pcm(48_000, 24, WAVE, WAVE), length);
        for (int i = 0; i < 3 && length > 0; i++) {
            file[random.nextInt(length)] = (byte) random.nextInt();
        }
        try {
            assertThat(WavBytes.read(file).channels().get(0).length).isPositive();
        } catch (WavException e) {
            assertThat(e.why().code()).isNotBlank();
        }
    }
}
