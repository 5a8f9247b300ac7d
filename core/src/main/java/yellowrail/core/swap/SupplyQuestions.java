package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.RectifierType;
import yellowrail.core.tube.TubeType;

/** Heaters, and the DC through transformers, choke and rectifier. */
final class SupplyQuestions {

    private static final double SAME_VOLTS = 0.05;
    /** A hot heater\u2019s current grows more slowly than its voltage: about as the 0.6th power. */
    private static final double HOT_WIRE = 0.6;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;

    SupplyQuestions(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
    }

    Line heaterVolts() {
        String arithmetic = "%s %s V, %s %s V.".formatted(in.name(), Figures.plain(in.heaterVolts()), wants.name(), Figures.plain(wants.heaterVolts()));
        boolean same = Math.abs(wants.heaterVolts() / in.heaterVolts() - 1) <= SAME_VOLTS;
        return new Line("heater volts", same ? Outcome.HOLDS : Outcome.STOP, same ? "%s V both.".formatted(Figures.plain(wants.heaterVolts()))
                : "%s wants %s V, the winding gives %s V.".formatted(wants.name(), Figures.plain(wants.heaterVolts()), Figures.plain(in.heaterVolts())), arithmetic, "Catalogue, published data sheets.");
    }

    /** All heaters of the winding against its rating, also at high mains. */
    Line heaterBudget() {
        String question = "heater winding";
        Fittings fittings = amp.fittings();
        double tubes = amp.tubes() * wants.heaterAmps();
        String each = "%d \u00d7 %s A = %s A".formatted(amp.tubes(), Figures.plain(wants.heaterAmps()), Figures.plain(tubes));
        String source = "Heater currents: catalogue. Winding and the rest: amp sheet.";
        if (fittings.heaterAmps().isEmpty()) {
            boolean less = wants.heaterAmps() <= in.heaterAmps();
            return new Line(question, less ? Outcome.HOLDS : Outcome.UNKNOWN, less ? "%s A each, no more than %s\u2019s %s A.".formatted(Figures.plain(wants.heaterAmps()), in.name(), Figures.plain(in.heaterAmps()))
                    : "%s A each for %s A: find out what the winding is rated for.".formatted(Figures.plain(wants.heaterAmps()), Figures.plain(in.heaterAmps())), each, source);
        }
        double rated = fittings.heaterAmps().getAsDouble();
        double total = tubes + fittings.otherHeaterAmps().orElse(0);
        double high = total * Math.pow(SwapCheck.HIGH_MAINS, HOT_WIRE);
        String arithmetic = "%s, and %s A else = %s A of %s A; at mains %+.0f %% about %s A (current as volts^%s).".formatted(each, fittings.otherHeaterAmps().isPresent()
                ? Figures.plain(fittings.otherHeaterAmps().getAsDouble()) : "unknown", Figures.fixed(total, 1), Figures.plain(rated), 100 * (SwapCheck.HIGH_MAINS - 1), Figures.fixed(high, 1), HOT_WIRE);
        if (total > rated) {
            return new Line(question, Outcome.STOP, "%s A of %s A: %s A too much.".formatted(Figures.fixed(total, 1), Figures.plain(rated), Figures.fixed(total - rated, 1)), arithmetic, source);
        }
        String hand = "%s A of %s A: %.0f %% in hand".formatted(Figures.fixed(total, 1), Figures.plain(rated), 100 * (1 - total / rated));
        boolean known = fittings.otherHeaterAmps().isPresent();
        return new Line(question, known ? Outcome.HOLDS : Outcome.UNKNOWN, hand + (known ? "" : " for what else hangs on it: find that out") + (high > rated ? "; nothing left when the mains is high" : "") + ".",
                arithmetic, source);
    }

    /** What the stage will draw against every rating it passes through. */
    Line railCurrent() {
        String question = "DC through transformer, choke and rectifier";
        if (amp.plateVolts().isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, "Read the plates first.", "", "Nothing read.");
        }
        double each = amp.aim(wants, amp.plateVolts().getAsDouble());
        double total = amp.tubes() * each + amp.otherAmps().orElse(0);
        List<String> over = new ArrayList<>();
        List<String> holds = new ArrayList<>();
        hold("the transformer", amp.fittings().transformerAmps(), total, over, holds);
        hold("the choke", amp.fittings().chokeAmps(), total, over, holds);
        if (amp.fittings().transformerAmps().isEmpty() || amp.fittings().chokeAmps().isEmpty()) {
            hold("transformer or choke", amp.mostAmps(), total, over, holds);
        }
        Optional<RectifierType> rectifier = RectifierType.find(amp.fittings().rectifierTube());
        rectifier.ifPresent(type -> hold(type.name(), OptionalDouble.of(type.dcAmps()), total, over, holds));
        String arithmetic = "%d \u00d7 %s at the new idle + %s = %s.".formatted(amp.tubes(), Figures.milliamps(each), amp.otherInWords(), Figures.milliamps(total));
        String source = "New idle: aim of the window. Ratings: amp sheet; rectifiers: published data sheets%s.".formatted(rectifier.filter(type -> !type.sure()).isPresent() ? ", verify with your maker\u2019s sheet" : "");
        if (!over.isEmpty()) {
            return new Line(question, Outcome.STOP, "%s at idle is too much for %s.".formatted(Figures.milliamps(total), String.join(", ", over)), arithmetic, source);
        }
        return holds.isEmpty() ? new Line(question, Outcome.UNKNOWN, "%s at idle: find out what transformer, choke and rectifier are rated for.".formatted(Figures.milliamps(total)), arithmetic, source)
                : new Line(question, Outcome.HOLDS, "%s at idle: within %s.".formatted(Figures.milliamps(total), String.join(", ", holds)), arithmetic, source);
    }

    private static void hold(String what, OptionalDouble rating, double total, List<String> over, List<String> holds) {
        if (rating.isPresent()) {
            (total > rating.getAsDouble() ? over : holds).add("%s (%s)".formatted(what, SwapCheck.rated(rating.getAsDouble())));
        }
    }

    /** Single-ended, the primary carries the tubes' DC. */
    Optional<Line> outputCurrent() {
        if (amp.topology() != Topology.SINGLE_ENDED) {
            return Optional.empty();
        }
        String question = "DC through the output transformer";
        if (amp.plateVolts().isEmpty() || amp.fittings().outputAmps().isEmpty()) {
            return Optional.of(new Line(question, Outcome.UNKNOWN, amp.plateVolts().isEmpty() ? "Read the plates first." : "Find out what DC its primary is rated for.", "", "Amp sheet."));
        }
        double plate = amp.tubesPerSide() * amp.aim(wants, amp.plateVolts().getAsDouble()) * (1 - wants.screenShare());
        double rated = amp.fittings().outputAmps().getAsDouble();
        return Optional.of(new Line(question, plate > rated ? Outcome.STOP : Outcome.HOLDS, String.format(Locale.ROOT, "%s of %s.", Figures.milliamps(plate), SwapCheck.rated(rated)),
                "%d \u00d7 plate current at the new idle.".formatted(amp.tubesPerSide()), "Amp sheet."));
    }
}
