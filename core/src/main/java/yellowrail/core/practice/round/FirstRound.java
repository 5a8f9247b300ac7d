package yellowrail.core.practice.round;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yellowrail.core.amp.Pot;
import yellowrail.core.finding.Shown;
import yellowrail.core.idle.Judgement;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.Verdict;
import yellowrail.core.idle.WarmUp;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.practice.Bench;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;

/**
 * The first round on the healthy practice amp, led by the hand: of all that is to be done the one thing that comes
 * next, from how run and bench stand. It keeps nothing of its own, so whoever does something else is led on from there.
 */
public final class FirstRound {

    private static final String PLATES = "plate";
    private static final Duration SOAK = Duration.ofMinutes(10);
    /** As near to the reading of the move as a hand turns it. */
    private static final double TURNED = 0.025;

    private final Bench bench;
    private final Timeline timeline;
    private final Snapshot present;
    private final RunProgress progress;
    private final Instant now;

    /** @param now by the clock of the bench */
    public FirstRound(Bench bench, Timeline timeline, RunProgress progress, Instant now) {
        this.bench = bench;
        this.timeline = timeline;
        this.present = timeline.present();
        this.progress = progress;
        this.now = now;
    }

    /**
     * @param at the station that is looked at
     * @return empty where only the page itself should be heard
     */
    public Optional<RoundFinding> next(Station at) {
        Optional<RoundFinding> glowing = IntStream.range(
                        0, bench.sheet().sockets().size())
                .filter(bench::glows)
                .filter(socket -> bench.isOn())
                .mapToObj(socket -> bench.sheet().sockets().get(socket).label())
                .<RoundFinding>map(RoundFinding.OffAtOnce::new)
                .findFirst();
        Station due = progress.next();
        if (glowing.isPresent()) {
            return glowing;
        }
        if (at != due) {
            return Optional.of(new RoundFinding.BackTo(due, due.ordinal() + 1));
        }
        return isTooHot() && due != Station.SET ? Optional.empty() : here(due);
    }

    /** Then the page says what is to be done, and only at the setting is it the next move. */
    private boolean isTooHot() {
        Judgement worst = StageSummary.of(timeline).worst().judgement();
        return bench.isOn() && worst.verdict() == Verdict.OVER_RATING;
    }

    private Optional<RoundFinding> here(Station due) {
        return switch (due) {
            case PLAN -> Optional.of(new RoundFinding.ReadTheSheet());
            case MAKE_SAFE -> Optional.of(safe());
            case TUBES -> Optional.of(new RoundFinding.TubesAreIn());
            case POWER_UP -> Optional.of(power().or(this::mains).orElse(new RoundFinding.Onward(due)));
            case MEASURE -> Optional.of(power().or(this::unread).orElse(new RoundFinding.Onward(due)));
            case SET -> power().or(this::unread).or(this::set);
            case SOAK -> Optional.of(power().or(this::soak).orElse(new RoundFinding.Onward(due)));
            case PROVE -> Optional.of(heard() ? new RoundFinding.Onward(due) : new RoundFinding.SayHowItSounds());
            case CLOSE -> Optional.of(bench.isOn() ? new RoundFinding.SwitchOff() : new RoundFinding.CloseTheRun());
        };
    }

    private RoundFinding safe() {
        int left = progress.missing().size();
        return left > 0 ? new RoundFinding.TickThese(left) : new RoundFinding.Onward(Station.MAKE_SAFE);
    }

    /** On and warm, or what makes it so. */
    private Optional<RoundFinding> power() {
        if (!bench.isOn()) {
            return Optional.of(new RoundFinding.SwitchOn());
        }
        double on = bench.state().seconds() - bench.state().onAt();
        return on < WarmUp.CONDUCTS.toSeconds() ? Optional.of(new RoundFinding.LetItWarm()) : Optional.empty();
    }

    private Optional<RoundFinding> mains() {
        return present.moment().last(ReadingKind.MAINS).isPresent()
                ? Optional.empty()
                : Optional.of(new RoundFinding.ReadMains());
    }

    /** What was not read yet of all that a verdict needs. */
    private Optional<RoundFinding> unread() {
        return firstWithout(reading -> true)
                .map(place -> place.equals(PLATES) ? new RoundFinding.ReadPlates() : new RoundFinding.ReadPoint(place));
    }

    /** Turned to what the move names, then all of it read again: until the move is to stay. */
    private Optional<RoundFinding> set() {
        Optional<NextMove> move = MoveFinder.of(timeline).find();
        Optional<NextMove.Step> step = move.filter(found -> found.kind() == NextMove.Kind.TURN)
                .flatMap(found -> found.steps().stream().findFirst());
        Optional<String> stale =
                firstWithout(reading -> present.freshness(reading).isFresh());
        if (step.isPresent() && (stale.isEmpty() || !isThere(step.get().mark()))) {
            return step.map(this::turn);
        }
        return stale.<RoundFinding>map(RoundFinding.AllReadAgain::new)
                .or(() -> move.filter(found -> found.kind() == NextMove.Kind.STAY)
                        .map(found -> new RoundFinding.Onward(Station.SET)));
    }

    private RoundFinding turn(NextMove.Step step) {
        NextMove.Mark mark = step.mark();
        String pot = step.pot().map(Pot::name).orElse("");
        return bench.state().probe().equals(mark.testPoint())
                ? new RoundFinding.Turn(pot, mark.testPoint(), Shown.toTurnTo(Unit.MILLIVOLT, mark.to()))
                : new RoundFinding.WatchPoint(mark.testPoint());
    }

    private boolean isThere(NextMove.Mark mark) {
        return present.moment()
                .current(mark.testPoint())
                .filter(reading -> present.freshness(reading).isFresh())
                .filter(reading -> Math.abs(reading.value() - mark.to()) < TURNED * mark.to())
                .isPresent();
    }

    /** Ten minutes after the last turn or switch, and all of it read once more after that. */
    private Optional<RoundFinding> soak() {
        Instant begun = timeline.stretches().stream()
                .reduce((one, other) -> other)
                .flatMap(stretch -> stretch.readings().stream().findFirst())
                .map(Reading::takenAt)
                .orElse(now);
        Instant soaked = begun.plus(SOAK);
        return now.isBefore(soaked)
                ? Optional.of(new RoundFinding.LetItSoak())
                : firstWithout(reading -> !reading.takenAt().isBefore(soaked)).map(RoundFinding.AllReadAgain::new);
    }

    private boolean heard() {
        return timeline.presentReadings().stream()
                .reduce((one, other) -> other)
                .filter(reading -> reading.kind() == ReadingKind.NOTE)
                .isPresent();
    }

    /** The first place, of the test points and then the plates, whose newest reading will not do. */
    private Optional<String> firstWithout(Predicate<Reading> good) {
        Stream<String> points = bench.sheet().testPoints().stream()
                .filter(point -> present.moment().current(point).filter(good).isEmpty());
        Stream<String> plates = Stream.of(PLATES)
                .filter(place ->
                        present.moment().last(ReadingKind.PLATE).filter(good).isEmpty());
        return Stream.concat(points, plates).findFirst();
    }
}
