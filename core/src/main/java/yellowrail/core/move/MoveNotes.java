package yellowrail.core.move;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.School;
import yellowrail.core.balance.PotSwing;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.supply.SupplyLine;
import yellowrail.core.supply.SupplyPoint;
import yellowrail.core.supply.SupplyReadings;

/** What must be said with a move. */
final class MoveNotes {

    private static final double MATCHED = FixedBiasMove.MATCHED;
    private static final double LEAST_PLUS_MINUS = 0.05;

    private final StageIdle stage;
    private final AmpSheet sheet;
    private final SupplyReadings readings;
    private final List<ReadingSet> sets;
    private final ReadingSet newest;
    private final SupplyLine line;
    private final Mains mains;
    private final PotLearned learned;
    private final MoveTeller teller;

    MoveNotes(
            StageIdle stage,
            SupplyReadings readings,
            List<ReadingSet> sets,
            SupplyLine line,
            Mains mains,
            PotLearned learned,
            MoveTeller teller) {
        this.stage = stage;
        this.sheet = stage.sheet();
        this.readings = readings;
        this.sets = sets;
        this.newest = sets.get(sets.size() - 1);
        this.line = line;
        this.mains = mains;
        this.learned = learned;
        this.teller = teller;
    }

    List<Finding> of(
            Landing landing, List<PotGroup> groups, List<NextMove.Step> steps, Optional<NextMove.Check> check) {
        List<Finding> notes = new ArrayList<>();
        ofWhat(notes);
        meanwhile(steps, groups, notes);
        groups.forEach(group -> mismatch(group, landing).ifPresent(notes::add));
        weakest().ifPresent(notes::add);
        reach(landing, steps).ifPresent(notes::add);
        PotSwing.of(sheet, readings.present()).stream()
                .flatMap(swing -> Balancing.outOfReach(swing).stream())
                .forEach(notes::add);
        ratings(landing, notes);
        line.refused().ifPresent(why -> notes.add(new MoveFinding.NoLineYet(why)));
        if (line.guess().isPresent() && line.refused().isEmpty()) {
            notes.add(new MoveFinding.Rough(line.guess().get(), landing.plusMinus()));
        }
        if (FixedBiasMove.unreadMains(sets) > 0) {
            notes.add(new MoveFinding.MainsNotRead(FixedBiasMove.unreadMains(sets) * landing.plateVolts()));
        }
        groups.stream()
                .flatMap(group -> group.pot().stream())
                .forEach(pot -> direction(pot).ifPresent(note -> {
                    if (notes.stream().noneMatch(other -> other.getClass() == note.getClass())) {
                        notes.add(note);
                    }
                }));
        landing.biasFrom().ifPresent(notes::add);
        check.ifPresent(after -> notes.add(new MoveFinding.LastTurn(
                after.predicted(), Math.max(after.plusMinus(), LEAST_PLUS_MINUS), after.read())));
        if (!line.outliers().isEmpty()) {
            notes.add(new MoveFinding.LeftOut(
                    line.outliers().stream().map(this::typed).toList()));
        }
        if (Math.abs(newest.mainsRatio() - 1) > Mains.SAME) {
            notes.add(new MoveFinding.ForMainsAsRead(
                    newest.mainsRatio() * sheet.mainsVolts(), sheet.mainsVolts(), mains.from()));
        }
        return notes;
    }

    private String typed(SupplyPoint point) {
        return point.from().stream()
                .map(reading -> EntryWriter.line(reading.entry(), sheet))
                .collect(Collectors.joining(", "));
    }

