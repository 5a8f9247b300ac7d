package yellowrail.core.soak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.drift.Common;
import yellowrail.core.drift.DriftState;
import yellowrail.core.drift.PointDrift;
import yellowrail.core.idle.TubeIdle;

/** What is to be said of a soak: of each test point, of all of them, and of whose fault it is. */
public final class SoakTeller {

    private final Soak soak;
    private final AmpSheet sheet;
    private final List<TubeIdle> tubes;

    /** @param tubes as they idle now */
    public SoakTeller(Soak soak, AmpSheet sheet, List<TubeIdle> tubes) {
        this.soak = soak;
        this.sheet = sheet;
        this.tubes = List.copyOf(tubes);
    }

    /** The verdict on a point. */
    public SoakFinding verdict(PointSoak point) {
        PointDrift now = point.now();
        String label = point.label();
        if (point.before().isPresent()) {
            return before(label, point.before().get());
        }
        return switch (now.state()) {
            case RUNNING_AWAY -> new SoakFinding.RunningAway(label, now.rate());
            case CREEPING ->
                now.rate() > 0
                        ? new SoakFinding.Creeping(label, now.rate(), now.rateLow(), now.rateHigh())
                        : new SoakFinding.Sinking(label, now.rate(), now.rateLow(), now.rateHigh());
            case STEADY -> new SoakFinding.Steady(label, now.rateLow(), now.rateHigh());
            case SETTLING -> new SoakFinding.Settling(label);
            case UNKNOWN ->
                Double.isNaN(now.rate()) && now.trace().places().isEmpty() && isUnread(label)
                        ? new SoakFinding.NotRead(label)
                        : new SoakFinding.TooEarly(label, now.askAgain().orElse(0));
        };
    }

    private static SoakFinding before(String label, PointDrift then) {
        boolean ran = then.state() == DriftState.RUNNING_AWAY;
        if (!then.label().equals(label)) {
            return ran
                    ? new SoakFinding.RanAwayElsewhere(label, then.label())
                    : new SoakFinding.CreptElsewhere(label, then.label(), then.rate());
        }
        return ran ? new SoakFinding.RanAwayBefore(label) : new SoakFinding.CreptBefore(label, then.rate());
    }

    private boolean isUnread(String label) {
        return soak.present()
                .map(stretch -> stretch.points().stream()
                        .noneMatch(series -> series.label().equals(label)
                                && !series.samples().isEmpty()))
                .orElse(true);
    }

    /** What stands beside it: when the limit is reached, and what was seen in the readings. */
    public List<SoakFinding> beside(PointSoak point) {
        List<SoakFinding> said = new ArrayList<>();
        PointDrift now = point.now();
        limit(now).ifPresent(said::add);
        if (now.stepAt().isPresent()) {
            said.add(new SoakFinding.Jumped(now.stepAt().getAsDouble(), now.stepPercent()));
        }
        return said;
    }

    private static Optional<SoakFinding> limit(PointDrift now) {
        if (now.toLimit().isEmpty()) {
            return Optional.empty();
        }
        double minutes = now.toLimit().getAsDouble();
        if (minutes == 0) {
            return Optional.of(new SoakFinding.AtLimit(now.label()));
        }
        double soonest = now.toLimitSoonest().orElse(minutes);
        OptionalDouble latest = now.toLimitLatest();
        if (latest.isPresent() && Math.round(soonest) == Math.round(latest.getAsDouble())) {
            return Optional.of(new SoakFinding.ReachesLimitIn(minutes));
        }
        return Optional.of(
                latest.isPresent()
                        ? new SoakFinding.ReachesLimit(minutes, soonest, latest.getAsDouble())
                        : new SoakFinding.ReachesLimitSoonest(minutes, soonest));
    }

    /** What moves all of them; empty for nothing. */
    public Optional<SoakFinding> common() {
        return switch (soak.common()) {
            case NONE -> Optional.empty();
            case MAINS -> Optional.of(new SoakFinding.MainsMoves());
            case SUPPLY ->
                Optional.of(
                        soak.present().orElseThrow().mains().size() > 1
                                ? new SoakFinding.SupplyMovesNotMains()
                                : new SoakFinding.SupplyMoves());
        };
    }

    /** Whose fault it is, or what would tell; empty where nothing is wrong. */
    public List<SoakFinding> whose() {
        List<SoakFinding> said = new ArrayList<>(new Whose(soak).findings());
        if (said.isEmpty()) {
            exchange().ifPresent(said::add);
            return said;
        }
        if (said.get(0) instanceof SoakFinding.StayedWithSocket stayed) {
            leak(stayed.socket()).ifPresent(said::add);
            said.add(new SoakFinding.CapacitorOrLeakOrSupply(stayed.socket()));
        }
        return said;
    }

    /** With whom a creeping tube is to be exchanged: with the next of another test point that does not creep. */
    private Optional<SoakFinding> exchange() {
        List<String> bad = soak.trouble().stream().map(PointSoak::label).toList();
        Optional<TubeIdle> one = tubes.stream()
                .filter(tube -> bad.contains(tube.socket().testPoint()))
                .findFirst();
        Optional<TubeIdle> other = tubes.stream()
                .filter(tube -> !bad.contains(tube.socket().testPoint()))
                .findFirst();
        return one.isPresent() && other.isPresent() && soak.common() != Common.SUPPLY
                ? Optional.of(new SoakFinding.ExchangeThem(
                        one.get().socket().label(), other.get().socket().label()))
                : Optional.empty();
    }

    /** By how much the socket's current rose in the stretch that told of it last. */
    private Optional<SoakFinding> leak(String socket) {
        Optional<TubeIdle> tube = tubes.stream()
                .filter(each -> each.socket().label().equals(socket))
                .findFirst();
        if (tube.isEmpty()) {
            return Optional.empty();
        }
        List<SoakStretch> all = soak.stretches();
        for (int i = all.size() - 1; i >= 0; i--) {
            Optional<PointDrift> drift = all.get(i).point(tube.get().socket().testPoint());
            if (drift.isPresent() && drift.get().state().isTrouble()) {
                double percent = drift.get().rate() * all.get(i).minutes();
                return Leak.of(sheet, tube.get(), percent / 100);
            }
        }
        return Optional.empty();
    }
}
