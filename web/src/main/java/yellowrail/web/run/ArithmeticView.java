package yellowrail.web.run;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.Slot;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.quantity.ErrorBudget;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.tube.Rating;
import yellowrail.web.words.Words;

/** How one tube's verdict came about, opened. */
record ArithmeticView(
        TubeCard card,
        String window,
        String rating,
        List<Derivation.Step> steps,
        List<Input> inputs,
        String plusMinus,
        String improvement,
        String restsOn) {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    /** A number put in, where it is from, and its part in the uncertainty. */
    record Input(
            String symbol, String name, String value, String plusMinus, String source, String share, String watts) {}

    static ArithmeticView of(TubeIdle tube, StageIdle stage, ZoneId zone, Words words) {
        TubeCard card = TubeCard.of(tube, stage.sheet().current().shows(), words);
        Optional<Rating> known = tube.occupant().rating();
        String limit = tube.occupant().name() + ", "
                + known.map(rating -> Figures.in(Unit.WATT, rating.plateWatts()) + " (" + words.say(rating.provenance())
                                + ")")
                        .orElseGet(() -> words.message("page.arithmetic.not-known"));
        String window = words.say(stage.goal(stage.occupants().indexOf(tube.occupant()))
                .map(Goal::window)
                .orElse(stage.sheet().target())
                .told(stage.sheet().current().shows()));
        String restsOn = Stream.of(tube.current(), tube.plate())
                .flatMap(Optional::stream)
                .map(reading -> words.message(
                        "page.arithmetic.read-at",
                        EntryWriter.line(reading.entry(), stage.sheet()),
                        TIME.format(reading.takenAt().atZone(zone))))
                .collect(Collectors.joining(", "));
        if (tube.figures().isEmpty()) {
            return new ArithmeticView(card, window, limit, List.of(), List.of(), "", "", restsOn);
        }
        IdleFigures figures = tube.figures().get();
        Derivation derivation = new Derivation(figures, known.orElseThrow(), new InputWords(figures, words));
        Estimate watts = figures.dissipation();
        return new ArithmeticView(
                card,
                window,
                limit,
                derivation.steps(),
                Stream.of(Slot.values())
                        .filter(slot -> !figures.input(slot).symbol().isEmpty())
                        .map(slot -> input(slot, figures, new InputWords(figures, words)))
                        .toList(),
                "\u00b1 " + Figures.plusMinus(watts.plusMinus(), Unit.WATT) + " W",
                derivation.improvement().orElse(""),
                restsOn);
    }

    private static Input input(Slot slot, IdleFigures figures, InputWords words) {
        ErrorBudget.Input input = figures.input(slot);
        Optional<Estimate.Contribution> part = figures.dissipation().contributions().stream()
                .filter(each -> each.input() == input)
                .findFirst();
        return new Input(
                input.symbol(),
                words.name(slot),
                Figures.in(input.unit(), input.value()),
                "\u00b1 " + Figures.plusMinus(input.plusMinus(), input.unit()) + " " + input.unit(),
                words.from(slot),
                part.map(each -> Figures.fixed(100 * each.share(), 0) + " %").orElse("0 %"),
                part.map(each -> "\u00b1 " + Figures.plusMinus(each.plusMinus(), Unit.WATT) + " W")
                        .orElseGet(() -> words.words().message("page.arithmetic.none")));
    }
}
