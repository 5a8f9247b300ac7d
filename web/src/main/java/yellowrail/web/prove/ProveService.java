package yellowrail.web.prove;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.finding.Finding;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.CardScale;
import yellowrail.core.tone.Hearing;
import yellowrail.core.wav.Sound;
import yellowrail.core.wav.WavException;
import yellowrail.core.wav.WavReader;
import yellowrail.web.bounds.InTurn;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.recording.RecordingKind;
import yellowrail.web.recording.Recordings;
import yellowrail.web.run.Run;

/** Measures what a sound card heard and keeps it. */
@Service
public class ProveService {

    static final Band BAND = new Band(20, 20_000);

    private final Recordings recordings;
    private final DocumentKind<HeardDocument> documents;
    private final InTurn inTurn;

    ProveService(Recordings recordings, JsonColumn json, InTurn inTurn) {
        this.recordings = recordings;
        this.documents = HeardDocument.kind(json);
        this.inTurn = inTurn;
    }

    /** A kept recording. */
    record Kept(long id, OffsetDateTime at, HeardDocument heard) {

        /** As the builder calls it, else its file. */
        String called() {
            return heard.setting().isBlank() ? heard.name() : heard.setting();
        }

        /** The first channel with a tone. */
        HeardDocument.Figures figures() {
            return heard.channels().stream()
                    .filter(channel -> channel != null)
                    .findFirst()
                    .orElseThrow();
        }
    }

    /** The same, measured again with all there is to be drawn. */
    record Measured(Sound sound, List<Hearing> channels) {}

    /**
     * What is told of a recording.
     *
     * @param setting what the builder calls it
     * @param load ohm
     * @param volts RMS, by a meter
     */
    public record Told(String setting, OptionalDouble load, OptionalDouble volts) {}

    /** @param id of what was kept; empty where nothing was, and the faults tell why */
    public record Taken(Optional<Long> id, List<Finding> faults) {}

    /** Oldest first. */
    @Transactional(readOnly = true)
    public List<Kept> ofRun(long runId) {
        return recordings.ofRun(runId, RecordingKind.TONE).stream()
                .map(row -> new Kept(row.id(), row.keptAt(), documents.read(row.heard())))
                .toList();
    }

    /** What full scale of the card is in a run; empty where nobody told. */
    @Transactional(readOnly = true)
    public Optional<CardScale> card(long runId) {
        return scale(ofRun(runId));
    }

    /** What full scale is by the readings beside the recordings; empty where there are none. */
    static Optional<CardScale> scale(List<Kept> recordings) {
        List<CardScale.Reading> readings = recordings.stream()
                .filter(kept -> kept.heard().volts() != null)
                .map(kept -> new CardScale.Reading(
                        kept.heard().volts(), kept.figures().all()))
                .toList();
        return readings.isEmpty() ? Optional.empty() : Optional.of(CardScale.of(readings));
    }

    /** @throws WavException if it is no sound that is read */
    Measured measure(byte[] file, int mains) {
        return inTurn.take(() -> {
            Sound sound = WavReader.read(file);
            return new Measured(sound, Hearing.of(sound.channels(), sound.hertz(), mains, BAND));
        });
    }

    /** Measured before the database is asked for anything. */
    public Taken keep(Run run, String name, byte[] file, int mains, Told told) {
        Measured measured;
        try {
            measured = measure(file, mains);
        } catch (WavException e) {
            return new Taken(Optional.empty(), List.of(e.why()));
        }
        List<Hearing> channels = measured.channels();
        if (channels.stream().allMatch(channel -> channel.outcome().tone().isEmpty())) {
            return new Taken(
                    Optional.empty(),
                    channels.stream()
                            .flatMap(channel -> channel.outcome().notes().stream())
                            .distinct()
                            .toList());
        }
        HeardDocument heard = new HeardDocument(
                name,
                told.setting(),
                HeardDocument.boxed(told.load()),
                HeardDocument.boxed(told.volts()),
                mains,
                BAND.low(),
                BAND.high(),
                measured.sound().hertz(),
                measured.sound().seconds(),
                channels.stream().map(HeardDocument.Figures::of).toList());
        return new Taken(
                Optional.of(recordings.keep(run, RecordingKind.TONE, documents.write(heard), file)), List.of());
    }
}
