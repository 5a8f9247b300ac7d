package yellowrail.core.station;

import java.util.Arrays;
import java.util.Optional;

/** The nine places of a run, in the order of work. */
public enum Station {

    PLAN("plan"), MAKE_SAFE("make safe"), TUBES("tubes"), POWER_UP("power up"), MEASURE("measure"), SET("set"), SOAK("soak"),
    PROVE("prove"), CLOSE("close");

    private final String inWords;

    Station(String inWords) {
        this.inWords = inWords;
    }

    public String inWords() {
        return inWords;
    }

    /** As in addresses: {@code make-safe}. */
    public String token() {
        return inWords.replace(' ', '-');
    }

    public static Optional<Station> of(String token) {
        return Arrays.stream(values()).filter(station -> station.token().equals(token)).findFirst();
    }
}
