package yellowrail.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Code;
import yellowrail.core.finding.Finding;

class StationGuideTest {

    private static List<String> codes(List<? extends Finding> findings) {
        return findings.stream().map(each -> Code.of(each.getClass())).toList();
    }

    private static AmpSheet pair(BiasKind bias) {
        return new AmpDefaults(Topology.PUSH_PULL, bias, Amps.type("6L6GC"), 2, false).sheet();
    }

    private static AmpSheet supplied(Rectifier rectifier, boolean standby) {
        return Amps.pair()
                .with(new Supply(
                        rectifier,
                        standby,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty()));
    }

    /** Where the work can hurt someone the cautions stand at that step. */
    @ParameterizedTest
    @EnumSource(Station.class)
    void everyStationSaysWhatItIsAndWhatToTakeCareOf(Station station) {
        for (BiasKind bias : BiasKind.values()) {
            StationGuide guide = StationGuide.of(station, pair(bias));
            assertThat(guide.station()).isEqualTo(station);
            assertThat(guide.todo()).isNotEmpty();
            assertThat(guide.cautions()).isNotEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({
        "FIXED_ADJUSTABLE,turn-to-the-reading,insulated-screwdriver",
        "FIXED,no-pot-here,drained",
        "CATHODE_SHARED,cathode-bias-here,drained",
        "CATHODE_EACH,cathode-bias-here,drained"
    })
    void settingIsTurningOrSoldering(BiasKind bias, String says, String caution) {
        StationGuide guide = StationGuide.of(Station.SET, pair(bias));
        assertThat(Code.of(guide.say().getClass())).isEqualTo(says);
        assertThat(codes(guide.cautions())).containsExactly(caution);
    }

    @ParameterizedTest
    @CsvSource({
        "TUBE,false,rectifier-warms-up,on-with-the-mains",
        "TUBE,true,rectifier-warms-up,standby-then-on",
        "SILICON,true,peak-before-tubes,standby-then-on",
        "UNKNOWN,false,peak-before-tubes,on-with-the-mains"
    })
    void poweringUpGoesByTheSupply(Rectifier rectifier, boolean standby, String rises, String switched) {
        StationGuide guide = StationGuide.of(Station.POWER_UP, supplied(rectifier, standby));
        assertThat(codes(guide.todo())).containsExactly("lamp-limiter", "heaters-first", rises, switched);
        assertThat(codes(StationGuide.of(Station.MAKE_SAFE, supplied(rectifier, standby))
                                .cautions())
                        .contains("drain-through-standby"))
                .isEqualTo(standby);
    }

    @ParameterizedTest
    @CsvSource({
        "SENSE_EACH,read-by",
        "HALF_PRIMARY,read-by-half-primary",
        "SUPPLY_DROP,read-by-supply-drop",
        "CATHODE_RESISTOR,read-by-cathode-resistor",
        "SOCKET_ADAPTER,read-by-adapter",
        "PLATE_ADAPTER,read-by-adapter"
    })
    void planningSaysHowCurrentIsRead(CurrentMethod method, String code) {
        assertThat(codes(StationGuide.of(Station.PLAN, Amps.pair().with(method)).todo()))
                .contains("the-amp", code);
    }

    @Test
    void aPotThatIsNotOnTheSheetIsMissed() {
        assertThat(codes(StationGuide.of(Station.PLAN, Amps.pair().withPots(List.of()))
                        .todo()))
                .contains("no-pot-on-sheet");
        assertThat(codes(StationGuide.of(Station.PLAN, Amps.pair()).todo())).doesNotContain("no-pot-on-sheet");
    }

    @Test
    void aSingleTubeHasNoOtherSide() {
        AmpSheet single =
                new AmpDefaults(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, Amps.type("KT88"), 1, false).sheet();
        assertThat(codes(StationGuide.of(Station.TUBES, single).todo()))
                .doesNotContain("who-sits-where", "who-sits-where-both-sides", "new-tubes-from-cold");
        assertThat(codes(StationGuide.of(Station.TUBES, Amps.pair()).todo()))
                .contains("who-sits-where-both-sides", "new-tubes-from-cold");
    }
}
