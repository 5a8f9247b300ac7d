package yellowrail.core.discharge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.node.ChartDefaults;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.amp.node.ChartText;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.amp.node.VoltageChart;

class DischargeWalkTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private static AmpSheet charted(String chart) {
        ChartText text = ChartText.parse(chart, new ChartDefaults(Expected.Source.SCHEMATIC, OptionalDouble.of(120)));
        assertThat(text.faults()).isEmpty();
        return Amps.pair().with(new VoltageChart(text.nodes()));
    }

    private static final AmpSheet AMP = charted("""
            name,volts,from,ohms,uf,capacitor-volts,in-series,bleeder-ohms
            reservoir,450,,,100,350,2,220k
            B2,400,reservoir,10k,22,450,,
            lone,300,,,22,450,,
            bias supply,-60,,,100,100,,
            """);

    private static DischargeWalk walk(AmpSheet sheet, String... lines) {
        Amps.Typed typed = new Amps.Typed(sheet).lines(lines);
        return new DischargeWalk(sheet, typed.timeline().present().moment(), typed.now());
    }

    private static List<String> says(DischargeWalk walk) {
        return walk.says().stream().map(DischargeFinding::code).toList();
    }

    @Test
    void handsStayOutUntilEveryCapacitorWasRead() {
        assertThat(says(walk(AMP, "on 20"))).containsExactly("switch-off-first");
        assertThat(says(walk(AMP))).as("nobody said that it is off").containsExactly("switch-off-first");
        DischargeWalk half = walk(AMP, "on 20", "off", "drained reservoir 1.2", "drained b2 0.4");
        assertThat(half.says().get(0)).isEqualTo(new DischargeFinding.HandsStayOut(List.of("lone", "bias supply")));
        assertThat(half.isDrained()).isFalse();
        DischargeWalk all = walk(
                AMP, "off", "drained reservoir 1.2", "drained B2 0.4", "drained lone 0", "drained bias supply -0.3");
        assertThat(all.isDrained()).isTrue();
        assertThat(all.says().get(0)).isEqualTo(new DischargeFinding.AllUnderFive(1.2, 4));
    }

    @Test
    void whatWasReadBeforeItWasSwitchedOnAgainCountsNoMore() {
        DischargeWalk again = walk(
                AMP, "off", "drained reservoir 1; drained B2 1; drained lone 1; drained bias supply 0", "on", "off");
        assertThat(again.isDrained()).isFalse();
        assertThat(again.points()).allMatch(point -> point.state() == DischargePoint.State.NOT_READ);
    }

    /** A quarter of an hour later a capacitor may have recovered. */
    @Test
    void afterAWhileItIsReadAgain() {
        Amps.Typed typed = new Amps.Typed(AMP)
                .lines("off", "drained reservoir 1; drained B2 1; drained lone 1; drained bias supply 0");
        var moment = typed.timeline().present().moment();
        assertThat(new DischargeWalk(AMP, moment, typed.now().plusSeconds(600)).isDrained())
                .isTrue();
        DischargeWalk late = new DischargeWalk(AMP, moment, typed.now().plusSeconds(1200));
        assertThat(late.isDrained()).isFalse();
        assertThat(late.says().get(0)).isEqualTo(new DischargeFinding.ReadAgain(21));
    }

    /** 50 uF behind 440 kohm, 450 V: after 3 min about 1 V should be left where 300 are. */
    @Test
    void aNodeThatStaysUpNamesTheOpenBleeder() {
        DischargeWalk walk = walk(
                AMP,
                "off",
                "note one",
                "note two",
                "note three",
                "note four",
                "drained reservoir 300",
                "drained lone 290");
        assertThat(walk.says())
                .anySatisfy(says -> assertThat(says)
                        .isInstanceOfSatisfying(DischargeFinding.BleederOpen.class, open -> {
                            assertThat(open.label()).isEqualTo("reservoir");
                            assertThat(open.ohms()).isCloseTo(440e3, within(1e-6));
                            assertThat(open.should()).isLessThan(20);
                        }));
        assertThat(says(walk)).contains("nothing-drains-it").doesNotContain("all-under-five");
        assertThat(says(walk(AMP, "off", "drained reservoir 110")))
                .as("a minute after it was switched off it may well hold that")
                .contains("holds");
    }

    @Test
    void theTimeTheBleedersNeedIsToldBeforehand() {
        List<DischargePoint> points = walk(AMP, "off").points();
        assertThat(points).extracting(DischargePoint::label).containsExactly("reservoir", "B2", "lone", "bias supply");
        assertThat(points.get(0).seconds().orElseThrow()).isBetween(100.0, 200.0);
        assertThat(points.get(1).seconds().orElseThrow())
                .as("through the resistor to the reservoir and its bleeders")
                .isGreaterThanOrEqualTo(points.get(0).seconds().orElseThrow());
        assertThat(points.get(2).seconds()).isEmpty();
        assertThat(DischargeWalk.waits(points.get(2))).isEqualTo(new DischargeFinding.NothingDrains());
    }

    /** Before anything draws all capacitors behind a choke or a resistor stand at the peak of the winding. */
    @Test
    void coldEveryNodeStandsAtThePeak() {
        AmpSheet silicon = AMP.with(new Supply(
                Rectifier.SILICON, true, OptionalDouble.of(352), NO, NO, NO, NO, NO, OptionalDouble.of(0.05), false));
        double peak = Math.sqrt(2) * 352 * 1.05;
        AMP.chart()
                .nodes()
                .forEach(node -> assertThat(cold(node, silicon))
                        .isEqualTo(new ColdVolts(node.isCalled("bias supply") ? -60 : peak, true)));
        AmpSheet tube = silicon.with(silicon.supply().with(Rectifier.TUBE));
        ChartNode second = AMP.chart().nodes().get(1);
        assertThat(cold(second, tube).volts())
                .as("nobody knows which rectifier: it may come up before the power tubes")
                .isEqualTo(peak);
        assertThat(cold(second, tube.with(tube.fittings().withRectifier("5U4GB")))
                        .volts())
                .isEqualTo(peak);
        assertThat(says(walk(silicon, "off"))).contains("standby-joins");
    }

    /** It comes up with the power tubes, unless the reservoir is charged in standby, when nothing draws. */
    @Test
    void anIndirectlyHeatedRectifierBringsNothingAboveWhatItRunsAt() {
        Supply supply = new Supply(
                Rectifier.TUBE, true, OptionalDouble.of(352), NO, NO, NO, NO, NO, OptionalDouble.of(0.05), true);
        AmpSheet behind = AMP.with(supply).with(AMP.fittings().withRectifier("GZ34"));
        ChartNode second = AMP.chart().nodes().get(1);
        assertThat(cold(second, behind)).isEqualTo(new ColdVolts(400, true));
        AmpSheet ahead = behind.with(new Supply(
                Rectifier.TUBE, true, OptionalDouble.of(352), NO, NO, NO, NO, NO, OptionalDouble.of(0.05), false));
        assertThat(cold(second, ahead).volts()).isCloseTo(Math.sqrt(2) * 352 * 1.05, within(1e-9));
    }

    /** Neither winding nor rectifier on the sheet: what it runs at is the least, and what was read counts if higher. */
    @Test
    void whereTheWindingIsNotKnownItMayBeMore() {
        ChartNode second = AMP.chart().nodes().get(1);
        assertThat(cold(second, AMP)).isEqualTo(new ColdVolts(400, false));
        DischargePoint point =
                walk(AMP, "mains 120", "at B2 431", "off").points().get(1);
        assertThat(point.from()).hasValue(new ColdVolts(431, false));
        assertThat(walk(AMP, "off").emptying().orElseThrow().vessels().get(1).volts())
                .as("reckoned from what the capacitor is rated for")
                .isEqualTo(450);
    }

    /** Neither a cathode's bypass capacitor nor a line of 12 V sees the winding. */
    @Test
    void aLowSupplyDoesNotStandAtThePeak() {
        AmpSheet low =
                charted("""
                name,volts,uf,capacitor-volts,ground-ohms
                reservoir,450,100,500,
                logic supply,12.6,1000,25,
                V1 cathode,1.5,25,25,1k5
                """).with(new Supply(Rectifier.SILICON, false, OptionalDouble.of(352), NO, NO, NO, NO, NO));
        List<ChartNode> nodes = low.chart().nodes();
        assertThat(cold(nodes.get(0), low).volts()).isGreaterThan(490);
        assertThat(cold(nodes.get(1), low)).isEqualTo(new ColdVolts(12.6, false));
        assertThat(cold(nodes.get(2), low)).isEqualTo(new ColdVolts(1.5, true));
    }

    private static ColdVolts cold(ChartNode node, AmpSheet sheet) {
        return ColdVolts.at(node, sheet).orElseThrow();
    }

    @Test
    void anAmpWithoutAChartHasTheCapacitorsThatEveryAmpHas() {
        DischargeWalk walk = walk(Amps.pair(), "off", "drained reservoir 2");
        assertThat(walk.points()).extracting(DischargePoint::label).containsExactly("reservoir", "screens", "bias");
        assertThat(walk.emptying()).isEmpty();
        assertThat(says(walk(Amps.pair(), "off", "drained screens 200"))).contains("holds");
    }
}
