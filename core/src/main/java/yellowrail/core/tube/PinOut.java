package yellowrail.core.tube;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What each pin of a type carries. As text it is {@code g1=2 k+g3=3 h=4 h=5 a=7 g2=9}.
 *
 * @param pins elements by pin; empty where the type has a pin-out of its own that is not written down here
 */
public record PinOut(Map<String, List<Element>> pins) {

    /** Not one of the common ones of its base, or not known. */
    public static final PinOut OF_ITS_OWN = new PinOut(Map.of());

    public PinOut {
        pins = Collections.unmodifiableMap(new TreeMap<>(pins));
    }

    /** @return empty where the text is not blank and no pin-out */
    public static Optional<PinOut> parse(String text) {
        Map<String, List<Element>> pins = new TreeMap<>();
        for (String part : text.isBlank() ? new String[0] : text.strip().split("\\s+")) {
            String[] sides = part.split("=", -1);
            if (sides.length != 2 || sides[1].isBlank()) {
                return Optional.empty();
            }
            for (String letters : sides[0].split("\\+", -1)) {
                Optional<Element> element = Element.of(letters);
                if (element.isEmpty()) {
                    return Optional.empty();
                }
                pins.computeIfAbsent(sides[1], pin -> new ArrayList<>()).add(element.get());
            }
        }
        return Optional.of(new PinOut(pins));
    }

    public boolean isOfItsOwn() {
        return pins.isEmpty();
    }

    public List<Element> at(String pin) {
        return pins.getOrDefault(pin, List.of());
    }

    /** As {@link #parse} reads it; blank where it is of its own. */
    public String text() {
        return pins.entrySet().stream()
                .map(pin -> pin.getValue().stream().map(Element::letters).collect(Collectors.joining("+")) + "="
                        + pin.getKey())
                .collect(Collectors.joining(" "));
    }
}
