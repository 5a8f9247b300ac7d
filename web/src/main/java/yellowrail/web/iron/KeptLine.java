package yellowrail.web.iron;

import java.util.Optional;
import yellowrail.core.quantity.Figures;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.web.drawer.OwnTubeService;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/** A kept setting beside the others. */
record KeptLine(
        long id,
        String query,
        String what,
        String load,
        String idle,
        String grid,
        String power,
        String distortion,
        String second,
        String third,
        String plates,
        String peak) {

    private static final int STEPS = 64;

    static KeptLine of(
            IronService.Kept kept,
            OutputStage amp,
            Optional<OwnTubeService.Own> own,
            Optional<KnownModel> typical,
            Words words) {
        LoadLineForm form = kept.form();
        Optional<KnownModel> model = own.map(OwnTubeService.Own::model).or(() -> typical);
        String what = "%s \u00d7 %s, %s V"
                .formatted(
                        form.of("perSide"),
                        own.map(OwnTubeService.Own::name).orElse(form.of("type")),
                        form.of("plates"));
        Optional<OutputStage> stage = form.stage(amp, model, Faults.counted());
        Optional<Performance> computed = stage.flatMap(each -> compute(each, form.drive(Faults.counted())));
        if (computed.isEmpty()) {
            return new KeptLine(
                    kept.id(),
                    form.query(),
                    what,
                    form.of("load") + " k",
                    form.of("idle") + " mA",
                    "",
                    words.message("page.load-line.not-computed"),
                    "",
                    "",
                    "",
                    "",
                    "");
        }
        Performance found = computed.get();
        return new KeptLine(
                kept.id(),
                form.query(),
                what,
                Figures.fixed(stage.get().loadOhms() / 1000, 1) + " k",
                Figures.fixed(1e3 * found.idle().meanPlateAmps(), 1) + " mA",
                Figures.volts(found.idle().gridVolts()),
                Figures.fixed(found.powerWatts(), 1) + " W",
                percent(found.distortion()),
                percent(found.harmonics().get(0)),
                percent(found.harmonics().get(1)),
                Figures.watts(found.plateWatts()),
                Figures.fixed(found.peakPlateVolts(), 0) + " V");
    }

    private static Optional<Performance> compute(OutputStage stage, double drive) {
        try {
            return Optional.of(new FullDrive(stage, STEPS, drive).compute());
        } catch (UnsettledException e) {
            return Optional.empty();
        }
    }

    private static String percent(double ratio) {
        return Figures.fixed(100 * ratio, 1) + " %";
    }
}
