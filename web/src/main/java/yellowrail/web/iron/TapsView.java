package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.iron.Hookup;
import yellowrail.core.iron.LoadVerdict;
import yellowrail.core.quantity.Figures;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.UnsettledException;
import yellowrail.core.tube.Rating;

/**
 * Every tap against every hook-up: the load the tubes see, and what it means in this amp.
 *
 * @param nominal the primary\u2019s load in words
 * @param pulled  what a pulled pair of tubes does; blank where there is no pair to pull
 */
record TapsView(String nominal, List<String> taps, List<Row> rows, String pulled) {

    private static final List<Double> USUAL_TAPS = List.of(4.0, 8.0, 16.0);
    private static final List<String> USUAL = List.of("4", "8", "16", "8||8", "8+8", "16||16", "open");
    private static final int STEPS = 64;
    private static final String BEYOND = "Beyond what a load line can tell.";

    /** A hook-up on each tap. */
    record Row(String hookup, boolean own, List<Cell> cells) {
    }

    /** A load and its consequences; {@code span} columns wide. */
    record Cell(int span, String load, String verdict, String token, String power, String plates, String screens, String peaks, String query) {
    }

    static TapsView of(AmpSheet sheet, OutputStage stage, Rating rating) {
        double nominal = sheet.fittings().loadOhms().orElse(stage.loadOhms());
        List<Double> taps = sheet.fittings().iron().taps().isEmpty() ? USUAL_TAPS : sheet.fittings().iron().taps();
        Set<String> written = new LinkedHashSet<>(sheet.fittings().iron().hookups());
        written.addAll(USUAL);
        List<Row> rows = new ArrayList<>();
        for (String words : written) {
            Hookup hookup = Hookup.parse(words);
            boolean named = hookup.parts().stream().allMatch(part -> part.tapOhms() > 0);
            boolean open = hookup.parts().stream().allMatch(part -> Double.isInfinite(part.ohms()));
            List<Double> columns = named || open ? taps.subList(0, 1) : taps;
            int span = named || open ? taps.size() : 1;
            rows.add(new Row(hookup.inWords(), sheet.fittings().iron().hookups().contains(words), columns.stream().map(tap -> cell(hookup.reflected(nominal, tap), nominal, span, stage, rating)).toList()));
        }
        return new TapsView("%s k%s".formatted(Figures.fixed(nominal / 1000, 2), sheet.fittings().loadOhms().isPresent() ? "" : ", not on the sheet, taken"),
                taps.stream().map(Figures::plain).toList(), rows, pulled(sheet, nominal, taps));
    }

    private static Cell cell(double load, double nominal, int span, OutputStage stage, Rating rating) {
        LoadVerdict verdict = LoadVerdict.of(load / nominal);
        if (verdict.isStop() || load < LoadLineForm.LEAST_LOAD || load > LoadLineForm.MOST_LOAD) {
            String why = verdict == LoadVerdict.OPEN ? "The peaks of an open output break tubes, sockets and windings." : verdict.isStop() ? "Nothing but heat in tubes and windings." : BEYOND;
            return new Cell(span, Double.isInfinite(load) ? "" : kilohms(load), verdict.inWords(), verdict.token(), why, "", "", "", "");
        }
        Performance found;
        try {
            found = new FullDrive(stage.withLoad(load), STEPS).compute();
        } catch (UnsettledException e) {
            return new Cell(span, kilohms(load), verdict.inWords(), verdict.token(), BEYOND, "", "", "", "");
        }
        double most = rating.screenWatts().orElse(Double.POSITIVE_INFINITY);
        return new Cell(span, kilohms(load), verdict.inWords(), verdict.token(), "%s W, %s".formatted(Figures.fixed(found.powerWatts(), 0), Opinion.distortion(found)),
                "plates %s%s".formatted(Figures.fixed(found.plateWatts(), 1) + " W", found.plateWatts() > rating.plateWatts() ? ": over" : ""),
                "screens %s%s".formatted(Figures.fixed(found.screenWatts(), 1) + " W", found.screenWatts() > most ? ": over" : ""),
                "peaks %s V, %s mA".formatted(Figures.fixed(found.peakPlateVolts(), 0), Figures.fixed(1e3 * found.peakPlateAmps(), 0)), "load=" + Figures.plain(load / 1000));
    }

    private static String kilohms(double ohms) {
        return Figures.fixed(ohms / 1000, 1) + " k";
    }

    /** Fewer tubes in parallel want a lighter load, in proportion. */
    private static String pulled(AmpSheet sheet, double nominal, List<Double> taps) {
        int perSide = sheet.tubesPerSide();
        if (perSide < 2) {
            return "";
        }
        double wanted = nominal * perSide / (perSide - 1);
        double best = taps.stream().min((one, other) -> Double.compare(Math.abs(Math.log(nominal * 8 / one / wanted)), Math.abs(Math.log(nominal * 8 / other / wanted)))).orElseThrow();
        return "With one pair pulled, %d tube%s a side left want %s instead of %s: an 8 ohm speaker makes %s on the %s ohm tap. Pull one tube of each side, and look at the bias again: the supply rises.".formatted(perSide - 1,
                perSide == 2 ? "" : "s", kilohms(wanted), kilohms(nominal), kilohms(nominal * 8 / best), Figures.plain(best));
    }
}
