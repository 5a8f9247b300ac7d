package yellowrail.core.closing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.balance.SideBalance;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.drift.DriftState;
import yellowrail.core.finding.Finding;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.move.NextMove;
import yellowrail.core.powerup.ColdStart;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.soak.PointSoak;
import yellowrail.core.soak.Soak;
import yellowrail.core.soak.SoakFinding;
import yellowrail.core.soak.SoakTeller;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Safety;
import yellowrail.core.supply.SupplyReadings;
import yellowrail.core.timeline.Timeline;

/** A run about to be closed. */
public final class Closing {

    /** Until then a creep and a settling look the same, min. */
    private static final double SOAKED = 20;
    /** A resistor this coarse makes a figure as coarse. */
    private static final double COARSE = 0.02;

    private final Timeline timeline;
    private final AmpSheet sheet;
    private final List<TubeIdle> tubes;
    private final Soak soak;
    private final MoveFinder moves;
    private final RunProgress progress;
    private final List<String> kept;

    /**
     * @param timeline of the whole run
     * @param moves of that timeline
     * @param kept readings that were asked about and kept as they were typed
     */
    public Closing(Timeline timeline, MoveFinder moves, RunProgress progress, List<String> kept) {
        this.kept = List.copyOf(kept);
        this.timeline = timeline;
        this.moves = moves;
        this.tubes = moves.tubes();
        this.sheet = timeline.present().sheet();
        this.soak = moves.soak();
        this.progress = progress;
    }

    /** What is still open. Nothing of it forbids to close. */
    public List<ClosingFinding> open() {
        List<ClosingFinding> open = new ArrayList<>();
        List<String> unjudged = sockets(tube -> tube.judgement().verdict() == Verdict.NOT_JUDGED);
        if (!unjudged.isEmpty()) {
            open.add(new ClosingFinding.NotJudged(unjudged));
        }
        List<String> overtaken = sockets(tube -> tube.judgement().verdict() != Verdict.NOT_JUDGED && !tube.isFresh());
        if (!overtaken.isEmpty()) {
            open.add(new ClosingFinding.Overtaken(overtaken));
        }
        moves.find()
                .filter(move -> move.kind() == NextMove.Kind.TURN
                        || move.kind() == NextMove.Kind.CHANGE_RESISTOR
                        || move.kind() == NextMove.Kind.OFF)
                .ifPresent(move -> open.add(new ClosingFinding.MoveOpen(move.says())));
        unsoaked(soak).ifPresent(open::add);
        if (timeline.present().moment().last(ReadingKind.MAINS).isEmpty()) {
            open.add(new ClosingFinding.MainsNotRead());
        }
        if (progress.isBiasUnmeasured()) {
            open.add(new ClosingFinding.BiasNotMeasured());
        }
        if (!kept.isEmpty()) {
            open.add(new ClosingFinding.QuestionsKept(kept));
        }
        if (!progress.isTicked(Safety.PLATES_GREY)) {
            open.add(new ClosingFinding.PlatesNotWatched());
        }
        if (timeline.present().state().on().orElse(false)) {
            open.add(new ClosingFinding.StillOn());
        }
        return open;
    }

    private List<String> sockets(Predicate<TubeIdle> those) {
        return tubes.stream().filter(those).map(tube -> tube.socket().label()).toList();
    }

    /** Why a soak does not tell that an amp may be left alone; empty where it does. */
    public static Optional<ClosingFinding> unsoaked(Soak soak) {
        List<String> trouble = soak.trouble().stream().map(PointSoak::label).toList();
        if (!trouble.isEmpty()) {
            return Optional.of(new ClosingFinding.StillCreeps(trouble));
        }
        double longest = soak.present().map(stretch -> stretch.minutes()).orElse(0.0);
        if (longest == 0) {
            return Optional.of(new ClosingFinding.NeverSoaked());
        }
        if (longest < SOAKED) {
            return Optional.of(new ClosingFinding.SoakTooShort(longest));
        }
        List<String> unknown = soak.points().stream()
                .filter(point -> point.now().state() == DriftState.UNKNOWN)
                .map(PointSoak::label)
                .toList();
        return unknown.isEmpty() ? Optional.empty() : Optional.of(new ClosingFinding.NotCleared(unknown));
    }

