package yellowrail.web.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.idle.IdleCalculation;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.IdleProblem;
import yellowrail.core.idle.Slot;
import yellowrail.core.quantity.ErrorBudget.Input;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;

/** Tells how a tube's figures came about: each formula, with the numbers put in, and what it gave. */
final class Derivation {

    /** A part this large in the uncertainty is worth a better part or meter. */
    private static final double DOMINATES = 0.4;

    private static final double BETTER_TOLERANCE = 0.01;

    private final IdleFigures figures;
    private final Rating rating;
    private final InputWords inputs;

    /**
     * One line of arithmetic.
     *
     * @param what what it gives, in words
     * @param formula in symbols
     * @param numbers the same with the numbers put in
     * @param result what it gave, with unit
     */
    record Step(String what, String formula, String numbers, String result) {}

    Derivation(IdleFigures figures, Rating rating, InputWords inputs) {
        this.figures = figures;
        this.rating = rating;
        this.inputs = inputs;
    }

    List<Step> steps() {
        List<Step> steps = new ArrayList<>();
        current(steps);
        plateVolts(steps);
        Estimate watts = figures.dissipation();
        steps.add(new Step(
                said("plate-watts"),
                "Pa = Va \u00d7 Ia",
                Figures.volts(figures.plateVolts().value()) + " \u00d7 "
                        + Figures.milliamps(figures.plateCurrent().value()),
                Figures.watts(watts.value())));
        steps.add(new Step(
                said("share"),
                "Pa / Pa max",
                Figures.watts(watts.value()) + " / " + Figures.in(Unit.WATT, rating.plateWatts()),
                Figures.percent(watts.value() / rating.plateWatts())));
        figures.screenWatts()
                .ifPresent(screen -> steps.add(new Step(
                        said("screen-watts"),
                        "Pg2 = Vg2 \u00d7 Ig2",
                        Figures.volts(figures.screenVolts().orElseThrow().value()) + " \u00d7 "
                                + Figures.milliamps(figures.screen().value()),
                        Figures.watts(screen.value()))));
        return steps;
    }

    private void current(List<Step> steps) {
        IdleProblem problem = figures.problem();
        boolean plate = problem.sense().method().yields() == CurrentMethod.Yields.PLATE;
        Estimate through = plate ? figures.plateCurrent() : figures.cathode();
        String symbol = plate ? "Ia" : "Ik";
        Input copper = figures.input(Slot.COPPER);
        Input ohms = figures.input(Slot.SENSE_OHMS);
        if (!copper.symbol().isEmpty()) {
            double hot = ohms.value()
                    * (1
                            + IdleCalculation.COPPER
                                    * (copper.value() - problem.sense().copperCold()));
            steps.add(new Step(
                    said("copper"),
                    "R = Rcold \u00d7 (1 + 0.0039 \u00d7 (T \u2212 Tcold))",
                    Figures.ohms(ohms.value()) + " \u00d7 (1 + 0.0039 \u00d7 (" + Figures.plain(copper.value())
                            + " \u2212 " + Figures.plain(problem.sense().copperCold()) + "))",
                    Figures.ohms(hot)));
        }
        String shared = problem.sharedBy() > 1 ? " / " + problem.sharedBy() : "";
        String other = figures.input(Slot.OTHER_AMPS).symbol().isEmpty() ? "" : " \u2212 Iother";
        Input reading = figures.input(Slot.SENSE_READING);
        String read = Figures.in(reading.unit(), reading.value());
        String formula = (problem.senseIsVolts() ? "V / R" : "I") + other;
        String numbers = (problem.senseIsVolts() ? read + " / " + Figures.ohms(ohms.value()) : read)
                + (other.isEmpty()
                        ? ""
                        : " \u2212 "
                                + Figures.milliamps(
                                        figures.input(Slot.OTHER_AMPS).value()));
        boolean brackets = !other.isEmpty() && !shared.isEmpty();
        steps.add(new Step(
                shared.isEmpty() ? through(plate) : said("average", through(plate), problem.sharedBy()),
                symbol + " = " + (brackets ? "(" + formula + ")" : formula) + (shared.isEmpty() ? "" : " / n"),
                (brackets ? "(" + numbers + ")" : numbers) + shared,
                Figures.milliamps(through.value())));
        screen(steps, plate);
    }

