package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.Map;
import yellowrail.core.amp.Channel;
import yellowrail.core.match.Placing;

/** The best seating. */
record PlacingResponse(
        @Schema(description = "Socket label to tube label") Map<String, String> assignment,

        @Schema(description = "Push against pull by channel, mA")
        Map<String, Double> imbalanceMilliamps) {

    /** @param channels as they are called in the request */
    static PlacingResponse of(Placing.Seating seating, Map<String, Channel> channels) {
        Map<String, String> assignment = new LinkedHashMap<>();
        for (int i = 0; i < seating.sockets().size(); i++) {
            assignment.put(
                    seating.sockets().get(i).label(), seating.tubes().get(i).label());
        }
        Map<String, Double> imbalance = new LinkedHashMap<>();
        channels.forEach((name, channel) ->
                imbalance.put(name, JsonNumbers.milliamps(seating.imbalance().get(channel))));
        return new PlacingResponse(assignment, imbalance);
    }
}
