package yellowrail.core.station;

import java.util.Arrays;
import java.util.Optional;
import yellowrail.core.finding.Code;

/** The nine places of a run, in the order of work. */
public enum Station {
    PLAN,
    MAKE_SAFE,
    TUBES,
    POWER_UP,
    MEASURE,
    SET,
    SOAK,
    PROVE,
    CLOSE;

    /** As in addresses: {@code make-safe}. */
    public String token() {
        return Code.of(this);
    }

    public static Optional<Station> of(String token) {
        return Arrays.stream(values())
                .filter(station -> station.token().equals(token))
                .findFirst();
    }
}
