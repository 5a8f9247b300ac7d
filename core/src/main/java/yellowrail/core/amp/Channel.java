package yellowrail.core.amp;

import java.util.Locale;

/** Which channel of the amp a tube belongs to. */
public enum Channel {
    MONO, LEFT, RIGHT;

    public String inWords() {
        return name().toLowerCase(Locale.ROOT);
    }
}
