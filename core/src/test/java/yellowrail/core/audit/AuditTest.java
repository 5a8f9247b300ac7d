package yellowrail.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.junit.jupiter.api.Test;

class AuditTest {

    private static NodeVolts node(String label, double volts) {
        return new NodeVolts(label, volts, 0.1);
    }

    private static Part part(String from, String to, double ohms, double tolerance) {
        return new Part(from, to, ohms, tolerance, OptionalDouble.empty());
    }

    /**
     * 402 V before a choke of 152 ohm, 381.5 V behind it: 134.9 mA. Two output tubes, 28.2 V on 470 ohm each, take 60.0
     * mA each; triodes 3.9 mA each. A bleeder of 220 kohm before the choke takes 1.83 mA that the choke does not see.
     */
    private static AuditProblem amp(int triodes) {
        List<Draw> draws = new ArrayList<>(List.of(new Draw("B", 0.060, 0.0006), new Draw("B", 0.060, 0.0006)));
        for (int i = 0; i < triodes; i++) {
            draws.add(new Draw("B", 0.0039, 0.0001));
        }
        return new AuditProblem(
                List.of(node("A", 402), node("B", 381.5), node("K1", 28.2), node("K2", 28.2)),
                List.of(
                        part("A", "B", 152, 0.01),
                        part("K1", Part.GROUND, 470, 0.01),
                        part("K2", Part.GROUND, 470, 0.01),
                        new Part("A", Part.GROUND, 220e3, 0.05, OptionalDouble.of(2))),
                draws,
                0.005);
    }

    @Test
    void everyMilliampOfAnAmpIsAccountedFor() {
        Audit audit = new Audit(amp(4));
        assertThat(audit.currents())
                .extracting(PartCurrent::amps)
                .usingElementComparator((one, other) -> Math.abs(one - other) < 5e-5 ? 0 : 1)
                .containsExactly(0.1349, 0.0600, 0.0600, 0.0018);
        assertThat(audit.currents().get(3).watts()).isCloseTo(0.735, within(0.001));
        assertThat(audit.currents().get(3).ofRating().orElseThrow()).isCloseTo(0.367, within(0.001));
        assertThat(audit.currents().get(0).ofRating()).isEmpty();
        assertThat(audit.residues()).singleElement().satisfies(residue -> {
            assertThat(residue.node()).isEqualTo("B");
            assertThat(residue.amps()).isCloseTo(-0.0007, within(5e-5));
            assertThat(residue.explained()).isTrue();
        });
    }

    /** 3.2 mA more than is seen to be drawn: one triode of four was not read. */
    @Test
    void aStageThatWasNotReadIsMissing() {
        Residue residue = new Audit(amp(3)).residues().get(0);
        assertThat(residue.amps()).isCloseTo(0.0032, within(5e-5));
        assertThat(residue.explained()).isFalse();
    }

    /** Both ends are read by one meter: what it reads too much of 402 V it reads too much of 381.5 V as well. */
    @Test
    void theGainOfTheOneMeterDropsOutOfTheDifference() {
        PartCurrent choke = new Audit(amp(4)).currents().get(0);
        double digits = Math.hypot(0.1, 0.1) / 152;
        assertThat(choke.plusMinus())
                .isCloseTo(Math.hypot(digits, choke.amps() * Math.hypot(0.01, 0.005)), within(1e-9))
                .isLessThan(0.0018);
        double apart = Math.hypot(402 * 0.005, 381.5 * 0.005) / 152;
        assertThat(choke.plusMinus()).isLessThan(apart / 8);
    }

    @Test
    void endsTheWrongWayRoundCountTheSame() {
        AuditProblem turned = new AuditProblem(
                List.of(node("A", 402), node("B", 381.5)),
                List.of(part("B", "A", 152, 0.01)),
                List.of(new Draw("B", 0.1356, 0.001)),
                0);
        assertThat(new Audit(turned).currents().get(0).amps()).isCloseTo(-0.13487, within(1e-5));
        assertThat(new Audit(turned).residues())
                .singleElement()
                .satisfies(residue -> assertThat(residue.amps()).isCloseTo(-0.0007, within(5e-5)));
    }

    @Test
    void neitherASourceNorAnEndThatLetsNothingOnHasAResidue() {
        AuditProblem open = new AuditProblem(
                List.of(node("A", 400), node("B", 390), node("C", 390)),
                List.of(part("A", "B", 1000, 0), part("B", "C", 1000, 0)),
                List.of(),
                0);
        assertThat(new Audit(open).residues()).isEmpty();
        assertThat(new Audit(new AuditProblem(open.nodes(), open.parts(), List.of(new Draw("B", 0.01, 0)), 0))
                        .residues())
                .extracting(Residue::node)
                .containsExactly("B");
    }

