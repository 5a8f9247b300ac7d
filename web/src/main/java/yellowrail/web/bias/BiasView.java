package yellowrail.web.bias;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.bias.BiasRange;
import yellowrail.core.bias.circuit.Part;
import yellowrail.core.bias.circuit.SteadyState;
import yellowrail.core.bias.fault.FaultEffect;
import yellowrail.core.bias.fault.Outcome;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.bias.review.BiasReview;
import yellowrail.core.bias.wiring.BiasNetwork.Kind;
import yellowrail.core.bias.wiring.PotStand;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.schematic.BiasCircuitDrawing;
import yellowrail.core.standard.StandardValues;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.words.Words;

/**
 * A bias supply as the bench shows it while it is dragged.
 *
 * @param grids what the grids stand at, as tall as it can be
 * @param say one sentence
 * @param safe whether a worn wiper is harmless
 * @param hotter which way the wiper in the drawing goes to be hotter
 */
record BiasView(
        SchematicView drawing,
        TravelView travel,
        String grids,
        String say,
        boolean safe,
        String hotter,
        List<Fact> facts,
        List<String> remarks) {

    /** A figure and what it is. */
    record Fact(String name, String value) {}

    /** What a resistor burns and what it should be rated for. */
    record Watts(String name, String watts, String high, String rating) {}

    /** What comes of a fault. */
    record Failed(
            String part,
            String how,
            String grid,
            String tube,
            String reservoir,
            boolean over,
            String outcome,
            String look) {}

    /** @param quick leaves out what would mend it */
    static BiasView of(
            BiasRange range,
            PotStand stand,
            OptionalDouble needed,
            Optional<GridNeed> need,
            boolean quick,
            Words words) {
        SteadyState now = range.at(stand);
        double grid = BiasRange.grid(now);
        Kind kind = range.supply().network().kind();
        return new BiasView(
                SchematicView.of(BiasCircuitDrawing.of(range.supply(), stand, now), words),
                kind.hasPot() ? TravelView.of(range, stand.range(), needed, need, words) : null,
                Figures.volts(grid),
                sentence(range, stand, grid, needed, words),
                range.isFailSafe(),
                kind == Kind.DIVIDER_POT || kind == Kind.POT_EACH ? "down" : "up",
                facts(range, stand, now, need, words),
                words.say(
                        quick ? BiasReview.withoutRemedies(range, needed, need) : BiasReview.of(range, needed, need)));
    }

    private static String sentence(BiasRange range, PotStand stand, double grid, OptionalDouble needed, Words words) {
        String here = range.supply().network().kind().hasPot()
                ? words.message(
                        "page.bias.stands",
                        Figures.fixed(100 * stand.range(), 0),
                        Figures.fixed(BiasRange.TURN * stand.range(), 0))
                : words.message("page.bias.stands-fixed");
        if (needed.isEmpty()) {
            return here;
        }
        OptionalDouble travel = range.travel(needed.getAsDouble());
        String volts = Figures.volts(needed.getAsDouble());
        return here + " "
                + (travel.isPresent()
                        ? words.message(
                                "page.bias.needed-at",
                                volts,
                                Figures.fixed(100 * travel.getAsDouble(), 0),
                                Figures.fixed(BiasRange.TURN * travel.getAsDouble(), 0))
                        : words.message("page.bias.needed-not", volts, Figures.fixed(needed.getAsDouble() - grid, 1)));
    }

    private static List<Fact> facts(
            BiasRange range, PotStand stand, SteadyState now, Optional<GridNeed> need, Words words) {
        List<Fact> facts = new ArrayList<>();
        need.ifPresent(tubes -> {
            facts.add(fact(
                    words, "needed", Figures.volts(tubes.volts()), Figures.fixed(tubes.plusMinus(), 1), tubes.type()));
            facts.add(fact(
                    words,
                    "margin",
                    Figures.volts(tubes.volts() - range.coldestVolts()),
                    Figures.volts(range.hottestVolts() - tubes.volts())));
            facts.add(fact(
                    words, "plates", Figures.watts(tubes.watts(BiasRange.grid(now))), Figures.watts(tubes.rated())));
        });
        if (range.supply().network().kind().hasPot()) {
            facts.add(fact(words, "degree", Figures.fixed(range.perDegree(stand.range()), 3)));
        }
        double ripple = now.ripple(now.circuit().grids().get(0));
        facts.add(fact(
                words,
                "ripple",
                Figures.in(Unit.VOLT, round(now.ripple())),
                Figures.in(Unit.MILLIVOLT, round(ripple))));
        need.ifPresent(tubes -> facts.add(fact(words, "hum", Figures.in(Unit.MILLIAMP, round(tubes.hum(ripple))))));
        facts.add(fact(
                words,
                "reservoir",
                Figures.volts(range.reservoirMost()),
                range.supply().smoothing().reservoirRating().isPresent()
                        ? Figures.in(
                                Unit.VOLT,
                                range.supply().smoothing().reservoirRating().getAsDouble())
                        : words.message("page.bias.not-rated")));
        facts.add(fact(words, "drawn", Figures.in(Unit.MILLIAMP, round(now.amps()))));
        return facts;
    }

    /** Two digits are all that such a figure deserves. */
    private static double round(double value) {
        return Figures.rounded(value, 2);
    }

    private static Fact fact(Words words, String name, Object... values) {
        return new Fact(
                words.message("page.bias.fact." + name), words.message("page.bias.fact." + name + ".value", values));
    }

    static List<Watts> watts(BiasRange range, Words words) {
        Map<Part, Double> high = range.watts(range.mainsHigh());
        Map<Part, Double> worked = range.worked(range.mainsHigh());
        return range.watts(1).entrySet().stream()
                .map(part -> new Watts(
                        name(part.getKey(), words),
                        Figures.in(Unit.WATT, round(part.getValue())),
                        Figures.in(Unit.WATT, round(high.get(part.getKey()))),
                        Figures.in(Unit.WATT, StandardValues.wattsFor(worked.get(part.getKey())))))
                .toList();
    }

    static String name(Part part, Words words) {
        return part.number() == 0
                ? words.name(part.kind())
                : words.message("page.bias.numbered", words.name(part.kind()), part.number());
    }

    static Failed failed(FaultEffect effect, OptionalDouble rating, Words words) {
        Part part = effect.fault().part();
        return new Failed(
                name(part, words),
                words.name(effect.fault().how()),
                Figures.volts(effect.grid()),
                effect.cathodeAmps().isEmpty()
                        ? ""
                        : words.message(
                                "page.bias.tube-then",
                                Figures.fixed(
                                        Unit.MILLIAMP.fromSi(
                                                effect.cathodeAmps().getAsDouble()),
                                        0),
                                Figures.fixed(effect.plateWatts().orElse(0), 0)),
                Figures.volts(effect.reservoir()),
                rating.isPresent() && effect.reservoir() > rating.getAsDouble(),
                words.name(effect.outcome()),
                look(effect.outcome()));
    }

    private static String look(Outcome outcome) {
        return switch (outcome) {
            case RUNAWAY -> "outcome-runaway";
            case HOT -> "outcome-hot";
            default -> "";
        };
    }
}
