package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.ScreenSense;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Code;
import yellowrail.core.idle.LastRead;
import yellowrail.core.tube.model.TubeModels;

class AmpStageTest {

    private static AmpStage of(AmpSheet sheet, String... lines) {
        LastRead read = LastRead.of(
                Amps.stage(sheet),
                lines.length == 0
                        ? Optional.empty()
                        : Optional.of(Amps.timeline(sheet, lines).present()));
        return AmpStage.of(
                sheet,
                read,
                Amps.type(sheet.tubeType()),
                TubeModels.published()
                        .of(Amps.type(sheet.tubeType()))
                        .orElseThrow()
                        .model());
    }

    private static List<String> assumed(AmpStage stage) {
        return stage.assumed().stream().map(each -> Code.of(each.getClass())).toList();
    }

    private static AmpSheet connected(Connection connection) {
        return Amps.pair()
                .with(new ScreenSense(
                        ScreenSense.Way.TYPICAL, OptionalDouble.empty(), connection, OptionalDouble.empty()));
    }

    @Test
    void ofAnAmpNobodyReadEverythingIsTakenAndSaid() {
        AmpStage taken = of(Amps.pair());
        assertThat(assumed(taken)).containsExactly("plates-taken", "screens-taken", "load-taken", "idle-taken");
        OutputStage stage = taken.stage();
        double share = Idle.of(stage).plateAmps() * stage.plateVolts() / 30;
        assertThat(share).as("at the aim of its school").isCloseTo(0.62, within(0.01));
        assertThat(stage.plateVolts() - stage.screenVolts()).isEqualTo(5);
    }

    /** The idle that was read counts, whatever grid volts the type's model would want for it. */
    @Test
    void whatWasReadIsNotTaken() {
        AmpStage read = of(Amps.pair(), "V1 36.4; V2 33.9; plate 452; screen 444; bias -46.8");
        assertThat(assumed(read)).containsExactly("load-taken");
        assertThat(read.stage().plateVolts()).isCloseTo(452, within(0.1));
        assertThat(read.stage().screenVolts()).isCloseTo(444, within(0.1));
        double mean = (36.4 + 33.9) / 2 * 0.95 * 1e-3;
        assertThat(Idle.of(read.stage()).plateAmps()).isCloseTo(mean, within(1e-5));
    }

    /** At the same grid volts one tube draws more; the supply falls by what full drive draws more than idle. */
    @Test
    void asItIsReadItsSidesDifferAndItsSupplySags() {
        AmpStage alike = of(Amps.pair(), "V1 40; V2 32; plate 452; screen 444");
        OutputStage stage = alike.asRead(OptionalDouble.of(8.0 / 36), OptionalDouble.of(150), 0.02)
                .stage();
        Idle idle = Idle.of(stage);
        assertThat(idle.sides().get(0).plateAmps() / idle.sides().get(1).plateAmps())
                .isCloseTo(40.0 / 32, within(1e-3));
        assertThat(idle.allPlateAmps()).isCloseTo(2 * Idle.of(alike.stage()).plateAmps(), within(1e-5));
        Performance sagged = new FullDrive(stage).compute();
        double more = sagged.plateAmps() - idle.allPlateAmps();
        assertThat(stage.plateVolts() - sagged.supplyVolts()).isCloseTo(150 * more, within(0.01));
        double screens = sagged.screenAmps() - idle.allScreenAmps();
        assertThat(stage.screenVolts() - sagged.screenSupplyVolts())
                .as("behind the plates' node: what all draw more there, and the screens in what lies between")
                .isCloseTo(150 * (more + screens) + 8 / (0.02 + idle.allScreenAmps()) * screens, within(1.0));
        assertThat(sagged.harmonics().get(0)).isGreaterThan(0.01);
        assertThat(new FullDrive(alike.stage()).compute().harmonics().get(0)).isLessThan(1e-6);
    }

    /** What no stage can stand on is not computed with, and what was taken is said. */
    @Test
    void readingsThatCannotBeAreNotTaken() {
        AmpStage alike = of(Amps.pair(), "V1 60; V2 0.5; plate 452; screen 444");
        AmpStage read = alike.asRead(OptionalDouble.of(1.97), OptionalDouble.of(40_000), 0.02);
        assertThat(read.stage()).isEqualTo(alike.stage());
        assertThat(assumed(read)).contains("one-side-hardly-draws");
        AmpStage nearly = alike.asRead(OptionalDouble.of(-1.59), OptionalDouble.of(470), 0.02);
        assertThat(new FullDrive(nearly.stage()).compute().powerWatts()).isPositive();
        assertThat(nearly.stage().losses().screenSag()).isLessThanOrEqualTo(SupplySag.MOST_SCREENS);
    }

    @Test
    void screensOnTheWindingStandWhereThePlatesDo() {
        for (Connection connection : List.of(Connection.TRIODE, Connection.ULTRALINEAR)) {
            AmpStage stage = of(connected(connection), "V1 36.4; V2 33.9; plate 452; screen 380");
            assertThat(stage.stage().screenVolts()).as(connection.name()).isCloseTo(452, within(0.1));
            assertThat(assumed(stage)).doesNotContain("screens-taken");
        }
    }

    /** Cathode bias idles where fixed bias would, by a resistor that carries all tubes. */
    @Test
    void cathodeBiasIsAResistorForTheSameIdle() {
        OutputStage fixed =
                of(Amps.pair(), "V1 36.4; V2 33.9; plate 452; screen 444").stage();
        OutputStage cathode = AmpStage.atIdle(fixed, 0.034, true);
        Idle idle = Idle.of(cathode);
        assertThat(idle.plateAmps()).isCloseTo(0.034, within(1e-5));
        assertThat(idle.cathodeVolts())
                .isCloseTo(
                        cathode.bias().ohms().getAsDouble() * 2 * (idle.plateAmps() + idle.screenAmps()), within(1e-6));
        assertThat(idle.cathodeVolts()).isCloseTo(-idle.gridVolts(), within(0.01));
    }

    @Test
    void aSingleEndedAmpHasItsOwnUsualLoad() {
        AmpSheet single =
                new AmpDefaults(Topology.SINGLE_ENDED, BiasKind.CATHODE_EACH, Amps.type("6L6GC"), 1, false).sheet();
        OutputStage stage = of(single, "V1 31.2; plate 402").stage();
        assertThat(stage.isPushPull()).isFalse();
        assertThat(stage.tubes()).isEqualTo(1);
        assertThat(stage.loadOhms()).isBetween(2000.0, 6000.0);
    }
}
