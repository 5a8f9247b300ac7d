package yellowrail.core.soak;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.drift.DriftState;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.move.NextMove;
import yellowrail.core.timeline.Timeline;

class SoakTest {

    private static final AmpSheet PAIR = Amps.pair();
    private static final DoubleUnaryOperator STANDS = t -> 1;
    private static final DoubleUnaryOperator CREEPS = t -> 1 + 0.006 * t;

    private final Amps.Typed typed = new Amps.Typed(PAIR).lines("on", "V1 30 V2 30 plate 440");
    private final Random chance = new Random(1);

    /** Both tubes read every minute. */
    private void read(int minutes, DoubleUnaryOperator one, DoubleUnaryOperator other) {
        for (int t = 0; t < minutes; t++) {
            typed.line(String.format(Locale.ROOT, "V1 %.2f V2 %.2f", 30 * at(one, t), 30 * at(other, t)));
        }
    }

    private double at(DoubleUnaryOperator truth, double t) {
        return truth.applyAsDouble(t) * (1 + 0.002 * chance.nextGaussian());
    }

    private Soak soak() {
        return Soak.of(typed.timeline());
    }

    private static List<SoakFinding> whose(Timeline timeline) {
        return new SoakTeller(
                        Soak.of(timeline),
                        PAIR,
                        yellowrail.core.idle.StageIdle.of(timeline.present()).at(timeline.present()))
                .whose();
    }

    @Test
    void whatATubeDoesSinceTheSetting() {
        read(25, CREEPS, STANDS);

        List<PointSoak> points = soak().points();

        assertThat(points.get(0).now().state()).isEqualTo(DriftState.CREEPING);
        assertThat(points.get(0).now().rate()).isBetween(0.4, 0.8);
        assertThat(points.get(0).now().toLimit()).isPresent();
        assertThat(points.get(1).now().state()).isEqualTo(DriftState.STEADY);
        assertThat(whose(typed.timeline())).containsExactly(new SoakFinding.ExchangeThem("V1", "V2"));
    }

    @Test
    void aCreepingTubeIsNotTrimmedNotEvenAfterATurn() {
        read(25, CREEPS, STANDS);
        assertThat(typed.move().orElseThrow().kind()).isEqualTo(NextMove.Kind.NOTHING);
        assertThat(typed.move().orElseThrow().says()).isInstanceOf(MoveFinding.NotWhileItCreeps.class);

        typed.lines("turn RANGE anticlockwise", "V1 29 V2 26 plate 444");

        assertThat(soak().points().get(0).isTrouble()).isTrue();
        assertThat(soak().points().get(1).isTrouble()).isFalse();
        assertThat(typed.move().orElseThrow().says()).isEqualTo(new MoveFinding.NotUntilCleared(List.of("V1")));
        assertThat(typed.move().orElseThrow().kind()).isEqualTo(NextMove.Kind.NOTHING);

        read(40, STANDS, STANDS);
        assertThat(soak().trouble()).isEmpty();
        assertThat(typed.move().orElseThrow().kind()).isNotEqualTo(NextMove.Kind.NOTHING);
    }

    @Test
    void aCreepThatFollowsTheTube() {
        read(25, CREEPS, STANDS);
        typed.lines("off", "swap V1 V2", "on");
        assertThat(whose(typed.timeline())).containsExactly(new SoakFinding.ReadOn(List.of("V1", "V2")));

        read(30, STANDS, CREEPS);

        assertThat(whose(typed.timeline()))
                .hasSize(1)
                .first()
                .isInstanceOfSatisfying(SoakFinding.FollowedTube.class, found -> {
                    assertThat(found.from()).isEqualTo("V1");
                    assertThat(found.to()).isEqualTo("V2");
                });
    }

    /** What was read before they were exchanged is of another tube, also while the amp is still off. */
    @Test
    void whileItIsOffAfterAnExchangeThePageAlreadySaysWhatIsMissing() {
        read(25, CREEPS, STANDS);
        typed.lines("off", "swap V1 V2");
        assertThat(whose(typed.timeline())).containsExactly(new SoakFinding.ReadOn(List.of("V1", "V2")));
        List<PointSoak> points = soak().points();
        assertThat(points.get(0).isTrouble()).as("the tube that stood").isFalse();
        assertThat(said(points.get(1))).isInstanceOfSatisfying(SoakFinding.CreptElsewhere.class, crept -> {
            assertThat(crept.point()).isEqualTo("V2");
            assertThat(crept.from()).isEqualTo("V1");
        });

        typed.lines("on", "V1 30 V2 34 plate 440");
        assertThat(typed.move().orElseThrow().says()).isEqualTo(new MoveFinding.NotUntilCleared(List.of("V2")));
        read(40, STANDS, STANDS);
        assertThat(soak().trouble()).isEmpty();
    }

