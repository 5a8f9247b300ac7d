package yellowrail.core.swap;

import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.move.StandardValues;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;

/** What the grids need: volts, the resistor that makes them, the leak, the drive. */
final class BiasQuestions {

    private static final double SAME_RESISTOR = 0.10;
    private static final int KILO = 1000;

    private final SwapAmp amp;
    private final TubeType in;
    private final TubeType wants;
    private final TypeInAmp there;
    private final double spread;

    BiasQuestions(SwapAmp amp, TubeType in, TubeType wants) {
        this.amp = amp;
        this.in = in;
        this.wants = wants;
        this.there = new TypeInAmp(amp, wants);
        this.spread = there.known().map(KnownModel::biasSpread).orElse(0.0);
    }

    private String source() {
        String screen = amp.screenVolts().isPresent() ? "" : " Screens not known, taken 5 V below the plates.";
        return there.known().map(known -> "Tube model fitted to published points: %s %s. From the type alone grid volts are known to \u00b1 %s V.%s".formatted(wants.name(), known.inWords(),
                Figures.plain(spread), screen)).orElse("Tube models are fitted to published points; there are none for %s.".formatted(wants.name()));
    }

    Line gridVolts() {
        String question = "grid volts";
        OptionalDouble needed = there.needed();
        if (needed.isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, amp.plateVolts().isEmpty() ? "Read the plates first." : "No published points to compute it from. Coldest end first, then set by the meter.", "", source());
        }
        double volts = needed.getAsDouble();
        double plate = amp.plateVolts().getAsDouble();
        OptionalDouble before = new TypeInAmp(amp, in).needed();
        String about = "about %s \u00b1 %s V".formatted(Figures.volts(volts), Figures.plain(spread));
        String where = before.isPresent() ? ", where %s wants %s for its own".formatted(in.name(), Figures.volts(before.getAsDouble())) : "";
        String arithmetic = "%s at %s plate, %s screen: model gives %s.".formatted(Figures.milliamps(amp.aim(wants, plate)), Figures.volts(plate), Figures.volts(amp.screenOr(plate)), Figures.volts(volts));
        if (amp.bias().isCathode()) {
            return new Line(question, Outcome.HOLDS, "%s%s: made by the cathode resistor.".formatted(about, where), arithmetic, source());
        }
        OptionalDouble cold = amp.fittings().biasColdest();
        OptionalDouble hot = amp.fittings().biasHottest();
        if (cold.isEmpty() || hot.isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, "%s%s: read the bias at both stops of the pot to know whether it reaches. %s".formatted(about, where, setting(plate)), arithmetic, source());
        }
        String range = "the bias gives %s to %s".formatted(Figures.volts(cold.getAsDouble()), Figures.volts(hot.getAsDouble()));
        boolean reaches = volts - spread >= cold.getAsDouble() && volts + spread <= hot.getAsDouble();
        return new Line(question, reaches ? Outcome.HOLDS : Outcome.CHANGE, "%s%s; %s%s. %s".formatted(about, where, range, reaches ? "" : ": move its range until it spans %s to %s".formatted(
                Figures.volts(volts - spread), Figures.volts(volts + spread)), setting(plate)), arithmetic, source());
    }

    /** Whatever the old tube drew, a new one is set from cold; what it would draw at the bias the old one left is the reason. */
    private String setting(double plate) {
        OptionalDouble amps = there.atPresentGrid();
        String set = amp.bias() == BiasKind.FIXED ? "This bias is not adjustable: change its resistor before it is in" : "Coldest end first, then set: %s".formatted(amp.each(amp.aim(wants, plate)));
        return amps.isEmpty() ? set + "." : "%s. Left at the present %s it would draw about %s, %s of its rating.".formatted(set, Figures.volts(amp.biasVolts().getAsDouble()),
                Figures.milliamps(amps.getAsDouble()), Figures.percent(plate * amps.getAsDouble() * (1 - wants.screenShare()) / wants.customaryRating().plateWatts()));
    }

    /** With cathode bias: the resistor that brings the new tube to its aim. */
    Optional<Line> cathodeResistor() {
        if (!amp.bias().isCathode()) {
            return Optional.empty();
        }
        String question = "cathode resistor";
        OptionalDouble needed = there.needed();
        if (needed.isEmpty() || amp.plateVolts().isEmpty()) {
            return Optional.of(new Line(question, Outcome.UNKNOWN, "No published points to compute it from, or nothing read: measure a pair of volts and current with the new tube.", "", source()));
        }
        double each = amp.aim(wants, amp.plateVolts().getAsDouble());
        double through = amp.sharedBy() * each;
        double ohms = -needed.getAsDouble() / through;
        double watts = -needed.getAsDouble() * through;
        String part = "%s (%s), at least %s W".formatted(Figures.ohms(StandardValues.E24.nearest(ohms)), "E24", Figures.plain(StandardValues.wattsFor(watts)));
        String arithmetic = "%s / (%d \u00d7 %s) = %s; %s in it, rated twice that. The plate-to-cathode voltage is taken as it is now.".formatted(Figures.volts(-needed.getAsDouble()), amp.sharedBy(),
                Figures.milliamps(each), Figures.ohms(Math.rint(ohms)), Figures.watts(watts));
        boolean same = amp.cathodeOhms().isPresent() && Math.abs(ohms / amp.cathodeOhms().getAsDouble() - 1) <= SAME_RESISTOR
                && (amp.partWatts().isEmpty() || amp.partWatts().getAsDouble() >= 2 * watts);
        return Optional.of(new Line(question, same ? Outcome.HOLDS : Outcome.CHANGE, same ? "%s is near enough to %s.".formatted(Figures.ohms(amp.cathodeOhms().getAsDouble()), part)
                : "to %s%s.".formatted(part, amp.cathodeOhms().isPresent() ? " from " + Figures.ohms(amp.cathodeOhms().getAsDouble()) : ""), arithmetic, source()));
    }

    Line gridLeak() {
        String question = "grid leak";
        Rating rating = wants.customaryRating();
        OptionalDouble most = amp.bias().isCathode() ? rating.gridLeakCathode() : rating.gridLeakFixed();
        String source = "Limit with %s: %s.".formatted(amp.bias().isCathode() ? "cathode bias" : "fixed bias", rating.provenance());
        if (most.isEmpty() || amp.fittings().gridLeakOhms().isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, most.isEmpty() ? "No limit is published for %s.".formatted(wants.name()) : "At most %s: find out what is in.".formatted(kilohms(most.getAsDouble())), "", source);
        }
        double ohms = amp.fittings().gridLeakOhms().getAsDouble();
        boolean holds = ohms <= most.getAsDouble();
        return new Line(question, holds ? Outcome.HOLDS : Outcome.CHANGE, holds ? "%s of at most %s.".formatted(kilohms(ohms), kilohms(most.getAsDouble()))
                : "from %s to %s or less.".formatted(kilohms(ohms), kilohms(most.getAsDouble())), "Grid current through the leak moves the bias towards hotter; the larger the leak, the more.", source);
    }

    private static String kilohms(double ohms) {
        return "%s %s".formatted(Figures.plain(ohms / KILO), Unit.KILOHM);
    }

    /** Peak volts at each grid for full drive: to the edge of grid current. */
    Line drive() {
        String question = "drive";
        OptionalDouble needed = there.needed();
        if (needed.isEmpty() || amp.fittings().driveVolts().isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, needed.isEmpty() ? "Not to be computed without a model." : "About %s peak at each grid: find out what the driver gives.".formatted(Figures.volts(-needed.getAsDouble())), "", source());
        }
        double peak = -needed.getAsDouble();
        double gives = amp.fittings().driveVolts().getAsDouble();
        return new Line(question, gives >= peak ? Outcome.HOLDS : Outcome.CHANGE, "About %s peak at each grid, the driver gives %s%s.".formatted(Figures.volts(peak), Figures.volts(gives),
                gives >= peak ? "" : ": full power takes more gain before it"), "As much as the grid stands below its cathode.", source());
    }
}
