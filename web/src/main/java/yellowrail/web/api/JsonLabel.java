package yellowrail.web.api;

import java.util.Set;
import yellowrail.core.typed.Quantity;

/** What things of one list are called, each differently. */
final class JsonLabel {

    private static final int LONGEST = 40;

    private JsonLabel() {}

    /** @param labels read so far, to which this one is added */
    static String read(JsonFields object, JsonField field, Set<String> labels) {
        String label = object.words(field).strip();
        int length = label.codePointCount(0, label.length());
        if (length == 0 || length > LONGEST) {
            object.fault(field, new RequestFault.LabelOfOtherLength(LONGEST, length));
        } else if (!labels.add(label)) {
            object.fault(field, new RequestFault.LabelTwice(Quantity.quote(label)));
        }
        return label;
    }
}
