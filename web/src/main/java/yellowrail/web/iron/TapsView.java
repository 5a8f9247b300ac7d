package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.finding.Code;
import yellowrail.core.iron.BadHookupException;
import yellowrail.core.iron.Hookup;
import yellowrail.core.iron.LoadVerdict;
import yellowrail.core.iron.PulledPair;
import yellowrail.core.quantity.Figures;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.tube.Rating;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/**
 * Every tap against every hook-up: the load the tubes see, and what it means in this amp.
 *
 * @param nominal the primary\u2019s load in words
 * @param cabinet one of them as a picture
 * @param pulled what a pulled pair of tubes does; blank where there is no pair to pull
 */
record TapsView(String nominal, List<String> taps, List<Row> rows, String pulled, Cabinet cabinet) {

    private static final List<Double> USUAL_TAPS = List.of(4.0, 8.0, 16.0);
    private static final List<String> USUAL = List.of("4", "8", "16", "8||8", "8+8", "16||16", "open");
    private static final int STEPS = 64;

    /**
     * What hangs on the amp, as a picture.
     *
     * @param written as it is typed
     * @param told as it is read
     * @param says each tap in words
     */
    record Cabinet(String written, String told, SweepView picture, List<String> says) {

        /** What a hook-up is put together of. */
        public List<String> pieces() {
            return List.of("4", "8", "16", "+", "||", "(", ")", "@", ",");
        }
    }

    /** A hook-up on each tap. */
    record Row(String hookup, boolean own, List<Cell> cells) {}

    /** A load and its consequences; {@code span} columns wide. */
    record Cell(
            int span,
            String load,
            String verdict,
            String token,
            String power,
            String plates,
            String screens,
            String peaks,
            String query) {}

    static TapsView of(AmpSheet sheet, OutputStage stage, Rating rating, String typed, Faults faults, Words words) {
        double nominal = sheet.fittings().loadOhms().orElse(stage.loadOhms());
        List<Double> taps = sheet.fittings().iron().taps().isEmpty()
                ? USUAL_TAPS
                : sheet.fittings().iron().taps();
        Set<String> written = new LinkedHashSet<>(sheet.fittings().iron().hookups());
        written.addAll(USUAL);
        List<Row> rows = new ArrayList<>();
        for (String each : written) {
            Hookup hookup = Hookup.parse(each);
            boolean named = hookup.parts().stream().allMatch(part -> part.tapOhms() > 0);
            boolean open = hookup.parts().stream().allMatch(part -> Double.isInfinite(part.ohms()));
            List<Double> columns = named || open ? taps.subList(0, 1) : taps;
            int span = named || open ? taps.size() : 1;
            rows.add(new Row(
                    words.list(hookup.told()),
                    sheet.fittings().iron().hookups().contains(each),
                    columns.stream()
                            .map(tap -> cell(hookup.reflected(nominal, tap), nominal, span, stage, rating, words))
                            .toList()));
        }
        String load = kilohms(nominal, 2);
        return new TapsView(
                sheet.fittings().loadOhms().isPresent() ? load : words.message("page.taps.load-taken", load),
                taps.stream().map(Figures::plain).toList(),
                rows,
                pulled(sheet, nominal, taps, words),
                cabinet(sheet, stage, rating, nominal, taps, typed, faults, words));
    }

    private static Cabinet cabinet(
            AmpSheet sheet,
            OutputStage stage,
            Rating rating,
            double nominal,
            List<Double> taps,
            String typed,
            Faults faults,
            Words words) {
        List<String> own = sheet.fittings().iron().hookups();
        String usual = own.isEmpty() ? Figures.plain(taps.get(taps.size() / 2)) : own.get(0);
        String written = typed.isBlank() ? usual : typed.strip();
        Hookup hookup;
        try {
            hookup = Hookup.parse(written);
        } catch (BadHookupException e) {
            faults.add("cabinet", e.fault());
            hookup = Hookup.parse(usual);
        }
        List<SweepView.Named> marks = new ArrayList<>();
        List<String> says = new ArrayList<>();
        boolean named = hookup.parts().stream().allMatch(part -> part.tapOhms() > 0);
        for (double tap : named ? taps.subList(0, 1) : taps) {
            double load = hookup.reflected(nominal, tap);
            Cell cell = cell(load, nominal, 1, stage, rating, words);
            String on = named
                    ? words.message("page.taps.on-its-taps")
                    : words.message("page.taps.on-tap", Figures.plain(tap));
            marks.add(new SweepView.Named(on, load));
            says.add(words.message("page.taps.on-says", on, cell.load(), cell.verdict(), cell.power(), cell.plates()));
        }
        return new Cabinet(
                written, words.list(hookup.told()), SweepView.taps(stage, nominal, finite(marks), words), says);
    }

    /** Those that can be drawn. */
    private static List<SweepView.Named> finite(List<SweepView.Named> marks) {
        return marks.stream()
                .filter(mark -> Double.isFinite(mark.ohms()) && mark.ohms() > 0)
                .toList();
    }

    private static Cell cell(double load, double nominal, int span, OutputStage stage, Rating rating, Words words) {
        LoadVerdict verdict = LoadVerdict.of(load / nominal);
        String shown = Double.isInfinite(load) ? "" : kilohms(load, 1);
        if (verdict.isStop() || load < LoadLineForm.LEAST_LOAD || load > LoadLineForm.MOST_LOAD) {
            return untold(
                    span,
                    shown,
                    verdict,
                    verdict == LoadVerdict.OPEN ? "open" : verdict.isStop() ? "shorted" : "beyond",
                    words);
        }
        Performance found;
        try {
            found = new FullDrive(stage.withLoad(load), STEPS).compute();
        } catch (UnsettledException e) {
            return untold(span, shown, verdict, "beyond", words);
        }
        double most = rating.screenWatts().orElse(Double.POSITIVE_INFINITY);
        return new Cell(
                span,
                shown,
                words.name(verdict),
                Code.of(verdict),
                words.message(
                        "page.taps.power", Figures.fixed(found.powerWatts(), 0), words.say(Opinion.distortion(found))),
                words.message(
                        found.plateWatts() > rating.plateWatts() ? "page.taps.plates-over" : "page.taps.plates",
                        Figures.fixed(found.plateWatts(), 1)),
                words.message(
                        found.screenWatts() > most ? "page.taps.screens-over" : "page.taps.screens",
                        Figures.fixed(found.screenWatts(), 1)),
                words.message(
                        "page.taps.peaks",
                        Figures.fixed(found.peakPlateVolts(), 0),
                        Figures.fixed(1e3 * found.peakPlateAmps(), 0)),
                "load=" + Figures.plain(load / 1000));
    }

    private static Cell untold(int span, String load, LoadVerdict verdict, String why, Words words) {
        return new Cell(
                span, load, words.name(verdict), Code.of(verdict), words.message("page.taps." + why), "", "", "", "");
    }

    private static String kilohms(double ohms, int decimals) {
        return Figures.fixed(ohms / 1000, decimals) + " k";
    }

    private static String pulled(AmpSheet sheet, double nominal, List<Double> taps, Words words) {
        int perSide = sheet.tubesPerSide();
        if (perSide < 2) {
            return "";
        }
        PulledPair pulled = PulledPair.of(nominal, perSide, taps);
        return words.message(
                perSide == 2 ? "page.taps.pulled-to-one" : "page.taps.pulled",
                pulled.left(),
                kilohms(pulled.wantedOhms(), 1),
                kilohms(nominal, 1),
                kilohms(pulled.givesOhms(), 1),
                Figures.plain(pulled.tapOhms()));
    }
}
