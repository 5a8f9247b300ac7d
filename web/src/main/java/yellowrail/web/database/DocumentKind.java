package yellowrail.web.database;

import java.util.List;
import java.util.function.Consumer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * One kind of document in a jsonb column. Each carries the number of its format; one that was stored in an older format
 * is brought to the newest when it is read, step by step. A document from before there were formats is of format 1.
 */
public final class DocumentKind<D> {

    private static final String FORMAT = "format";

    private final JsonMapper mapper;
    private final Class<D> type;
    private final List<Consumer<ObjectNode>> steps;

    /** @param steps the first brings format 1 to format 2, and so on; never changed once it has shipped */
    DocumentKind(JsonMapper mapper, Class<D> type, List<Consumer<ObjectNode>> steps) {
        this.mapper = mapper;
        this.type = type;
        this.steps = List.copyOf(steps);
    }

    private int newest() {
        return steps.size() + 1;
    }

    public String write(D document) {
        ObjectNode tree = mapper.valueToTree(document);
        tree.put(FORMAT, newest());
        return mapper.writeValueAsString(tree);
    }

    /** @throws NewerFormatException if a newer application has written it */
    public D read(String json) {
        ObjectNode tree = (ObjectNode) mapper.readTree(json);
        int format = tree.path(FORMAT).asInt(1);
        if (format > newest()) {
            throw new NewerFormatException(type, format);
        }
        steps.subList(format - 1, steps.size()).forEach(step -> step.accept(tree));
        tree.remove(FORMAT);
        return mapper.treeToValue(tree, type);
    }

    /** A document that this application is too old for. */
    public static final class NewerFormatException extends RuntimeException {

        NewerFormatException(Class<?> type, int format) {
            super("a %s of format %d was stored by a newer version of the application"
                    .formatted(type.getSimpleName(), format));
        }
    }
}
