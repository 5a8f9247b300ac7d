package yellowrail.core.station;

import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Topology;
import yellowrail.core.quantity.Figures;

/**
 * What to do at a station of this amp, what to measure, and the cautions that belong there.
 *
 * @param station  where
 * @param say      the station in one sentence
 * @param todo     in the order of work
 * @param measure  what to read, as it is typed
 * @param cautions at this step
 */
public record StationGuide(Station station, String say, List<String> todo, List<String> measure, List<String> cautions) {

    private static final String LICENSED = "300 to 500 V kill. Unsure? Hand the amp to a licensed technician; local electrical codes come first.";
    private static final String DRAINED = "Before soldering or any resistance: off, unplugged, capacitors bled through a resistor, never shorted, and each measured under a few volts.";

    public StationGuide {
        todo = List.copyOf(todo);
        measure = List.copyOf(measure);
        cautions = List.copyOf(cautions);
    }

    public static StationGuide of(Station station, AmpSheet sheet) {
        return switch (station) {
            case PLAN -> plan(sheet);
            case MAKE_SAFE -> makeSafe(sheet);
            case TUBES -> tubes(sheet);
            case POWER_UP -> powerUp(sheet);
            case MEASURE -> measure(sheet);
            case SET -> set(sheet);
            case SOAK -> soak(sheet);
            case PROVE -> new StationGuide(station, "Prove it into the load, then by ear.", List.of("Power at the onset of clipping, distortion at a watt, hum at the output",
                    "By ear: cold, middle and hot settings, a note for each"), List.of("note clips at 38 W into 8 ohm"),
                    List.of("A dummy load gets hot; a speaker at full power hurts ears.", LICENSED));
            case CLOSE -> new StationGuide(station, "Close the run: the setting is kept with its readings.", List.of("Switch off, type off",
                    "Note what the owner must, should and could do", "Look again in twenty minutes, every day for the first days, in a week, a month, a quarter"),
                    List.of("off", "note re-check on Friday"), List.of("The capacitors stay charged after switching off. Bleed and measure before the chassis is touched."));
        };
    }

    private static StationGuide plan(AmpSheet sheet) {
        List<String> todo = new ArrayList<>();
        todo.add("%s, set at %s of mains, target %s".formatted(sheet.inWords(), Figures.volts(sheet.mainsVolts()), sheet.target().inWords(sheet.current().shows())));
        todo.add("Current is read by " + sheet.current().method().inWords() + howTo(sheet.current()));
        if (sheet.bias() == BiasKind.FIXED_ADJUSTABLE && sheet.pots().isEmpty()) {
            todo.add("The bias is said to be adjustable and no pot is on the sheet: write down its name and which way is hotter");
        }
        return new StationGuide(Station.PLAN, "Is this still the amp on the bench?", todo, List.of(), List.of(LICENSED));
    }

    /** How to read current where the amp offers no sense resistor. */
    private static String howTo(CurrentSense sense) {
        return switch (sense.method()) {
            case HALF_PRIMARY -> ": with the power off measure each half primary, type rk off and the ohms; then read the drop from B+ to each plate, at full B+";
            case SUPPLY_DROP -> ": it includes whatever else hangs on the supply";
            case CATHODE_RESISTOR -> ": measure it cold with the power off, type rk off and the ohms";
            case SOCKET_ADAPTER, PLATE_ADAPTER -> ": put it in with the power off";
            case PANEL_METER, SENSE_EACH, SENSE_SHARED, STAGE_TEST_POINT -> "";
        };
    }

    private static StationGuide makeSafe(AmpSheet sheet) {
        List<String> todo = new ArrayList<>();
        todo.add("See to each item and tick it; live readings wait for them");
        List<String> cautions = new ArrayList<>(List.of(LICENSED, DRAINED));
        if (sheet.supply().standby()) {
            cautions.add("Draining: leave standby in the position that lets every capacitor drain.");
        }
        return new StationGuide(Station.MAKE_SAFE, "Nothing goes in before all of this holds.", todo, List.of(), cautions);
    }

