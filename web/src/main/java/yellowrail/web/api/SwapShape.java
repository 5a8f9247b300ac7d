package yellowrail.web.api;

import yellowrail.core.amp.AmpSheet;

/** An amp and two types: its fields, which {@link SwapRequestReader} reads. */
final class SwapShape {

    static final JsonField IN =
            JsonField.text("in").needed().like("6L6GC").told("Type that is in; a rating system may follow in brackets");
    static final JsonField WANTS = JsonField.text("wants").needed().like("EL34").told("Type that wants in");
    static final JsonField TUBES =
            JsonField.whole("tubes", 1, AmpSheet.MOST_SOCKETS).needed().like(2).told("Power tubes in all channels");
    static final JsonField CHANNELS =
            JsonField.whole("channels", 1, 2).usually(1).told("Channels, each with an output transformer of its own");
    static final JsonField STAGE =
            JsonField.choice("stage", "push-pull", "single-ended").usually("push-pull");
    static final JsonField BIAS_KIND =
            JsonField.choice("biasKind", "fixed", "cathode").usually("fixed");
    static final JsonField CONNECTION =
            JsonField.choice("connection", "pentode", "ultralinear", "triode").usually("pentode");
    static final JsonField PLATE_VOLTS = JsonField.number("plateVolts", 1, 2000);
    static final JsonField SCREEN_VOLTS = JsonField.number("screenVolts", 1, 2000);
    static final JsonField CATHODE_MILLIAMPS =
            JsonField.number("cathodeMilliamps", 0.01, 2000).told("Present idle of each tube, mA");
    static final JsonField BIAS_VOLTS = JsonField.number("biasVolts", -300, 0).told("Grids as read, V");
    static final JsonField CATHODE_RESISTOR_OHMS = JsonField.number("cathodeResistorOhms", 0.01, 100_000);
    static final JsonField CATHODE_RESISTOR_WATTS =
            JsonField.number("cathodeResistorWatts", 0.01, 100).told("Rating of the resistor in the cathodes, W");
    static final JsonField SHARED_BY =
            JsonField.whole("sharedBy", 1, AmpSheet.MOST_SOCKETS).usually(1).told("Tubes on that resistor");
    static final JsonField OTHER_MILLIAMPS =
            JsonField.number("otherMilliamps", 0, 5000).told("Current of the rail that is not the power tubes', mA");
    static final JsonField HEATER_WINDING_AMPS =
            JsonField.number("heaterWindingAmps", 0.1, 50).told("Rating of the heater winding");
    static final JsonField OTHER_HEATER_AMPS =
            JsonField.number("otherHeaterAmps", 0, 50).told("What else hangs on it");
    static final JsonField RECTIFIER =
            JsonField.text("rectifier").like("GZ34").told("Rectifier tube; none if left out");
    static final JsonField TRANSFORMER_MILLIAMPS =
            JsonField.number("transformerMilliamps", 1, 5000).told("DC the power transformer gives");
    static final JsonField CHOKE_MILLIAMPS = JsonField.number("chokeMilliamps", 1, 5000);
    static final JsonField OUTPUT_MILLIAMPS =
            JsonField.number("outputMilliamps", 1, 5000).told("DC of the output transformer, single-ended");
    static final JsonField ROOM_HEIGHT_MM = JsonField.number("roomHeightMm", 10, 1000);
    static final JsonField ROOM_WIDTH_MM = JsonField.number("roomWidthMm", 10, 1000);
    static final JsonField GRID_LEAK_OHMS = JsonField.number("gridLeakOhms", 1000, 10_000_000);
    static final JsonField LOAD_OHMS =
            JsonField.number("loadOhms", 100, 100_000).told("Plate to plate, or on the one plate");
    static final JsonField BIAS_COLDEST_VOLTS =
            JsonField.number("biasColdestVolts", -300, 0).told("Bias at the coldest stop, V");
    static final JsonField BIAS_HOTTEST_VOLTS =
            JsonField.number("biasHottestVolts", -300, 0).told("Bias at the hottest stop, V");
    static final JsonField DRIVE_VOLTS =
            JsonField.number("driveVolts", 1, 500).told("Peak volts the driver gives each grid");
    static final JsonField PIN_ONE = JsonField.choice("pinOne", "unknown", "cathode", "nothing", "ground")
            .usually("unknown")
            .told("What pin 1 of an octal socket is wired to");
    static final JsonField TIED_PINS = JsonField.text("tiedPins").like("1 6").told("Socket pins used as tie points");

    static final JsonShape SHAPE = JsonShape.of(
            "SwapRequest",
            "The amp's data, all optional but the stage: what is left out is answered as unknown. "
                    + "Voltages to the cathode.",
            IN,
            WANTS,
            TUBES,
            CHANNELS,
            STAGE,
            BIAS_KIND,
            CONNECTION,
            PLATE_VOLTS,
            SCREEN_VOLTS,
            CATHODE_MILLIAMPS,
            BIAS_VOLTS,
            CATHODE_RESISTOR_OHMS,
            CATHODE_RESISTOR_WATTS,
            SHARED_BY,
            OTHER_MILLIAMPS,
            HEATER_WINDING_AMPS,
            OTHER_HEATER_AMPS,
            RECTIFIER,
            TRANSFORMER_MILLIAMPS,
            CHOKE_MILLIAMPS,
            OUTPUT_MILLIAMPS,
            ROOM_HEIGHT_MM,
            ROOM_WIDTH_MM,
            GRID_LEAK_OHMS,
            LOAD_OHMS,
            BIAS_COLDEST_VOLTS,
            BIAS_HOTTEST_VOLTS,
            DRIVE_VOLTS,
            PIN_ONE,
            TIED_PINS);

    private SwapShape() {}
}
