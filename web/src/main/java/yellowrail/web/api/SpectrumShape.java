package yellowrail.web.api;

/** What may be asked beside a sound: the fields of the query. */
final class SpectrumShape {

    static final JsonField MAINS_HERTZ =
            JsonField.whole("mainsHertz", 50, 60).usually(50).told("50 or 60: where hum is looked for");
    static final JsonField FUNDAMENTAL_HERTZ = JsonField.number("fundamentalHertz", 1, 96_000)
            .like(1000)
            .told("About what was played; left out, the strongest line is taken, or that of which it is a harmonic");
    static final JsonField BAND_LOW =
            JsonField.number("bandLow", 1, 90_000).usually(20).told("Hz, of harmonics, hum and noise");
    static final JsonField BAND_HIGH =
            JsonField.number("bandHigh", 2, 96_000).usually(20_000).told("Hz; half the sample rate if that is lower");
    static final JsonField LOAD_OHMS =
            JsonField.number("loadOhms", 0.1, 10_000).like(8).told("What the volts stand across; watts need it");
    static final JsonField FULL_SCALE_VOLTS = JsonField.number("fullScaleVolts", 1e-6, 10_000)
            .like(40)
            .told("Peak volts at the amp that the card shows as full scale; left out, volts are parts of full scale");

    static final JsonShape SHAPE = JsonShape.of(
            "SpectrumQuery",
            "How a sound is measured",
            MAINS_HERTZ,
            FUNDAMENTAL_HERTZ,
            BAND_LOW,
            BAND_HIGH,
            LOAD_OHMS,
            FULL_SCALE_VOLTS);

    private SpectrumShape() {}
}
