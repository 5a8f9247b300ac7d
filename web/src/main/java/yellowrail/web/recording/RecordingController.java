package yellowrail.web.recording;

import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.NotFoundException;

/** Sound files given back. */
@Controller
class RecordingController {

    private final Recordings recordings;

    RecordingController(Recordings recordings) {
        this.recordings = recordings;
    }

    /** The file as it came. */
    @GetMapping("/runs/{id}/proof/{recording}.wav")
    ResponseEntity<byte[]> sound(@PathVariable long id, @PathVariable long recording) {
        return Download.of(MediaType.parseMediaType("audio/wav"), "run-%d-recording-%d.wav".formatted(id, recording))
                .body(recordings
                        .sound(id, recording)
                        .orElseThrow(() -> new NotFoundException("The sound of it is not on this bench.")));
    }
}
