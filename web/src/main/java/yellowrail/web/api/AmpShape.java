package yellowrail.web.api;

import yellowrail.core.amp.AmpSheet;

/** An amp to be read at: its fields, which {@link AmpRequestReader} reads. */
final class AmpShape {

    private static final int MOST_POTS = 12;

    static final JsonField SOCKET_LABEL = JsonField.text("label").needed().like("V1");
    static final JsonField SOCKET_SIDE = JsonField.choice("side", "push", "pull", "single");
    static final JsonField SOCKET_CHANNEL =
            JsonField.choice("channel", "mono", "left", "right").usually("mono");
    static final JsonField SOCKET_TEST_POINT =
            JsonField.text("testPoint").told("The same for sockets that share one; the label if left out");

    static final JsonShape SOCKET =
            JsonShape.of("SocketRequest", "", SOCKET_LABEL, SOCKET_SIDE, SOCKET_CHANNEL, SOCKET_TEST_POINT);

    static final JsonField POT_NAME = JsonField.text("name").needed().like("RANGE");
    static final JsonField POT_ACTION =
            JsonField.choice("action", "range", "group", "balance", "tube").usually("range");
    static final JsonField POT_SOCKETS =
            JsonField.texts("sockets").told("Labels of the sockets it acts on; all if left out");
    static final JsonField POT_HOTTER = JsonField.choice("hotter", "unknown", "clockwise", "anticlockwise")
            .usually("unknown")
            .told("Which way is hotter, as seen on the meter");

    static final JsonShape POT = JsonShape.of("PotRequest", "", POT_NAME, POT_ACTION, POT_SOCKETS, POT_HOTTER);

    static final JsonField SCHOOL = JsonField.choice(
                    "school", "share-of-rating", "current-window", "makers-figure", "by-ear", "hot-cathode")
            .usually("share-of-rating");
    static final JsonField LOW = JsonField.number("low").needed().like(50);
    static final JsonField AIM = JsonField.number("aim").needed().like(62);
    static final JsonField HIGH = JsonField.number("high").needed().like(70);

    static final JsonShape TARGET = JsonShape.of(
            "TargetRequest",
            "low, aim and high in percent of the rating, mA, or what the meter shows, as the school has it",
            SCHOOL,
            LOW,
            AIM,
            HIGH);

    static final JsonField TUBE_TYPE = JsonField.text("tubeType").needed().like("6L6GC");
    static final JsonField TOPOLOGY =
            JsonField.choice("topology", "push-pull", "single-ended").usually("push-pull");
    static final JsonField TUBES =
            JsonField.whole("tubes", 1, AmpSheet.MOST_SOCKETS).needed().like(2).told("Power tubes in all channels");
    static final JsonField STEREO = JsonField.yesOrNo("stereo");
    static final JsonField BIAS_KIND = JsonField.choice(
                    "biasKind", "fixed-adjustable", "fixed", "cathode-shared", "cathode-per-tube")
            .usually("fixed-adjustable");
    static final JsonField METHOD = JsonField.choice(
                    "method",
                    "cathode-sense",
                    "sense-shared",
                    "stage",
                    "cathode-milliamps",
                    "plate-milliamps",
                    "cathode-bias",
                    "half-primary-drop",
                    "supply-drop",
                    "panel")
            .told("As usual for the bias if left out");
    static final JsonField OHMS =
            JsonField.number("ohms", 0.01, 100_000).told("At each test point; 1 for a sense resistor if left out");
    static final JsonField SHOWS = JsonField.choice("shows", "mV", "V", "mA")
            .told("What the meter shows at the test point; as usual for the method if left out");
    static final JsonField SOCKETS = JsonField.objects("sockets", 1, AmpSheet.MOST_SOCKETS, SOCKET)
            .told("One for each tube; V1, V2, ... as usual if left out");
    static final JsonField POTS = JsonField.objects("pots", 0, MOST_POTS, POT)
            .told("RANGE for all tubes, its direction not known, if left out with adjustable bias");
    static final JsonField RECTIFIER = JsonField.text("rectifier")
            .usually("unknown")
            .like("silicon")
            .told("silicon, tube, unknown, or the type number of a rectifier tube");
    static final JsonField OTHER_MILLIAMPS =
            JsonField.number("otherMilliamps", 0, 5000).told("Current of the rail that is not the power tubes', mA");
    static final JsonField MAINS_VOLTS = JsonField.number("mainsVolts", 20, 500).usually(120);
    static final JsonField SCREEN_WAY =
            JsonField.choice("screenWay", "typical", "measured", "not-deducted").usually("typical");
    static final JsonField PLATE_REFERENCE =
            JsonField.choice("plateReference", "ground", "cathode").usually("ground");
    static final JsonField ACCEPTED_PLATE_VOLTS = JsonField.number("acceptedPlateVolts", 1, 2000)
            .told("Built so, plate to cathode, over the published limit, up to this");
    static final JsonField ACCEPTED_SCREEN_VOLTS = JsonField.number("acceptedScreenVolts", 1, 2000);
    static final JsonField AIMED_AT = JsonField.object("target", TARGET).told("As customary for the bias if left out");
    static final JsonField SETTLE_MINUTES =
            JsonField.number("settleMinutes", 0, 120).usually(10);

    static final JsonShape SHAPE = JsonShape.of(
            "AmpRequest",
            "",
            TUBE_TYPE,
            TOPOLOGY,
            TUBES,
            STEREO,
            BIAS_KIND,
            METHOD,
            OHMS,
            SHOWS,
            SOCKETS,
            POTS,
            RECTIFIER,
            OTHER_MILLIAMPS,
            MAINS_VOLTS,
            SCREEN_WAY,
            PLATE_REFERENCE,
            ACCEPTED_PLATE_VOLTS,
            ACCEPTED_SCREEN_VOLTS,
            AIMED_AT,
            SETTLE_MINUTES);

    private AmpShape() {}
}
