package yellowrail.web.prove;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import yellowrail.core.chart.Point;
import yellowrail.core.proof.ByCard;
import yellowrail.core.tone.CardScale;
import yellowrail.web.prove.CurvesView.Drawn;
import yellowrail.web.prove.ProveService.Kept;
import yellowrail.web.words.Words;

/** The curves of recordings that went step by step. */
final class ProofCurves {

    /** Curves in one chart; the newest are drawn. */
    private static final int MOST = 6;

    private static final double MIDDLE = 1000;
    private static final int LONGEST_NAME = 17;

    private final Words words;
    private final Optional<CardScale> card;
    private final Function<Kept, String> idle;

    /** @param idle of the setting that a recording is of */
    ProofCurves(Words words, Optional<CardScale> card, Function<Kept, String> idle) {
        this.words = words;
        this.card = card;
        this.idle = idle;
    }

    /**
     * @param computed by the load line, of some of the settings
     * @param full power against the tone, of some of them
     */
    List<CurvesView> of(List<Kept> recordings, List<Drawn> computed, List<Drawn> full) {
        List<Drawn> powers = new ArrayList<>();
        List<Drawn> levels = new ArrayList<>();
        List<Drawn> tones = new ArrayList<>();
        List<Drawn> band = new ArrayList<>();
        for (Kept kept : newest(recordings)) {
            List<HeardDocument.Step> steps = kept.figures().steps();
            String name = shortened(
                    kept.heard().setting().isBlank()
                            ? idle.apply(kept)
                            : kept.heard().setting());
            if (HeardFigures.heard(kept).isByLevel()) {
                ByCard.Known known = HeardFigures.known(kept, card);
                boolean watts = ByCard.watts(1, known).isPresent();
                (watts ? powers : levels)
                        .add(new Drawn(
                                name,
                                false,
                                steps.stream()
                                        .map(step -> new Point(x(step.level(), known), step.distortion()))
                                        .sorted(Comparator.comparingDouble(Point::x))
                                        .toList()));
            } else {
                double most = kept.heard().highHertz() / 2;
                tones.add(new Drawn(
                        name,
                        false,
                        rising(
                                steps.stream()
                                        .filter(step -> step.hertz() <= most)
                                        .toList(),
                                step -> step.distortion())));
                double middle = steps.stream()
                        .min(Comparator.comparingDouble(step -> Math.abs(Math.log(step.hertz() / MIDDLE))))
                        .orElseThrow()
                        .level();
                band.add(new Drawn(name, false, rising(steps, step -> 20 * Math.log10(step.level() / middle))));
            }
        }
        List<CurvesView> views = new ArrayList<>();
        if (!powers.isEmpty()) {
            powers.addAll(computed);
            views.add(CurvesView.ofDistortion(words.message("page.prove.thd-by-power"), "W", powers));
        }
        if (!levels.isEmpty()) {
            views.add(CurvesView.ofDistortion(words.message("page.prove.thd-by-level"), "", levels));
        }
        tones.removeIf(each -> each.points().isEmpty());
        if (!tones.isEmpty()) {
            views.add(CurvesView.ofDistortion(words.message("page.prove.thd-by-tone"), "Hz", tones));
        }
        if (!band.isEmpty()) {
            views.add(CurvesView.ofLevel(words.message("page.prove.level-by-tone"), band));
        }
        if (!full.isEmpty()) {
            views.add(CurvesView.ofPower(words.message("page.prove.power-by-tone"), full));
        }
        return views;
    }

    private static String shortened(String name) {
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME - 1) + "\u2026" : name;
    }

    private static List<Kept> newest(List<Kept> recordings) {
        List<Kept> stepped = recordings.stream()
                .filter(kept -> !kept.figures().steps().isEmpty())
                .toList();
        return stepped.subList(Math.max(0, stepped.size() - MOST), stepped.size());
    }

    private static double x(double level, ByCard.Known known) {
        OptionalDouble watts = ByCard.watts(level, known);
        return watts.isPresent() ? watts.getAsDouble() : level;
    }

    private static List<Point> rising(List<HeardDocument.Step> steps, ToDoubleFunction<HeardDocument.Step> upright) {
        return steps.stream()
                .map(step -> new Point(step.hertz(), upright.applyAsDouble(step)))
                .sorted(Comparator.comparingDouble(Point::x))
                .toList();
    }
}
