package yellowrail.core.stage;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.model.KnownModel;

/** What a careful colleague would say of a computed performance: how far to trust it, and which limits it passes. */
public final class Opinion {

    /** From published operation: power, mean plate current, mean screen current, as ratios at about 95 %. */
    public static final double POWER = 0.15;
    public static final double PLATES = 0.10;
    public static final double SCREENS = 0.30;
    /** Published distortion is this many times the computed one, from least to most. */
    public static final double LEAST_DISTORTION = 0.5;
    public static final double MOST_DISTORTION = 3;

    private static final double CUT_OFF = 0.001;
    private static final String[] ORDINALS = {"second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth"};

    private Opinion() {
    }

    public static List<String> of(Performance found, KnownModel known, Rating rating) {
        List<String> notes = new ArrayList<>();
        double rated = rating.plateWatts();
        double idle = found.stage().plateVolts() * found.idle().plateAmps();
        if (found.idle().plateAmps() < CUT_OFF) {
            notes.add("At rest the tubes are cut off at %s: less than 1 mA flows, and what is computed is no class AB any more.".formatted(Figures.volts(found.idle().gridVolts())));
        }
        if (idle > rated) {
            notes.add("The idle alone is %s of %s: over the rating.".formatted(Figures.watts(idle), Figures.watts(rated)));
        }
        over("Plates at full drive", found.plateWatts(), rated, notes);
        rating.screenWatts().ifPresent(watts -> over("Screens at full drive", found.screenWatts(), watts, notes));
        rating.cathodeAmps().ifPresent(amps -> {
            double each = (found.plateAmps() + found.screenAmps()) / found.stage().tubes();
            if (each > amps) {
                notes.add("Cathode current at full drive is %s each of %s: over the rating.".formatted(Figures.milliamps(each), Figures.milliamps(amps)));
            }
        });
        notes.add("Power to \u00b1 %.0f %%, plate current to \u00b1 %.0f %%, screen current to \u00b1 %.0f %% from the type alone; distortion is an estimate: published ones are %s to %s times the computed.".formatted(100 * POWER, 100 * PLATES,
                100 * SCREENS, Figures.plain(LEAST_DISTORTION), Figures.plain(MOST_DISTORTION)));
        notes.add("Model of %s: %s.".formatted(known.type(), known.inWords()));
        return notes;
    }

    private static void over(String what, double watts, double rated, List<String> notes) {
        if (watts > rated) {
            notes.add("%s: %s of %s each: over the rating.".formatted(what, Figures.watts(watts), Figures.watts(rated)));
        }
    }

    /** The distortion as a size, with the harmonic that leads it. */
    public static String distortion(Performance found) {
        double percent = 100 * found.distortion();
        String size = percent < 0.5 ? "well under 1 %" : "about %s %%".formatted(Figures.fixed(percent, percent < 3 ? 1 : 0));
        return "%s, mostly %s".formatted(size, ORDINALS[found.leadingHarmonic() - 2]);
    }
}