    private String through(boolean plate) {
        return said(plate ? "plate" : "cathode");
    }

    private String said(String key, Object... arguments) {
        return inputs.words().message("page.derivation." + key, arguments);
    }

    private void screen(List<Step> steps, boolean plate) {
        IdleProblem problem = figures.problem();
        String screen = Figures.milliamps(figures.screen().value());
        String share = Figures.plain(problem.screenShare());
        if (problem.way() == ScreenSense.Way.NOT_DEDUCTED) {
            steps.add(new Step(said("screen"), said("not-deducted"), said("all-counted"), "0 mA"));
            return;
        }
        if (problem.way() == ScreenSense.Way.MEASURED) {
            steps.add(new Step(said("screen"), said("measured"), screen, screen));
        } else if (plate) {
            steps.add(new Step(
                    said("screen"),
                    "Ig2 = Ia \u00d7 s / (1 \u2212 s)",
                    Figures.milliamps(figures.plateCurrent().value()) + " \u00d7 " + share + " / (1 \u2212 " + share
                            + ")",
                    screen));
        } else {
            steps.add(new Step(
                    said("screen"),
                    "Ig2 = s \u00d7 Ik",
                    share + " \u00d7 " + Figures.milliamps(figures.cathode().value()),
                    screen));
        }
        if (!plate) {
            steps.add(new Step(
                    said("plate"),
                    "Ia = Ik \u2212 Ig2",
                    Figures.milliamps(figures.cathode().value()) + " \u2212 " + screen,
                    Figures.milliamps(figures.plateCurrent().value())));
        }
    }

    private void plateVolts(List<Step> steps) {
        IdleProblem problem = figures.problem();
        StringBuilder formula = new StringBuilder("Va = Vread");
        StringBuilder numbers = new StringBuilder(Figures.volts(problem.plateReading()));
        if (problem.plate().reference() == PlateSense.Reference.GROUND) {
            formula.append(" \u2212 Vk");
            numbers.append(" \u2212 ")
                    .append(Figures.fixed(figures.cathodeVolts(), figures.cathodeVolts() < 1 ? 3 : 2))
                    .append(" V");
        }
        if (problem.plate().point() == PlateSense.Point.B_PLUS) {
            Input half = figures.input(Slot.HALF_PRIMARY);
            formula.append(half.symbol().isEmpty() ? " \u2212 V" : " \u2212 m \u00d7 Ia \u00d7 Rhalf");
            numbers.append(
                    half.symbol().isEmpty()
                            ? " \u2212 " + Figures.in(Unit.VOLT, problem.senseReading())
                            : " \u2212 " + problem.tubesOnHalfPrimary() + " \u00d7 "
                                    + Figures.milliamps(figures.plateCurrent().value()) + " \u00d7 "
                                    + Figures.ohms(half.value()));
        }
        steps.add(new Step(
                said("plate-volts"),
                formula.toString(),
                numbers.toString(),
                Figures.fixed(figures.plateVolts().value(), 2) + " V"));
    }

    /** What would make the figure surer, where one part dominates its uncertainty. */
    Optional<String> improvement() {
        List<Estimate.Contribution> parts = figures.dissipation().contributions();
        if (parts.isEmpty() || parts.get(0).share() < DOMINATES) {
            return Optional.empty();
        }
        Estimate.Contribution worst = parts.get(0);
        if (worst.input() == figures.input(Slot.SENSE_OHMS)
                && figures.problem().sense().tolerance() > BETTER_TOLERANCE) {
            double scale = BETTER_TOLERANCE / figures.problem().sense().tolerance();
            double total = figures.dissipation().plusMinus();
            double rest = Math.sqrt(Math.max(0, total * total - worst.plusMinus() * worst.plusMinus()));
            return Optional.of(said(
                    "better-resistor",
                    Figures.in(Unit.PERCENT, figures.problem().sense().tolerance()),
                    Figures.plusMinus(Math.hypot(rest, worst.plusMinus() * scale), Unit.WATT),
                    Figures.plusMinus(total, Unit.WATT)));
        }
        return Stream.of(Slot.values())
                .filter(slot -> figures.input(slot) == worst.input())
                .findFirst()
                .map(slot -> said("most-from", inputs.name(slot)));
    }
}
