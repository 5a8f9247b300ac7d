package yellowrail.web.api;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashMap;
import java.util.Map;
import yellowrail.core.match.Placing;

/** The best seating. */
record PlacingResponse(
        @Schema(description = "Socket label to tube label") Map<String, String> assignment,
        @Schema(description = "Push against pull by channel, mA") Map<String, Double> imbalanceMilliamps) {

    static PlacingResponse of(Placing.Seating seating) {
        Map<String, String> assignment = new LinkedHashMap<>();
        for (int i = 0; i < seating.sockets().size(); i++) {
            assignment.put(seating.sockets().get(i).label(), seating.tubes().get(i).label());
        }
        Map<String, Double> imbalance = new LinkedHashMap<>();
        seating.imbalance().forEach((channel, amps) -> imbalance.put(channel.inWords(), JsonNumbers.milliamps(amps)));
        return new PlacingResponse(assignment, imbalance);
    }
}
