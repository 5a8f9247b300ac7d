package yellowrail.web.api;

/** One idle reading of one tube: its fields, which {@link IdleRequestReader} reads. */
final class IdleShape {

    static final JsonField TUBE_TYPE = JsonField.text("tubeType")
            .needed()
            .like("6L6GC")
            .told("Type number from the catalogue; a rating system may follow in brackets: KT88 (absolute)");
    static final JsonField PA_MAX_WATTS = JsonField.number("paMaxWatts", 0.1, 1000)
            .told("Your own plate dissipation limit, W, instead of the catalogue's");
    static final JsonField PLATE_VOLTS =
            JsonField.number("plateVolts", 1, 5000).needed().like(452).told("Plate voltage as read, V");
    static final JsonField PLATE_REFERENCE = JsonField.choice("plateReference", "cathode", "ground")
            .usually("ground")
            .told("What the black lead was on");
    static final JsonField PLATE_POINT =
            JsonField.choice("platePoint", "plate", "b-plus").usually("plate").told("Where the red lead was");
    static final JsonField HALF_PRIMARY_OHMS =
            JsonField.number("halfPrimaryOhms", 0.01, 100_000).told("Half-primary resistance, ohm; needed at b-plus");
    static final JsonField CATHODE_VOLTS = JsonField.number("cathodeVolts", 0, 1000)
            .told("Cathode to ground, V, if read by itself; otherwise what the method tells");
    static final JsonField METHOD = JsonField.choice(
                    "method",
                    "cathode-sense",
                    "cathode-milliamps",
                    "plate-milliamps",
                    "cathode-bias",
                    "half-primary-drop")
            .needed()
            .like("cathode-sense");
    static final JsonField SENSE_VOLTS = JsonField.number("senseVolts", 1e-06, 1000)
            .like(0.0364)
            .told("V across the resistance; needed for the methods across one");
    static final JsonField SENSE_OHMS =
            JsonField.number("senseOhms", 0.01, 100_000).like(1).told("That resistance, ohm");
    static final JsonField MILLIAMPS = JsonField.number("milliamps", 0.001, 5000)
            .told("Current as the meter shows it, mA; needed for the milliamps methods");
    static final JsonField SHARED_BY =
            JsonField.whole("sharedBy", 1, 16).usually(1).told("Tubes that share the reading");
    static final JsonField SENSE_TOLERANCE_PERCENT =
            JsonField.number("senseTolerancePercent", 0, 50).usually(1).told("Tolerance of the resistance, percent");
    static final JsonField METER_PERCENT =
            JsonField.number("meterPercent", 0, 20).usually(0.5).told("Meter accuracy, percent of reading");
    static final JsonField SCREEN_WAY =
            JsonField.choice("screenWay", "typical", "measured", "not-deducted").usually("typical");
    static final JsonField SCREEN_MILLIAMPS =
            JsonField.number("screenMilliamps", 0, 1000).told("Screen current per tube, mA; needed when measured");
    static final JsonField BIAS_KIND = JsonField.choice("biasKind", "fixed", "cathode", "single-ended")
            .usually("fixed")
            .told("Decides the window");

    static final JsonShape SHAPE = JsonShape.of(
            "IdleRequest",
            "One idle reading of one tube. Volts, milliamps, ohms, percent as the names say.",
            TUBE_TYPE,
            PA_MAX_WATTS,
            PLATE_VOLTS,
            PLATE_REFERENCE,
            PLATE_POINT,
            HALF_PRIMARY_OHMS,
            CATHODE_VOLTS,
            METHOD,
            SENSE_VOLTS,
            SENSE_OHMS,
            MILLIAMPS,
            SHARED_BY,
            SENSE_TOLERANCE_PERCENT,
            METER_PERCENT,
            SCREEN_WAY,
            SCREEN_MILLIAMPS,
            BIAS_KIND);

    private IdleShape() {}
}
