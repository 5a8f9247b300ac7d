package yellowrail.core.replay;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yellowrail.core.Thorough;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.map.OperatingMap;
import yellowrail.core.map.Track;
import yellowrail.core.move.Landing;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.move.NextMove;
import yellowrail.core.timeline.Timeline;

/** Whatever is typed, advice keeps to the limits and every number is one. */
class RandomLogsTest {

    private static final int LOGS = Thorough.of(5_000, 500);
    private static final double ROUNDING = 1e-6;

    @Test
    void noLogLeadsToAnAnswerThatFailsOrHurts() {
        Map<String, Integer> moves = new TreeMap<>();
        List<String> wrong = Collections.synchronizedList(new ArrayList<>());
        IntStream.range(0, LOGS).parallel().forEach(seed -> {
            RandomLog log = new RandomLog(seed);
            try {
                String kind = check(log.play());
                synchronized (moves) {
                    moves.merge(kind, 1, Integer::sum);
                }
            } catch (RuntimeException | AssertionError e) {
                wrong.add("%s: %s %s"
                        .formatted(
                                log,
                                e.getMessage(),
                                Stream.of(e.getStackTrace())
                                        .filter(at -> at.getClassName().startsWith("yellowrail"))
                                        .limit(e instanceof AssertionError ? 1 : 9)
                                        .toList()));
            }
        });
        assertThat(wrong).isEmpty();
        System.out.println("%,d random logs: %s".formatted(LOGS, moves));
        assertThat(moves)
                .as("every kind of advice came up")
                .containsKeys(
                        "TURN", "STAY", "CHANGE_RESISTOR", "OFF", "NOTHING", "OUT_OF_REACH", "switch off", "none yet");
    }

    private static String check(Replay replay) {
        Timeline timeline = replay.log().timeline();
        StageSummary summary = StageSummary.of(timeline);
        MoveFinder finder = MoveFinder.of(timeline);
        finite(summary.sentence());
        summary.tubes().forEach(tube -> {
            finite(tube.judgement().notes());
            tube.figures().ifPresent(figures -> {
                assertThat(Double.isFinite(tube.judgement().ratio())
                                || tube.judgement().verdict() == Verdict.NOT_JUDGED)
                        .isTrue();
                finite(figures.dissipation());
            });
        });
        finder.line().ifPresent(RandomLogsTest::finite);
        Optional<NextMove> move = finder.find();
        List<Track> tracks = Track.of(summary.stage(), timeline);
        if (summary.stage().weakest().isPresent()) {
            finite(move.map(found -> OperatingMap.of(summary.stage(), tracks, found))
                    .orElseGet(() -> OperatingMap.of(summary.stage(), tracks)));
        }
        if (summary.alarm().isPresent()) {
            assertThat(move)
                    .as("nothing is turned where the switch is what is needed")
                    .isEmpty();
            return "switch off";
        }
        move.ifPresent(found -> keepsToLimits(found, summary));
        return move.map(found -> found.kind().name()).orElse("none yet");
    }

    private static void keepsToLimits(NextMove move, StageSummary summary) {
        finite(move.says());
        finite(move.notes());
        finite(move.landing());
        finite(move.steps());
        boolean moves = move.kind() == NextMove.Kind.TURN
                || move.kind() == NextMove.Kind.CHANGE_RESISTOR
                || move.kind() == NextMove.Kind.OFF;
        boolean limited = summary.tubes().stream()
                .anyMatch(tube -> tube.judgement().limits().blocksHotter());
        if (limited && moves) {
            assertThat(move.steps()).as("no hotter turn").noneMatch(NextMove.Step::isHotter);
            if (move.steps().isEmpty()) {
                landings(move)
                        .forEach(tube -> now(summary, tube)
                                .figures()
                                .ifPresent(figures -> assertThat(tube.cathode())
                                        .as("no hotter part")
                                        .isLessThanOrEqualTo(
                                                1.0001 * figures.cathode().value())));
            }
        }
        if (move.says() instanceof MoveFinding.OffRunningAway) {
            return;
        }
        if (moves) {
            Landing landing = move.landing().orElseThrow();
            landing.tubes().forEach(tube -> {
                Goal goal = new Goal(
                        summary.stage().sheet(),
                        now(summary, tube).occupant().rating().orElseThrow(),
                        summary.stage()
                                .sheet()
                                .isOf(now(summary, tube).occupant().type().orElseThrow()));
                double measure = switch (goal.window().school().basis()) {
                    case PERCENT -> tube.ratio();
                    case MILLIAMPS -> move.mains().convertCurrent(tube.cathode(), landing.mainsRatio(), 1);
                    case TEST_POINT -> tube.reading();
                };
                boolean cooler = tube.cathode()
                        < now(summary, tube)
                                .figures()
                                .map(figures -> figures.cathode().value())
                                .orElse(0.0);
                assertThat(measure)
                        .as("%s lands within its window: %s", tube.socket().label(), move.says())
                        .satisfiesAnyOf(
                                found -> assertThat(found)
                                        .isLessThanOrEqualTo(
                                                goal.at(tube.plateVolts()).high() + ROUNDING),
                                found -> assertThat(cooler && move.kind() != NextMove.Kind.TURN)
                                        .isTrue());
                assertThat(tube.ratio()).isLessThanOrEqualTo(goal.mostRatio() + ROUNDING);
                assertThat(tube.reading()).isPositive();
                assertThat(tube.plusMinus()).isPositive();
            });
        }
    }

    private static List<Landing.Tube> landings(NextMove move) {
        return move.landing().map(Landing::tubes).orElse(List.of());
    }

    private static TubeIdle now(StageSummary summary, Landing.Tube tube) {
        return summary.tubes().stream()
                .filter(each -> each.socket().equals(tube.socket()))
                .findFirst()
                .orElseThrow();
    }

    /** No number anywhere in it is none. */
    private static void finite(Object value) {
        if (value instanceof Double number) {
            assertThat(number).isFinite();
        } else if (value instanceof OptionalDouble number) {
            number.ifPresent(each -> assertThat(each).isFinite());
        } else if (value instanceof Optional<?> found) {
            found.ifPresent(RandomLogsTest::finite);
        } else if (value instanceof List<?> list) {
            list.forEach(RandomLogsTest::finite);
        } else if (value instanceof Record whole) {
            Stream.of(whole.getClass().getRecordComponents()).forEach(component -> {
                Object part = part(component, whole);
                assertThat(part instanceof Double number && !Double.isFinite(number))
                        .as("%s of %s", component.getName(), whole)
                        .isFalse();
                finite(part);
            });
        }
    }

    private static Object part(RecordComponent component, Record whole) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(whole);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
