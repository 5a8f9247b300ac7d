package yellowrail.core.amp;

import java.util.Locale;

/** Which end of the output transformer a tube pulls on. */
public enum Side {
    PUSH, PULL, SINGLE;

    public String inWords() {
        return name().toLowerCase(Locale.ROOT);
    }
}
