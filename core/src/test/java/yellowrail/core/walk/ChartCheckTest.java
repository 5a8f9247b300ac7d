package yellowrail.core.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yellowrail.core.walk.Walked.at;
import static yellowrail.core.walk.Walked.check;
import static yellowrail.core.walk.Walked.says;
import static yellowrail.core.walk.Walked.verdict;

import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.node.Expected;
import yellowrail.core.schematic.Probed;
import yellowrail.core.schematic.SchematicFinding;
import yellowrail.core.timeline.Freshness;
import yellowrail.core.timeline.Timeline;

class ChartCheckTest {

    /** Of a push-pull pair at 120 V: two like stages on one supply, a splitter on the one before it. */
    private static final String CHART = """
            name,volts,stage,twin,from,ohms,ground-ohms,uf,capacitor-volts
            B1,400,,,,,,100,450
            B2,300,,,B1,10k,,22,450
            V1a plate,200,V1a,V1b plate,B2,100k,,,
            V1a cathode,1.5,V1a,V1b cathode,,,1500,,
            V1b plate,200,V1b,,B2,100k,,,
            V1b cathode,1.5,V1b,,,,1500,,
            V1a grid,0 to 0.1,V1a,,,,,,
            V2 plate,240,V2,,B1,82k,,,
            V2 cathode,30,V2,,,,,,
            heater,6.3,,,,,,,
            """;

    private final AmpSheet amp = Walked.amp(Amps.pair(), CHART);

    @ParameterizedTest
    @CsvSource({"239, low", "241, inside", "400, inside", "481, high"})
    void aSchematicOfTheTimeIsGoodWithinAFifth(String volts, String verdict) {
        AmpSheet bare = Walked.amp(Amps.pair(), "name,volts\nB1,300 \nB2,400");
        String read = verdict.equals("inside") && volts.equals("241") ? "B1" : "B2";
        String line = verdict.equals("low") ? "B1" : read;
        assertThat(verdict(check(bare, "mains 120", "at " + line + " " + volts), line))
                .isEqualTo(verdict);
    }

    /** A tenth more mains is a tenth more on supply and plate; a cathode on its own resistor goes as its current. */
    @Test
    void theExpectationGoesWithTheMainsThatWasRead() {
        ChartCheck check = check(amp, "mains 132", "at B1 440; at V1a cathode 1.6; at V2 cathode 33");
        assertThat(at(check, "B1").window().orElseThrow().middle()).isCloseTo(440, within(1e-9));
        assertThat(at(check, "V1a cathode").window().orElseThrow().middle())
                .isCloseTo(1.5 * Math.pow(1.1, 1.2), within(1e-9));
        assertThat(at(check, "V2 cathode").window().orElseThrow().middle())
                .as("it stands tens of volts high: it follows the supply")
                .isCloseTo(33, within(1e-9));
        assertThat(check.compared()).isEmpty();
    }

    /** Before the probe goes in: by the mains as it was last read. */
    @Test
    void whatIsNotReadYetIsExpectedAtThePresentMains() {
        assertThat(at(check(amp, "mains 132"), "B1").window().orElseThrow().middle())
                .isCloseTo(440, within(1e-9));
        assertThat(at(check(amp), "B1").window().orElseThrow().middle()).isEqualTo(400);
        assertThat(Probed.of(at(check(amp, "mains 121.3"), "B2")).volts())
                .as("300 V at 120 V of mains, with no more digits than it deserves")
                .isEqualTo(new SchematicFinding.Wanted(303));
    }

    /** 330 V is good at 100 V of mains and low at 120: a reading keeps the mains that it was taken at. */
    @Test
    void eachReadingCountsAtItsOwnMains() {
        ChartCheck check = check(amp, "mains 100", "at B1 318", "mains 120", "at B2 240");
        assertThat(verdict(check, "B1")).isEqualTo("inside");
        assertThat(at(check, "B1").mains()).hasValue(100);
        assertThat(at(check, "B2").mains()).hasValue(120);
        assertThat(verdict(check(amp, "mains 120", "at B1 318"), "B1")).isEqualTo("low");
    }

