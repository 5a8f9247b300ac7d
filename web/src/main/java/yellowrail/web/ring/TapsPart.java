package yellowrail.web.ring;

import org.springframework.stereotype.Component;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.recording.RecordedPart;
import yellowrail.web.recording.RecordingKind;
import yellowrail.web.recording.Recordings;

/** Tapped tubes in a run's file. */
@Component
class TapsPart extends RecordedPart {

    TapsPart(Recordings recordings, JsonColumn json) {
        super(
                recordings,
                RecordingKind.TAPS,
                heard -> check(TapDocument.kind(json).read(heard)));
    }

    private static void check(TapDocument tapped) {
        if (tapped.tube().isBlank()
                || tapped.gain() != null && !(tapped.gain() > 0)
                || tapped.channel() < 0
                || !tapped.rings().stream().allMatch(ring -> ring.level() > 0 && ring.hertz() > 0)) {
            throw new IllegalArgumentException("no recording of taps: %s".formatted(tapped));
        }
    }
}
