package yellowrail.web.api;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;

/** Makes an output stage of a request. */
final class LoadLineRequestReader {

    private final JsonFields fields;
    private final TubeCatalogue catalogue;

    /** What was asked. */
    record Asked(OutputStage stage, TubeType type, KnownModel model, double drive) {}

    LoadLineRequestReader(JsonFields fields, TubeCatalogue catalogue) {
        this.fields = fields;
        this.catalogue = catalogue;
    }

    /** @return what was asked; meaningless if there are faults */
    Asked read() {
        TubeType type = fields.tubeType(LoadLineShape.TUBE_TYPE, catalogue);
        Optional<KnownModel> model = TubeModels.published().of(type);
        if (model.isEmpty()) {
            fields.fault(
                    LoadLineShape.TUBE_TYPE,
                    new RequestFault.NoModel(type.name(), TubeModels.published().types(catalogue)));
        }
        Topology topology =
                fields.choice(LoadLineShape.STAGE).equals("push-pull") ? Topology.PUSH_PULL : Topology.SINGLE_ENDED;
        int perSide = fields.whole(LoadLineShape.TUBES_PER_SIDE);
        Connection connection =
                Connection.valueOf(fields.choice(LoadLineShape.CONNECTION).toUpperCase(Locale.ROOT));
        double plate = fields.required(LoadLineShape.PLATE_VOLTS);
        double screen = connection == Connection.PENTODE && !type.isTriode()
                ? fields.required(LoadLineShape.SCREEN_VOLTS)
                : fields.number(LoadLineShape.SCREEN_VOLTS).orElse(plate);
        double tap = fields.number(LoadLineShape.ULTRALINEAR_PERCENT).orElse(100 * OutputStage.USUAL_TAP) / 100;
        OptionalDouble volts = fields.number(LoadLineShape.BIAS_VOLTS);
        OptionalDouble ohms = fields.number(LoadLineShape.CATHODE_RESISTOR_OHMS);
        if (fields.has(LoadLineShape.BIAS_VOLTS) == fields.has(LoadLineShape.CATHODE_RESISTOR_OHMS)) {
            fields.fault(LoadLineShape.BIAS_VOLTS, new RequestFault.BiasOrResistor());
        }
        double load = fields.required(LoadLineShape.LOAD_OHMS);
        OutputStage.Bias bias = ohms.isPresent()
                ? OutputStage.Bias.cathode(ohms.getAsDouble())
                : OutputStage.Bias.fixed(volts.orElse(0));
        KnownModel known = model.orElseGet(TubeModels.published()::any);
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
                new OutputStage.Losses(
                        fields.number(LoadLineShape.PRIMARY_OHMS).orElse(0),
                        0,
                        fields.number(LoadLineShape.SUPPLY_OHMS).orElse(0),
                        fields.number(LoadLineShape.SCREEN_SUPPLY_OHMS).orElse(0),
                        fields.number(LoadLineShape.SCREEN_STOPPER_OHMS).orElse(0)));
        double apart = fields.number(LoadLineShape.SIDES_APART_PERCENT).orElse(0);
        return new Asked(
                topology == Topology.PUSH_PULL ? AmpStage.apart(stage, apart / 100) : stage,
                type,
                known,
                fields.number(LoadLineShape.DRIVE_PERCENT).orElse(100) / 100);
    }
}
