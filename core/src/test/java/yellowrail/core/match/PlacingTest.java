package yellowrail.core.match;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yellowrail.core.Thorough;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;

class PlacingTest {

    private static Socket socket(String label, Side side, Channel channel) {
        return new Socket(label, side, channel, label);
    }

    private static final List<Socket> QUAD = List.of(
            socket("V1", Side.PUSH, Channel.MONO),
            socket("V2", Side.PUSH, Channel.MONO),
            socket("V3", Side.PULL, Channel.MONO),
            socket("V4", Side.PULL, Channel.MONO));
    private static final List<Socket> STEREO = List.of(
            socket("V1", Side.PUSH, Channel.LEFT),
            socket("V2", Side.PULL, Channel.LEFT),
            socket("V3", Side.PUSH, Channel.RIGHT),
            socket("V4", Side.PULL, Channel.RIGHT),
            socket("V5", Side.PUSH, Channel.RIGHT),
            socket("V6", Side.PULL, Channel.RIGHT));

    private static List<Candidate> tubes(double... milliamps) {
        return IntStream.range(0, milliamps.length)
                .mapToObj(i -> Candidate.of("T" + i, milliamps[i] / 1000))
                .toList();
    }

    /** 34.1 + 37.2 against 34.6 + 36.9: 71.3 and 71.5 mA. */
    @Test
    void theWorkedQuadComesOutWithOneOfEachOnEitherSide() {
        Placing placing = new Placing(tubes(34.1, 36.9, 34.6, 37.2), QUAD);
        Placing.Seating best = placing.best();
        assertThat(best.imbalance()).containsOnlyKeys(Channel.MONO);
        assertThat(best.imbalance().get(Channel.MONO)).isCloseTo(0.0002, within(1e-9));
        assertThat(placing.present().imbalance().get(Channel.MONO)).isCloseTo(0.0008, within(1e-9));
        List<String> push = best.tubes().subList(0, 2).stream()
                .map(Candidate::label)
                .sorted()
                .toList();
        assertThat(push).isIn(List.of("T0", "T3"), List.of("T1", "T2"));
        assertThat(placing.moved(best)).as("two tubes change places").hasSize(2);
    }

    @Test
    void aBestSeatingIsLeftAsItIsAndUnlikePairsAreSplit() {
        Placing placing = new Placing(tubes(34, 37, 34, 37), QUAD);
        assertThat(placing.moved(placing.best())).isEmpty();
        assertThat(new Placing(tubes(34, 34, 37, 37), QUAD).best().imbalance().get(Channel.MONO))
                .isCloseTo(0, within(1e-12));
    }

    private static double[] worth(List<Socket> sockets, List<Candidate> seated) {
        double imbalance = 0;
        double spread = 0;
        for (Channel channel : Channel.values()) {
            List<Integer> here = IntStream.range(0, sockets.size())
                    .filter(i -> sockets.get(i).channel() == channel)
                    .boxed()
                    .toList();
            if (!here.isEmpty()) {
                imbalance += Math.abs(here.stream()
                        .mapToDouble(i -> (sockets.get(i).side() == Side.PUSH ? 1 : -1)
                                * seated.get(i).amps())
                        .sum());
                double low = here.stream()
                        .mapToDouble(i -> seated.get(i).amps())
                        .min()
                        .orElseThrow();
                spread += here.stream()
                                .mapToDouble(i -> seated.get(i).amps())
                                .max()
                                .orElseThrow()
                        - low;
            }
        }
        return new double[] {imbalance, spread};
    }

    private static Stream<List<Candidate>> orders(List<Candidate> tubes) {
        return tubes.isEmpty()
                ? Stream.of(List.of())
                : IntStream.range(0, tubes.size()).boxed().flatMap(i -> {
                    List<Candidate> rest = new ArrayList<>(tubes);
                    Candidate first = rest.remove((int) i);
                    return orders(rest)
                            .map(after -> Stream.concat(Stream.of(first), after.stream())
                                    .toList());
                });
    }

    @Test
    void placingEqualsBruteForceOnFiveHundredSets() {
        for (int seed = 0; seed < Thorough.of(500, 100); seed++) {
            Random chance = new Random(seed);
            List<Socket> sockets = seed % 2 == 0 ? QUAD : STEREO;
            List<Candidate> tubes = tubes(chance.doubles(sockets.size(), 25, 45).toArray());
            double[] best = orders(tubes)
                    .map(order -> worth(sockets, order))
                    .min((one, other) -> Math.abs(one[0] - other[0]) > 1e-12
                            ? Double.compare(one[0], other[0])
                            : Double.compare(one[1], other[1]))
                    .orElseThrow();
            double[] found = worth(sockets, new Placing(tubes, sockets).best().tubes());
            assertThat(found[0]).as("imbalance of set %d", seed).isCloseTo(best[0], within(1e-11));
            assertThat(found[1]).as("spread of set %d", seed).isCloseTo(best[1], within(1e-11));
        }
    }

    @Test
    void eightSocketsAndNonsense() {
        List<Socket> eight = IntStream.range(0, 8)
                .mapToObj(i -> socket("V" + i, i < 4 ? Side.PUSH : Side.PULL, Channel.MONO))
                .toList();
        Map<Channel, Double> best =
                new Placing(tubes(31, 32, 33, 34, 35, 36, 37, 38), eight).best().imbalance();
        assertThat(best.get(Channel.MONO)).isCloseTo(0, within(1e-12));
        assertThatThrownBy(() -> new Placing(tubes(31), QUAD))
                .hasMessage("placing takes as many tubes as sockets, 1 to 8, was 1 tubes for 4 sockets");
    }
}
