package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.tube.model.TubeModels;

class SweepTest {

    private static final double[] LOADS =
            IntStream.rangeClosed(1, 20).mapToDouble(i -> 1000 * i).toArray();

    private static Optional<Sweep.Point> point(double at, double watts) {
        return Optional.of(new Sweep.Point(at, watts, 0, 0, 0, 0, 0, 0, 0, 0));
    }

    private static Sweep through(DoubleUnaryOperator watts) {
        return Sweep.through(LOADS, at -> {
            double found = watts.applyAsDouble(at);
            return Double.isNaN(found) ? Optional.empty() : point(at, found);
        });
    }

    @Test
    void aSteepFlankIsNoJump() {
        Sweep sweep = through(at -> 20 / (1 + Math.exp((at - 9500) / 150)));
        assertThat(sweep.breaks()).isEmpty();
        assertThat(sweep.stretches()).hasSize(1);
    }

    @Test
    void whereTheAnswerJumpsTheCurveIsBroken() {
        Sweep sweep = through(at -> at < 9300 ? 20 : 8);
        assertThat(sweep.breaks()).singleElement().satisfies(jump -> {
            assertThat(jump.jump()).isTrue();
            assertThat(jump.from()).isLessThan(9300);
            assertThat(jump.to()).isBetween(9300.0, 9400.0);
        });
        assertThat(sweep.stretches()).extracting(List::size).containsExactly(9, 11);
    }

    @Test
    void whereNothingIsFoundTheCurveIsBroken() {
        Sweep sweep = through(at -> at > 4500 && at < 7500 ? Double.NaN : 10);
        assertThat(sweep.breaks()).containsExactly(new Sweep.Break(5000, 8000, false));
        assertThat(sweep.stretches()).extracting(List::size).containsExactly(4, 13);
        assertThatThrownBy(() -> through(at -> at > 1500 ? Double.NaN : 10)).isInstanceOf(UnsettledException.class);
    }

    /** Starved, with cathode bias, on a supply that gives way: one answer everywhere. */
    @ParameterizedTest
    @CsvSource({"EL84, SINGLE_ENDED, 0.002", "EL34, PUSH_PULL, 0.002", "6V6GT, SINGLE_ENDED, 0.05"})
    void starvedStagesStaySingleValued(String type, Topology topology, double idle) {
        OutputStage stage = AmpStage.atIdle(
                new OutputStage(
                        TubeModels.published().of(Amps.type(type)).orElseThrow().model(),
                        topology,
                        1,
                        150,
                        147,
                        Connection.PENTODE,
                        0.43,
                        OutputStage.Bias.fixed(0),
                        20_000,
                        new OutputStage.Losses(400, 0, 400, 400, 0)),
                idle,
                true);
        assertThat(Sweep.loads(stage, 5000, 80_000, 25).breaks()).isEmpty();
    }
}
