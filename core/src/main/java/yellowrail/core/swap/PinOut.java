package yellowrail.core.swap;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import yellowrail.core.tube.TubeType;

/**
 * What each pin of a type carries.
 *
 * @param base base in words
 * @param pins element by pin
 */
record PinOut(String base, Map<String, String> pins) {

    private static final Map<String, String> NAMES = Map.of("a", "plate", "k", "cathode", "h", "heater", "f", "filament", "g1", "grid", "g2", "screen", "g3", "suppressor");

    /** @return empty where the pin-out is not known */
    static Optional<PinOut> of(TubeType type) {
        if (!type.pins().contains("=") || Arrays.stream(type.pins().split(" ")).anyMatch(part -> !part.contains("="))) {
            return Optional.empty();
        }
        Map<String, String> pins = new TreeMap<>();
        for (String part : type.pins().split(" ")) {
            pins.merge(part.split("=")[1], part.split("=")[0], (one, other) -> one + "+" + other);
        }
        return Optional.of(new PinOut(type.base(), pins));
    }

    String at(String pin) {
        return pins.getOrDefault(pin, "");
    }

    static String name(String element) {
        return Arrays.stream(element.split("\\+")).map(each -> NAMES.getOrDefault(each, each)).collect(Collectors.joining(" and "));
    }
}
