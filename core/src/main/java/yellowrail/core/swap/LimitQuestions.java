package yellowrail.core.swap;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Target;
import yellowrail.core.quantity.Figures;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeType;

/** The new tube's limits at this amp's voltages, and the window its idle should land in. */
final class LimitQuestions {

    private final SwapAmp amp;
    private final TubeType wants;
    private final Rating rating;

    LimitQuestions(SwapAmp amp, TubeType wants) {
        this.amp = amp;
        this.wants = wants;
        this.rating = wants.customaryRating();
    }

    Line plate() {
        return volts("plate voltage", amp.plateVolts(), rating.plateVolts(), "Read the plates first.");
    }

    Line screen() {
        if (wants.isTriode()) {
            return new Line("screen voltage", Outcome.HOLDS, "A triode has no screen.", "", "Catalogue.");
        }
        return volts("screen voltage", amp.screenVolts(), rating.screenVolts(), "Read the screens (screen 430), or put them on the sheet.");
    }

    private Line volts(String question, OptionalDouble volts, OptionalDouble limit, String find) {
        String source = "Limit: %s. Voltage: as read last, to the cathode.".formatted(rating.provenance());
        if (volts.isEmpty() || limit.isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, limit.isEmpty() ? "No limit is published for %s.".formatted(wants.name()) : find, "", source);
        }
        double now = volts.getAsDouble();
        double high = now * SwapCheck.HIGH_MAINS;
        double most = limit.getAsDouble();
        String arithmetic = "%s of %s; at mains %+.0f %% %s.".formatted(Figures.volts(now), Figures.volts(most), 100 * (SwapCheck.HIGH_MAINS - 1), Figures.volts(high));
        if (now > most) {
            return new Line(question, Outcome.STOP, "%s here, %s stands %s.".formatted(Figures.volts(now), wants.name(), Figures.volts(most)), arithmetic, source);
        }
        if (high > most && rating.system() == RatingSystem.DESIGN_CENTRE) {
            return new Line(question, Outcome.HOLDS, "%s of %s; %s at high mains, which a design-centre figure allows for.".formatted(Figures.volts(now), Figures.volts(most), Figures.volts(high)), arithmetic, source);
        }
        return high > most ? new Line(question, Outcome.CHANGE, "%s of %s, but %s when the mains is high: bring it down to %s.".formatted(Figures.volts(now), Figures.volts(most), Figures.volts(high),
                Figures.volts(most / SwapCheck.HIGH_MAINS)), arithmetic, source) : new Line(question, Outcome.HOLDS, "%s of %s, %s at high mains.".formatted(Figures.volts(now), Figures.volts(most), Figures.volts(high)), arithmetic, source);
    }

    /** What the present setting would make of the new tube, and what to set instead. */
    Line dissipation() {
        String question = "idle dissipation";
        String source = "Rating: %s. Screen share of %s: catalogue.".formatted(rating.provenance(), wants.name());
        if (amp.plateVolts().isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, "Read plates and currents first.", "", source);
        }
        double plate = amp.plateVolts().getAsDouble();
        double aim = amp.aim(wants, plate);
        Target window = amp.window();
        String set = "set it to %s each, %s".formatted(Figures.milliamps(aim), Figures.percent(window.aim()));
        Optional<TypeInAmp.Drawn> stands = new TypeInAmp(amp, wants).asItStands();
        OptionalDouble amps = stands.isPresent() ? OptionalDouble.of(stands.get().cathodeAmps()) : amp.cathodeAmps();
        if (amps.isEmpty()) {
            return new Line(question, Outcome.CHANGE, "At these plates: " + set + ".", "%s \u00d7 %s / %s / (1 \u2212 %s).".formatted(Figures.percent(window.aim()), Figures.watts(rating.plateWatts()), Figures.volts(plate),
                    Figures.percent(wants.screenShare())), source);
        }
        double watts = plate * amps.getAsDouble() * (1 - wants.screenShare());
        double ratio = watts / rating.plateWatts();
        String now = "%s would be %s, %s of %s".formatted(stands.map(this::told).orElse("The present %s each".formatted(Figures.milliamps(amps.getAsDouble()))), Figures.watts(watts), Figures.percent(ratio),
                Figures.watts(rating.plateWatts()));
        boolean inWindow = ratio >= window.low() && ratio <= window.high();
        String arithmetic = "%s \u00d7 %s \u00d7 (1 \u2212 %s) = %s; window %s to %s.".formatted(Figures.volts(plate), Figures.milliamps(amps.getAsDouble()), Figures.percent(wants.screenShare()),
                Figures.watts(watts), Figures.percent(window.low()), Figures.percent(window.high()));
        return new Line(question, inWindow ? Outcome.HOLDS : Outcome.CHANGE, inWindow ? now + ": in the window." : "%s: %s.".formatted(now, set), arithmetic, stands.isPresent() ? source + " Current: the type\u2019s model." : source);
    }

    private String told(TypeInAmp.Drawn drawn) {
        return "%s it would draw about %s each: that".formatted(drawn.gridVolts().isPresent() ? "At the present " + Figures.volts(drawn.gridVolts().getAsDouble())
                : "With the present " + Figures.ohms(amp.cathodeOhms().orElseThrow()), Figures.milliamps(drawn.cathodeAmps()));
    }

    Line cathodeCurrent() {
        String question = "cathode current";
        String source = "Limit: %s.".formatted(rating.provenance());
        if (rating.cathodeAmps().isEmpty() || amp.plateVolts().isEmpty()) {
            return new Line(question, Outcome.UNKNOWN, rating.cathodeAmps().isEmpty() ? "No limit is published for %s.".formatted(wants.name()) : "Read the plates first.", "", source);
        }
        double aim = amp.aim(wants, amp.plateVolts().getAsDouble());
        double most = rating.cathodeAmps().getAsDouble();
        return new Line(question, aim > most ? Outcome.STOP : Outcome.HOLDS, String.format(Locale.ROOT, "%s at the new idle, %s at most.", Figures.milliamps(aim), SwapCheck.rated(most)),
                "Mean current; at full drive it is more, which the load line tells.", source);
    }
}
