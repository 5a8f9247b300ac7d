package yellowrail.core.station;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasStops;
import yellowrail.core.amp.Pot;

/**
 * The safety items of an amp: what the work at any open chassis needs, and what this one's pots, standby and quirks
 * add.
 */
public final class Safety {

    /** The fact that no chassis is open: test points outside, nothing live within reach. */
    public static final String CLOSED = "closed";
    /** The fact that new tubes are in. */
    public static final String PLATES_GREY = "plates-grey";

    public static final String NEW_TUBES = "new-tubes";
    /** The fact that the bias supply was soldered on. */
    public static final String BIAS_WORK = "bias-work";

    /** A load on the output. */
    public static final String LOAD = "load";

    /** What all items that are missing are called together, by somebody who has gone through them. */
    public static final String ALL = "all";

    private Safety() {}

    /** @param biasWork whether the bias supply was soldered on: then it is measured before the tubes go in */
    public static List<SafetyItem> items(AmpSheet sheet, boolean biasWork) {
        List<SafetyItem> items = new ArrayList<>();
        items.add(gate(LOAD, new StationFinding.LoadOnOutput()));
        items.add(gate("quiet", new StationFinding.VolumesAtZero()));
        items.add(gate("hands", new StationFinding.WatchAndRingOff()));
        items.add(gate("ground", new StationFinding.GroundLeadFirst()));
        items.add(gate("range", new StationFinding.MeterOnRange()));
        items.add(gate("hot", new StationFinding.GlovesAtHand()));
        if (!sheet.identity().quirks().isBlank()) {
            items.add(gate(
                    "quirks", new StationFinding.QuirksRead(sheet.identity().quirks())));
        }
        items.add(new SafetyItem(CLOSED, Station.MAKE_SAFE, new StationFinding.ChassisClosed(), SafetyItem.Gate.NEVER));
        items.add(new SafetyItem(NEW_TUBES, Station.TUBES, new StationFinding.NewTubesIn(), SafetyItem.Gate.NEVER));
        if (!sheet.bias().isCathode() && sheet.biasSupply().isPresent()) {
            items.add(new SafetyItem(
                    BIAS_WORK, Station.TUBES, new StationFinding.BiasSupplySoldered(), SafetyItem.Gate.NEVER));
            if (biasWork) {
                afterBiasWork(sheet, items);
            }
        }
        for (Pot pot : sheet.pots()) {
            if (pot.action() != Pot.Action.BALANCE) {
                items.add(new SafetyItem(
                        "coldest-" + pot.name(), Station.TUBES, coldest(pot), SafetyItem.Gate.WITH_NEW_TUBES));
            }
        }
        items.add(new SafetyItem(
                PLATES_GREY, Station.SOAK, new StationFinding.PlatesStayedGrey(), SafetyItem.Gate.NEVER));
        return items;
    }

    private static void afterBiasWork(AmpSheet sheet, List<SafetyItem> items) {
        items.add(bias("bias-negative", new StationFinding.GridsNegative()));
        items.add(bias(
                "bias-stops",
                BiasStops.computed(sheet)
                        .<StationFinding>map(
                                stops -> new StationFinding.BothStopsRead(stops.coldest(), stops.hottest()))
                        .orElseGet(StationFinding.GridsRead::new)));
        items.add(bias("bias-capacitors", new StationFinding.BiasCapacitorsRead()));
        if (sheet.biasSupply().get().network().kind().hasPot()) {
            items.add(bias("bias-wiper", new StationFinding.PotTurnedThrough()));
        }
    }

    private static SafetyItem bias(String id, StationFinding says) {
        return new SafetyItem(id, Station.TUBES, says, SafetyItem.Gate.WITH_BIAS_WORK);
    }

    private static SafetyItem gate(String id, StationFinding says) {
        return new SafetyItem(id, Station.MAKE_SAFE, says, SafetyItem.Gate.ALWAYS);
    }

    private static StationFinding coldest(Pot pot) {
        StationFinding seen = pot.verified() ? new StationFinding.SeenOnTheMeter() : new StationFinding.NotVerified();
        return switch (pot.hotter()) {
            case CLOCKWISE -> new StationFinding.ColdestAnticlockwise(pot.name(), seen);
            case ANTICLOCKWISE -> new StationFinding.ColdestClockwise(pot.name(), seen);
            case UNKNOWN -> new StationFinding.ColdestNotKnown(pot.name());
        };
    }
}
