package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import yellowrail.core.iron.RatioMeasurement;
import yellowrail.core.quantity.Unit;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;

/** The ratio bench as typed. */
record RatioForm(Map<String, String> typed) {

    static final List<String> TAPS = List.of("1", "2", "3");
    private static final int LONGEST = 20;

    String of(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    boolean isBlank() {
        return volts().allMatch(field -> of(field).isEmpty())
                && ohms().allMatch(field -> of(field).isEmpty());
    }

    private static Stream<String> volts() {
        return Stream.concat(
                Stream.of("primary", "half", "otherHalf", "screenTap", "source"),
                TAPS.stream().map(tap -> "tap" + tap));
    }

    private static Stream<String> ohms() {
        return Stream.concat(
                Stream.of("primaryOhms", "sourceOhms"), TAPS.stream().map(tap -> "tapOhms" + tap));
    }

    /** @return empty if there are faults, or nothing was typed */
    Optional<RatioMeasurement> read(Faults faults) {
        if (isBlank()) {
            return Optional.empty();
        }
        FormReader read = new FormReader(faults);
        if (volts().allMatch(field -> of(field).isEmpty())) {
            faults.say("primary", "page.form.resistances-alone");
            return Optional.empty();
        }
        double primary = read.required("primary", of("primary"), Unit.VOLT, 0.001, 1000);
        List<RatioMeasurement.Tap> taps = new ArrayList<>();
        for (String tap : TAPS) {
            OptionalDouble volts = read.number("tap" + tap, of("tap" + tap), Unit.VOLT, 0.0001, 1000);
            OptionalDouble ohms = read.number("tapOhms" + tap, of("tapOhms" + tap), Unit.OHM, 0.001, 100);
            String label = read.words("tapLabel" + tap, of("tapLabel" + tap), LONGEST);
            volts.ifPresent(value -> taps.add(new RatioMeasurement.Tap(
                    label.isEmpty() ? faults.worded("page.ratio.tap", tap) : label, value, ohms)));
        }
        if (taps.isEmpty()) {
            faults.say("tap1", "page.form.one-tap-at-least");
        }
        OptionalDouble half = read.number("half", of("half"), Unit.VOLT, 0.001, 1000);
        OptionalDouble other = read.number("otherHalf", of("otherHalf"), Unit.VOLT, 0.001, 1000);
        OptionalDouble screen = read.number("screenTap", of("screenTap"), Unit.VOLT, 0.001, 1000);
        OptionalDouble source = read.number("source", of("source"), Unit.VOLT, 0.001, 1000);
        OptionalDouble sourceOhms = read.number("sourceOhms", of("sourceOhms"), Unit.OHM, 0.01, 100_000);
        OptionalDouble copper = read.number("primaryOhms", of("primaryOhms"), Unit.OHM, 0.1, 5000);
        boolean fedSecondary = !of("fed").equals("primary");
        return faults.any()
                ? Optional.empty()
                : Optional.of(new RatioMeasurement(
                        fedSecondary, primary, taps, half, other, screen, source, sourceOhms, copper));
    }
}
