package yellowrail.web.api;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

/** Makes an output stage of a request. */
final class LoadLineRequestReader {

    private static final Set<String> KNOWN = Arrays.stream(LoadLineRequest.class.getRecordComponents())
            .map(component -> component.getName())
            .collect(Collectors.toUnmodifiableSet());

    private final JsonFields fields;
    private final TubeCatalogue catalogue;

    /** What was asked. */
    record Asked(OutputStage stage, TubeType type, KnownModel model) {}

    LoadLineRequestReader(JsonFields fields, TubeCatalogue catalogue) {
        this.fields = fields;
        this.catalogue = catalogue;
    }

    /** @return what was asked; meaningless if there are faults */
    Asked read() {
        fields.only(KNOWN);
        TubeType type = fields.tubeType("tubeType", catalogue);
        Optional<KnownModel> model = TubeModels.published().of(type);
        if (model.isEmpty()) {
            fields.fault(
                    "tubeType",
                    "%s has no model, for no points of it are published here; there are models of %s."
                            .formatted(
                                    type.name(),
                                    String.join(
                                            ", ",
                                            TubeModels.published().all().stream()
                                                    .map(KnownModel::type)
                                                    .toList())));
        }
        Topology topology = fields.choice("stage", List.of("push-pull", "single-ended"), false)
                        .equals("push-pull")
                ? Topology.PUSH_PULL
                : Topology.SINGLE_ENDED;
        int perSide = fields.has("tubesPerSide")
                ? fields.whole("tubesPerSide", 1, OutputStage.MOST_PER_SIDE, "tubes at one end of the primary")
                : 1;
        Connection connection =
                Connection.valueOf(fields.choice("connection", List.of("pentode", "ultralinear", "triode"), true)
                        .toUpperCase(Locale.ROOT));
        double plate = fields.required("plateVolts", 20, 2000, "plate to cathode at idle");
        double screen = connection == Connection.PENTODE
                ? fields.required("screenVolts", 20, 2000, "screen to cathode at idle")
                : fields.number("screenVolts", 20, 2000).orElse(plate);
        double tap = fields.number("ultralinearPercent", 1, 99).orElse(100 * OutputStage.USUAL_TAP) / 100;
        OptionalDouble volts = fields.number("biasVolts", -300, 0);
        OptionalDouble ohms = fields.number("cathodeResistorOhms", 0.1, 100_000);
        if (fields.has("biasVolts") == fields.has("cathodeResistorOhms")) {
            fields.fault("biasVolts", "One of biasVolts and cathodeResistorOhms is needed, and only one.");
        }
        double load = fields.required(
                "loadOhms", 50, 1e6, "plate to plate, or on the one plate; a shorted or open output has no load line");
        OutputStage.Bias bias = ohms.isPresent()
                ? OutputStage.Bias.cathode(ohms.getAsDouble())
                : OutputStage.Bias.fixed(volts.orElse(0));
        KnownModel known = model.orElse(TubeModels.published().all().get(0));
        OutputStage stage = new OutputStage(
                known.model(),
                topology,
                perSide,
                plate,
                screen,
                connection,
                tap,
                bias,
                load,
                fields.number("primaryOhms", 0, 5000).orElse(0),
                0,
                fields.number("supplyOhms", 0, 10_000).orElse(0),
                fields.number("screenSupplyOhms", 0, 100_000).orElse(0));
        return new Asked(stage, type, known);
    }
}
