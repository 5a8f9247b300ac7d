package yellowrail.web.prove;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.proof.Climb;
import yellowrail.core.quantity.Unit;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;

/** What a page asks of the newest of its recording; what is no number is not told. */
record ClimbForm(Map<String, String> query) {

    private static final int LONGEST = 60;
    private static final double SILENT = -120;
    private static final double LOWEST = 20;
    private static final double HIGHEST = 20_000;
    private static final double USUAL_HERTZ = 1000;
    private static final double USUAL_MARK = 0.1;

    /** As it is typed in its field, ohm. */
    OptionalDouble load() {
        try {
            return OptionalDouble.of(
                            Quantity.parse(query.getOrDefault("load", "")).si(Unit.OHM))
                    .stream()
                    .filter(ohms -> ohms > 0)
                    .findFirst();
        } catch (BadQuantityException e) {
            return OptionalDouble.empty();
        }
    }

    /** What is climbed to; empty where it is only listened. */
    Optional<Climb> climb() {
        return level().isPresent() && number("mark").isPresent() ? Optional.of(goal()) : Optional.empty();
    }

    /** What is climbed to; what was not told is usual. */
    Climb goal() {
        return new Climb(
                "POWER".equals(query.get("goal")) ? Climb.Goal.POWER : Climb.Goal.CLIPPING,
                number("mark").stream().filter(mark -> mark > 0).findFirst().orElse(USUAL_MARK),
                hertz());
    }

    private double hertz() {
        return number("hertz").stream()
                .filter(hertz -> hertz >= LOWEST && hertz <= HIGHEST)
                .findFirst()
                .orElse(USUAL_HERTZ);
    }

    /** Of the test tone while this was heard, dB. */
    OptionalDouble level() {
        return number("level").stream()
                .filter(level -> level >= SILENT && level <= 0)
                .findFirst();
    }

    /** What was heard at the level before. */
    Optional<Climb.Heard> before() {
        OptionalDouble level = number("levelBefore");
        return level.isEmpty()
                ? Optional.empty()
                : Optional.of(new Climb.Heard(
                        level.getAsDouble(),
                        number("heardBefore").stream()
                                .filter(heard -> heard > 0)
                                .findFirst(),
                        OptionalDouble.empty(),
                        number("distortionBefore").orElse(0),
                        OptionalDouble.empty(),
                        0));
    }

    /** What the recording is called. */
    String name() {
        String name = query.getOrDefault("name", "");
        return name.substring(0, Math.min(name.length(), LONGEST)) + ".wav";
    }

    private OptionalDouble number(String name) {
        try {
            return OptionalDouble.of(Double.parseDouble(query.getOrDefault(name, ""))).stream()
                    .filter(Double::isFinite)
                    .findFirst();
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }
}
