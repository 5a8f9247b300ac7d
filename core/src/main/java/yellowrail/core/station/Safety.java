package yellowrail.core.station;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Pot;

/** The safety items of an amp: what the work at any open chassis needs, and what this one's pots, standby and quirks add. */
public final class Safety {

    /** The fact that no chassis is open: test points outside, nothing live within reach. */
    public static final String CLOSED = "closed";
    /** The fact that new tubes are in. */
    public static final String NEW_TUBES = "new-tubes";
    /** A load on the output. */
    public static final String LOAD = "load";

    /** What all items that are missing are called together, by somebody who has gone through them. */
    public static final String ALL = "all";

    private Safety() {
    }

    public static List<SafetyItem> items(AmpSheet sheet) {
        List<SafetyItem> items = new ArrayList<>();
        items.add(gate(LOAD, "A load on the output: a speaker or a dummy load, never none"));
        items.add(gate("quiet", "Volumes at zero, no signal"));
        items.add(gate("hands", "Watch and ring off, one hand in a pocket"));
        items.add(gate("ground", "Ground lead clipped first"));
        items.add(gate("range", "Meter on its range for 500 V and more"));
        items.add(gate("hot", "Gloves at hand: tubes burn"));
        if (!sheet.quirks().isBlank()) {
            items.add(gate("quirks", "This amp\u2019s quirks read: " + sheet.quirks()));
        }
        items.add(new SafetyItem(CLOSED, Station.MAKE_SAFE, "The chassis is closed: I measure at test points outside", false));
        items.add(new SafetyItem(NEW_TUBES, Station.TUBES, "New tubes are in", false));
        for (Pot pot : sheet.pots()) {
            if (pot.action() != Pot.Action.BALANCE) {
                items.add(new SafetyItem("coldest-" + pot.name(), Station.TUBES, coldest(pot), false));
            }
        }
        return items;
    }

    private static SafetyItem gate(String id, String text) {
        return new SafetyItem(id, Station.MAKE_SAFE, text, true);
    }

    private static String coldest(Pot pot) {
        return switch (pot.hotter()) {
            case CLOCKWISE -> "%s at its coldest end: fully anticlockwise by the sheet%s".formatted(pot.name(), verified(pot));
            case ANTICLOCKWISE -> "%s at its coldest end: fully clockwise by the sheet%s".formatted(pot.name(), verified(pot));
            case UNKNOWN -> "%s at its coldest end: which end that is the sheet does not say; find the one with the most negative grid volts, tubes out"
                    .formatted(pot.name());
        };
    }

    private static String verified(Pot pot) {
        return pot.verified() ? ", seen on the meter" : ", not verified: check that the grid volts are most negative there";
    }
}
