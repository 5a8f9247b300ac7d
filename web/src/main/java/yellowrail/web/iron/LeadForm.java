package yellowrail.web.iron;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.iron.lead.BadLeadException;
import yellowrail.core.iron.lead.LeadMap;
import yellowrail.core.iron.lead.LeadReading;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/**
 * The ratio bench as it is asked for: the leads, what was read between them so far, where the source is, and what was
 * read just now.
 *
 * @param typed the fields, with what was read just now already among the readings if it could be read
 * @param readings none where they cannot be read
 * @param source where it is clipped on
 * @param sourceVolts with nothing on it, V
 * @param sourceOhms its own resistance, ohm
 */
record LeadForm(
        Map<String, String> typed,
        List<LeadReading> readings,
        Optional<LeadReading.Pair> source,
        OptionalDouble sourceVolts,
        OptionalDouble sourceOhms) {

    static LeadForm read(Map<String, String> asked, Faults faults) {
        Map<String, String> typed = new LinkedHashMap<>(asked);
        FormReader read = new FormReader(faults);
        String pair = of(typed, "pair");
        String value = of(typed, "value");
        boolean source = of(typed, "now").equals("source");
        List<LeadReading> readings = List.of();
        try {
            readings = LeadReading.parseAll(of(typed, "readings"));
        } catch (BadLeadException e) {
            faults.add("readings", e.finding());
        }
        if (source || !value.isEmpty()) {
            try {
                LeadReading.Pair.parse(pair);
                if (source) {
                    typed.put("sourceAt", pair);
                } else if (!faults.any()) {
                    String longer = (of(typed, "readings") + "\n" + pair + " " + value).strip();
                    readings = LeadReading.parseAll(longer);
                    typed.put("readings", longer);
                }
                typed.put("value", "");
                typed.put("pair", "");
            } catch (BadLeadException e) {
                faults.add("value", e.finding());
            }
        }
        Optional<LeadReading.Pair> at = Optional.empty();
        if (!of(typed, "sourceAt").isEmpty()) {
            try {
                at = Optional.of(LeadReading.Pair.parse(of(typed, "sourceAt")));
            } catch (BadLeadException e) {
                faults.add("sourceAt", e.finding());
            }
        }
        return new LeadForm(
                typed,
                readings,
                at,
                read.number("source", of(typed, "source"), Unit.VOLT, 0.001, 1000),
                read.number("sourceOhms", of(typed, "sourceOhms"), Unit.OHM, 0.01, 100_000));
    }

    private static String of(Map<String, String> typed, String field) {
        return typed.getOrDefault(field, "").strip();
    }

    boolean isKnown() {
        return !of(typed, "leads").equals("numbered");
    }

    LeadMap map(Leads leads) {
        return LeadMap.of(readings, leads.pushPull(), leads.expected(), source, sourceVolts, sourceOhms);
    }
}
