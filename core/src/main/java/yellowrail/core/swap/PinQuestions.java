package yellowrail.core.swap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Fittings.PinOne;
import yellowrail.core.tube.TubeType;

/** Base and pin-out: which pins carry something else, and what hangs on the pins that the old tube left free. */
final class PinQuestions {

    private static final String SOURCE = "Pin-outs of the catalogue, published data sheets; wiring from the amp sheet.";

    private final TubeType in;
    private final TubeType wants;
    private final Fittings fittings;

    PinQuestions(TubeType in, TubeType wants, Fittings fittings) {
        this.in = in;
        this.wants = wants;
        this.fittings = fittings;
    }

    Line base() {
        String question = "base and pin-out";
        String arithmetic = "%s: %s, %s. %s: %s, %s.".formatted(in.name(), in.base(), in.pins(), wants.name(), wants.base(), wants.pins());
        if (!in.base().equals(wants.base())) {
            return new Line(question, Outcome.STOP, "%s has another base (%s) than the socket (%s).".formatted(wants.name(), wants.base(), in.base()), arithmetic, SOURCE);
        }
        if (in.name().equals(wants.name())) {
            return new Line(question, Outcome.HOLDS, "The same type.", arithmetic, SOURCE);
        }
        Optional<PinOut> before = PinOut.of(in);
        Optional<PinOut> after = PinOut.of(wants);
        if (before.isEmpty() || after.isEmpty()) {
            String whose = before.isEmpty() ? in.name() : wants.name();
            return new Line(question, Outcome.STOP, "%s has a pin-out of its own on the same base: the sockets would have to be rewired by its maker\u2019s sheet.".formatted(whose), arithmetic, SOURCE);
        }
        List<String> stops = new ArrayList<>();
        List<String> changes = new ArrayList<>();
        Set<String> pins = new TreeSet<>(before.get().pins().keySet());
        pins.addAll(after.get().pins().keySet());
        pins.forEach(pin -> compare(pin, before.get().at(pin), after.get().at(pin), stops, changes));
        Outcome outcome = !stops.isEmpty() ? Outcome.STOP : changes.isEmpty() ? Outcome.HOLDS : Outcome.CHANGE;
        String says = outcome == Outcome.HOLDS ? "Every pin that %s uses carries the same.".formatted(wants.name()) : String.join(" ", stops.isEmpty() ? changes : stops);
        return new Line(question, outcome, says, arithmetic, SOURCE);
    }

    private void compare(String pin, String before, String after, List<String> stops, List<String> changes) {
        if (after.equals(before) || after.isEmpty()) {
            return;
        }
        String carries = PinOut.name(after);
        if (!before.isEmpty()) {
            stops.add("Pin %s carries the %s; %s has its %s there.".formatted(pin, PinOut.name(before), wants.name(), carries));
        } else if (isTiePoint(pin)) {
            stops.add("Pin %s is used as a tie point; %s has its %s there: free it first.".formatted(pin, wants.name(), carries));
        } else if (after.equals("g3")) {
            suppressor(pin, stops, changes);
        } else if (pin.equals("1") && (fittings.pinOne() == PinOne.CATHODE || fittings.pinOne() == PinOne.GROUND)) {
            stops.add("Pin 1 is wired to %s; %s has its %s there, which would be shorted.".formatted(fittings.pinOne().inWords(), wants.name(), carries));
        } else {
            changes.add("Pin %s of %s is a second %s: see that nothing else is wired to it.".formatted(pin, wants.name(), carries));
        }
    }

    private void suppressor(String pin, List<String> stops, List<String> changes) {
        switch (fittings.pinOne()) {
            case CATHODE -> { }
            case GROUND -> changes.add("Pin %s carries the suppressor and is wired to ground: move it to the cathode, pin 8.".formatted(pin));
            default -> changes.add("Pin %s of %s is its suppressor, which %s does not have: tie pin %s to the cathode, pin 8%s.".formatted(pin, wants.name(), in.name(), pin,
                    fittings.pinOne() == PinOne.NOTHING ? "" : ", unless that is done already"));
        }
    }

    private boolean isTiePoint(String pin) {
        return Arrays.stream(fittings.tiedPins().split("[^0-9]+")).filter(each -> !each.isEmpty()).collect(Collectors.toSet()).contains(pin);
    }
}
