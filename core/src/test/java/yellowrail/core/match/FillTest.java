package yellowrail.core.match;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.tube.TubeCatalogue;

class FillTest {

    private static List<Socket> sockets(int tubes, boolean stereo) {
        return new AmpDefaults(
                        Topology.PUSH_PULL,
                        BiasKind.FIXED_ADJUSTABLE,
                        TubeCatalogue.published().find("EL34").orElseThrow(),
                        tubes,
                        stereo)
                .sheet()
                .sockets();
    }

    private static List<Candidate> tubes(double... milliamps) {
        return IntStream.range(0, milliamps.length)
                .mapToObj(i -> Candidate.of("T" + i, milliamps[i] / 1e3))
                .toList();
    }

    /** The four nearest of all would be 30 to 33; two pairs are nearer by channel. */
    @Test
    void aStereoAmpGetsAPairForEachChannel() {
        List<Candidate> tubes = tubes(30, 50.1, 31, 32, 50, 33, 20.2, 20);
        assertThat(Fill.of(tubes, sockets(4, true)))
                .extracting(Candidate::label)
                .containsExactly("T7", "T6", "T4", "T1");
        assertThat(Fill.of(tubes, sockets(4, false)))
                .extracting(Candidate::label)
                .containsExactly("T0", "T2", "T3", "T5");
    }

    @Test
    void tooFewCannotFillIt() {
        assertThatThrownBy(() -> Fill.of(tubes(30, 31, 32), sockets(4, true)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({"4, true", "4, false", "2, false", "8, true"})
    void noOtherChoiceOfASmallSelectionIsNearer(int sockets, boolean stereo) {
        Random chance = new Random(7);
        int groups = stereo ? 2 : 1;
        for (int trial = 0; trial < 20; trial++) {
            List<Candidate> tubes = tubes(IntStream.range(0, sockets + 2)
                    .mapToDouble(i -> 30 + 20 * chance.nextDouble())
                    .toArray());
            double ours = spread(Fill.of(tubes, sockets(sockets, stereo)), sockets / groups);
            assertThat(ours).isCloseTo(least(new ArrayList<>(tubes), sockets / groups, groups), within(1e-12));
        }
    }

    private static double spread(List<Candidate> tubes, int size) {
        double sum = 0;
        for (int i = 0; i < tubes.size(); i += size) {
            sum += new Group(tubes.subList(i, i + size), 0).spread();
        }
        return sum;
    }

    /** By trying all. */
    private static double least(List<Candidate> left, int size, int groups) {
        if (groups == 0) {
            return 0;
        }
        double least = Double.POSITIVE_INFINITY;
        for (int mask = 0; mask < 1 << left.size(); mask++) {
            if (Integer.bitCount(mask) == size) {
                int taken = mask;
                List<Candidate> rest = new ArrayList<>();
                double low = Double.POSITIVE_INFINITY;
                double high = 0;
                for (int i = 0; i < left.size(); i++) {
                    if ((taken >> i & 1) == 0) {
                        rest.add(left.get(i));
                    } else {
                        low = Math.min(low, left.get(i).amps());
                        high = Math.max(high, left.get(i).amps());
                    }
                }
                least = Math.min(least, high - low + least(rest, size, groups - 1));
            }
        }
        return least;
    }
}
