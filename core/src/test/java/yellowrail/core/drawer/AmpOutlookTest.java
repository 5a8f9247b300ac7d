package yellowrail.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.School;
import yellowrail.core.amp.Target;
import yellowrail.core.idle.LastKnown;

class AmpOutlookTest {

    private static Optional<AmpOutlook> of(AmpSheet sheet, String... lines) {
        return AmpOutlook.of(new LastKnown(Amps.stage(sheet), Optional.of(Amps.timeline(sheet, lines))));
    }

    @Test
    void withoutVoltsOrCurrentNothingIsForetold() {
        assertThat(AmpOutlook.of(new LastKnown(Amps.stage(Amps.pair()), Optional.empty())))
                .isEmpty();
        assertThat(of(Amps.pair(), "plate 452")).isEmpty();
        assertThat(of(Amps.pair(), "V1 36; V2 34")).isEmpty();
    }

    /** 62 % of 30 W at 452 V are 41.2 mA of plate current; with 5 % of screen current the cathode has 43.3 mA. */
    @Test
    void aShareOfTheRatingIsACurrentAtThePlatesAsTheyStand() {
        AmpOutlook outlook =
                of(Amps.pair(), "V1 36; V2 34; plate 452; screen 444").orElseThrow();
        assertThat(outlook.plate()).isCloseTo(452, within(0.1));
        assertThat(outlook.screen()).isCloseTo(444, within(0.1));
        assertThat(outlook.mean()).isCloseTo(0.62 * 30 / 452 / 0.95, within(1e-5));
    }

    @Test
    void screensThatWereNotReadStandWhereThePlatesDo() {
        assertThat(of(Amps.pair(), "V1 36; V2 34; plate 452").orElseThrow().screen())
                .isCloseTo(452, within(0.1));
        assertThat(of(Amps.pair(), "V1 36; V2 34; plate 452; screen 470")
                        .orElseThrow()
                        .screen())
                .as("never above them")
                .isCloseTo(452, within(0.1));
    }

    @Test
    void aWindowInMilliampsIsTheCurrentItself() {
        AmpSheet sheet = Amps.with(Amps.pair(), new Target(School.CURRENT_WINDOW, 0.032, 0.036, 0.040));
        assertThat(of(sheet, "V1 36; V2 34; plate 452").orElseThrow().mean()).isEqualTo(0.036);
    }

    /** What a window at the test point means in milliamps is known of the tubes that were read only. */
    @Test
    void aWindowAtTheTestPointLeavesTheCurrentThatWasRead() {
        AmpSheet sheet = Amps.with(Amps.pair(), new Target(School.MAKERS_FIGURE, 0.030, 0.035, 0.040));
        assertThat(of(sheet, "V1 36; V2 34; plate 452").orElseThrow().mean()).isCloseTo(0.035, within(1e-6));
    }
}
