package yellowrail.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Identity;

class QuirksTest {

    private static AmpSheet with(String quirks) {
        return Amps.pair().with(new Identity("Bogbean pair", "", quirks));
    }

    @ParameterizedTest
    @CsvSource({
        "The jack must be in.,POWER_UP",
        "Nothing conducts before the standby lamp is out.,POWER_UP",
        "The balance control on the front is for volume.,SET",
        "RANGE sits under the chassis.,SET",
        "V2's socket is loose.,TUBES",
        "Two screws are behind the handle.,CLOSE",
        "The capacitors drain in a minute.,CLOSE",
        "It hums when the window is open.,MEASURE"
    })
    void aQuirkStandsWhereItMatters(String quirk, Station at) {
        for (Station station : Station.values()) {
            assertThat(Quirks.at(station, with(quirk)))
                    .as(station.name())
                    .isEqualTo(station == at ? List.of(quirk) : List.of());
        }
    }

    @Test
    void everySentenceStandsOnceAndNoneIsLost() {
        AmpSheet sheet = with("The jack must be in. RANGE turns the wrong way; its socket is loose!\nIt hums.\n\n");
        assertThat(Stream.of(Station.values()).flatMap(station -> Quirks.at(station, sheet).stream()))
                .containsExactlyInAnyOrder(
                        "The jack must be in.", "RANGE turns the wrong way;", "its socket is loose!", "It hums.");
    }

    @Test
    void anAmpWithoutQuirksHasNone() {
        for (Station station : Station.values()) {
            assertThat(Quirks.at(station, with(" "))).isEmpty();
        }
    }
}