    /** What must, should and could be done: what was typed, and what the application found itself. */
    public List<Item> items(List<Reading> readings) {
        List<Item> items = new ArrayList<>(found());
        readings.forEach(reading -> ItemLine.of(reading.entry()).ifPresent(items::add));
        items.sort(Comparator.comparing(Item::tier));
        return items;
    }

    private List<Item> found() {
        List<Item> found = new ArrayList<>();
        tubes.stream()
                .filter(tube -> tube.judgement().verdict() == Verdict.OVER_RATING)
                .forEach(tube -> found.add(item(
                        Tier.MUST,
                        tube.socket().label(),
                        new ClosingFinding.OverRating(
                                tube.socket().label(), tube.judgement().ratio()))));
        ColdStart.of(sheet, SupplyReadings.mainsRatio(timeline.present().moment(), sheet))
                .filter(ColdStart::over)
                .ifPresent(start -> found.add(
                        item(Tier.MUST, "", new ClosingFinding.CapacitorUnderrated(start.rating(), start.volts()))));
        unsafeBias().ifPresent(says -> found.add(item(Tier.MUST, "", says)));
        SoakTeller teller = new SoakTeller(soak, sheet, tubes);
        List<Item> suspects =
                teller.whose().stream().flatMap(why -> suspect(why).stream()).toList();
        found.addAll(suspects);
        if (suspects.isEmpty()) {
            soak.trouble()
                    .forEach(point -> found.add(
                            item(Tier.MUST, point.label(), new ClosingFinding.TubeSuspect(teller.verdict(point)))));
        }
        for (SideBalance side : SideBalance.of(sheet, tubes)) {
            if (side.unseen().isEmpty() && !side.isTolerable()) {
                found.add(item(Tier.SHOULD, "", new ClosingFinding.SidesApart(side.imbalance(), side.ratio())));
            }
        }
        boolean resistor = sheet.current().method() != CurrentMethod.SOCKET_ADAPTER
                && sheet.current().method() != CurrentMethod.PLATE_ADAPTER
                && sheet.current().method() != CurrentMethod.PANEL_METER;
        if (resistor && sheet.current().tolerance() > COARSE) {
            found.add(item(
                    Tier.COULD,
                    "",
                    new ClosingFinding.SenseResistorCoarse(sheet.current().tolerance())));
        }
        return found;
    }

    /** A kept bias supply whose wiper may run the tubes away is never called done. */
    private Optional<ClosingFinding> unsafeBias() {
        if (sheet.bias().isCathode() || sheet.biasSupply().isEmpty()) {
            return Optional.empty();
        }
        try {
            BiasRange range = new BiasRange(sheet.biasSupply().get(), 1);
            return range.isFailSafe()
                    ? Optional.empty()
                    : Optional.of(new ClosingFinding.BiasNotFailSafe(
                            range.wiperOpenVolts().orElse(0)));
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }

    private static Optional<Item> suspect(SoakFinding why) {
        if (why instanceof SoakFinding.FollowedTube tube) {
            return Optional.of(item(Tier.MUST, tube.to(), new ClosingFinding.TubeSuspect(why)));
        }
        if (why instanceof SoakFinding.StayedWithSocket socket) {
            return Optional.of(item(Tier.MUST, socket.socket(), new ClosingFinding.SocketSuspect(why)));
        }
        return Optional.empty();
    }

    private static Item item(Tier tier, String place, Finding says) {
        return new Item(tier, 0, "", place, Optional.of(says));
    }
}
