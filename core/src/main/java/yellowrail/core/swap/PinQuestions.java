package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.finding.Finding;
import yellowrail.core.tube.Element;
import yellowrail.core.tube.TubeType;

/** Base and pin-out: which pins carry something else, and what hangs on the pins that the old tube left free. */
final class PinQuestions {

    private final TubeType in;
    private final TubeType wants;
    private final Fittings fittings;

    PinQuestions(TubeType in, TubeType wants, Fittings fittings) {
        this.in = in;
        this.wants = wants;
        this.fittings = fittings;
    }

    Line base() {
        return compared()
                .by(new PinFinding.BothPinOuts(
                        in.name(), in.base(), in.pins(), wants.name(), wants.base(), wants.pins()))
                .from(new PinFinding.PinSource());
    }

    private Line compared() {
        if (!in.base().equals(wants.base())) {
            return line(Outcome.STOP, new PinFinding.AnotherBase(wants.name(), wants.base(), in.base()));
        }
        if (in.name().equals(wants.name())) {
            return line(Outcome.HOLDS, new PinFinding.SameType());
        }
        if (in.pins().isOfItsOwn() || wants.pins().isOfItsOwn()) {
            return line(Outcome.STOP, new PinFinding.PinOutOfItsOwn(in.pins().isOfItsOwn() ? in.name() : wants.name()));
        }
        List<Finding> stops = new ArrayList<>();
        List<Finding> changes = new ArrayList<>();
        Set<String> pins = new TreeSet<>(in.pins().pins().keySet());
        pins.addAll(wants.pins().pins().keySet());
        pins.forEach(pin -> compare(pin, in.pins().at(pin), wants.pins().at(pin), stops, changes));
        if (!stops.isEmpty()) {
            return line(Outcome.STOP, stops.toArray(Finding[]::new));
        }
        return changes.isEmpty()
                ? line(Outcome.HOLDS, new PinFinding.PinsCarryTheSame(wants.name()))
                : line(Outcome.CHANGE, changes.toArray(Finding[]::new));
    }

    private static Line line(Outcome outcome, Finding... says) {
        return Line.of(SwapQuestion.BASE, outcome, says);
    }

    private void compare(
            String pin, List<Element> before, List<Element> after, List<Finding> stops, List<Finding> changes) {
        if (after.equals(before) || after.isEmpty()) {
            return;
        }
        if (!before.isEmpty()) {
            stops.add(new PinFinding.PinCarriesAnother(pin, before, wants.name(), after));
        } else if (isTiePoint(pin)) {
            stops.add(new PinFinding.PinIsTiePoint(pin, wants.name(), after));
        } else if (after.equals(List.of(Element.SUPPRESSOR))) {
            suppressor(pin, changes);
        } else if (pin.equals("1") && (fittings.pinOne() == PinOne.CATHODE || fittings.pinOne() == PinOne.GROUND)) {
            stops.add(new PinFinding.PinWouldBeShorted(fittings.pinOne(), wants.name(), after));
        } else {
            changes.add(new PinFinding.PinIsSecond(pin, wants.name(), after));
        }
    }

    private void suppressor(String pin, List<Finding> changes) {
        switch (fittings.pinOne()) {
            case CATHODE -> {}
            case GROUND -> changes.add(new PinFinding.SuppressorOnGround(pin));
            case NOTHING -> changes.add(new PinFinding.SuppressorToTie(pin, wants.name(), in.name()));
            case UNKNOWN -> changes.add(new PinFinding.SuppressorToTieUnlessDone(pin, wants.name(), in.name()));
        }
    }

    private boolean isTiePoint(String pin) {
        return Arrays.stream(fittings.tiedPins().split("[^0-9]+"))
                .filter(each -> !each.isEmpty())
                .collect(Collectors.toSet())
                .contains(pin);
    }
}
