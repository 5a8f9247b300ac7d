package yellowrail.core.stage;

import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.PublishedOperation;
import yellowrail.core.tube.model.TubeModels;

/** Prints every published operation against the model: {@code ./yellow-rail published}. */
class PublishedTable {

    @Test
    void print() {
        System.out.printf(
                "%-22s %21s %21s %21s %21s %15s %15s%n",
                "",
                "power, W",
                "plates idle, mA",
                "plates full, mA",
                "screens full, mA",
                "distortion, %",
                "2nd / 3rd, %");
        for (PublishedOperation operation : PublishedOperation.all()) {
            KnownModel known =
                    TubeModels.published().of(Amps.type(operation.type())).orElseThrow();
            Performance found = AsPublished.of(operation, known.model());
            System.out.printf(
                    "%-22s %s %s %s %s %6.1f %8.1f %6.1f %6.1f  %s%n",
                    operation,
                    pair(operation.watts(), found.powerWatts(), 1),
                    pair(
                            operation.idlePlateAmps(),
                            found.stage().tubes() * found.idle().plateAmps(),
                            1e3),
                    pair(operation.fullPlateAmps().orElse(Double.NaN), found.plateAmps(), 1e3),
                    pair(operation.fullScreenAmps().orElse(Double.NaN), found.screenAmps(), 1e3),
                    100 * operation.distortion(),
                    100 * found.distortion(),
                    100 * found.harmonics().get(0),
                    100 * found.harmonics().get(1),
                    known.knee().filter(operation::equals).isPresent() ? "no check: placed the model" : "");
        }
        System.out.println(
                "\nIn pairs: published, model, difference. Every idle was given to the fit; distortion turns on "
                        + "knee, drive and by-passing, and is a size only.");
        TubeModels.published().all().forEach(known -> System.out.printf("%-6s %s%n", known.type(), trust(known)));
    }

    private static String pair(double published, double found, double in) {
        return "%6.1f %6.1f %+5.0f %%".formatted(published * in, found * in, 100 * (found / published - 1));
    }

    private static String trust(KnownModel known) {
        String like = known.like().map(of -> "curves of " + of.type() + ": ").orElse("");
        String fit = "%d published point%s, plate current within %.1f %% there"
                .formatted(known.points(), known.points() == 1 ? "" : "s", 100 * known.plateError());
        String screen = known.screenError().isPresent() && !known.model().isTriode()
                ? ", screen within %.0f %%".formatted(100 * known.screenError().getAsDouble())
                : "";
        String few = known.points() < 3 ? "; too few to trust it elsewhere" : "";
        return like
                + fit
                + screen
                + few
                + known.knee().map(at -> "; placed by the power of " + at).orElse("; no published power placed it");
    }
}
