package yellowrail.core.soak;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.drift.Common;
import yellowrail.core.drift.PointDrift;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.timeline.Stretch;
import yellowrail.core.timeline.Timeline;

/** The soak of a run: one stretch after another, and how each test point stands at the end of them. */
public final class Soak {

    private final List<SoakStretch> stretches;
    private final boolean on;

    private Soak(List<SoakStretch> stretches, boolean on) {
        this.stretches = List.copyOf(stretches);
        this.on = on;
    }

    public static Soak of(Timeline timeline) {
        return of(timeline, StageIdle.of(timeline.present()).at(timeline.present()));
    }

    /** @param tubes as they idle at the end of the timeline */
    public static Soak of(Timeline timeline, List<TubeIdle> tubes) {
        Map<String, Double> limits = limits(tubes);
        List<Stretch> all = timeline.stretches();
        List<SoakStretch> soaked = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            boolean last = i == all.size() - 1;
            if (isOn(all.get(i)) || last && isOther(all.get(i), soaked)) {
                SoakStretch stretch = SoakStretch.of(all.get(i), last ? Long.MAX_VALUE : first(all.get(i + 1)), limits);
                if (stretch.isRead() || last) {
                    soaked.add(stretch);
                }
            }
        }
        return new Soak(soaked, all.isEmpty() || isOn(all.get(all.size() - 1)));
    }

    /** Whether the amp is on at the end of a timeline, as far as anybody said. */
    public static boolean isOn(Timeline timeline) {
        return timeline.present().state().on().orElse(true);
    }

    private static boolean isOn(Stretch stretch) {
        return stretch.state().on().orElse(true);
    }

    /** Whether something was exchanged since the amp was last on: what was read then is not of what is in it now. */
    private static boolean isOther(Stretch stretch, List<SoakStretch> before) {
        return !before.isEmpty()
                && before.get(before.size() - 1).state().hardware()
                        != stretch.state().hardware();
    }

    private static long first(Stretch stretch) {
        return stretch.readings().isEmpty()
                ? Long.MAX_VALUE
                : stretch.readings().get(0).id();
    }

    /**
     * The reading at which a plate stands at its rating, its volts taken as they are: as the current rises they sag, so
     * it is reached later rather than sooner.
     */
    private static Map<String, Double> limits(List<TubeIdle> tubes) {
        Map<String, Double> limits = new HashMap<>();
        for (TubeIdle tube : tubes) {
            double ratio = tube.judgement().ratio();
            if (tube.current().isPresent() && ratio > 0) {
                limits.merge(tube.socket().testPoint(), tube.current().get().value() / ratio, Math::min);
            }
        }
        return limits;
    }

    /** Those in which something was read, oldest first, and the one that has just begun. */
    public List<SoakStretch> stretches() {
        return stretches;
    }

    /** The last of them; empty before anything was read. */
    public Optional<SoakStretch> present() {
        return stretches.isEmpty() ? Optional.empty() : Optional.of(stretches.get(stretches.size() - 1));
    }

    /** Whether the amp is on, as far as anybody said. */
    public boolean isOn() {
        return on;
    }

    /** What moves every point of the present stretch. */
    public Common common() {
        return present().map(stretch -> stretch.found().common()).orElse(Common.NONE);
    }

    /** How each test point stands, in the order of the sheet. */
    public List<PointSoak> points() {
        return present()
                .map(stretch -> stretch.found().points().stream()
                        .map(drift -> new PointSoak(drift.label(), drift, carried(stretch, drift)))
                        .toList())
                .orElse(List.of());
    }

    /**
     * The trouble a tube was in, in this socket or in another, in the last stretch that told; neither a turn clears it
     * nor another socket.
     */
    private Optional<PointDrift> carried(SoakStretch present, PointDrift now) {
        if (isDecided(now)) {
            return Optional.empty();
        }
        Optional<Occupant> tube = present.tubeAt(now.label());
        for (int i = stretches.size() - 2; i >= 0; i--) {
            SoakStretch before = stretches.get(i);
            Optional<String> point =
                    before.state().hardware() == present.state().hardware()
                            ? Optional.of(now.label())
                            : tube.flatMap(each -> before.pointOf(each.tube()));
            if (point.isEmpty()) {
                return Optional.empty();
            }
            Optional<PointDrift> drift = before.point(point.get());
            if (drift.isPresent() && isDecided(drift.get())) {
                return drift.filter(each -> each.state().isTrouble());
            }
        }
        return Optional.empty();
    }

    /** Whether it is known what a point does: it stands, or is in trouble. */
    public static boolean isDecided(PointDrift drift) {
        return switch (drift.state()) {
            case CREEPING, RUNNING_AWAY, STEADY -> true;
            case SETTLING, UNKNOWN -> false;
        };
    }

    /** The points that must not be trimmed. */
    public List<PointSoak> trouble() {
        return points().stream().filter(PointSoak::isTrouble).toList();
    }

    /** The one that is to be switched off for; while the amp is on. */
    public Optional<PointSoak> runaway() {
        return on ? points().stream().filter(PointSoak::runsAway).findFirst() : Optional.empty();
    }

    /** When the present stretch began. */
    public Optional<Instant> since() {
        return present().map(SoakStretch::begun);
    }
}
