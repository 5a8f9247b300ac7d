package yellowrail.web.prove;

import java.util.Map;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** What is told of a recording when it is dropped on a run. */
record ProveForm(Map<String, String> typed) {

    private static final int LONGEST_SETTING = 60;
    private static final double LEAST_LOAD = 0.5;
    private static final double MOST_LOAD = 1000;
    private static final double LEAST_VOLTS = 0.001;
    private static final double MOST_VOLTS = 500;

    /** What stands in a field. */
    public String of(String field) {
        return typed.getOrDefault(field, "");
    }

    ProveService.Told read(Faults faults) {
        FormReader reader = new FormReader(faults);
        return new ProveService.Told(
                reader.words("setting", of("setting"), LONGEST_SETTING),
                reader.number("load", of("load"), Unit.OHM, LEAST_LOAD, MOST_LOAD),
                reader.number("volts", of("volts"), Unit.VOLT, LEAST_VOLTS, MOST_VOLTS));
    }
}