    /** Of which setting it speaks, and what one reading would tell. */
    private void ofWhat(List<Finding> notes) {
        List<String> wanted = readings.wanted();
        if (newest.isAssumed() && readings.sets().isEmpty()) {
            List<String> read = newest.tubes().stream()
                    .filter(tube -> !tube.assumed())
                    .map(tube -> tube.socket().testPoint())
                    .distinct()
                    .toList();
            notes.add(new MoveFinding.TakenAsAlike(read, wanted));
            wanted.stream().findFirst().ifPresent(place -> notes.add(new MoveFinding.ProbeNext(place)));
            if (sheet.current().method() == CurrentMethod.SOCKET_ADAPTER
                    || sheet.current().method() == CurrentMethod.PLATE_ADAPTER) {
                notes.add(new MoveFinding.AdapterMovesWhileOff());
            }
        } else if (!newest.isAssumed() && !wanted.isEmpty()) {
            notes.add(new MoveFinding.ToldFromBefore(wanted));
        }
    }

    private void meanwhile(List<NextMove.Step> steps, List<PotGroup> groups, List<Finding> notes) {
        if (groups.size() < 2 || steps.isEmpty()) {
            return;
        }
        steps.get(0).others().stream()
                .max(Comparator.comparingDouble(mark -> Math.abs(mark.to() - mark.from())))
                .ifPresent(mark -> notes.add(new MoveFinding.Meanwhile(
                        mark.testPoint(), teller.shown(mark.from()), teller.shown(mark.to()))));
        List<String> then = steps.stream()
                .skip(1)
                .flatMap(step -> step.pot().stream())
                .map(Pot::name)
                .toList();
        notes.add(then.isEmpty() ? new MoveFinding.ReadAllAgain() : new MoveFinding.ThenPots(then));
    }

    private Optional<Finding> direction(Pot pot) {
        Optional<Pot.Turn> seen = learned.seen(pot);
        if (seen.isPresent()) {
            return pot.verified() && pot.hotter() == seen.get()
                    ? Optional.empty()
                    : Optional.of(new MoveFinding.WaySeen(pot.name(), seen.get()));
        }
        if (pot.verified()) {
            return Optional.empty();
        }
        return Optional.of(
                pot.hotter() == Pot.Turn.UNKNOWN
                        ? new MoveFinding.WayNotKnown(pot.name())
                        : new MoveFinding.WayNotVerified(pot.name()));
    }

    private Optional<Finding> mismatch(PotGroup group, Landing landing) {
        List<Landing.Tube> tubes =
                group.tubes().stream().map(landing.tubes()::get).toList();
        Landing.Tube hot = tubes.stream()
                .max(Comparator.comparingDouble(Landing.Tube::cathode))
                .orElseThrow();
        Landing.Tube cool = tubes.stream()
                .min(Comparator.comparingDouble(Landing.Tube::cathode))
                .orElseThrow();
        double mean =
                tubes.stream().mapToDouble(Landing.Tube::cathode).average().orElseThrow();
        boolean known = group.tubes().stream().map(newest.tubes()::get).noneMatch(TubeValues::assumed);
        return !known || hot.cathode() - mean <= MATCHED * mean && mean - cool.cathode() <= MATCHED * mean
                ? Optional.empty()
                : Optional.of(new MoveFinding.DrawsMore(
                        hot.socket().label(),
                        cool.socket().label(),
                        group.called(),
                        hot.ratio(),
                        teller.shown(cool.reading()),
                        cool.ratio()));
    }

    /** With tubes of several types the one that stands least decides. */
    private Optional<Finding> weakest() {
        if (stage.isOfOneType()) {
            return Optional.empty();
        }
        Goal weakest = stage.weakest().orElseThrow();
        return stage.occupants().stream()
                .filter(each -> each.rating().equals(Optional.of(weakest.rating())))
                .findFirst()
                .map(each -> new MoveFinding.WeakestDecides(
                        each.socket().label(), each.name(), weakest.rating().plateWatts()));
    }

