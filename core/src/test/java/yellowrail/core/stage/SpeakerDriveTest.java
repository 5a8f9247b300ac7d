package yellowrail.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;
import static org.assertj.core.api.Assumptions.assumeThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.CircuitSimulator;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.chart.Point;
import yellowrail.core.iron.Impedance;

class SpeakerDriveTest {

    private static final Performance PAIR = found(Topology.PUSH_PULL, "EL34", Connection.PENTODE, -38, 5000);

    private static Performance found(Topology topology, String type, Connection connection, double bias, double load) {
        double volts = topology == Topology.PUSH_PULL ? 430 : 250;
        return new FullDrive(NetlistTest.stage(type, topology, 1, volts, volts - 10, connection, bias, load, 40))
                .compute();
    }

    private static SpeakerDrive driven(double ohms, double degrees) {
        return SpeakerDrive.of(PAIR, new Impedance(100, ohms, degrees), 8).orElseThrow();
    }

    /** In step with its voltage it is the nominal load, and gives what that gives. */
    @Test
    void aResistiveSpeakerIsTheLoadLine() {
        SpeakerDrive driven = driven(8, 0);
        assertThat(driven.watts()).isCloseTo(PAIR.powerWatts(), withinPercentage(0.1));
        assertThat(driven.plateWatts()).isCloseTo(PAIR.plateWatts(), withinPercentage(0.5));
        assertThat(driven.peakPlateVolts()).isCloseTo(PAIR.peakPlateVolts(), within(0.5));
    }

    /** A loop lets the plate carry current while it stands high, and takes less power off it. */
    @Test
    void outOfStepThePlateTakesMore() {
        SpeakerDrive inStep = driven(12, 0);
        for (double degrees : new double[] {-45, 45}) {
            SpeakerDrive loop = driven(12, degrees);
            assertThat(loop.plateWatts()).as("%s", degrees).isGreaterThan(1.2 * inStep.plateWatts());
            assertThat(loop.watts()).as("%s", degrees).isLessThan(inStep.watts());
            assertThat(loop.path().get(0)).isEqualTo(loop.path().get(loop.path().size() - 1));
            Point high = loop.path().get(8);
            Point low = loop.path().get(24);
            assertThat(Math.abs(high.x() - low.x())).as("a loop is open").isGreaterThan(30);
        }
    }

    @Test
    void whatNoSpeakerCanBeIsNotDriven() {
        assertThat(SpeakerDrive.of(PAIR, new Impedance(100, 8, 95), 8)).isEmpty();
    }

    /** The same load beside the simulator\u2019s transformer. */
    @ParameterizedTest
    @CsvSource({
        "PUSH_PULL, EL34, PENTODE, -38, 5000, 1.5, 40",
        "PUSH_PULL, EL34, PENTODE, -38, 5000, 1.5, -40",
        "PUSH_PULL, KT88, ULTRALINEAR, -50, 5000, 3, 50",
        "SINGLE_ENDED, EL84, PENTODE, -7.3, 5200, 1.2, 30",
        "SINGLE_ENDED, 6L6GC, TRIODE, -20, 5000, 1.5, -30"
    })
    void agreesWithTheSimulator(
            Topology topology,
            String type,
            Connection connection,
            double bias,
            double load,
            double times,
            double degrees)
            throws Exception {
        assumeThat(CircuitSimulator.isInstalled()).isTrue();
        Performance nominal = found(topology, type, connection, bias, load);
        SpeakerDrive ours = SpeakerDrive.of(nominal, new Impedance(1000, 8 * times, degrees), 8)
                .orElseThrow();
        double ohms = times * load;
        double resistor = ohms / Math.cos(Math.toRadians(degrees));
        double reactance = ohms / Math.sin(Math.toRadians(degrees));
        String beside = degrees > 0
                ? "lload out 0 " + reactance / (2000 * Math.PI)
                : "cload out 0 " + -1 / (2000 * Math.PI * reactance);
        String netlist = new Netlist(nominal, "speaker")
                .write()
                .replaceFirst("rload out 0 \\S+", "rload out 0 " + resistor + "\n" + beside);
        SimulatedStage theirs = SimulatedStage.run(netlist);
        double watts = theirs.volts() * theirs.volts() / (2 * resistor);
        System.out.printf(
                "%n%s %s at %.0f degrees: %.3f W, simulator %.3f W%n", type, topology, degrees, ours.watts(), watts);
        assertThat(ours.watts()).isCloseTo(watts, withinPercentage(1));
    }
}
