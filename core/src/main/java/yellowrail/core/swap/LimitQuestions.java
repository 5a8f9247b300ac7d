package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.Target;
import yellowrail.core.finding.Finding;
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
        this.rating = amp.rating(wants);
    }

    Line plate() {
        return volts(
                SwapQuestion.PLATE_VOLTS, amp.plateVolts(), rating.plateVolts(), new SwapFinding.ReadPlatesFirst());
    }

    Line screen() {
        if (wants.isTriode()) {
            return Line.of(SwapQuestion.SCREEN_VOLTS, Outcome.HOLDS, new LimitFinding.NoScreen())
                    .from(new SwapFinding.CatalogueSource());
        }
        return volts(
                SwapQuestion.SCREEN_VOLTS, amp.screenVolts(), rating.screenVolts(), new LimitFinding.ReadScreens());
    }

    private Line volts(SwapQuestion question, OptionalDouble volts, OptionalDouble limit, Finding find) {
        Finding source = new LimitFinding.VoltsSource(rating.provenance());
        if (volts.isEmpty() || limit.isEmpty()) {
            return Line.of(
                            question,
                            Outcome.UNKNOWN,
                            limit.isEmpty() ? new SwapFinding.NoLimitPublished(wants.name()) : find)
                    .from(source);
        }
        double now = volts.getAsDouble();
        double high = now * SwapCheck.HIGH_MAINS;
        double most = limit.getAsDouble();
        Line line;
        if (now > most) {
            line = Line.of(question, Outcome.STOP, new LimitFinding.OverLimit(now, wants.name(), most));
        } else if (high <= most) {
            line = Line.of(question, Outcome.HOLDS, new LimitFinding.WithinLimit(now, most, high));
        } else if (rating.system() == RatingSystem.DESIGN_CENTRE) {
            line = Line.of(question, Outcome.HOLDS, new LimitFinding.AllowedForMains(now, most, high));
        } else {
            line = Line.of(
                    question,
                    Outcome.CHANGE,
                    new LimitFinding.OverAtHighMains(now, most, high, most / SwapCheck.HIGH_MAINS));
        }
        return line.by(new LimitFinding.VoltsAtMains(now, most, SwapCheck.HIGH_MAINS - 1, high))
                .from(source);
    }

    /**
     * What the present setting would make of the new tube, and what to set instead.
     *
     * @param leave whether the amp cannot stand what it would be set to
     */
    Line dissipation(boolean leave) {
        List<Finding> source =
                new ArrayList<>(List.of(new LimitFinding.WattsSource(rating.provenance(), wants.name())));
        if (amp.plateVolts().isEmpty()) {
            return Line.of(SwapQuestion.IDLE_DISSIPATION, Outcome.UNKNOWN, new LimitFinding.ReadPlatesAndCurrents())
                    .from(source.get(0));
        }
        double plate = amp.plateVolts().getAsDouble();
        double aim = amp.aim(wants, plate);
        Target window = amp.window();
        Optional<TypeInAmp.Drawn> stands = new TypeInAmp(amp, wants).asItStands();
        OptionalDouble amps =
                stands.isPresent() ? OptionalDouble.of(stands.get().cathodeAmps()) : amp.cathodeAmps();
        if (amps.isEmpty()) {
            return Line.of(SwapQuestion.IDLE_DISSIPATION, Outcome.CHANGE, new LimitFinding.ToBeSet(aim, window.aim()))
                    .by(new LimitFinding.AimArithmetic(window.aim(), rating.plateWatts(), plate, wants.screenShare()))
                    .from(source.get(0));
        }
        double watts = plate * amps.getAsDouble() * (1 - wants.screenShare());
        double ratio = watts / rating.plateWatts();
        LimitFinding what = stands.map(this::told).orElseGet(() -> new LimitFinding.PresentCurrent(amps.getAsDouble()));
        boolean inWindow = ratio >= window.low() && ratio <= window.high();
        stands.ifPresent(drawn -> source.add(new LimitFinding.CurrentByModel()));
        return Line.of(
                        SwapQuestion.IDLE_DISSIPATION,
                        inWindow || leave ? Outcome.HOLDS : Outcome.CHANGE,
                        leave
                                ? new LimitFinding.StandsAndStays(what, watts, ratio, rating.plateWatts())
                                : inWindow
                                        ? new LimitFinding.StandsInWindow(what, watts, ratio, rating.plateWatts())
                                        : new LimitFinding.StandsToBeSet(
                                                what, watts, ratio, rating.plateWatts(), aim, window.aim()))
                .by(new LimitFinding.WattsArithmetic(
                        plate, amps.getAsDouble(), wants.screenShare(), watts, window.low(), window.high()))
                .from(source.toArray(Finding[]::new));
    }

    private LimitFinding told(TypeInAmp.Drawn drawn) {
        return drawn.gridVolts().isPresent()
                ? new LimitFinding.AtPresentGrid(drawn.gridVolts().getAsDouble(), drawn.cathodeAmps())
                : new LimitFinding.WithPresentResistor(amp.cathodeOhms().orElseThrow(), drawn.cathodeAmps());
    }

    Line cathodeCurrent() {
        Finding source = new LimitFinding.LimitSource(rating.provenance());
        if (rating.cathodeAmps().isEmpty() || amp.plateVolts().isEmpty()) {
            return Line.of(
                            SwapQuestion.CATHODE_CURRENT,
                            rating.cathodeAmps().isEmpty() ? Outcome.HOLDS : Outcome.UNKNOWN,
                            rating.cathodeAmps().isEmpty()
                                    ? new SwapFinding.NoLimitPublished(wants.name())
                                    : new SwapFinding.ReadPlatesFirst())
                    .from(source);
        }
        double aim = amp.aim(wants, amp.plateVolts().getAsDouble());
        double most = rating.cathodeAmps().getAsDouble();
        return Line.of(
                        SwapQuestion.CATHODE_CURRENT,
                        aim > most ? Outcome.STOP : Outcome.HOLDS,
                        new LimitFinding.CathodeCurrent(aim, most))
                .by(new LimitFinding.MeanCurrent())
                .from(source);
    }
}
