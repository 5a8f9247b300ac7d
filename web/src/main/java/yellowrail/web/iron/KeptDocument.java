package yellowrail.web.iron;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.node.ObjectNode;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;
import yellowrail.web.database.DocumentKind;
import yellowrail.web.database.JsonColumn;

/**
 * A setting of the load line as it is kept, SI: what was asked for, so that it can be asked for again.
 *
 * @param tap of the half primary, as a ratio
 * @param idleAmps of one tube
 * @param own the number of the tube of the drawer that it is computed with; blank for any of the type
 */
record KeptDocument(
        String type,
        int perSide,
        double plateVolts,
        double screenVolts,
        Connection connection,
        double tap,
        boolean cathodeBias,
        double idleAmps,
        double loadOhms,
        double primaryOhms,
        double plateSagOhms,
        double screenSagOhms,
        double stopperOhms,
        double sidesApart,
        double drive,
        String own) {

    /** A number of the form: its name there, what it is called here, and the unit it was asked in. */
    private record Typed(String field, String name, Unit unit) {}

    private static final List<Typed> TYPED = List.of(
            new Typed("plates", "plateVolts", Unit.VOLT),
            new Typed("screens", "screenVolts", Unit.VOLT),
            new Typed("tap", "tap", Unit.PERCENT),
            new Typed("idle", "idleAmps", Unit.MILLIAMP),
            new Typed("load", "loadOhms", Unit.KILOHM),
            new Typed("copper", "primaryOhms", Unit.OHM),
            new Typed("sag", "plateSagOhms", Unit.OHM),
            new Typed("screenSag", "screenSagOhms", Unit.OHM));

    static DocumentKind<KeptDocument> kind(JsonColumn json) {
        return json.kind(KeptDocument.class, KeptDocument::valued, KeptDocument::sided, KeptDocument::owned);
    }

    /** Format 1 was the form as it was typed. */
    private static void valued(ObjectNode form) {
        form.put("perSide", (int)
                Quantity.parse(form.remove("perSide").stringValue()).number());
        form.put("cathodeBias", form.remove("bias").stringValue().equals("cathode"));
        for (Typed typed : TYPED) {
            String text = form.remove(typed.field()).stringValue();
            form.put(typed.name(), value(text, typed.unit(), usual(typed, form)));
        }
    }

    /** Up to format 2 both sides were alike, at full drive, with no stoppers. */
    private static void sided(ObjectNode stage) {
        stage.put("stopperOhms", 0.0);
        stage.put("sidesApart", 0.0);
        stage.put("drive", 1.0);
    }

    /** Up to format 3 all were of any tube of the type. */
    private static void owned(ObjectNode stage) {
        stage.put("own", "");
    }

    /** What stands where the form was not looked at: for the screens of a triode, and a tap that is none. */
    private static double usual(Typed typed, ObjectNode form) {
        return switch (typed.field()) {
            case "screens" -> form.path("plateVolts").doubleValue();
            case "tap" -> OutputStage.USUAL_TAP;
            default -> 0;
        };
    }

    private static double value(String text, Unit unit, double usual) {
        try {
            return Quantity.parse(text).si(unit);
        } catch (BadQuantityException e) {
            return usual;
        }
    }

    /** @param form one that makes a stage */
    static KeptDocument of(LoadLineForm form, OutputStage stage) {
        return new KeptDocument(
                form.of("type"),
                stage.tubesPerSide(),
                stage.plateVolts(),
                stage.screenVolts(),
                stage.connection(),
                stage.tap(),
                stage.bias().isCathode(),
                Quantity.parse(form.of("idle")).si(Unit.MILLIAMP),
                stage.loadOhms(),
                stage.losses().primary(),
                stage.losses().plateSag(),
                stage.losses().screenSag(),
                stage.losses().stopper(),
                stage.isPushPull() ? Quantity.parse(form.of("apart")).si(Unit.PERCENT) : 0,
                Quantity.parse(form.of("drive")).si(Unit.PERCENT),
                form.of("own"));
    }

    /** The form that asks for it again. */
    LoadLineForm form() {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("type", type);
        fields.put("perSide", String.valueOf(perSide));
        fields.put("plates", shown(plateVolts, Unit.VOLT));
        fields.put("screens", shown(screenVolts, Unit.VOLT));
        fields.put("connection", connection.name());
        fields.put("tap", shown(tap, Unit.PERCENT));
        fields.put("bias", cathodeBias ? "cathode" : "fixed");
        fields.put("idle", shown(idleAmps, Unit.MILLIAMP));
        fields.put("load", shown(loadOhms, Unit.KILOHM));
        fields.put("copper", shown(primaryOhms, Unit.OHM));
        fields.put("sag", shown(plateSagOhms, Unit.OHM));
        fields.put("screenSag", shown(screenSagOhms, Unit.OHM));
        fields.put("stopper", shown(stopperOhms, Unit.OHM));
        fields.put("apart", shown(sidesApart, Unit.PERCENT));
        fields.put("drive", shown(drive, Unit.PERCENT));
        fields.put("own", own);
        return new LoadLineForm(fields);
    }

    private static String shown(double si, Unit unit) {
        return Figures.plain(unit.fromSi(si));
    }
}
