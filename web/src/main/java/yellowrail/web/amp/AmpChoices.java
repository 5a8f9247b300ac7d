package yellowrail.web.amp;

import java.util.Arrays;
import java.util.List;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.Core;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Code;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Choice;
import yellowrail.web.tubes.TypeOffers;
import yellowrail.web.words.Words;

/** What the form's lists offer, and what the units are where they follow from a choice. */
record AmpChoices(
        List<Choice> topologies,
        List<Choice> biases,
        List<Choice> types,
        List<Choice> ratings,
        List<Choice> counts,
        List<Choice> sides,
        List<Choice> channels,
        List<Choice> actions,
        List<Choice> turns,
        List<Choice> methods,
        List<Choice> shows,
        List<Choice> points,
        List<Choice> references,
        List<Choice> ways,
        List<Choice> connections,
        List<Choice> schools,
        List<Choice> rectifiers,
        List<Choice> pinOnes,
        List<Choice> coreKinds,
        String windowUnit,
        String senseUnit,
        String schoolWhy,
        String methodHides) {

    /** The units of a meter at a test point. */
    private static final List<Unit> SHOWN = List.of(Unit.MILLIVOLT, Unit.VOLT, Unit.MILLIAMP);

    static AmpChoices of(TubeCatalogue catalogue, AmpForm form, Words words) {
        School school = find(School.values(), form.target().school());
        Unit shows = find(SHOWN.toArray(Unit[]::new), form.current().shows());
        CurrentMethod method = find(CurrentMethod.values(), form.current().method());
        TubeType type =
                catalogue.find(form.stage().typed()).orElse(catalogue.types().get(0));
        return new AmpChoices(
                list(Topology.values(), words),
                list(BiasKind.values(), words),
                TypeOffers.of(catalogue, words),
                type.ratings().stream()
                        .map(rating -> new Choice(
                                rating.system().name(),
                                words.name(rating.system()) + ", " + Figures.plain(rating.plateWatts()) + " W"))
                        .toList(),
                List.of(1, 2, 3, 4, 5, 6, 7, 8).stream()
                        .map(n -> new Choice(n.toString(), n.toString()))
                        .toList(),
                list(Side.values(), words),
                list(Channel.values(), words),
                list(Pot.Action.values(), words),
                list(Pot.Turn.values(), words),
                list(CurrentMethod.values(), words),
                SHOWN.stream()
                        .map(unit -> new Choice(unit.name(), unit.symbol()))
                        .toList(),
                list(PlateSense.Point.values(), words),
                list(PlateSense.Reference.values(), words),
                list(ScreenSense.Way.values(), words),
                list(ScreenSense.Connection.values(), words),
                list(School.values(), words),
                list(Rectifier.values(), words),
                list(Fittings.PinOne.values(), words),
                list(Core.Kind.values(), words),
                school.unit(shows).symbol(),
                shows.symbol(),
                words.message("page.school." + Code.of(school)),
                method.hides() == CurrentMethod.Hidden.NOTHING
                        ? null
                        : words.message("page.amp.hides", words.name(method.hides())));
    }

    /** What a choice of a field is called on the form; what was typed stays as it was. */
    String named(String field, String value) {
        List<Choice> offered = switch (field) {
            case "stage.topology" -> topologies;
            case "stage.bias" -> biases;
            case "stage.ratingSystem" -> ratings;
            case "sockets.side" -> sides;
            case "sockets.channel" -> channels;
            case "pots.action" -> actions;
            case "pots.hotter" -> turns;
            case "current.method" -> methods;
            case "current.shows" -> shows;
            case "plate.point" -> points;
            case "plate.reference" -> references;
            case "screen.way" -> ways;
            case "screen.connection" -> connections;
            case "target.school" -> schools;
            case "supply.rectifier" -> rectifiers;
            case "fittings.pinOne" -> pinOnes;
            case "fittings.coreKind" -> coreKinds;
            default -> List.of();
        };
        return offered.stream()
                .filter(choice -> choice.value().equals(value))
                .map(Choice::text)
                .findFirst()
                .orElse(value);
    }

    private static <E extends Enum<E>> List<Choice> list(E[] values, Words words) {
        return Choice.of(values, Enum::name, words);
    }

    private static <E extends Enum<E>> E find(E[] values, String name) {
        return Arrays.stream(values)
                .filter(value -> value.name().equals(name))
                .findFirst()
                .orElse(values[0]);
    }
}
