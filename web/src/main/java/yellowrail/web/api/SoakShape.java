package yellowrail.web.api;

import yellowrail.core.amp.AmpSheet;

/** Readings of a soak. */
final class SoakShape {

    private static final int MOST_SAMPLES = 100_000;
    private static final double FARTHEST = 1e6;
    private static final double SMALLEST = 1e-9;
    private static final double GREATEST = 1e9;

    static final JsonField MINUTES =
            JsonField.number("minutes", -FARTHEST, FARTHEST).needed().like(12.5).told("Since the setting, min");
    static final JsonField VALUE = JsonField.number("value", SMALLEST, GREATEST)
            .needed()
            .like(36.4)
            .told("As it was read, in any one unit; above 0");

    static final JsonShape SAMPLE = JsonShape.of("SoakSample", "", MINUTES, VALUE);

    static final JsonField LABEL =
            JsonField.text("label").needed().like("V1").told("Differs from every other; 1 to 40 characters");
    static final JsonField SAMPLES = JsonField.objects("samples", 0, MOST_SAMPLES, SAMPLE)
            .needed()
            .told("In any order; of one moment the mean counts; more than 400 are averaged over equal spans of time");

    static final JsonShape POINT = JsonShape.of("SoakPoint", "A test point since the last setting", LABEL, SAMPLES);

    static final JsonField MAINS_MINUTES =
            JsonField.number("minutes", -FARTHEST, FARTHEST).needed().like(12.5);
    static final JsonField MAINS_VOLTS =
            JsonField.number("volts", 1, 1000).needed().like(119.4);

    static final JsonShape MAINS_SAMPLE = JsonShape.of("SoakVolts", "", MAINS_MINUTES, MAINS_VOLTS);

    static final JsonField PLATE_VOLTS =
            JsonField.number("volts", 1, 10_000).needed().like(451);
    static final JsonShape PLATE_SAMPLE = JsonShape.of("SoakPlateVolts", "", MAINS_MINUTES, PLATE_VOLTS);

    static final JsonField POINTS = JsonField.objects("points", 1, AmpSheet.MOST_SOCKETS, POINT)
            .needed()
            .told("Those that stand under one supply");
    static final JsonField MAINS = JsonField.objects("mains", 0, MOST_SAMPLES, MAINS_SAMPLE)
            .told("As it was logged; it is taken out of the readings by its power of 1.5");
    static final JsonField PLATE = JsonField.objects("plate", 0, MOST_SAMPLES, PLATE_SAMPLE)
            .told("As it was logged: plates that fall while every reading rises are no mains");
    static final JsonField LIMIT =
            JsonField.number("limit", SMALLEST, GREATEST).like(55).told("The reading at which the rating is reached");
    static final JsonField NOISE = JsonField.number("noisePercent", 0, 20)
            .like(0.3)
            .told("Standard deviation of a reading, %; what the readings show themselves if left out");

    static final JsonShape SHAPE = JsonShape.of(
            "SoakRequest",
            "Test points of one amp read again and again since its setting. Nothing is stored.",
            POINTS,
            MAINS,
            PLATE,
            LIMIT,
            NOISE);

    private SoakShape() {}
}
