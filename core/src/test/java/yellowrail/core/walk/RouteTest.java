package yellowrail.core.walk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.reading.ReadingKind;

class RouteTest {

    private final AmpSheet amp = Walked.amp(Amps.pair(), """
            name,volts,stage,from,ohms,uf,capacitor-volts
            V2b plate,200,,B3,100k,,
            PI cathode,62,V10,,,,
            B3,280,,B2,10k,22,450
            V1 cathode,1.5,,,,,
            V2a plate,190,,B3,100k,,
            reservoir,460,,,,100,500
            tone jack,0,,,,,
            V1 plate,180,,B3,100k,,
            B2,380,,reservoir,4k7,22,450
            """);

    /** Along the supply from the source on, then socket by socket: V10 after V2, what has no number last. */
    @Test
    void theProbeTravelsLittle() {
        assertThat(Route.NEAREST.of(amp.chart()))
                .extracting(ChartNode::label)
                .containsExactly(
                        "reservoir",
                        "B2",
                        "B3",
                        "V1 cathode",
                        "V1 plate",
                        "V2a plate",
                        "V2b plate",
                        "PI cathode",
                        "tone jack");
        assertThat(Route.LISTED.of(amp.chart())).isEqualTo(amp.chart().nodes());
    }

    @Test
    void theMainsIsReadFirstAndTheOutputStageLast() {
        List<Stop> stops = Stop.of(amp, Route.NEAREST);
        assertThat(stops.get(0).typed()).isEqualTo("mains");
        assertThat(stops)
                .extracting(Stop::typed)
                .endsWith("heater", "V1 plate", "V2 plate", "V1 bias", "V2 bias", "V1", "V2");
        assertThat(stops).extracting(Stop::typed).doesNotHaveDuplicates();
        var moment = Walked.timeline(amp, "mains 118; V2 36.1; at v1 PLATE 181; V1 plate 452")
                .present()
                .moment();
        assertThat(stops)
                .filteredOn(stop -> stop.reading(moment).isPresent())
                .extracting(Stop::kind)
                .contains(ReadingKind.MAINS, ReadingKind.NODE, ReadingKind.PLATE, ReadingKind.SENSE_VOLTS);
    }

    @Test
    void hotSpotsAreToldBeforeTheProbeGoesIn() {
        assertThat(Stop.cautions(amp))
                .containsExactly(
                        new WalkFinding.HotSpots(List.of("reservoir", "B2", "B3"), 460),
                        new WalkFinding.KeepTheirCharge(List.of("B3", "reservoir", "B2")));
        assertThat(Stop.cautions(Amps.pair())).isEmpty();
    }
}
