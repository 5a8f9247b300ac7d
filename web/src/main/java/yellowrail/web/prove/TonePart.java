package yellowrail.web.prove;

import org.springframework.stereotype.Component;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.prove.ProveService.Kept;
import yellowrail.web.recording.RecordedPart;
import yellowrail.web.recording.RecordingKind;
import yellowrail.web.recording.Recordings;

/** Recorded tones in a run's file. */
@Component
class TonePart extends RecordedPart {

    TonePart(Recordings recordings, JsonColumn json) {
        super(
                recordings,
                RecordingKind.TONE,
                heard -> check(HeardDocument.kind(json).read(heard)));
    }

    private static void check(HeardDocument heard) {
        Kept kept = new Kept(0, null, heard);
        if (kept.called().isBlank()
                || !(kept.figures().level() > 0)
                || !(kept.figures().hertz() > 0)
                || heard.mainsHertz() != 50 && heard.mainsHertz() != 60
                || heard.loadOhms() != null && !(heard.loadOhms() > 0)) {
            throw new IllegalArgumentException("no recording of a tone: %s".formatted(heard));
        }
    }
}
