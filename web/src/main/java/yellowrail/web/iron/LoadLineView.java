package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.iron.Impedance;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.PlateChart;
import yellowrail.core.stage.SpeakerDrive;
import yellowrail.core.stage.WorstCase;
import yellowrail.core.tube.Rating;
import yellowrail.web.words.Words;

/**
 * A load line as it is shown.
 *
 * @param watts the power, large
 * @param sentence power and distortion in words
 * @param facts the other figures
 * @param harmonics the second to the ninth
 * @param energy where what the supplies give ends
 * @param notes what a careful colleague would say
 */
record LoadLineView(
        String watts,
        String sentence,
        List<Fact> facts,
        List<Harmonic> harmonics,
        EnergyView energy,
        List<String> notes,
        ChartView chart) {

    /** Full drive is clean while it first clips at no less than this part of its power. */
    private static final double CLEAN = 0.9;
    /** A supply that falls by less is stiff, V. */
    private static final double LEAST_FALL = 1;

    /** A figure; {@code over} if it passes its limit. */
    record Fact(String name, String value, boolean over) {}

    /** A harmonic as a bar; {@code size} in percent of the fundamental, {@code bar} of the widest. */
    record Harmonic(int number, String size, int bar) {}

    static LoadLineView of(
            Performance found,
            WorstCase worst,
            Rating rating,
            List<String> notes,
            Words words,
            List<Impedance> speakers,
            double nominalOhms,
            PlateChart.Frame frame) {
        List<Fact> facts = new ArrayList<>();
        boolean screened = !found.stage().model().isTriode();
        facts.add(new Fact(
                said(words, "plates"),
                said(words, "of", Figures.watts(found.plateWatts()), Figures.in(Unit.WATT, rating.plateWatts())),
                found.plateWatts() > rating.plateWatts()));
        if (screened) {
            rating.screenWatts()
                    .ifPresentOrElse(
                            most -> facts.add(new Fact(
                                    said(words, "screens"),
                                    said(words, "of", Figures.watts(found.screenWatts()), Figures.in(Unit.WATT, most)),
                                    found.screenWatts() > most)),
                            () -> facts.add(
                                    new Fact(said(words, "screens"), Figures.watts(found.screenWatts()), false)));
        }
        facts.add(worst("worst-plates", worst.plates(), rating.plateWatts(), words));
        if (screened) {
            facts.add(worst(
                    "worst-screens", worst.screens(), rating.screenWatts().orElse(Double.POSITIVE_INFINITY), words));
        }
        int tubes = found.stage().tubes();
        facts.add(new Fact(
                said(words, "plate-current"),
                said(words, "from-to", milliamps(found.idle().allPlateAmps()), milliamps(found.plateAmps())),
                false));
        if (screened) {
            facts.add(new Fact(
                    said(words, "screen-current"),
                    said(words, "from-to", milliamps(found.idle().allScreenAmps()), milliamps(found.screenAmps())),
                    false));
        }
        facts.add(new Fact(
                said(words, "peak"),
                "%s, %s".formatted(milliamps(found.peakPlateAmps()), Figures.fixed(found.peakPlateVolts(), 0) + " V"),
                false));
        boolean cathode = found.stage().bias().isCathode();
        String grids = Figures.volts(found.idle().gridVolts());
        facts.add(new Fact(
                said(words, "grids"),
                said(
                        words,
                        "drive",
                        cathode ? said(words, "from-to", grids, Figures.volts(found.gridVolts())) : grids,
                        Figures.volts(found.peakDrive())),
                false));
        if (cathode) {
            facts.add(new Fact(
                    said(words, "cathode-resistor"),
                    said(
                            words,
                            "common-to",
                            Figures.ohms(Math.rint(found.stage().bias().ohms().getAsDouble())),
                            tubes),
                    false));
        }
        facts.add(new Fact(said(words, "efficiency"), Figures.fixed(100 * found.efficiency(), 0) + " %", false));
        found.classAWatts()
                .ifPresent(watts -> facts.add(new Fact(said(words, "class-a"), Figures.fixed(watts, 1) + " W", false)));
        Performance.Clipping clipping = found.clipping();
        String limit = words.name(clipping.limit());
        facts.add(new Fact(
                said(words, "clips-first"), said(words, "clips-at", limit, Figures.fixed(clipping.watts(), 1)), false));
        double rest = found.idle().plateSupply();
        if (rest - found.supplyVolts() >= LEAST_FALL) {
            facts.add(new Fact(
                    said(words, "supply"),
                    said(words, "from-to", Figures.fixed(rest, 0) + " V", Figures.fixed(found.supplyVolts(), 0) + " V"),
                    false));
        }
        if (found.stage().otherSide().isPresent()) {
            facts.add(new Fact(
                    said(words, "core"),
                    said(
                            words,
                            "from-to",
                            milliamps(Math.abs(found.idle().coreAmps(found.stage()))),
                            milliamps(Math.abs(found.coreAmps()))),
                    false));
        }
        List<SpeakerDrive> driven = new ArrayList<>();
        for (Impedance speaker : speakers) {
            Optional<SpeakerDrive> drive = SpeakerDrive.of(found, speaker, nominalOhms);
            facts.add(speaker(speaker, drive, rating.plateWatts(), words));
            drive.ifPresent(driven::add);
        }
        String sentence =
                said(words, "sentence", Figures.fixed(100 * Opinion.POWER, 0), words.say(Opinion.distortion(found)));
        return new LoadLineView(
                Figures.fixed(found.powerWatts(), 1) + " W",
                clipping.watts() < CLEAN * found.powerWatts()
                        ? sentence + " " + said(words, "clips-from", Figures.fixed(clipping.watts(), 1), limit)
                        : sentence,
                facts,
                harmonics(found),
                EnergyView.of(found.energy(), words),
                notes,
                ChartView.of(found, rating.plateWatts(), driven, frame, words));
    }

    private static Fact speaker(Impedance speaker, Optional<SpeakerDrive> drive, double rated, Words words) {
        return new Fact(
                said(
                        words,
                        "speaker",
                        Figures.fixed(speaker.hertz(), 0),
                        Figures.fixed(speaker.ohms(), 1),
                        Figures.fixed(speaker.degrees(), 0)),
                drive.map(driven -> said(
                                words,
                                "speaker-driven",
                                Figures.fixed(driven.watts(), 1),
                                Figures.fixed(driven.plateWatts(), 1),
                                Figures.fixed(driven.peakPlateVolts(), 0)))
                        .orElseGet(() -> said(words, "speaker-not-driven")),
                drive.filter(driven -> driven.plateWatts() > rated).isPresent());
    }

    private static Fact worst(String what, WorstCase.Worst worst, double rated, Words words) {
        String watts = Figures.fixed(worst.watts(), 1);
        return new Fact(
                said(words, what),
                worst.part() == 0
                        ? said(words, "at-rest", watts)
                        : said(
                                words,
                                "at-drive",
                                watts,
                                Figures.fixed(100 * worst.part(), 0) + " %",
                                words.name(worst.wave())),
                worst.watts() > rated);
    }

    private static String said(Words words, String key, Object... arguments) {
        return words.message("page.load-line." + key, arguments);
    }

    private static String milliamps(double amps) {
        return Figures.fixed(1e3 * amps, 0) + " mA";
    }

    private static List<Harmonic> harmonics(Performance found) {
        List<Harmonic> harmonics = new ArrayList<>();
        double widest = Math.max(
                0.01,
                found.harmonics().stream()
                        .mapToDouble(Double::doubleValue)
                        .max()
                        .orElse(1));
        for (int i = 0; i < found.harmonics().size(); i++) {
            double ratio = found.harmonics().get(i);
            harmonics.add(new Harmonic(
                    i + 2, ratio < 0.001 ? "0" : Figures.percent(ratio), (int) Math.round(100 * ratio / widest)));
        }
        return harmonics;
    }
}
