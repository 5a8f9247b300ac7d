package yellowrail.web.part;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.part.CapacitorLife;
import yellowrail.core.part.Fuse;
import yellowrail.core.part.ScreenStopper;
import yellowrail.core.part.SenseResistor;
import yellowrail.core.part.SenseResistor.Kind;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** The parts about an amp's output stage as they stand in the fields: from its sheet, overlaid by what was typed. */
record AmpPartsForm(Map<String, String> fields) {

    private static final String USUAL_HIGH = "10";
    private static final String NOT_CHOSEN = "\u2013";

    AmpPartsForm {
        fields = Map.copyOf(fields);
    }

    /** What the fields say, read. */
    record Parts(
            SenseResistor sense,
            ScreenStopper stopper,
            OptionalDouble winding,
            OptionalDouble farads,
            OptionalDouble rated,
            OptionalDouble rippleRated,
            CapacitorLife life,
            double celsius,
            double weekly,
            Optional<Fuse> plateFuse,
            Optional<Fuse> mainsFuse,
            double high) {}

    static AmpPartsForm of(AmpSheet sheet, Map<String, String> typed) {
        Map<String, String> fields = new LinkedHashMap<>();
        boolean each = sheet.current().method() == CurrentMethod.SENSE_EACH;
        fields.put("sense", each ? Figures.plain(sheet.current().ohms().orElse(10)) : "10");
        fields.put(
                "tolerance",
                each ? Figures.plain(Unit.PERCENT.fromSi(sheet.current().tolerance())) : "1");
        fields.put("senseWatts", each ? typed(sheet.supply().resistorWatts(), "0.25") : "0.25");
        fields.put("kind", Kind.METAL_FILM.name());
        fields.put("stopper", typed(sheet.screen().stopperOhms(), "1000"));
        fields.put("stopperWatts", "5");
        fields.put("winding", typed(sheet.supply().secondaryVolts(), ""));
        fields.put("reservoir", Figures.typed(sheet.fittings().firstFarads(), 1e6));
        fields.put("rated", typed(sheet.supply().capacitorVolts(), ""));
        fields.put("rippleRated", "");
        fields.put("hours", Figures.plain(CapacitorLife.ORDINARY.hours()));
        fields.put("hottest", Figures.plain(CapacitorLife.ORDINARY.ratedCelsius()));
        fields.put("celsius", "60");
        fields.put("weekly", "10");
        fields.put("plateFuse", "");
        fields.put("mainsFuse", "");
        fields.put("high", USUAL_HIGH);
        fields.replaceAll((name, value) -> typed.getOrDefault(name, value).strip());
        return new AmpPartsForm(fields);
    }

    private static String typed(OptionalDouble value, String instead) {
        return value.isPresent() ? Figures.plain(value.getAsDouble()) : instead;
    }

    /** The same for whoever hears the page: an empty field is nothing to be heard. */
    public String said(String field) {
        String typed = of(field);
        return typed.isBlank() ? NOT_CHOSEN : typed;
    }

    public String of(String field) {
        return fields.get(field);
    }

    Parts read(Faults faults) {
        FormReader read = new FormReader(faults);
        return new Parts(
                new SenseResistor(
                        read.required("sense", of("sense"), Unit.OHM, 0.01, 1000),
                        read.required("tolerance", of("tolerance"), Unit.PERCENT, 0.01, 20),
                        read.required("senseWatts", of("senseWatts"), Unit.WATT, 0.05, 100),
                        read.choice("kind", of("kind"), Kind.class)),
                new ScreenStopper(
                        read.required("stopper", of("stopper"), Unit.OHM, 0, 20_000),
                        read.required("stopperWatts", of("stopperWatts"), Unit.WATT, 0.1, 100)),
                read.number("winding", of("winding"), Unit.VOLT, 50, 1200),
                read.number("reservoir", of("reservoir"), Unit.MICROFARAD, 1, 10_000),
                read.number("rated", of("rated"), Unit.VOLT, 10, 2000),
                read.number("rippleRated", of("rippleRated"), Unit.MILLIAMP, 1, 20_000),
                new CapacitorLife(
                        read.count("hours", of("hours"), 100, 500_000),
                        read.required("hottest", of("hottest"), Unit.CELSIUS, 40, 150)),
                read.required("celsius", of("celsius"), Unit.CELSIUS, 0, 120),
                read.count("weekly", of("weekly"), 0.1, 168),
                fuse(read, "plateFuse"),
                fuse(read, "mainsFuse"),
                1 + read.required("high", of("high"), Unit.PERCENT, 0, 30));
    }

    private Optional<Fuse> fuse(FormReader read, String field) {
        OptionalDouble amps = read.number(field, of(field), Unit.AMP, 0.01, 30);
        return amps.isPresent() ? Optional.of(new Fuse(amps.getAsDouble())) : Optional.empty();
    }
}
