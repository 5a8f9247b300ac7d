package yellowrail.web.api;

import yellowrail.core.amp.AmpSheet;
import yellowrail.core.match.Matching;

/** Tubes to be matched, and tubes with the sockets they are for. */
final class TubesShapes {

    static final JsonField LABEL =
            JsonField.text("label").needed().like("A12").told("Differs from every other; 1 to 40 characters");
    static final JsonField MILLIAMPS =
            JsonField.number("milliamps", 0.01, 2000).needed().like(36.4).told("Current at the test, mA");
    static final JsonField TRANSCONDUCTANCE =
            JsonField.number("transconductance", 0.01, 100).told("mA/V; counted if every tube has one");

    static final JsonShape MATCH_TUBE = JsonShape.of("MatchTube", "", LABEL, MILLIAMPS, TRANSCONDUCTANCE);

    static final JsonField TUBES = JsonField.objects("tubes", Matching.LEAST_GROUP, Matching.MOST_TUBES, MATCH_TUBE)
            .needed();
    static final JsonField GROUP_SIZE = JsonField.whole("groupSize", Matching.LEAST_GROUP, Matching.MOST_GROUP)
            .needed()
            .like(2)
            .told("Tubes in a group");
    static final JsonField TOLERANCE_MILLIAMPS = JsonField.number("toleranceMilliamps", 0, 1000)
            .told("Greatest spread of current within a group, mA; any if left out");

    static final JsonShape MATCH = JsonShape.of(
            "MatchRequest",
            "Tubes tested at one condition. Figures of different conditions do not belong into one request.",
            TUBES,
            GROUP_SIZE,
            TOLERANCE_MILLIAMPS);

    static final JsonField PLACED_LABEL = JsonField.text("label").needed().like("A12");
    static final JsonField PLACED_MILLIAMPS =
            JsonField.number("milliamps", 0.01, 2000).needed().like(36.4);

    static final JsonShape PLACING_TUBE = JsonShape.of("PlacingTube", "", PLACED_LABEL, PLACED_MILLIAMPS);

    static final JsonField SOCKET_LABEL = JsonField.text("label").needed().like("V1");
    static final JsonField SIDE =
            JsonField.choice("side", "push", "pull", "single").needed();
    static final JsonField CHANNEL = JsonField.text("channel")
            .usually("mono")
            .like("left")
            .told("What the channel is called; at most three different ones");

    static final JsonShape PLACING_SOCKET = JsonShape.of("PlacingSocket", "", SOCKET_LABEL, SIDE, CHANNEL);

    static final JsonField PLACING_TUBES =
            JsonField.objects("tubes", 1, AmpSheet.MOST_SOCKETS, PLACING_TUBE).needed();
    static final JsonField PLACING_SOCKETS = JsonField.objects("sockets", 1, AmpSheet.MOST_SOCKETS, PLACING_SOCKET)
            .needed();

    static final JsonShape PLACING = JsonShape.of(
            "PlacingRequest",
            "As many tubes as sockets, 1 to 8; where nothing is better they stay in the order given.",
            PLACING_TUBES,
            PLACING_SOCKETS);

    private TubesShapes() {}
}
