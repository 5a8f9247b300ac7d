package yellowrail.web.amp;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.School;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Choice;

/** What the form's lists offer, and what the units are where they follow from a choice. */
record AmpChoices(List<Choice> topologies, List<Choice> biases, List<Choice> types, List<Choice> ratings, List<Choice> counts,
                  List<Choice> sides, List<Choice> channels, List<Choice> actions, List<Choice> turns, List<Choice> methods,
                  List<Choice> shows, List<Choice> points, List<Choice> references, List<Choice> ways, List<Choice> connections,
                  List<Choice> schools, List<Choice> rectifiers, List<Choice> pinOnes, String windowUnit, String senseUnit, String schoolWhy, String methodHides) {

    static AmpChoices of(TubeCatalogue catalogue, AmpForm form) {
        School school = find(School.values(), form.target().school());
        Unit shows = find(new Unit[]{Unit.MILLIVOLT, Unit.VOLT, Unit.MILLIAMP}, form.current().shows());
        CurrentMethod method = find(CurrentMethod.values(), form.current().method());
        TubeType type = catalogue.find(form.stage().tubeType() == null ? "" : form.stage().tubeType()).orElse(catalogue.types().get(0));
        return new AmpChoices(list(Topology.values(), Topology::inWords), list(BiasKind.values(), BiasKind::inWords),
                catalogue.types().stream().map(each -> new Choice(each.name(), each.aka().isEmpty() ? each.name()
                        : each.name() + " / " + String.join(" / ", each.aka()))).toList(),
                type.ratings().stream().map(rating -> new Choice(rating.system().name(),
                        rating.system().inWords() + ", " + Figures.plain(rating.plateWatts()) + " W")).toList(),
                List.of(1, 2, 3, 4, 5, 6, 7, 8).stream().map(n -> new Choice(n.toString(), n.toString())).toList(),
                list(Side.values(), Side::inWords), list(Channel.values(), Channel::inWords), list(Pot.Action.values(), Pot.Action::inWords),
                list(Pot.Turn.values(), Pot.Turn::inWords), list(CurrentMethod.values(), CurrentMethod::inWords),
                list(new Unit[]{Unit.MILLIVOLT, Unit.VOLT, Unit.MILLIAMP}, Unit::symbol),
                list(PlateSense.Point.values(), PlateSense.Point::inWords), list(PlateSense.Reference.values(), PlateSense.Reference::inWords),
                list(ScreenSense.Way.values(), ScreenSense.Way::inWords), list(ScreenSense.Connection.values(), ScreenSense.Connection::inWords),
                list(School.values(), School::inWords), list(Rectifier.values(), Rectifier::inWords), list(Fittings.PinOne.values(), Fittings.PinOne::inWords), school.unit(shows).symbol(), shows.symbol(), school.why(),
                method.hides());
    }

    private static <E extends Enum<E>> List<Choice> list(E[] values, Function<E, String> inWords) {
        return Arrays.stream(values).map(value -> new Choice(value.name(), inWords.apply(value))).toList();
    }

    private static <E extends Enum<E>> E find(E[] values, String name) {
        return Arrays.stream(values).filter(value -> value.name().equals(name)).findFirst().orElse(values[0]);
    }
}
