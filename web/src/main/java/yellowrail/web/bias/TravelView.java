package yellowrail.web.bias;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.Travel;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.quantity.Figures;
import yellowrail.web.chart.Plot;
import yellowrail.web.words.Words;

/**
 * The travel of the pot as a strip from the coldest stop to the hottest.
 *
 * @param marks what stands on it
 * @param over where plates pass their rating, as a path
 * @param scatter where tubes of the type lie
 * @param needed where these tubes lie, with what is not known of it
 * @param wiper where the wiper stands
 */
record TravelView(List<Mark> marks, String over, String scatter, String needed, String wiper, String told) {

    private static final double LEFT = 40;
    private static final double WIDTH = 620;
    private static final int PARTS = 100;

    /** A word or figure at a place. */
    record Mark(String x, int y, String text, String anchor, String look) {}

    static TravelView of(BiasRange range, double wiper, OptionalDouble needed, Optional<GridNeed> need, Words words) {
        Travel travel = new Travel(range);
        List<Mark> marks = new ArrayList<>(List.of(
                new Mark(
                        px(0),
                        20,
                        words.message("page.bias.coldest", Figures.volts(range.coldestVolts())),
                        "start",
                        ""),
                new Mark(
                        px(1),
                        20,
                        words.message("page.bias.hottest", Figures.volts(range.hottestVolts())),
                        "end",
                        "")));
        needed.ifPresent(volts -> {
            if (range.reaches(volts)) {
                marks.add(new Mark(
                        px(travel.of(volts)),
                        92,
                        words.message("page.bias.needs", Figures.volts(volts)),
                        anchor(travel.of(volts)),
                        "need"));
            }
        });
        double half = need.isPresent() ? need.get().plusMinus() : 0;
        return new TravelView(
                marks,
                need.map(tubes -> over(travel, tubes)).orElse(""),
                need.map(tubes -> band(range, travel, tubes.coldest(), tubes.hottest()))
                        .orElse(""),
                needed.isPresent() ? band(range, travel, needed.getAsDouble() - half, needed.getAsDouble() + half) : "",
                "translate(" + px(wiper) + " 0)",
                words.message(
                        "page.bias.travel-told",
                        Figures.volts(range.coldestVolts()),
                        Figures.volts(range.hottestVolts())));
    }

    private static String anchor(double turn) {
        return turn < 0.2 ? "start" : turn > 0.8 ? "end" : "middle";
    }

    private static String px(double turn) {
        return Plot.px(LEFT + WIDTH * turn);
    }

    private static String band(BiasRange range, Travel travel, double cold, double hot) {
        if (hot < range.coldestVolts() || cold > range.hottestVolts()) {
            return "";
        }
        return "M%s 36H%sV64H%sZ"
                .formatted(
                        px(travel.of(cold)),
                        px(Math.max(travel.of(hot), travel.of(cold) + 0.004)),
                        px(travel.of(cold)));
    }

    /** From where the plates pass their rating to the hottest stop. */
    private static String over(Travel travel, GridNeed tubes) {
        for (int i = 0; i <= PARTS; i++) {
            double turn = (double) i / PARTS;
            if (tubes.watts(travel.volts(turn)) > tubes.rated()) {
                return "M%s 36H%sV64H%sZ".formatted(px(turn), px(1), px(turn));
            }
        }
        return "";
    }
}
