package yellowrail.core.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;

/**
 * An amp's quirks, sentence by sentence, at the station where each matters; what cannot be placed stands at measure.
 */
public final class Quirks {

    private static final Map<Station, List<String>> WORDS = Map.of(
            Station.POWER_UP, List.of("jack", "conduct", "standby", "switch on", "fuse", "lamp"),
            Station.SET, List.of("pot", "turn", "balance", "trim", "adjust"),
            Station.TUBES, List.of("socket", "pin ", "base", "clamp", "family switch"),
            Station.CLOSE, List.of("screw", "cover", "switching off", "drain"));
    private static final List<Station> ORDER = List.of(Station.POWER_UP, Station.CLOSE, Station.SET, Station.TUBES);

    private Quirks() {}

    public static List<String> at(Station station, AmpSheet sheet) {
        List<String> here = new ArrayList<>();
        for (String sentence : sheet.identity().quirks().split("(?<=[.;!])\\s+|\\R")) {
            if (!sentence.isBlank() && station(sentence, sheet) == station) {
                here.add(sentence.strip());
            }
        }
        return here;
    }

    private static Station station(String sentence, AmpSheet sheet) {
        String said = sentence.toLowerCase(Locale.ROOT);
        if (sheet.pots().stream().map(Pot::name).anyMatch(sentence::contains)) {
            return Station.SET;
        }
        return ORDER.stream()
                .filter(station -> WORDS.get(station).stream().anyMatch(said::contains))
                .findFirst()
                .orElse(Station.MEASURE);
    }
}
