package yellowrail.web.practice;

import java.util.List;
import yellowrail.core.practice.BenchState;

/** A practice bench as it is stored; swaps were not counted at first. */
record BenchStateDocument(
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
        Integer swaps) {

    static BenchStateDocument of(BenchState state) {
        return new BenchStateDocument(
                state.seconds(),
                state.onAt(),
                state.pots(),
                state.heat(),
                state.failed(),
                state.order(),
                state.probe(),
                state.turns(),
                state.peak(),
                state.above(),
                state.swaps());
    }

    BenchState state() {
        return new BenchState(
                seconds, onAt, pots, heat, failed, order, probe, turns, peak, above, swaps == null ? 0 : swaps);
    }
}
