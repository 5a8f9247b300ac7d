package yellowrail.web.demo;

import java.util.List;
import org.springframework.stereotype.Component;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.station.SafetyItem;
import yellowrail.core.station.Station;
import yellowrail.web.station.StationService;

/** What comes before the first reading of a run: the safety items ticked, the stations before it done. */
@Component
class SafeStart {

    private final StationService stations;

    SafeStart(StationService stations) {
        this.stations = stations;
    }

    void makeSafe(long run, AmpSheet sheet) {
        stations.done(run, Station.PLAN);
        stations.progress(run, sheet).items(Station.MAKE_SAFE).stream()
                .filter(item -> item.gate() == SafetyItem.Gate.ALWAYS)
                .forEach(item -> stations.tick(run, item, true));
        List.of(Station.MAKE_SAFE, Station.TUBES, Station.POWER_UP).forEach(station -> stations.done(run, station));
    }
}
