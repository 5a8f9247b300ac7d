package yellowrail.web.station;

import java.time.OffsetDateTime;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationEvent;

/** A row of station_event. */
public record StationRow(long runId, String what, String station, String item, String words, OffsetDateTime at) {

    StationEvent event() {
        return new StationEvent(StationEvent.What.valueOf(what), Station.valueOf(station), item, words, at.toInstant());
    }
}
