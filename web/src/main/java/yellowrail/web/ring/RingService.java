package yellowrail.web.ring;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.finding.Finding;
import yellowrail.core.ring.Ringing;
import yellowrail.core.ring.TapAnalysis;
import yellowrail.core.ring.TapNotes;
import yellowrail.core.ring.Taps;
import yellowrail.core.wav.Sound;
import yellowrail.core.wav.WavException;
import yellowrail.core.wav.WavReader;
import yellowrail.web.bounds.InTurn;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.recording.RecordingKind;
import yellowrail.web.recording.Recordings;
import yellowrail.web.run.Run;

/** Hears tapped tubes and keeps what they answered. */
@Service
public class RingService {

    private final Recordings recordings;
    private final DocumentKind<TapDocument> documents;
    private final InTurn inTurn;

    RingService(Recordings recordings, JsonColumn json, InTurn inTurn) {
        this.recordings = recordings;
        this.documents = TapDocument.kind(json);
        this.inTurn = inTurn;
    }

    record Kept(long id, OffsetDateTime at, TapDocument tapped) {}

    /** @param taps of the channel that heard them best, whose number is from 0 */
    record Heard(Sound sound, int channel, Taps taps) {

        double[] samples() {
            return sound.channels().get(channel);
        }

        List<Finding> notes(int mains) {
            return new TapNotes(sound.hertz(), mains).of(samples(), taps.struck());
        }
    }

    /** A kept recording with its sound; what was fitted once is not fitted again. */
    Heard again(Kept kept, byte[] file) {
        TapDocument tapped = kept.tapped();
        return inTurn.take(() -> new Heard(WavReader.read(file), tapped.channel(), tapped.taps()));
    }

    /** @param id of what was kept; empty where nothing was, and the faults tell why */
    public record Taken(Optional<Long> id, List<Finding> faults) {}

    /** Oldest first. */
    @Transactional(readOnly = true)
    public List<Kept> ofRun(long runId) {
        return recordings.ofRun(runId, RecordingKind.TAPS).stream()
                .map(row -> new Kept(row.id(), row.keptAt(), documents.read(row.heard())))
                .toList();
    }

    /** Recordings of one tube through one gain belong together. */
    static List<Ringing> tubes(List<Kept> recordings) {
        record Tube(String name, Double gain) {}
        Map<Tube, List<TapDocument>> tubes = new LinkedHashMap<>();
        for (Kept kept : recordings) {
            TapDocument tapped = kept.tapped();
            tubes.computeIfAbsent(new Tube(tapped.tube(), tapped.gain()), tube -> new ArrayList<>())
                    .add(tapped);
        }
        return tubes.entrySet().stream()
                .map(each -> Ringing.of(
                        each.getKey().name(),
                        each.getKey().gain() == null
                                ? OptionalDouble.empty()
                                : OptionalDouble.of(each.getKey().gain()),
                        each.getValue().stream()
                                .mapToInt(tapped -> tapped.struck().size())
                                .sum(),
                        each.getValue().stream()
                                .flatMap(tapped -> tapped.rings().stream())
                                .map(TapDocument.Rung::ring)
                                .toList()))
                .toList();
    }

    /** @throws WavException if it is no sound that is read */
    Heard hear(byte[] file, int mains) {
        return inTurn.take(() -> {
            Sound sound = WavReader.read(file);
            return IntStream.range(0, sound.channels().size())
                    .mapToObj(i -> new Heard(
                            sound,
                            i,
                            new TapAnalysis(sound.hertz(), mains)
                                    .of(sound.channels().get(i))))
                    .max(Comparator.comparingInt(
                                    (Heard heard) -> heard.taps().rings().size())
                            .thenComparing(heard -> -heard.channel()))
                    .orElseThrow();
        });
    }

    /** Heard before the database is asked for anything. */
    public Taken keep(Run run, String name, byte[] file, int mains, TapForm.Told told) {
        Heard heard;
        try {
            heard = hear(file, mains);
        } catch (WavException e) {
            return new Taken(Optional.empty(), List.of(e.why()));
        }
        if (heard.taps().struck().isEmpty()) {
            return new Taken(Optional.empty(), heard.notes(mains));
        }
        TapDocument tapped = new TapDocument(
                name,
                told.tube(),
                told.gain().isPresent() ? told.gain().getAsDouble() : null,
                mains,
                heard.sound().hertz(),
                heard.sound().seconds(),
                heard.channel(),
                heard.taps().struck(),
                TapDocument.rings(heard.taps()));
        return new Taken(
                Optional.of(recordings.keep(run, RecordingKind.TAPS, documents.write(tapped), file)), List.of());
    }
}
