package yellowrail.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/** A range pot and a balance pot: the sides are made alike first, then the level is set. */
class BalanceAndRangeTest {

    private static final Pot RANGE = new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true);
    private static final Pot BALANCE = new Pot("BALANCE", Pot.Action.BALANCE, "", Pot.Turn.UNKNOWN, false);

    private static AmpSheet sheet(int tubes, Pot... pots) {
        return new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("6L6GC"), tubes, false)
                .sheet()
                .withPots(List.of(pots));
    }

    private static NextMove move(AmpSheet sheet, List<Reading> readings) {
        return Amps.move(sheet, readings).orElseThrow();
    }

    private static NextMove move(AmpSheet sheet, String... lines) {
        return move(sheet, Amps.readings(sheet, lines));
    }

    /** x = I^(2/3): 24 and 34 mA are 0.0832 and 0.1049; alike they are their mean, 0.09407, which is 28.9 mA. */
    @Test
    void theBalancePotComesFirstAndBothSidesAreTold() {
        NextMove move = move(sheet(2, RANGE, BALANCE), "V1 24 V2 34 plate 458");
        assertThat(move.steps())
                .extracting(step -> step.pot().orElseThrow().name())
                .containsExactly("BALANCE", "RANGE");
        NextMove.Step balance = move.steps().get(0);
        assertThat(balance.mark().to()).isCloseTo(0.0289, within(0.00005));
        assertThat(balance.against().orElseThrow().to()).isCloseTo(0.0289, within(0.00005));
        assertThat(move.says())
                .isInstanceOfSatisfying(
                        MoveFinding.Turn.class, turn -> assertThat(turn.turns()).hasSize(2));
        assertThat(move.landing().orElseThrow().tubes())
                .allSatisfy(tube -> assertThat(tube.ratio()).isCloseTo(0.62, within(0.005)));
        assertThat(move.notes()).noneMatch(MoveFinding.DrawsMore.class::isInstance);
    }

    @Test
    void sidesThatAreAlikeAreLeftAlone() {
        assertThat(move(sheet(2, RANGE, BALANCE), "V1 24 V2 24.8 plate 458").steps())
                .singleElement()
                .satisfies(step -> assertThat(step.mark().testPoint()).isEqualTo("V2"));
        assertThat(move(sheet(2, RANGE, BALANCE), "V1 44 V2 44.5 plate 442").kind())
                .isEqualTo(NextMove.Kind.STAY);
    }

    /** The level is right but for the sides: nothing more than the balance is to be turned. */
    @Test
    void atTheRightLevelOnlyTheBalanceIsTurned() {
        NextMove move = move(sheet(2, RANGE, BALANCE), "V1 42.3 V2 46.1 plate 442");
        assertThat(move.steps()).hasSize(1);
        assertThat(move.steps().get(0).mark().to()).isCloseTo(0.0442, within(0.0003));
    }

    @Test
    void whereOnlyTheBalanceCanBeTurnedTheLevelNeedsAResistor() {
        NextMove first = move(sheet(2, BALANCE), "V1 24 V2 34 plate 458 bias -50");
        assertThat(first.steps())
                .singleElement()
                .satisfies(step -> assertThat(step.against()).isPresent());
        assertThat(first.landing().orElseThrow().plateReading()).isCloseTo(458, within(1.0));
        assertThat(first.landing().orElseThrow().tubes().get(0).ratio()).isLessThan(0.5);
        NextMove then = move(sheet(2, BALANCE), "V1 28.8 V2 28.8 plate 458 bias -50");
        assertThat(then.kind()).isEqualTo(NextMove.Kind.CHANGE_RESISTOR);
        assertThat(then.says())
                .isInstanceOfSatisfying(
                        MoveFinding.SmallerShunt.class,
                        says -> assertThat(says.why()).isEqualTo(new MoveFinding.NoPotOfLevel()));
    }

    @Test
    void aBalancePotThatDoesNotReachIsSaid() {
        NextMove move =
                move(sheet(2, RANGE, BALANCE), "swing a V1 30 V2 36", "swing b V1 26 V2 41", "V1 27 V2 38 plate 458");
        assertThat(move.notes()).contains(new MoveFinding.BalanceOutOfReach("V2"));
        assertThat(move(sheet(2, RANGE, BALANCE), "swing a V1 40 V2 28", "swing b V1 26 V2 41", "V1 27 V2 38 plate 458")
                        .notes())
                .noneMatch(MoveFinding.BalanceOutOfReach.class::isInstance);
    }

    /** What both sides share one resistor for cannot be balanced by it. */
    @Test
    void sidesThatCannotBeToldApartAreNotBalanced() {
        AmpSheet sheet = sheet(2, RANGE, BALANCE);
        AmpSheet shared = sheet.withSockets(sheet.sockets().stream()
                .map(socket -> new Socket(socket.label(), socket.side(), socket.channel(), "TP"))
                .toList());
        assertThat(move(shared, "TP 58 plate 458").steps())
                .noneMatch(step -> step.against().isPresent());
    }

    /**
     * Unlike tubes in a simulated amp: read, balance, set, read again; two rounds bring both sides and the level home.
     */
    @ParameterizedTest
    @ValueSource(ints = {2, 4})
    void aSimulatedAmpIsBroughtHome(int tubes) {
        AmpSheet sheet = sheet(tubes, RANGE, BALANCE);
        TubeModel typical =
                TubeModels.published().of(Amps.type("6L6GC")).orElseThrow().model();
        List<Circuit.Tube> in = IntStream.range(0, tubes)
                .mapToObj(i -> new Circuit.Tube(
                        typical.scaled(1 + (i < tubes / 2 ? 0.16 : -0.13) + 0.01 * i),
                        Circuit.Habit.GOOD,
                        i < tubes / 2,
                        Circuit.Leak.NONE))
                .toList();
        Circuit.Bias bias = new Circuit.Bias(
                -64,
                -30,
                List.of(
                        new Circuit.Pot(Circuit.PotAction.RANGE, true),
                        new Circuit.Pot(Circuit.PotAction.BALANCE, false)));
        CircuitSolver solver = new CircuitSolver(new Circuit(
                in,
                new Circuit.Supply(480, 400.0 * 2 / tubes, 10, 0.015, 500),
                bias,
                1,
                1,
                false,
                new Circuit.Mains(120, 0, 0),
                30));
        double[] warm = IntStream.range(0, tubes).mapToDouble(i -> 1).toArray();
        double[] pots = {0.2, 0.5};
        List<Reading> readings = new ArrayList<>();
        NextMove move = null;
        for (int round = 0; round < 4; round++) {
            OperatingPoint point = solver.solve(pots, 1, warm);
            for (int i = 0; i < tubes; i++) {
                readings.add(new Reading(
                        readings.size() + 1L,
                        Entry.measured(
                                ReadingKind.SENSE_VOLTS, sheet.sockets().get(i).label(), point.cathodeAmps(i)),
                        Amps.NOON));
            }
            readings.add(
                    new Reading(readings.size() + 1L, Entry.measured(ReadingKind.PLATE, "", point.plate()), Amps.NOON));
            move = move(sheet, readings);
            for (NextMove.Step step : move.steps()) {
                int pot = step.against().isPresent() ? 1 : 0;
                int socket = IntStream.range(0, tubes)
                        .filter(i -> sheet.sockets()
                                .get(i)
                                .testPoint()
                                .equals(step.mark().testPoint()))
                        .findFirst()
                        .orElseThrow();
                double rises = pot == 1 ? -1 : 1;
                pots[pot] = RandomAmp.potWhere(at -> {
                    pots[pot] = at;
                    return rises
                            * (solver.solve(pots, 1, warm).cathodeAmps(socket)
                                    - step.mark().to());
                });
            }
        }
        OperatingPoint home = solver.solve(pots, 1, warm);
        double push = IntStream.range(0, tubes / 2)
                .mapToDouble(i -> home.plateAmps()[i])
                .sum();
        double pull = IntStream.range(tubes / 2, tubes)
                .mapToDouble(i -> home.plateAmps()[i])
                .sum();
        assertThat(Math.abs(push - pull) / (push + pull) * 2).isLessThan(0.05);
        assertThat(home.meanWatts() / 30).isCloseTo(0.62, within(0.03));
        assertThat(move.kind()).isEqualTo(NextMove.Kind.STAY);
    }
}
