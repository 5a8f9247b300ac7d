package yellowrail.core.drawer;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.mistake.Creep;
import yellowrail.core.soak.SoakStretch;
import yellowrail.core.timeline.Stretch;
import yellowrail.core.timeline.Timeline;

/**
 * What a run tells of the tube that sat in one of its sockets: how long it was on, and whether it crept.
 *
 * @param on time under power
 * @param findings what speaks against the tube
 */
public record Sitting(Duration on, List<DrawerFinding> findings) {

    /**
     * @param during whether the tube sat there
     * @return empty if nothing was logged while it did
     */
    public static Optional<Sitting> of(Timeline timeline, String socket, Predicate<Instant> during) {
        List<Stretch> stretches = timeline.stretches().stream()
                .map(stretch -> new Stretch(
                        stretch.state(),
                        stretch.readings().stream()
                                .filter(reading -> during.test(reading.takenAt()))
                                .toList()))
                .filter(stretch -> !stretch.readings().isEmpty())
                .toList();
        return stretches.isEmpty()
                ? Optional.empty()
                : Optional.of(new Sitting(
                        stretches.stream().map(Stretch::on).reduce(Duration.ZERO, Duration::plus),
                        stretches.stream()
                                .flatMap(stretch -> crept(stretch, socket).stream())
                                .toList()));
    }

    private static List<DrawerFinding> crept(Stretch stretch, String label) {
        AmpSheet sheet = stretch.state().sheet();
        String point = sheet.socket(label).map(Socket::testPoint).orElse("");
        if (sheet.socketsAt(point).size() != 1) {
            return List.of();
        }
        Optional<DrawerFinding> soaked = soaked(stretch, point);
        return soaked.isPresent()
                ? List.of(soaked.get())
                : Creep.in(sheet, stretch.readings()).stream()
                        .filter(creep -> creep.point().equals(point))
                        .<DrawerFinding>map(creep ->
                                new DrawerFinding.Crept(creep.by(), creep.over().toMinutes()))
                        .toList();
    }

    /** What the soak says of it; a rise in three readings is only the first sign of that. */
    private static Optional<DrawerFinding> soaked(Stretch stretch, String point) {
        SoakStretch soak = SoakStretch.of(stretch, Long.MAX_VALUE, Map.of());
        return soak.point(point)
                .filter(drift -> drift.state().isTrouble() && drift.rate() > 0)
                .map(drift -> new DrawerFinding.Crept(drift.rate() * soak.minutes() / 100, Math.round(soak.minutes())));
    }
}
