package yellowrail.web.blind;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.stream.StreamSupport;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.core.blind.BlindPlan;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunPart;

/** Comparisons by ear in a run's file: those that were opened, for the others must stay blind. */
@Component
class BlindPart implements RunPart {

    private static final JsonMapper JSON = new JsonMapper();
    private static final int MOST = 100;
    private static final int LONGEST = 2000;
    private static final int LOUDEST = 9;

    private final BlindMapper mapper;
    private final DocumentKind<BlindDocument> documents;

    BlindPart(BlindMapper mapper, JsonColumn json) {
        this.mapper = mapper;
        this.documents = BlindDocument.kind(json);
    }

    @Override
    public String name() {
        return "comparisons";
    }

    @Override
    public JsonNode write(long runId) {
        ArrayNode part = JSON.createArrayNode();
        for (BlindRow row : mapper.ofRun(runId)) {
            if (row.openedAt() != null) {
                ObjectNode each = part.addObject();
                each.put("begunAt", utc(row.begunAt()));
                each.put("openedAt", utc(row.openedAt()));
                each.set("plan", JSON.readTree(row.plan()));
                each.set("notes", JSON.valueToTree(mapper.notes(row.id())));
            }
        }
        return part;
    }

    private static String utc(OffsetDateTime at) {
        return at.withOffsetSameInstant(ZoneOffset.UTC).toString();
    }

    @Override
    public boolean isGood(JsonNode part) {
        return part.isArray()
                && part.size() <= MOST
                && StreamSupport.stream(part.spliterator(), false).allMatch(this::isGoodOne);
    }

    private boolean isGoodOne(JsonNode each) {
        try {
            at(each, "begunAt");
            at(each, "openedAt");
            BlindDocument document = documents.read(each.path("plan").toString());
            boolean marks = document.plan().kind() == BlindPlan.Kind.MARKS;
            int notes = 0;
            for (JsonNode told : each.path("notes")) {
                NoteRow note = JSON.treeToValue(told, NoteRow.class);
                if (note.position() != notes
                        || note.words().length() > LONGEST
                        || note.answer().length() > LONGEST
                        || marks && !(note.mark() >= 1 && note.mark() <= LOUDEST)) {
                    return false;
                }
                notes++;
            }
            return notes >= document.plan().perRound()
                    && notes <= document.steps().size()
                    && document.steps().stream()
                            .allMatch(step -> step.setting() >= 0
                                    && step.setting() < document.settings().size());
        } catch (RuntimeException e) {
            return false;
        }
    }

    private static OffsetDateTime at(JsonNode each, String field) {
        return OffsetDateTime.parse(each.path(field).asString(""));
    }

    @Override
    public void read(Run run, JsonNode part) {
        for (JsonNode each : part) {
            OffsetDateTime opened = at(each, "openedAt");
            long id = mapper.restore(
                    run.id(),
                    each.path("plan").toString(),
                    at(each, "begunAt"),
                    each.path("notes").size(),
                    opened);
            for (JsonNode told : each.path("notes")) {
                NoteRow note = JSON.treeToValue(told, NoteRow.class);
                mapper.note(id, note.position(), note.mark(), note.answer(), note.words(), opened);
            }
        }
    }
}