    @Test
    void whatIsNoCircuitIsRefused() {
        List<NodeVolts> nodes = List.of(node("A", 400), node("B", 390));
        assertThatThrownBy(() -> new AuditProblem(List.of(node("A", 1), node("A", 2)), List.of(), List.of(), 0))
                .hasMessageContaining("differ");
        assertThatThrownBy(() -> new AuditProblem(List.of(node("ground", 1)), List.of(), List.of(), 0))
                .hasMessageContaining("ground");
        assertThatThrownBy(() -> new AuditProblem(nodes, List.of(part("A", "X", 1, 0)), List.of(), 0))
                .hasMessageContaining("X");
        assertThatThrownBy(() -> new AuditProblem(nodes, List.of(), List.of(new Draw("ground", 1, 0)), 0))
                .hasMessageContaining("ground");
        assertThatThrownBy(() -> part("A", "B", 0, 0)).hasMessageContaining("0.0");
        assertThatThrownBy(() -> part("A", "A", 1, 0)).hasMessageContaining("A");
        assertThatThrownBy(() -> new NodeVolts("A", Double.NaN, 0)).hasMessageContaining("NaN");
    }

    /** A tree of resistors under a source, solved by a linear solver: nothing of this repeats what the audit does. */
    private static final class Tree {

        private final List<Part> parts = new ArrayList<>();
        private final List<Draw> draws = new ArrayList<>();
        private final double[] volts;
        private final int size;

        /** @param hidden a node that draws {@code amps} more than is told; 0 for none */
        Tree(long seed, int size, int hidden, double amps) {
            Random chance = new Random(seed);
            this.size = size;
            this.volts = new double[size];
            double[][] conductance = new double[size][size];
            double[] fed = new double[size];
            conductance[0][0] = 1;
            fed[0] = 300 + 200 * chance.nextDouble();
            for (int i = 1; i < size; i++) {
                int above = chance.nextInt(i);
                double ohms = 50 * Math.pow(40, chance.nextDouble());
                parts.add(part("N" + above, "N" + i, ohms, 0));
                double draw = 0.002 * chance.nextDouble() / size;
                draws.add(new Draw("N" + i, draw, 0));
                fed[i] -= draw + (i == hidden ? amps : 0);
                join(conductance, above, i, 1 / ohms);
                if (chance.nextBoolean()) {
                    double bleeder = 1e5 * (1 + 9 * chance.nextDouble());
                    parts.add(part("N" + i, Part.GROUND, bleeder, 0));
                    conductance[i][i] += 1 / bleeder;
                }
            }
            double[] solved = new LUDecomposition(new Array2DRowRealMatrix(conductance))
                    .getSolver()
                    .solve(new ArrayRealVector(fed))
                    .toArray();
            System.arraycopy(solved, 0, volts, 0, size);
        }

        /** The source's row says only its volts. */
        private static void join(double[][] conductance, int one, int other, double siemens) {
            for (int[] each : new int[][] {{one, other}, {other, one}}) {
                if (each[0] != 0) {
                    conductance[each[0]][each[0]] += siemens;
                    conductance[each[0]][each[1]] -= siemens;
                }
            }
        }

        List<Residue> residues(double plusMinus) {
            List<NodeVolts> nodes = new ArrayList<>();
            for (int i = 0; i < size; i++) {
                nodes.add(new NodeVolts("N" + i, volts[i], plusMinus));
            }
            return new Audit(new AuditProblem(nodes, parts, draws, 0)).residues();
        }
    }

    @Property
    void aTreeThatWasSolvedLeavesNothingOver(
            @ForAll @LongRange(min = 0, max = 1L << 40) long seed, @ForAll @IntRange(min = 2, max = 60) int size) {
        List<Residue> residues = new Tree(seed, size, 0, 0).residues(0);
        assertThat(residues).hasSize(size - 1);
        assertThat(residues).allMatch(residue -> Math.abs(residue.amps()) < 1e-9);
    }

    @Property
    void whatIsDrawnInSecretIsFoundWhereItIs(
            @ForAll @LongRange(min = 0, max = 1L << 40) long seed,
            @ForAll @IntRange(min = 2, max = 60) int size,
            @ForAll @IntRange(min = 1, max = 59) int at) {
        int hidden = 1 + (at - 1) % (size - 1);
        double plusMinus = new Tree(seed, size, 0, 0)
                .residues(0.01).stream()
                        .filter(residue -> residue.node().equals("N" + hidden))
                        .mapToDouble(Residue::plusMinus)
                        .findFirst()
                        .orElseThrow();
        double amps = 1.01 * plusMinus;
        List<Residue> residues = new Tree(seed, size, hidden, amps).residues(0.01);
        assertThat(residues)
                .filteredOn(residue -> !residue.explained())
                .singleElement()
                .satisfies(residue -> {
                    assertThat(residue.node()).isEqualTo("N" + hidden);
                    assertThat(residue.amps()).isCloseTo(amps, within(1e-9));
                });
    }
}
