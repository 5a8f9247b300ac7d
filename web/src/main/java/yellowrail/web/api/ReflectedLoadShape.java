package yellowrail.web.api;

/** A speaker on a tap, or a measured pair of volts. */
final class ReflectedLoadShape {

    static final JsonField PRIMARY_OHMS =
            JsonField.number("primaryOhms", 50, 1_000_000).like(6600).told("Nominal load of the primary");
    static final JsonField TAP_OHMS =
            JsonField.number("tapOhms", 0.1, 1000).like(8).told("Speaker the tap is meant for");
    static final JsonField SPEAKER_OHMS = JsonField.number("speakerOhms", 0, 1_000_000)
            .needed()
            .like(16)
            .told("What hangs on it; 0 shorted, 1000000 open");
    static final JsonField PRIMARY_VOLTS =
            JsonField.number("primaryVolts", 0.001, 1000).like(67.2);
    static final JsonField SECONDARY_VOLTS =
            JsonField.number("secondaryVolts", 0.0001, 1000).like(2.4);

    static final JsonShape SHAPE = JsonShape.of(
            "ReflectedLoadRequest",
            "Either the tap (primaryOhms, tapOhms) or a measured pair of volts (primaryVolts, "
                    + "secondaryVolts; primaryOhms then only to judge by).",
            PRIMARY_OHMS,
            TAP_OHMS,
            SPEAKER_OHMS,
            PRIMARY_VOLTS,
            SECONDARY_VOLTS);

    private ReflectedLoadShape() {}
}
