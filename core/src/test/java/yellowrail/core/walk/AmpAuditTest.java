package yellowrail.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.Iron;
import yellowrail.core.amp.Topology;
import yellowrail.core.audit.PartCurrent;
import yellowrail.core.idle.LastRead;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.quantity.Unit;
import yellowrail.core.stage.AmpStage;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Performance;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.model.TubeModels;

class AmpAuditTest {

    private static final OptionalDouble NO = OptionalDouble.empty();

    private static final String STAGE = """
            V%1$d plate,265,V%1$d,B,30k,,1
            V%1$d cathode,1.95,V%1$d,,,500,1
            """;

    /** 402 V before a choke of 152 ohm, 381.5 V behind it; two output tubes and four triodes of 3.9 mA hang there. */
    private static final AmpSheet AMP = Walked.amp(
            new AmpDefaults(Topology.PUSH_PULL, BiasKind.CATHODE_EACH, Amps.type("EL34"), 2, false)
                    .sheet()
                    .with(CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 470, 0.01, Unit.VOLT)),
            """
                    name,volts,stage,from,ohms,ground-ohms,ohms-tolerance,feeds
                    A,402,,,,220k,,
                    B,381.5,,A,choke 152,,1,stage
                    """ + STAGE.formatted(11) + STAGE.formatted(12) + STAGE.formatted(13) + STAGE.formatted(14));

    private static final String OUTPUT = "mains 120; plate 381.5; V1 28.2V; V2 28.2V; at A 402.0; at B 381.5";

    private static String stage(int number) {
        return "; at V%1$d plate 264.5; at V%1$d cathode 1.95".formatted(number);
    }

    private static AmpAudit audit(AmpSheet sheet, String... lines) {
        Timeline timeline = Walked.timeline(sheet, lines);
        return new AmpAudit(
                new ChartCheck(timeline, Map.of()),
                sheet,
                StageSummary.of(timeline).tubes());
    }

    private static List<WalkFinding> says(AmpAudit audit, AmpSheet sheet) {
        return new AuditTeller(audit, sheet, Optional.empty()).says();
    }

    /** 134.9 mA flow in; 2 x 60.0 + 4 x 3.9 = 135.6 mA flow on: -0.7 mA, within its plus-minus. */
    @Test
    void everyMilliampOfAnAmpIsAccountedFor() {
        AmpAudit audit = audit(AMP, OUTPUT + stage(11) + stage(12) + stage(13) + stage(14));
        PartCurrent choke = audit.currents().stream()
                .filter(current -> current.part().to().equals("B"))
                .findFirst()
                .orElseThrow();
        assertThat(choke.amps()).isCloseTo(0.13487, within(1e-5));
        assertThat(audit.stageAmps()).isCloseTo(0.120, within(1e-4));
        assertThat(audit.residues())
                .filteredOn(residue -> residue.node().equals("B"))
                .singleElement()
                .satisfies(residue -> {
                    assertThat(residue.amps()).isCloseTo(-0.0007, within(1e-4));
                    assertThat(residue.explained()).isTrue();
                });
        assertThat(audit.fromSources().orElseThrow())
                .as("with the bleeder before the choke")
                .isCloseTo(0.13487 + 402 / 220e3, within(1e-5));
        assertThat(says(audit, AMP)).extracting(WalkFinding::code).containsExactly("all-sources-give", "accounted");
        assertThat(audit.stages()).hasSize(4).allSatisfy(stage -> {
            assertThat(stage.plates().orElseThrow().value()).isCloseTo(0.0039, within(1e-6));
            assertThat(stage.cathodes().orElseThrow().value()).isCloseTo(0.0039, within(1e-6));
            assertThat(stage.agree()).hasValue(true);
        });
    }

    @Test
    void aStageThatWasNotReadIsNamed() {
        AmpAudit audit = audit(AMP, OUTPUT + stage(11) + stage(12) + stage(14));
        assertThat(audit.missingAt("B")).containsExactly("V13 plate");
        assertThat(says(audit, AMP)).last().isInstanceOfSatisfying(WalkFinding.NotAccounted.class, residue -> {
            assertThat(residue.residue()).isCloseTo(0.0032, within(1e-4));
            assertThat(residue.residue()).isGreaterThan(residue.plusMinus());
            assertThat(residue.because()).hasValue(new WalkFinding.NotReadThere(List.of("V13 plate")));
        });
        AmpAudit noTubes = audit(AMP, "at A 402; at B 381.5" + stage(11));
        assertThat(noTubes.missingAt("B")).contains("V1", "V2");
    }

    /** 400 typed where the meter shows 400.0: half a volt is 3 mA in a choke of 152 ohm. */
    @Test
    void whatWasTypedWithoutItsLastDigitIsToldWhereItMatters() {
        String all = stage(11) + stage(12) + stage(13) + stage(14);
        List<WalkFinding> says = says(audit(AMP, OUTPUT.replace("402.0", "400") + all), AMP);
        assertThat(says)
                .last()
                .isInstanceOfSatisfying(
                        WalkFinding.TooMuchDrawn.class,
                        residue -> assertThat(residue.because()).hasValue(new WalkFinding.TypedCoarsely(List.of("A"))));
        assertThat(says(audit(AMP, OUTPUT.replace("402.0", "400.0") + all), AMP))
                .last()
                .isInstanceOfSatisfying(
                        WalkFinding.TooMuchDrawn.class,
                        residue -> assertThat(residue.because()).isEmpty());
    }

    /** 3.9 mA by its plate and 5.9 by its cathode: its resistors are not what they say. */
    @Test
    void theTwoCurrentsOfAStageAreHeldAgainstEachOther() {
        AmpAudit audit = audit(AMP, OUTPUT + "; at V11 plate 264.5; at V11 cathode 2.95");
        assertThat(audit.stages())
                .singleElement()
                .satisfies(stage -> assertThat(stage.agree()).hasValue(false));
        assertThat(says(audit, AMP)).extracting(WalkFinding::code).contains("stages-disagree");
    }

    @Test
    void aFollowerDrawsAtTheSupplyItsPlateStandsOn() {
        AmpSheet sheet = Walked.amp(
                Amps.pair(),
                "name,stage,from,ohms,ground-ohms\nA,,,,\nB,,A,10k,\nV2 cathode,V2,B,,100k\nV3 plate,V3,B,100k,\n");
        AmpAudit audit = audit(sheet, "at A 300; at B 260; at V2 cathode 180; at V3 plate 40");
        assertThat(audit.residues())
                .filteredOn(residue -> residue.node().equals("B"))
                .singleElement()
                .satisfies(residue -> assertThat(residue.amps()).isCloseTo(0.004 - 0.0018 - 0.0022, within(1e-9)));
        assertThat(audit(sheet, "at A 300; at B 260").missingAt("B"))
                .containsExactlyInAnyOrder("V2 cathode", "V3 plate");
    }

    @Test
    void whatIsPastItsRatingAndWhatFlowsBackwardsIsSaid() {
        AmpSheet sheet = Walked.amp(Amps.pair(), """
                        name,from,ohms,watts,uf,capacitor-volts,in-series,bleeder-ohms
                        A,,,,100,350,2,220k
                        B,A,1000,0.5,,,,
                        C,B,10k,,,,,
                        """);
        AmpAudit audit = audit(sheet, "at A 400; at B 370.0; at C 371.0");
        assertThat(says(audit, sheet)).extracting(WalkFinding::code).contains("past-its-rating", "flows-backwards");
        assertThat(audit.currents())
                .filteredOn(current -> current.part().ohms() == 440e3)
                .singleElement()
                .satisfies(bleeders -> assertThat(bleeders.amps()).isCloseTo(400 / 440e3, within(1e-12)));
    }

    /** What the stage draws above its idle flows through the choke before it, and through nothing behind it. */
    @Test
    void atFullDriveThePartsBeforeTheStageCarryMore() {
        Timeline timeline = Walked.timeline(AMP, OUTPUT + stage(11));
        StageSummary summary = StageSummary.of(timeline);
        ChartCheck check = new ChartCheck(timeline, Map.of());
        AmpAudit audit = new AmpAudit(check, AMP, summary.tubes());
        Performance performance = new FullDrive(AmpStage.of(
                                AMP,
                                LastRead.of(summary.stage(), Optional.of(timeline.present())),
                                Amps.type("EL34"),
                                TubeModels.published()
                                        .of(Amps.type("EL34"))
                                        .orElseThrow()
                                        .model())
                        .stage())
                .compute();
        DrivenAudit driven = new DrivenAudit(audit, check, AMP, performance);
        double more = performance.plateAmps() + performance.screenAmps() - audit.stageAmps();
        assertThat(driven.total()).isCloseTo(more, within(1e-9)).isGreaterThan(0.01);
        assertThat(audit.currents())
                .allSatisfy(current -> assertThat(driven.amps(current) - current.amps())
                        .isCloseTo(current.part().to().equals("B") ? more : 0, within(1e-9)));
        AmpSheet small = AMP.with(new Fittings(
                NO,
                NO,
                "",
                NO,
                OptionalDouble.of(0.145),
                OptionalDouble.of(0.14),
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                NO,
                "",
                Fittings.PinOne.UNKNOWN,
                "",
                Iron.UNKNOWN));
        assertThat(new AuditTeller(audit, small, Optional.of(driven)).says())
                .extracting(WalkFinding::code)
                .contains("transformer-gives", "driven-gives", "choke-past-rating-driven");
    }

    /** 300 V over 100 k and 50 k: 100 V by themselves; at 90 V 0.3 mA is taken. */
    @Test
    void aDividerIsToldByItsResistorsAndWhatItGives() {
        AmpSheet sheet = Walked.amp(Amps.pair(), "name,from,ohms,ground-ohms\nA,,,\nlift,A,100k,50k\n");
        AmpAudit audit = audit(sheet, "at A 300; at lift 90");
        assertThat(audit.dividers()).singleElement().satisfies(divider -> {
            assertThat(divider.alone()).isCloseTo(100, within(1e-9));
            assertThat(divider.taken()).isCloseTo(0.0021 - 0.0018, within(1e-9));
        });
        assertThat(says(audit, sheet)).extracting(WalkFinding::code).contains("divider-gives");
    }

    @Test
    void aChartOfWhichNothingWasReadHasNothingToAccountFor() {
        AmpAudit audit = audit(AMP, "mains 120");
        assertThat(audit.isEmpty()).isTrue();
        assertThat(audit.fromSources()).isEmpty();
        assertThat(says(audit, AMP)).isEmpty();
    }
}
