package yellowrail.core.drawer;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.timeline.Setting;
import yellowrail.core.timeline.Timeline;

/** How the tube in a socket idled, setting by setting, where all was read that tells it. */
public record SeatIdles(StageIdle stage, List<At> all) {

    /** At the end of a setting. */
    public record At(Setting setting, TubeIdle tube) {}

    public SeatIdles {
        all = List.copyOf(all);
    }

    /** @param during whether the tube sat there */
    public static SeatIdles of(Timeline timeline, String socket, Predicate<Instant> during) {
        StageIdle stage = StageIdle.of(timeline.present());
        List<At> idles = new ArrayList<>();
        for (Setting setting : timeline.presentSettings()) {
            if (setting.lacks().isEmpty() && during.test(setting.at())) {
                stage.at(setting.moment()).stream()
                        .filter(tube -> tube.socket().label().equals(socket))
                        .filter(tube -> tube.figures().isPresent())
                        .findFirst()
                        .ifPresent(tube -> idles.add(new At(setting, tube)));
            }
        }
        return new SeatIdles(stage, idles);
    }
}
