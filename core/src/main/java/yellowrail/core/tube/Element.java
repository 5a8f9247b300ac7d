package yellowrail.core.tube;

import java.util.Arrays;
import java.util.Optional;

/** What a pin leads to, with the letters of data sheets. */
public enum Element {
    PLATE("a"),
    CATHODE("k"),
    HEATER("h"),
    FILAMENT("f"),
    GRID("g1"),
    SCREEN("g2"),
    SUPPRESSOR("g3");

    private final String letters;

    Element(String letters) {
        this.letters = letters;
    }

    public String letters() {
        return letters;
    }

    static Optional<Element> of(String letters) {
        return Arrays.stream(values())
                .filter(element -> element.letters.equalsIgnoreCase(letters))
                .findFirst();
    }
}