    private SoakFinding said(PointSoak point) {
        return new SoakTeller(soak(), PAIR, List.of()).verdict(point);
    }

    /** 25 min at 0.6 %/min is 15 % more current; the grid of a 6L6GC goes up by a volt or two for that. */
    @Test
    void aCreepThatStaysWithTheSocketSaysWhatALeakWouldShow() {
        read(25, CREEPS, STANDS);
        typed.lines("off", "swap V1 V2", "on");
        read(30, CREEPS, STANDS);
        typed.line("V1 35 V2 30 plate 438");

        List<SoakFinding> whose = whose(typed.timeline());

        assertThat(whose.get(0)).isEqualTo(new SoakFinding.StayedWithSocket("V1"));
        assertThat(whose.get(1)).isInstanceOfSatisfying(SoakFinding.LeakVolts.class, leak -> {
            assertThat(leak.volts()).isBetween(0.5, 4.0);
            assertThat(leak.microamps()).isBetween(2.0, 20.0);
        });
        assertThat(whose.get(2)).isEqualTo(new SoakFinding.CapacitorOrLeakOrSupply("V1"));
    }

    @Test
    void anotherTubeInTheSocketTellsToo() {
        read(25, CREEPS, STANDS);
        typed.lines("off", "tube V1 6L6GC B7", "on");
        read(30, STANDS, STANDS);

        assertThat(whose(typed.timeline())).hasSize(1).first().isInstanceOf(SoakFinding.WentWithTube.class);
    }

    @Test
    void bothOrNoneAreToldAsTheyAre() {
        read(25, CREEPS, STANDS);
        typed.lines("off", "swap V1 V2", "on");
        read(30, STANDS, STANDS);

        assertThat(whose(typed.timeline())).containsExactly(new SoakFinding.Gone("V1", "V2"));
    }

    @Test
    void theRoundsNameThePointThatIsBehind() {
        read(6, STANDS, STANDS);
        typed.line("V1 30.1");

        Rounds.Next next = Rounds.next(soak()).orElseThrow();

        assertThat(next.point()).isEqualTo("V2");
        assertThat(next.minutes()).isEqualTo(10);
        assertThat(next.at()).isEqualTo(Amps.NOON.plus(Duration.ofMinutes(10)));
        assertThat(Rounds.next(
                        Soak.of(new Amps.Typed(PAIR).lines("on", "V1 30", "off").timeline())))
                .isEmpty();
    }

    @Test
    void theMinuteOfWarmingUpIsNoDrift() {
        Soak cold = Soak.of(
                new Amps.Typed(PAIR).lines("on; V1 2 V2 2", "V1 30 V2 30").timeline());

        assertThat(cold.present().orElseThrow().points().get(0).samples()).hasSize(1);
    }

    /** Both settle for some minutes after the exchange: that is no word on either. */
    @Test
    void settlingIsNoAnswerYet() {
        read(25, CREEPS, STANDS);
        typed.lines("off", "swap V1 V2", "on");
        read(6, t -> 1 + 0.06 * Math.exp(-t / 3), t -> 1 + 0.06 * Math.exp(-t / 3));
        assertThat(whose(typed.timeline())).containsExactly(new SoakFinding.ReadOn(List.of("V1", "V2")));
    }

    @Test
    void whatRanAwayBeforeIsNoAlarmWhenItIsOnAgainButNotTrimmed() {
        read(20, t -> 1 + 0.02 * Math.expm1(t / 5), STANDS);
        assertThat(soak().runaway()).isPresent();
        typed.lines("off", "on", "V1 30 V2 30 plate 440");
        assertThat(soak().runaway()).isEmpty();
        assertThat(soak().points().get(0).before()).isPresent();
        assertThat(typed.move().orElseThrow().says()).isInstanceOf(MoveFinding.NotUntilCleared.class);
    }

    @Test
    void whatMovesThemAllIsToldByWhatWasReadOfTheMains() {
        for (int t = 0; t < 25; t++) {
            double now = 30 * (1 + 0.003 * t);
            typed.line(String.format(Locale.ROOT, "V1 %.2f V2 %.2f", at(x -> now, t), at(x -> now, t)));
        }
        assertThat(common(typed.timeline())).isEqualTo(new SoakFinding.SupplyMoves());
        typed.lines("mains 120", "mains 120.1");
        assertThat(common(typed.timeline())).isEqualTo(new SoakFinding.SupplyMovesNotMains());
    }

    private static SoakFinding common(Timeline timeline) {
        return new SoakTeller(Soak.of(timeline), PAIR, List.of()).common().orElseThrow();
    }
}
