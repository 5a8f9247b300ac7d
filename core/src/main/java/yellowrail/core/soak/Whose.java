package yellowrail.core.soak;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.drift.PointDrift;

/**
 * Whose fault it is: a creep that goes along with the tube into another socket is the tube's, one that stays behind is
 * the socket's. Found from the last trouble before an exchange and what the two sockets do after it.
 */
public final class Whose {

    private final Soak soak;

    public Whose(Soak soak) {
        this.soak = soak;
    }

    /** What the exchanges of this run tell, newest trouble first; empty where no tube that crept has been moved. */
    public List<SoakFinding> findings() {
        List<SoakStretch> all = soak.stretches();
        List<SoakFinding> found = new ArrayList<>();
        for (int i = all.size() - 2; i >= 0 && found.isEmpty(); i--) {
            for (PointDrift drift : all.get(i).found().points()) {
                if (drift.state().isTrouble()) {
                    after(i, drift).ifPresent(found::add);
                }
            }
        }
        return found;
    }

    private Optional<SoakFinding> after(int trouble, PointDrift drift) {
        List<SoakStretch> all = soak.stretches();
        SoakStretch then = all.get(trouble);
        Optional<String> tube = then.tubeAt(drift.label()).map(each -> each.tube());
        if (tube.isEmpty()) {
            return Optional.empty();
        }
        String socket = then.tubeAt(drift.label()).orElseThrow().socket().label();
        SoakStretch now = all.get(all.size() - 1);
        Map<String, String> seating = now.seating();
        if (tube.get().equals(seating.get(socket))) {
            return Optional.empty();
        }
        Optional<String> moved = seating.entrySet().stream()
                .filter(seat -> seat.getValue().equals(tube.get()))
                .map(Map.Entry::getKey)
                .findFirst();
        Optional<PointDrift> stayed = lastWord(trouble, socket, seating.get(socket));
        if (moved.isEmpty()) {
            return Optional.of(replaced(drift, socket, stayed));
        }
        Optional<PointDrift> followed = lastWord(trouble, moved.get(), tube.get());
        return Optional.of(exchanged(drift, socket, moved.get(), stayed, followed));
    }

    /** The last verdict on a socket with a tube after the trouble. */
    private Optional<PointDrift> lastWord(int trouble, String socket, String tube) {
        List<SoakStretch> all = soak.stretches();
        for (int i = all.size() - 1; i > trouble; i--) {
            SoakStretch stretch = all.get(i);
            Optional<PointDrift> drift = stretch.found().points().stream()
                    .filter(each -> stretch.tubeAt(each.label())
                            .map(at -> at.socket().label().equals(socket)
                                    && at.tube().equals(tube))
                            .orElse(false))
                    .findFirst();
            if (drift.isPresent() && Soak.isDecided(drift.get())) {
                return drift;
            }
        }
        return Optional.empty();
    }

    private static SoakFinding replaced(PointDrift drift, String socket, Optional<PointDrift> stayed) {
        if (stayed.isEmpty()) {
            return new SoakFinding.ReadOn(List.of(socket));
        }
        return stayed.get().state().isTrouble()
                ? new SoakFinding.StayedWithSocket(socket)
                : new SoakFinding.WentWithTube(socket, drift.rate());
    }

    private static SoakFinding exchanged(
            PointDrift drift, String socket, String moved, Optional<PointDrift> stayed, Optional<PointDrift> followed) {
        boolean there = followed.map(each -> each.state().isTrouble()).orElse(false);
        boolean here = stayed.map(each -> each.state().isTrouble()).orElse(false);
        if (there && here) {
            return new SoakFinding.BothSockets(socket, moved);
        }
        if (there) {
            return new SoakFinding.FollowedTube(socket, moved, drift.rate());
        }
        if (here) {
            return new SoakFinding.StayedWithSocket(socket);
        }
        List<String> missing = new ArrayList<>();
        if (stayed.isEmpty()) {
            missing.add(socket);
        }
        if (followed.isEmpty()) {
            missing.add(moved);
        }
        return missing.isEmpty() ? new SoakFinding.Gone(socket, moved) : new SoakFinding.ReadOn(missing);
    }
}
