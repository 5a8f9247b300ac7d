package yellowrail.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import yellowrail.core.finding.Finding;

class ResistorBankTest {

    private static List<Joined.One> drawer(double watts, double... ohms) {
        return DoubleStream.of(ohms)
                .mapToObj(each -> new Joined.One(each, watts))
                .toList();
    }

    /** 470 beside 470 is 235, and 15 in a row with that is 250. */
    @Test
    void rowsAndNeighboursAreFound() {
        Joined best =
                new ResistorBank(drawer(5, 470, 470, 15, 1000)).near(250, 0).get(0);
        assertThat(best.ohms()).isCloseTo(250, within(1e-9));
        assertThat(best.parts()).hasSize(3);
        assertThat(best)
                .isInstanceOfSatisfying(
                        Joined.Group.class, group -> assertThat(group.inRow()).isTrue());
    }

    @Test
    void aSingleOneThatIsNearBeatsTwoThatAreNearer() {
        assertThat(new ResistorBank(drawer(5, 250, 500, 501))
                        .near(250.1, 0)
                        .get(0)
                        .parts())
                .hasSize(1);
    }

    /** 4 W through 100 ohm and 300 ohm beside each other: the 100 takes 3 W. */
    @Test
    void wattsGoWhereTheCurrentGoes() {
        Joined pair = Joined.beside(new Joined.One(100, 5), new Joined.One(300, 5));
        assertThat(pair.hardestWorked(4)).isCloseTo(3.0 / 5, within(1e-12));
        assertThat(Joined.row(new Joined.One(100, 5), new Joined.One(300, 5)).hardestWorked(4))
                .isCloseTo(3.0 / 5, within(1e-12));
    }

    @Test
    void whatWouldWorkTooHardIsNotTold() {
        assertThat(new ResistorBank(drawer(1, 470, 470)).near(235, 2)).isEmpty();
        assertThat(new ResistorBank(drawer(2, 470, 470)).near(235, 2)).hasSize(1);
    }

    @Test
    void aDrawerIsReadAsItIsWritten() {
        Map<String, Finding> faults = new HashMap<>();
        assertThat(DrawerText.read("drawer", "2x 470 5W,1k\n4k7 ; 1,5", faults::put))
                .containsExactly(
                        new Joined.One(470, 5),
                        new Joined.One(470, 5),
                        new Joined.One(1000, Double.POSITIVE_INFINITY),
                        new Joined.One(4700, Double.POSITIVE_INFINITY),
                        new Joined.One(1.5, Double.POSITIVE_INFINITY));
        assertThat(faults).isEmpty();
        DrawerText.read("drawer", "470, lots", faults::put);
        assertThat(faults).containsEntry("drawer", new PartFault.NoResistor("\u201clots\u201d"));
        DrawerText.read("full", "17x 470", faults::put);
        assertThat(faults).containsEntry("full", new PartFault.DrawerTooFull(17, 16));
    }

    @Test
    void aNetworkIsWrittenWithBrackets() {
        assertThat(Joined.row(Joined.beside(new Joined.One(470, 5), new Joined.One(330, 5)), new Joined.One(15, 5))
                        .written())
                .isEqualTo("(470 ohm || 330 ohm) + 15 ohm");
    }

    @Test
    void anEmptyDrawerIsRefused() {
        assertThatThrownBy(() -> new ResistorBank(List.of())).hasMessage("a drawer has 1 to 16 resistors, was 0");
    }

    /** Rated alike, all of a bank together bear at least what one does and at most their sum. */
    @Property(tries = 50)
    void everyNetworkIsTriedOnce(@ForAll @Size(4) List<@DoubleRange(min = 1, max = 1000) Double> ohms) {
        List<Joined> told = new ResistorBank(
                        ohms.stream().map(each -> new Joined.One(each, 1)).toList())
                .near(300, 0);
        assertThat(told).doesNotHaveDuplicates().hasSizeLessThanOrEqualTo(6);
        for (Joined joined : told) {
            assertThat(joined.hardestWorked(1)).isBetween(1.0 / joined.parts().size() - 1e-9, 1.0 + 1e-9);
        }
    }
}
