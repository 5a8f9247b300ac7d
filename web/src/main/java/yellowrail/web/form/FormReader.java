package yellowrail.web.form;

import yellowrail.core.field.FieldReader;

/** Reads the fields of a form; the pages have words of their own for what is needed. */
public final class FormReader extends FieldReader {

    private final Faults faults;

    public FormReader(Faults faults) {
        super(faults);
        this.faults = faults;
    }

    /** A load on tubes without a unit is kilohms, but hundreds and thousands can only be ohms. */
    public static String load(String typed) {
        return typed != null && typed.strip().matches("\\d{3,6}([.,]\\d+)?") ? typed.strip() + " ohm" : typed;
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
