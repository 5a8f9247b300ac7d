package yellowrail.web.bias;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Target;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.part.DrawerText;
import yellowrail.core.part.Joined;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.standard.StandardValues;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.form.Query;

/** What is asked of the cathode resistors of an amp, as it stands in the fields. */
record CathodeForm(Map<String, String> fields) {

    CathodeForm {
        fields = Map.copyOf(fields);
    }

    /**
     * What the fields say.
     *
     * @param tubes on a resistor
     * @param wanted of each tube, A; empty for what is customary
     * @param own the resistor that is in, ohm
     * @param bypass beside it, F
     * @param drawer of resistors
     * @param ohms the resistor that is to be soldered, ohm; empty for the standard value with the cooler idle
     */
    record Asked(
            int tubes,
            OptionalDouble wanted,
            OptionalDouble own,
            OptionalDouble bypass,
            List<Joined.One> drawer,
            OptionalDouble ohms) {

        /** Like tubes on one resistor; with fixed bias until now, at what is customary with cathode bias. */
        CathodeDesign design(BiasService.OnTheBench amp) {
            GridNeed need = amp.need().orElseThrow();
            AmpSheet sheet = amp.sheet();
            if (wanted.isPresent() || sheet.bias().isCathode()) {
                return CathodeDesign.of(need, tubes, amp.lift(), wanted.orElse(need.amps()));
            }
            double share =
                    Target.customary(BiasKind.CATHODE_SHARED, sheet.topology()).aim();
            return CathodeDesign.burning(need, tubes, amp.lift(), share * need.rated());
        }

        double taken(CathodeDesign design) {
            return ohms.orElseGet(() -> design.around(StandardValues.E12).get(0).ohms());
        }
    }

    static CathodeForm of(BiasService.OnTheBench amp, Map<String, String> typed) {
        AmpSheet sheet = amp.sheet();
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("type", amp.type().name());
        fields.put("plates", "");
        fields.put("count", String.valueOf(shared(sheet)));
        fields.put("wanted", "");
        fields.put("own", own(sheet));
        fields.put("bypass", "");
        fields.put("drawer", "");
        fields.put("ohms", "");
        fields.replaceAll((name, usual) -> typed.getOrDefault(name, usual).strip());
        return new CathodeForm(fields);
    }

    /** Tubes on a resistor. */
    private static int shared(AmpSheet sheet) {
        return sheet.bias() == BiasKind.CATHODE_SHARED ? sheet.sockets().size() / sheet.channels() : 1;
    }

    private static String own(AmpSheet sheet) {
        return Stream.of(sheet.current())
                .filter(sense -> sense.method() == CurrentMethod.CATHODE_RESISTOR
                        && sense.ohms().isPresent())
                .map(sense -> Figures.plain(sense.ohms().getAsDouble()))
                .findFirst()
                .orElse("");
    }

    /** Plate volts to plan by, V; empty where none were typed, or none that can be read. */
    static OptionalDouble plates(Map<String, String> typed) {
        return plates(typed, Faults.counted());
    }

    private static OptionalDouble plates(Map<String, String> typed, Faults faults) {
        return new FormReader(faults).number("plates", typed.getOrDefault("plates", ""), Unit.VOLT, 50, 1200);
    }

    public String of(String field) {
        return fields.get(field);
    }

    /** What stands in the fields as the end of an address. */
    String query() {
        return Query.of(fields);
    }

    Asked read(Faults faults) {
        FormReader read = new FormReader(faults);
        plates(fields, faults);
        return new Asked(
                (int) read.count("count", of("count"), 1, AmpSheet.MOST_SOCKETS),
                read.number("wanted", of("wanted"), Unit.MILLIAMP, 1, 500),
                read.number("own", of("own"), Unit.OHM, 5, 20_000),
                read.number("bypass", of("bypass"), Unit.MICROFARAD, 0.1, 10_000),
                DrawerText.read("drawer", of("drawer"), faults),
                read.number("ohms", of("ohms"), Unit.OHM, 5, 20_000));
    }
}