    @Test
    void whatIsNotKnownOfTheMainsIsSaid() {
        AmpSheet bare = Walked.amp(Amps.pair(), "name,volts,mains\nB1,400,?");
        ChartCheck check = check(bare, "at B1 390");
        assertThat(check.compared())
                .extracting(WalkFinding::code)
                .containsExactly("mains-not-read", "expected-without-mains");
        assertThat(verdict(check, "B1")).isEqualTo("inside");
        assertThat(verdict(check(bare, "mains 60", "at B1 390"), "B1"))
                .as("half the mains cannot be said to halve what was given at nobody knows what")
                .isEqualTo("inside");
    }

    @Test
    void whatWasNotReadIsNotRead() {
        ChartCheck check = check(amp, "mains 120");
        assertThat(check.notRead()).hasSize(10);
        assertThat(check.wrong()).isEmpty();
        assertThat(says(check, "B1")).isEmpty();
        AmpSheet bare = Walked.amp(Amps.pair(), "name\nB1");
        assertThat(verdict(check(bare, "at B1 390"), "B1")).isEqualTo("not_judged");
    }

    /** Both within a fifth of 200 V, and 14 % apart: the farther one is out of family. */
    @Test
    void twinsAreHeldAgainstEachOther() {
        ChartCheck check = check(amp, "mains 120", "at B2 300; at V1a plate 203; at V1b plate 176");
        assertThat(verdict(check, "V1a plate")).isEqualTo("inside");
        assertThat(verdict(check, "V1b plate")).isEqualTo("out_of_family");
        assertThat(says(check, "V1b plate").get(0)).isEqualTo("unlike-its-twin");
        ChartCheck near = check(amp, "mains 120", "at V1a plate 203; at V1b plate 190");
        assertThat(verdict(near, "V1b plate")).isEqualTo("inside");
        ChartCheck cathodes = check(amp, "mains 120", "at V1a cathode 1.4; at V1b cathode 1.65");
        assertThat(cathodes.wrong()).as("two good triodes differ so").isEmpty();
    }

    @Test
    void aNodeIsHeldAgainstItselfInTheLastRun() {
        Timeline now = Walked.timeline(amp, "mains 120", "at B2 262");
        ChartCheck unlike = new ChartCheck(now, Map.of("b2", new Earlier(301, OptionalDouble.of(120))));
        assertThat(verdict(unlike, "B2")).isEqualTo("out_of_family");
        assertThat(says(unlike, "B2")).startsWith("unlike-last-run");
        ChartCheck lowerMains = new ChartCheck(now, Map.of("b2", new Earlier(240, OptionalDouble.of(110))));
        assertThat(verdict(lowerMains, "B2")).isEqualTo("inside");
    }

