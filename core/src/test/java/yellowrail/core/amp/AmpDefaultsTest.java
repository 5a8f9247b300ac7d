package yellowrail.core.amp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yellowrail.core.Amps;
import yellowrail.core.finding.Shown;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.tube.RatingSystem;

class AmpDefaultsTest {

    private static AmpSheet sheet(Topology topology, BiasKind bias, int tubes, boolean stereo) {
        return new AmpDefaults(topology, bias, Amps.type("EL34"), tubes, stereo).sheet();
    }

    @ParameterizedTest
    @EnumSource(BiasKind.class)
    void everyBiasKindHasAWindowAndAWayToReadCurrent(BiasKind bias) {
        AmpSheet sheet = sheet(Topology.PUSH_PULL, bias, 4, false);
        assertThat(sheet.target()).isEqualTo(bias.isCathode() ? Target.CATHODE_BIAS : Target.FIXED_BIAS);
        assertThat(sheet.current().method())
                .isEqualTo(bias.isCathode() ? CurrentMethod.CATHODE_RESISTOR : CurrentMethod.SENSE_EACH);
        assertThat(sheet.pots()).hasSize(bias == BiasKind.FIXED_ADJUSTABLE ? 1 : 0);
        assertThat(sheet.testPoints()).hasSize(bias == BiasKind.CATHODE_SHARED ? 1 : 4);
    }

    @Test
    void aStereoQuadHasAPairOnEachChannel() {
        AmpSheet sheet = sheet(Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, 4, true);
        assertThat(sheet.sockets())
                .extracting(Socket::side)
                .containsExactly(Side.PUSH, Side.PULL, Side.PUSH, Side.PULL);
        assertThat(sheet.sockets())
                .extracting(Socket::channel)
                .containsExactly(Channel.LEFT, Channel.LEFT, Channel.RIGHT, Channel.RIGHT);
        assertThat(sheet.testPoints()).containsExactly("TPL", "TPR");
        assertThat(sheet.tubesBeside(sheet.sockets().get(0))).isEqualTo(1);
    }

    @Test
    void anOctetHasFourOnEachSide() {
        AmpSheet sheet = sheet(Topology.PUSH_PULL, BiasKind.FIXED, 8, false);
        assertThat(sheet.sockets().stream().filter(socket -> socket.side() == Side.PUSH))
                .hasSize(4);
        assertThat(sheet.tubesBeside(sheet.sockets().get(7))).isEqualTo(4);
        assertThat(sheet.told()).isEqualTo(new AmpFinding.Stage(8, "EL34", Topology.PUSH_PULL, BiasKind.FIXED));
    }

    @Test
    void usualLabelsCanBeTypedAtTheBench() {
        assertThat(sheet(Topology.PUSH_PULL, BiasKind.CATHODE_SHARED, 8, true).testPoints())
                .noneMatch(EntryLine::isReserved);
        assertThat(List.of("mV", "plate", "RK", "undo", "off")).allMatch(EntryLine::isReserved);
    }

    @Test
    void refusesNoTubesAndNine() {
        assertThatThrownBy(() -> sheet(Topology.PUSH_PULL, BiasKind.FIXED, 0, false))
                .hasMessageContaining("1 to 8 power tubes, was 0");
        assertThatThrownBy(() -> sheet(Topology.PUSH_PULL, BiasKind.FIXED, 9, false))
                .hasMessageContaining("was 9");
    }

    @Test
    void aWindowRunsFromColdToHot() {
        assertThatThrownBy(() -> new Target(School.CURRENT_WINDOW, 0.05, 0.04, 0.06))
                .hasMessageContaining("low <= aim <= high");
        assertThatThrownBy(() -> new Target(School.CURRENT_WINDOW, 0.05, Double.NaN, 0.06))
                .hasMessageContaining("NaN");
        assertThat(Target.FIXED_BIAS.told(Unit.MILLIVOLT))
                .isEqualTo(new AmpFinding.Window(
                        School.SHARE_OF_RATING,
                        Shown.of(Unit.PERCENT, 0.50),
                        Shown.of(Unit.PERCENT, 0.70),
                        Shown.of(Unit.PERCENT, 0.62)));
        assertThat(new Target(School.MAKERS_FIGURE, 0.03, 0.035, 0.04).told(Unit.MILLIVOLT))
                .isEqualTo(new AmpFinding.Window(
                        School.MAKERS_FIGURE,
                        Shown.of(Unit.MILLIVOLT, 0.03),
                        Shown.of(Unit.MILLIVOLT, 0.04),
                        Shown.of(Unit.MILLIVOLT, 0.035)));
    }

    @Test
    void theBuildersOwnLimitComesBeforeTheCatalogues() {
        AmpSheet s = Amps.pair();
        AmpSheet own = s.with(s.stage().withOwnPlateWatts(28));
        assertThat(own.rating(Amps.type("6L6GC")).plateWatts()).isEqualTo(28);
        assertThat(own.rating(Amps.type("6L6GC")).system()).isEqualTo(RatingSystem.OWN);
        assertThat(s.rating(Amps.type("6L6GC")).plateWatts()).isEqualTo(30);
    }

    @Test
    void theMetersAccuracyIsPercentPlusDigits() {
        // 0.5 % of 452 V and 2 digits of 0.1 V; 0.5 % of 36.4 mV and 2 digits of 0.1 mV
        assertThat(MeterAccuracy.ORDINARY.ofVolts(452)).isEqualTo(2.46, within(1e-9));
        assertThat(MeterAccuracy.ORDINARY.ofSense(0.0364, 0)).isEqualTo(0.000382, within(1e-12));
    }
}
