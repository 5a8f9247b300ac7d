package yellowrail.web.recording;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunPart;

/** Recordings of one kind in a run's file: what was heard, without the sound. */
public abstract class RecordedPart implements RunPart {

    private static final JsonMapper JSON = new JsonMapper();
    private static final String AT = "at";
    private static final String HEARD = "heard";
    /** Letters of a document. */
    private static final int LONGEST = 1 << 17;

    private final Recordings recordings;
    private final RecordingKind kind;
    private final Consumer<String> check;

    /** @param check throws where a document is not one of its kind */
    protected RecordedPart(Recordings recordings, RecordingKind kind, Consumer<String> check) {
        this.recordings = recordings;
        this.kind = kind;
        this.check = check;
    }

    @Override
    public final String name() {
        return kind.name().toLowerCase(Locale.ROOT);
    }

    @Override
    public final JsonNode write(long runId) {
        ArrayNode part = JSON.createArrayNode();
        for (RecordingRow row : recordings.ofRun(runId, kind)) {
            ObjectNode each = part.addObject();
            each.put(AT, row.keptAt().withOffsetSameInstant(ZoneOffset.UTC).toString());
            each.set(HEARD, JSON.readTree(row.heard()));
        }
        return part;
    }

    @Override
    public final boolean isGood(JsonNode part) {
        return part.isArray()
                && part.size() <= Recordings.MOST
                && StreamSupport.stream(part.spliterator(), false).allMatch(this::isGoodOne);
    }

    private boolean isGoodOne(JsonNode each) {
        try {
            OffsetDateTime.parse(each.path(AT).asString(""));
            String heard = each.path(HEARD).toString();
            check.accept(heard);
            return heard.length() <= LONGEST;
        } catch (RuntimeException e) {
            return false;
        }
    }

    @Override
    public final void read(Run run, JsonNode part) {
        part.forEach(each -> recordings.restore(
                run.id(),
                kind,
                OffsetDateTime.parse(each.path(AT).asString()),
                each.path(HEARD).toString()));
    }
}