    /** Each with what its neighbours read; the test that it is told with is in the words. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "at B2 300; at V1a plate 299 | V1a plate | no-current",
                "at B2 300; at V1a plate 299; at V1a cathode 0 | V1a plate | dead-tube",
                "at B2 300; at V1a plate 299; at V1a cathode 41 | V1a plate | cathode-open",
                "at B2 300; at V1a plate 90; at V1a cathode 3.1 | V1a plate | grid-pulled-up",
                "at B2 300; at V1a plate 90; at V1a cathode 3.1 | V1a cathode | grid-pulled-up",
                "at B2 300; at V1a plate 90; at V1a cathode 1.4 | V1a plate | plate-resistor-risen",
                "at B2 300; at V1a plate 90 | V1a plate | draws-too-much",
                "at B2 300; at V1a plate 262 | V1a plate | draws-too-little",
                "at B2 300; at V1a plate 262; at V1a cathode 3.2 | V1a plate | cathode-resistor-risen",
                "at V1a cathode 3.2 | V1a cathode | cathode-high",
                "at V1a cathode 0.05 | V1a cathode | cathode-dead",
                "at V1a cathode 0.9 | V1a cathode | cathode-low",
                "at V1a grid 3.4 | V1a grid | grid-has-dc",
                "at B1 400; at B2 200 | B2 | branch-low",
                "at B1 300; at B2 220 | B2 | follows-its-supply",
                "at B1 300; at B2 220; at V1a plate 150 | V1a plate | follows-its-supply",
                "at B1 300 | B1 | source-low",
                "at B1 400; at B2 380 | B2 | supply-high",
                "at B1 470 | B1 | past-its-capacitor",
                "at heater 7.8 | heater | heater-off",
                "at V2 plate 210 pulsing | V2 plate | read-oscillator-off",
            })
    void aFindingNamesWhatUsuallyMakesIt(String lines, String label, String code) {
        ChartCheck check = check(amp, "mains 120", lines);
        assertThat(says(check, label)).endsWith(code);
    }

    @Test
    void aPlateAtItsSupplyInsideItsToleranceIsNoFinding() {
        AmpSheet near = Walked.amp(Amps.pair(), "name,volts,from,ohms\nB,300,,\nV1 plate,292,B,10k");
        assertThat(check(near, "mains 120", "at B 300; at V1 plate 297").wrong())
                .isEmpty();
    }

    @Test
    void whatWantsAttentionComesFirst() {
        ChartCheck check = check(
                amp,
                "mains 120",
                "at B1 470; at B2 230; at V1a plate 199; at V1b plate 150; at V2 plate 100; at heater 6.2");
        assertThat(check.wrong())
                .extracting(standing -> standing.node().label())
                .containsExactly("B1", "V1b plate", "V2 plate", "B2");
        assertThat(check.standings()).hasSize(10);
    }

    /**
     * After a tube went elsewhere, or a pot moved the plates, a reading is of before; of another rectifier it is gone.
     */
    @Test
    void aReadingOfBeforeAChangeIsStaleOrGone() {
        ChartCheck moved = check(amp, "mains 120", "at B1 400", "plate 452", "turn RANGE clockwise", "plate 440");
        assertThat(at(moved, "B1").freshness().kind()).isEqualTo(Freshness.Kind.STALE);
        ChartCheck still = check(amp, "mains 120", "at B1 400", "plate 452", "turn RANGE clockwise", "plate 452");
        assertThat(at(still, "B1").freshness().isFresh()).isTrue();
        ChartCheck tube = check(amp, "mains 120", "at B1 400", "tube V1 6L6GC new");
        assertThat(at(tube, "B1").freshness().isFresh()).isFalse();
        Amps.Typed typed = new Amps.Typed(amp)
                .lines("mains 120", "at B1 400")
                .sheet(amp.with(amp.supply().with(Rectifier.TUBE)))
                .line("mains 120");
        assertThat(verdict(new ChartCheck(typed.timeline(), Map.of()), "B1")).isEqualTo("not_read");
    }

    @Test
    void aChangedChartLeavesTheReadingsWhatTheyAre() {
        AmpSheet other = Walked.amp(amp, CHART.replace("B1,400", "B1,300"));
        Amps.Typed typed =
                new Amps.Typed(amp).lines("mains 120", "at B1 400").sheet(other).line("note seen");
        ChartCheck check = new ChartCheck(typed.timeline(), Map.of());
        assertThat(verdict(check, "B1")).isEqualTo("high");
        assertThat(at(check, "B1").expectation())
                .hasSize(2)
                .first()
                .isInstanceOfSatisfying(WalkFinding.ExpectedOne.class, one -> {
                    assertThat(one.volts()).isEqualTo(300);
                    assertThat(one.source()).isEqualTo(Expected.Source.SCHEMATIC);
                });
    }
}
