package yellowrail.web.form;

import yellowrail.core.field.FieldReader;

/** Reads the fields of a form; the pages have words of their own for what is needed. */
public final class FormReader extends FieldReader {

    private final Faults faults;

    public FormReader(Faults faults) {
        super(faults);
        this.faults = faults;
    }

    /** @param what key of the message that says what to type */
    public String requiredWords(String field, String text, int longest, String what) {
        String typed = words(field, text, longest);
        if (typed.isEmpty()) {
            faults.say(field, what);
        }
        return typed;
    }
}
