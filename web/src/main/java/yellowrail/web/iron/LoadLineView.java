package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import yellowrail.core.iron.Impedance;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.PlateChart;
import yellowrail.core.tube.Rating;

/**
 * A load line as it is shown.
 *
 * @param watts     the power, large
 * @param sentence  power and distortion in words
 * @param facts     the other figures
 * @param harmonics the second to the ninth
 * @param notes     what a careful colleague would say
 */
record LoadLineView(String watts, String sentence, List<Fact> facts, List<Harmonic> harmonics, List<String> notes, ChartView chart) {

    /** Full drive is clean while it first clips at no less than this part of its power. */
    private static final double CLEAN = 0.9;

    /** A figure; {@code over} if it passes its limit. */
    record Fact(String name, String value, boolean over) {
    }

    /** A harmonic as a bar; {@code size} in percent of the fundamental, {@code bar} of the widest. */
    record Harmonic(int number, String size, int bar) {
    }

    static LoadLineView of(Performance found, Rating rating, List<String> notes, List<Impedance> speakers, double nominalOhms, PlateChart.Frame frame) {
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact("plates, each", "%s of %s".formatted(Figures.watts(found.plateWatts()), Figures.watts(rating.plateWatts())), found.plateWatts() > rating.plateWatts()));
        rating.screenWatts().ifPresentOrElse(most -> facts.add(new Fact("screens, each", "%s of %s".formatted(Figures.watts(found.screenWatts()), Figures.watts(most)), found.screenWatts() > most)),
                () -> facts.add(new Fact("screens, each", Figures.watts(found.screenWatts()), false)));
        int tubes = found.stage().tubes();
        facts.add(new Fact("plate current, stage", "%s \u2192 %s".formatted(milliamps(tubes * found.idle().plateAmps()), milliamps(found.plateAmps())), false));
        facts.add(new Fact("screen current, stage", "%s \u2192 %s".formatted(milliamps(tubes * found.idle().screenAmps()), milliamps(found.screenAmps())), false));
        facts.add(new Fact("peak of each tube", "%s, %s".formatted(milliamps(found.peakPlateAmps()), Figures.fixed(found.peakPlateVolts(), 0) + " V"), false));
        facts.add(new Fact("grids", "%s%s, drive %s peak".formatted(Figures.volts(found.idle().gridVolts()), found.stage().bias().isCathode() ? " \u2192 " + Figures.volts(found.gridVolts()) : "",
                Figures.volts(found.peakDrive())), false));
        if (found.stage().bias().isCathode()) {
            facts.add(new Fact("cathode resistor", "%s common to %d".formatted(Figures.ohms(Math.rint(found.stage().bias().ohms().getAsDouble())), tubes), false));
        }
        facts.add(new Fact("efficiency", Figures.fixed(100 * found.efficiency(), 0) + " %", false));
        found.classAWatts().ifPresent(watts -> facts.add(new Fact("class A up to", Figures.fixed(watts, 1) + " W", false)));
        Performance.Clipping clipping = found.clipping();
        facts.add(new Fact("clips first", "%s, at %s W".formatted(clipping.limit().inWords(), Figures.fixed(clipping.watts(), 1)), false));
        return new LoadLineView(Figures.fixed(found.powerWatts(), 1) + " W", "\u00b1 %.0f %%; distortion %s.%s".formatted(100 * Opinion.POWER, Opinion.distortion(found),
                clipping.watts() < CLEAN * found.powerWatts() ? " It clips from %s W on: %s.".formatted(Figures.fixed(clipping.watts(), 1), clipping.limit().inWords()) : ""), facts, harmonics(found), notes,
                ChartView.of(found, rating.plateWatts(), speakers, nominalOhms, frame));
    }

    private static String milliamps(double amps) {
        return Figures.fixed(1e3 * amps, 0) + " mA";
    }

    private static List<Harmonic> harmonics(Performance found) {
        List<Harmonic> harmonics = new ArrayList<>();
        double widest = Math.max(0.01, found.harmonics().stream().mapToDouble(Double::doubleValue).max().orElse(1));
        for (int i = 0; i < found.harmonics().size(); i++) {
            double ratio = found.harmonics().get(i);
            harmonics.add(new Harmonic(i + 2, String.format(Locale.ROOT, ratio < 0.001 ? "0" : "%.1f %%", 100 * ratio), (int) Math.round(100 * ratio / widest)));
        }
        return harmonics;
    }
}