    private static StationGuide tubes(AmpSheet sheet) {
        List<String> todo = new ArrayList<>(List.of("Loose base key, cracked glass, discoloured plates, scorched resistors beside the sockets?"));
        if (sheet.sockets().size() > 1) {
            todo.add(sheet.topology() == Topology.PUSH_PULL ? "Who sits where: the sum of the push side should equal the sum of the pull side" : "Who sits where");
        }
        if (sheet.bias() == BiasKind.FIXED_ADJUSTABLE) {
            todo.add("New tubes: the coldest end of each range pot first, and is the direction verified?");
        }
        todo.add("A light tap with a gram or two: a faint ring is normal, a tube that rings by itself is waste");
        return new StationGuide(Station.TUBES, "The right tubes in the right sockets.", todo,
                List.of("tube " + sheet.sockets().get(0).label() + " " + sheet.tubeType() + " new", "note V2 rings faintly"),
                List.of("Off, unplugged and drained before a tube is pulled.", "Tubes stay hot for minutes."));
    }

    private static StationGuide powerUp(AmpSheet sheet) {
        List<String> todo = new ArrayList<>(List.of("First power-up through a lamp limiter or a variable transformer: bring it up in steps, a third, two thirds, all; a lamp that stays bright means a short",
                "Heaters without tubes, then with tubes, and the mains at the same time"));
        switch (sheet.supply().rectifier()) {
            case TUBE -> todo.add("The rectifier tube warms up with the others: B+ comes slowly");
            case SILICON, UNKNOWN -> todo.add("B+ before the tubes conduct stands at the peak of the winding: are the capacitors rated for it?");
        }
        if (sheet.supply().standby()) {
            todo.add("Heaters for half a minute, then standby to play, then type on");
        } else {
            todo.add("No standby: type on when the mains switch goes on");
        }
        return new StationGuide(Station.POWER_UP, "Bring it up slowly and watch.", todo, List.of("heater 6.9 bare", "heater 6.42", "mains 119.6", "on", "plate 495 unloaded"),
                List.of("One hand in a pocket. Smoke, a smell, a glowing plate: off at once.", "A lamp limiter limits the current, not the voltage: B+ can still kill."));
    }

    private static StationGuide measure(AmpSheet sheet) {
        String point = sheet.testPoints().get(0);
        List<String> measure = new ArrayList<>(List.of(point + " and each other test point", "plate", "mains"));
        if (!sheet.bias().isCathode()) {
            measure.add("bias, to learn what the pot reaches");
        }
        if (sheet.current().method() == CurrentMethod.CATHODE_RESISTOR) {
            measure.add("rk off, with the power off");
        }
        return new StationGuide(Station.MEASURE, "Read every test point and the plate voltage, close together.", List.of("Let it warm up first: half a minute to conduct, %s min to settle"
                .formatted(Figures.plain(sheet.settleMinutes()))), measure, List.of("One hand in a pocket, ground lead clipped first, range checked before the probe goes in."));
    }

    private static StationGuide set(AmpSheet sheet) {
        return switch (sheet.bias()) {
            case FIXED_ADJUSTABLE -> new StationGuide(Station.SET, "Turn to the reading the next move names, let it settle, read again.",
                    List.of("Watch the meter while you turn, not the pot", "Then balance: swing the balance pot from stop to stop, if there is one"),
                    List.of("swing a V1 38.2 V2 31", "swing b V1 31 V2 38"), List.of("An insulated screwdriver; the pot often sits beside live spots."));
            case FIXED -> new StationGuide(Station.SET, "No pot here: the next move names the resistor of the bias supply.", List.of("Change one value, power up cold, read again"),
                    List.of("bias -46.8"), List.of(DRAINED));
            case CATHODE_SHARED, CATHODE_EACH -> new StationGuide(Station.SET, "Cathode bias: the next move names the resistor.", List.of("Idle is the hottest these tubes get: signal raises the cathode",
                    "The resistor for at least twice its dissipation; mind the bypass capacitor\u2019s voltage"), List.of("rk off 121.3"), List.of(DRAINED));
        };
    }

    private static StationGuide soak(AmpSheet sheet) {
        return new StationGuide(Station.SOAK, "Do not walk away. Read again at 10, 20, 30 and 60 minutes.", List.of("Settling is normal, a slow return to the setting is normal, a reading that keeps creeping is not",
                "Tube or socket? Swap the tube: a fault that follows it is the tube\u2019s", "Play it hard and watch the plates: they stay grey"),
                List.of(sheet.testPoints().get(0) + ", plate and mains each time"), List.of("A plate that glows: off at once."));
    }
}
