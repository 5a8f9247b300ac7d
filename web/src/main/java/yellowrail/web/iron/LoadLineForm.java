package yellowrail.web.iron;

import java.math.BigDecimal;
import java.math.MathContext;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.quantity.Unit;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Idle;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.SupplySag;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/**
 * A stage as it is asked for in the address of the load line: what the amp has, and over it what was typed or dragged.
 */
record LoadLineForm(Map<String, String> fields) {

    static final double LEAST_LOAD = 200;
    static final double MOST_LOAD = 100_000;
    private static final int PERCENT = 100;
    private static final double MOST_APART = PERCENT * AmpStage.MOST_APART;
    private static final int KILO = 1000;
    /** An idle this near to the most that the model carries is the most: four digits, and sides that differ. */
    private static final double AT_THE_EDGE = 0.02;

    private static final int MILLI = 1000;

    LoadLineForm {
        fields = Map.copyOf(fields);
    }

    /** The amp\u2019s own stage, overlaid by what was typed. */
    static LoadLineForm of(String type, OutputStage stage, Map<String, String> typed) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("type", type);
        fields.put("perSide", String.valueOf(stage.tubesPerSide()));
        fields.put("plates", plain(stage.plateVolts(), 1));
        fields.put("screens", plain(stage.screenVolts(), 1));
        fields.put("connection", stage.connection().name());
        fields.put("tap", plain(stage.tap() > 0 && stage.tap() < 1 ? stage.tap() : OutputStage.USUAL_TAP, PERCENT));
        fields.put("bias", stage.bias().isCathode() ? "cathode" : "fixed");
        Idle idle = Idle.of(stage);
        fields.put("idle", plain(idle.meanPlateAmps(), MILLI));
        fields.put("apart", plain(idle.sidesApart(), PERCENT));
        fields.put("load", plain(stage.loadOhms(), 1.0 / KILO));
        fields.put("copper", plain(stage.losses().primary(), 1));
        fields.put("sag", plain(stage.losses().plateSag(), 1));
        fields.put("screenSag", plain(stage.losses().screenSag(), 1));
        fields.put("stopper", plain(stage.losses().stopper(), 1));
        fields.put("drive", String.valueOf(PERCENT));
        fields.put("own", "");
        fields.replaceAll((name, value) -> typed.getOrDefault(name, value).strip());
        return new LoadLineForm(fields);
    }

    private static String plain(double si, double in) {
        return new BigDecimal(si * in, new MathContext(4)).stripTrailingZeros().toPlainString();
    }

    public String of(String field) {
        return fields.get(field);
    }

    /** What was asked for as the end of an address. */
    String query() {
        return fields.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(field -> field.getKey() + "=" + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
    }

    /** Part of the drive that brings the grids to their edge. */
    double drive(Faults faults) {
        return new FormReader(faults).required("drive", of("drive"), Unit.PERCENT, 5, PERCENT * FullDrive.MOST);
    }

    /** The stage, with the topology of the amp and a model of its type; empty if there are faults. */
    Optional<OutputStage> stage(OutputStage amp, Optional<KnownModel> model, Faults faults) {
        FormReader read = new FormReader(faults);
        if (model.isEmpty()) {
            faults.say("type", "page.form.no-model");
        }
        int perSide = (int) read.count("perSide", of("perSide"), 1, OutputStage.MOST_PER_SIDE);
        double plates = read.required("plates", of("plates"), Unit.VOLT, 20, 2000);
        Connection connection = read.choice("connection", of("connection"), Connection.class);
        double screens = connection == Connection.PENTODE
                ? read.required("screens", of("screens"), Unit.VOLT, 20, 2000)
                : plates;
        double tap = connection == Connection.ULTRALINEAR
                ? read.required("tap", of("tap"), Unit.PERCENT, 1, 99)
                : OutputStage.USUAL_TAP;
        double idle = read.required("idle", of("idle"), Unit.MILLIAMP, 0.1, 2000);
        double load =
                read.required("load", FormReader.load(of("load")), Unit.KILOHM, LEAST_LOAD / KILO, MOST_LOAD / KILO);
        double copper = read.required("copper", of("copper"), Unit.OHM, 0, 5000);
        double sag = read.required("sag", of("sag"), Unit.OHM, 0, SupplySag.MOST);
        double screenSag = read.required("screenSag", of("screenSag"), Unit.OHM, 0, SupplySag.MOST_SCREENS);
        double stopper = read.required("stopper", of("stopper"), Unit.OHM, 0, 20_000);
        double apart =
                amp.isPushPull() ? read.required("apart", of("apart"), Unit.PERCENT, -MOST_APART, MOST_APART) : 0;
        drive(faults);
        if (faults.any()) {
            return Optional.empty();
        }
        OutputStage fixed = new OutputStage(
                model.get().model(),
                amp.topology(),
                perSide,
                plates,
                screens,
                connection,
                tap,
                OutputStage.Bias.fixed(0),
                load,
                new OutputStage.Losses(copper, 0, sag, screenSag, stopper));
        double most = model.get().model().plateCurrent(plates, fixed.screenVolts(), 0);
        if (idle > (1 + AT_THE_EDGE) * most) {
            faults.say("idle", "page.form.idle-beyond", plain(most, MILLI));
            return Optional.empty();
        }
        return Optional.of(
                AmpStage.apart(AmpStage.atIdle(fixed, idle, of("bias").equals("cathode")), apart));
    }
}
