package yellowrail.core.practice;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Where a practice bench stands: all that changes.
 *
 * @param seconds since the exercise began
 * @param onAt when it was switched on, s; negative while it is off
 * @param pots where each stands, 0 fully anticlockwise to 1 fully clockwise
 * @param heat of each tube's plate above what it can shed, s at its rating
 * @param failed tubes that are ruined
 * @param order which tube sits in each socket
 * @param probe where the meter's lead is; blank for nowhere
 * @param turns how often a pot was turned
 * @param peak greatest plate dissipation over the rating so far
 * @param above seconds spent above the rating
 * @param swaps how often two tubes were exchanged
 */
public record BenchState(
        double seconds,
        double onAt,
        List<Double> pots,
        List<Double> heat,
        List<Boolean> failed,
        List<Integer> order,
        String probe,
        int turns,
        double peak,
        double above,
        int swaps) {

    public BenchState {
        pots = List.copyOf(pots);
        heat = List.copyOf(heat);
        failed = List.copyOf(failed);
        order = List.copyOf(order);
    }

    /** A cold bench, the pots where the last owner left them. */
    static BenchState cold(List<Double> pots, int tubes) {
        return new BenchState(
                0,
                -1,
                pots,
                IntStream.range(0, tubes).mapToObj(i -> 0.0).toList(),
                IntStream.range(0, tubes).mapToObj(i -> false).toList(),
                IntStream.range(0, tubes).boxed().toList(),
                "",
                0,
                0,
                0,
                0);
    }

    public boolean isOn() {
        return onAt >= 0;
    }
}