    /** Whether it lies beyond what the pot gave at its stops, read in this run or on the sheet. */
    private Optional<Finding> reach(Landing landing, List<NextMove.Step> steps) {
        Optional<Finding> byCurrent = steps.stream()
                .filter(step -> step.against().isEmpty())
                .flatMap(step -> beyondStop(step).stream())
                .findFirst();
        if (byCurrent.isPresent() || landing.bias().isEmpty() || sheet.bias().isCathode()) {
            return byCurrent;
        }
        double needed = landing.bias().getAsDouble();
        double now = newest.bias(0).orElse(Double.NaN);
        OptionalDouble read = readings.present()
                .anywhere(ReadingKind.BIAS_STOP)
                .map(Reading::value)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
        if (read.isPresent()) {
            double end = read.getAsDouble();
            double from = Double.isNaN(now) ? end : now;
            boolean beyond = end >= from ? needed > end : needed < end;
            boolean sameWay = (needed > from) == (end >= from);
            return beyond && sameWay ? Optional.of(new MoveFinding.BeyondTheStop(needed, end)) : Optional.empty();
        }
        OptionalDouble cold = sheet.fittings().biasColdest();
        OptionalDouble hot = sheet.fittings().biasHottest();
        if (hot.isPresent() && needed > hot.getAsDouble()) {
            return Optional.of(new MoveFinding.BeyondTheStop(needed, hot.getAsDouble()));
        }
        if (cold.isPresent() && needed < cold.getAsDouble()) {
            return Optional.of(new MoveFinding.BeyondTheStop(needed, cold.getAsDouble()));
        }
        return cold.isPresent() && hot.isPresent() ? Optional.empty() : beyondComputed(needed);
    }

    /** Nothing was read at the stops: by more than its parts may be off beyond what the bias supply would give. */
    private Optional<Finding> beyondComputed(double needed) {
        return BiasStops.computed(sheet)
                .flatMap(stops -> needed > (1 - BiasStops.PARTS) * stops.hottest()
                        ? Optional.of(new MoveFinding.BeyondTheComputedStop(needed, stops.hottest()))
                        : needed < (1 + BiasStops.PARTS) * stops.coldest()
                                ? Optional.of(new MoveFinding.BeyondTheComputedStop(needed, stops.coldest()))
                                : Optional.empty());
    }

    private Optional<Finding> beyondStop(NextMove.Step step) {
        return readings.present()
                .at(ReadingKind.SENSE_STOP, step.mark().testPoint())
                .filter(stop -> {
                    boolean hotEnd = stop.value() >= step.mark().from();
                    return hotEnd
                            ? step.mark().to() > stop.value()
                            : step.mark().to() < stop.value();
                })
                .map(stop -> new MoveFinding.BeyondTheStopReading(
                        step.mark().testPoint(), teller.shown(step.mark().to()), teller.shown(stop.value())));
    }

    /** Parts that the new setting would run past their rating. */
    private void ratings(Landing landing, List<Finding> notes) {
        OptionalDouble most = sheet.mostRailAmps();
        if (most.isPresent() && landing.totalAmps() > most.getAsDouble()) {
            notes.add(new MoveFinding.RailOver(landing.totalAmps(), most.getAsDouble()));
        }
        sheet.supply()
                .resistorWatts()
                .ifPresent(rating -> sheet.current().ohms().ifPresent(ohms -> {
                    for (String point : sheet.testPoints()) {
                        double amps = landing.tubes().stream()
                                .filter(tube -> tube.socket().testPoint().equals(point))
                                .mapToDouble(Landing.Tube::cathode)
                                .sum();
                        if (amps * amps * ohms > rating) {
                            notes.add(new MoveFinding.ResistorOver(point, amps * amps * ohms, rating));
                        }
                    }
                }));
        if (sheet.target().school() != School.SHARE_OF_RATING
                && landing.tubes().stream().anyMatch(tube -> tube.ratio() > 0.999)) {
            notes.add(new MoveFinding.CappedByTheRating());
        }
        if (sheet.current().method() == CurrentMethod.STAGE_TEST_POINT) {
            notes.add(new MoveFinding.BalanceUnseen());
        }
    }
}
