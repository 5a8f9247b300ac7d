package yellowrail.core.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Fittings;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.amp.Topology;
import yellowrail.core.finding.Finding;
import yellowrail.core.supply.SupplyFinding;

/** The next move, example by example, with its arithmetic. */
class NextMoveTest {

    private static final PlateSense TO_CATHODE =
            new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.CATHODE, OptionalDouble.empty());
    private static final Supply SILICON = Supply.UNKNOWN.with(Rectifier.SILICON).withOther(0.020);
    private static final Pot RANGE = new Pot("RANGE", Pot.Action.ALL, "", Pot.Turn.CLOCKWISE, true);
    private static final AmpSheet PAIR =
            Amps.with(Amps.pair(), TO_CATHODE).with(SILICON).withPots(List.of(RANGE));

    private static NextMove move(AmpSheet sheet, String... lines) {
        return Amps.move(sheet, Amps.readings(sheet, lines)).orElseThrow();
    }

    private static List<? extends Finding> turns(NextMove move) {
        return ((MoveFinding.Turn) move.says()).turns();
    }

    /** Rs = (462 - 451.5)/(90 - 68 mA) = 477 ohm; (494.5 - 477 (0.02 + 2 I)) 0.95 I = 18.6 W gives 44.2 mA. */
    @Test
    void theWorkedExampleOfTheSiliconSupply() {
        NextMove move = move(PAIR, "V1 24 V2 24 plate 462 bias -50.2", "V1 35 V2 35 plate 451.5 bias -45.9");
        assertThat(move.line().source()).isCloseTo(494.5, within(0.05));
        assertThat(move.line().resistance()).isCloseTo(477, within(0.5));
        Landing landing = move.landing().orElseThrow();
        assertThat(landing.tubes()).allSatisfy(tube -> {
            assertThat(tube.cathode()).isCloseTo(0.0442, within(0.00005));
            assertThat(tube.watts()).isCloseTo(18.6, within(0.02));
        });
        assertThat(landing.plateReading()).isCloseTo(442.7, within(0.05));
        assertThat(landing.bias().orElseThrow()).isCloseTo(-42.6, within(0.05));
        assertThat(move.says()).isInstanceOfSatisfying(MoveFinding.Turn.class, turn -> {
            assertThat(turn.turns()).singleElement().isInstanceOfSatisfying(MoveFinding.Clockwise.class, clockwise -> {
                assertThat(clockwise.point()).isEqualTo("V1");
                assertThat(clockwise.reading().si()).isCloseTo(0.0442, within(0.00005));
            });
            assertThat(turn.expect()).isInstanceOf(MoveFinding.ExpectPlatesAndGrids.class);
        });
        assertThat(move.check().orElseThrow().predicted()).isCloseTo(462 - 400 * 0.022, within(0.1));
    }

    @Test
    void beforeTheSecondReadingItSaysHowRoughItIsAndFromWhatItGuesses() {
        NextMove move = move(PAIR, "V1 24 V2 24 plate 462 bias -50.2");
        assertThat(move.line().isGuessed()).isTrue();
        assertThat(move.notes())
                .anySatisfy(note -> assertThat(note)
                        .isInstanceOfSatisfying(
                                MoveFinding.Rough.class,
                                rough -> assertThat(rough.why())
                                        .isEqualTo(new SupplyFinding.GuessedAsUsualFor(400, Rectifier.SILICON))));
        assertThat(move.landing().orElseThrow().tubes().get(0).cathode()).isCloseTo(0.0442, within(0.002));
        assertThat(move.landing().orElseThrow().biasFrom()).contains(new MoveFinding.GridsByTheModel());
    }

    @Test
    void anUnloadedReadingIsAPointOfTheLine() {
        NextMove move = move(PAIR, "plate 485 unloaded", "V1 35 V2 35 plate 451.5");
        assertThat(move.line().isGuessed()).isFalse();
        assertThat(move.line().resistance()).isCloseTo((485 - 451.5) / 0.070, within(1.0));
    }

    @Test
    void aTurnTheOtherWayIsToldTheOtherWay() {
        NextMove move = move(PAIR, "V1 55 V2 55 plate 432");
        assertThat(turns(move)).singleElement().isInstanceOf(MoveFinding.Anticlockwise.class);
    }

    @Test
    void withOnePotForMismatchedTubesTheHotterGoesToItsCeiling() {
        NextMove move = move(PAIR, "V1 24 V2 34 plate 458");
        Landing landing = move.landing().orElseThrow();
        assertThat(landing.tubes().get(1).ratio()).isCloseTo(0.70, within(0.001));
        assertThat(landing.tubes().get(0).ratio()).isCloseTo(0.70 * 24 / 34, within(0.001));
        assertThat(move.steps().get(0).mark().testPoint()).isEqualTo("V2");
        assertThat(move.notes().get(0))
                .isInstanceOfSatisfying(
                        MoveFinding.DrawsMore.class,
                        note -> assertThat(note.hot() + note.cool()).isEqualTo("V2V1"));
    }

    @Test
    void perTubePotsAreTurnedOneAfterTheOther() {
        AmpSheet sheet = PAIR.withPots(List.of(
                new Pot("A", Pot.Action.ONE, "V1", Pot.Turn.CLOCKWISE, true),
                new Pot("B", Pot.Action.ONE, "V2", Pot.Turn.ANTICLOCKWISE, true)));
        NextMove move = move(sheet, "V1 24 V2 34 plate 458", "V1 30 V2 34 plate 455");
        assertThat(turns(move))
                .singleElement()
                .isInstanceOfSatisfying(
                        MoveFinding.Clockwise.class,
                        turn -> assertThat(turn.point()).isEqualTo("V1"));
        assertThat(move.steps()).extracting(step -> step.mark().testPoint()).containsExactly("V1", "V2");
        assertThat(move.notes())
                .contains(new MoveFinding.ThenPots(List.of("B")))
                .hasAtLeastOneElementOfType(MoveFinding.Meanwhile.class);
        assertThat(move.landing().orElseThrow().tubes())
                .allSatisfy(tube -> assertThat(tube.ratio()).isCloseTo(0.62, within(0.001)));
    }

    @Test
    void onePotPerChannel() {
        AmpSheet stereo = new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("EL34"), 4, true)
                .sheet()
                .withPots(List.of(
                        new Pot("LEFT", Pot.Action.GROUP, "", Pot.Turn.CLOCKWISE, true),
                        new Pot("RIGHT", Pot.Action.GROUP, "", Pot.Turn.CLOCKWISE, true)));
        NextMove move = move(stereo, "V1 24 V2 25 V3 45 V4 46 plate 440");
        assertThat(move.steps())
                .as("the farthest first, the sag brings the other down")
                .singleElement()
                .satisfies(step -> {
                    assertThat(step.pot().orElseThrow().name() + step.isHotter())
                            .isEqualTo("LEFTtrue");
                    assertThat(step.mark().testPoint()).isEqualTo("V2");
                    assertThat(step.others().get(1).to()).as("V4, from 46 mA").isCloseTo(0.0414, within(0.0001));
                });
        assertThat(move(stereo, "V1 24 V2 25 V3 50 V4 51 plate 440").steps())
                .as("what is beyond its window first")
                .first()
                .satisfies(step -> assertThat(step.pot().orElseThrow().name()).isEqualTo("RIGHT"));
    }

    @Test
    void aNeedBeyondThePotsStopIsSaid() {
        NextMove move =
                move(PAIR, "bias -45.2 stop", "V1 24 V2 24 plate 462 bias -50.2", "V1 35 V2 35 plate 451.5 bias -45.9");
        assertThat(move.notes())
                .anySatisfy(note -> assertThat(note).isInstanceOfSatisfying(MoveFinding.BeyondTheStop.class, stop -> {
                    assertThat(stop.needed()).isCloseTo(-42.6, within(0.05));
                    assertThat(stop.stop()).isEqualTo(-45.2);
                }));
        assertThat(move(PAIR, "bias -38 stop", "V1 24 V2 24 plate 462 bias -50.2", "V1 35 V2 35 plate 451.5 bias -45.9")
                        .notes())
                .noneMatch(MoveFinding.BeyondTheStop.class::isInstance);
    }

    /** -50.2 V of 33k over 15k: raw -73.0 V; the three-halves law wants -42.6, that is 20.9k, E24: 20k or 22k. */
    @Test
    void withoutAPotItNamesTheResistorOfTheBiasSupply() {
        AmpSheet fixed = PAIR.with(PAIR.stage().with(BiasKind.FIXED))
                .withPots(List.of())
                .with(TO_CATHODE)
                .at(120, 10);
        String[] readings = {"V1 24 V2 24 plate 462 bias -50.2", "V1 35 V2 35 plate 451.5 bias -45.9"};
        assertThat(move(fixed.with(SILICON), readings).says())
                .isInstanceOfSatisfying(MoveFinding.SmallerShunt.class, says -> {
                    assertThat(says.from()).isEqualTo(-45.9);
                    assertThat(says.to()).isCloseTo(-42.6, within(0.05));
                });
        Supply parts = new Supply(
                Rectifier.SILICON,
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(0.020),
                OptionalDouble.empty(),
                OptionalDouble.of(15_000),
                OptionalDouble.of(27_000));
        BiasParts found = move(fixed.with(parts), readings).parts().orElseThrow();
        double raw = -45.9 * 42 / 27;
        assertThat(found.shunt().orElseThrow().exact()).isCloseTo(15_000 * 42.63 / (-raw - 42.63), within(30.0));
        assertThat(found.shunt().orElseThrow().ohms()).isEqualTo(22_000);
        assertThat(found.shunt().orElseThrow().bias()).isCloseTo(raw * 22 / 37, within(0.01));
        NextMove withParts = move(fixed.with(parts), readings);
        assertThat(withParts.says())
                .isInstanceOfSatisfying(
                        MoveFinding.ChangeShunt.class,
                        says -> assertThat(List.of(says.from(), says.to())).containsExactly(27_000.0, 22_000.0));
        assertThat(withParts.notes()).contains(new MoveFinding.DividerAfterTheDiode());
    }

    /** Every choice must stand on all its laws at once: Ohm across the resistor, the supply line, and the tube. */
    @Test
    void withCathodeBiasItChoosesAStandardResistor() {
        NextMove move = move(Amps.with(Amps.quad(), TO_CATHODE), "rk off 61.4", "vk 11.2", "plate 318");
        CathodeAdvice advice = move.cathode().orElseThrow();
        assertThat(advice.shared()).isEqualTo(4);
        assertThat(advice.now()).isCloseTo(61.4, within(0.01));
        assertThat(advice.choices()).hasSizeBetween(3, 4);
        CathodeAdvice.Choice best = advice.best();
        for (CathodeAdvice.Choice choice : advice.choices()) {
            Landing.Tube tube = choice.landing().tubes().get(0);
            assertThat(choice.volts()).isCloseTo(4 * tube.cathode() * choice.ohms(), within(1e-4));
            assertThat(choice.rating()).isGreaterThanOrEqualTo(2 * choice.watts());
            assertThat(tube.plateVolts() + choice.volts())
                    .isCloseTo(move.line().voltsAt(4 * tube.cathode(), 1), within(1e-3));
            assertThat(choice.bypassVolts()).isGreaterThan(choice.volts());
        }
        assertThat(best.allowed()).isTrue();
        assertThat(best.landing().tubes().get(0).ratio()).isBetween(0.80, 1.0);
        assertThat(move.kind()).as("108 % of the rating: off first").isEqualTo(NextMove.Kind.OFF);
        assertThat(move.says())
                .isInstanceOfSatisfying(
                        MoveFinding.OffFirst.class,
                        off -> assertThat(off.then())
                                .isInstanceOfSatisfying(
                                        MoveFinding.ChangeCathodeResistor.class,
                                        says -> assertThat(says.from()).isCloseTo(61.4, within(0.01))));
        assertThat(advice.choices()).isSortedAccordingTo((one, other) -> Double.compare(one.ohms(), other.ohms()));
        assertThat(advice.choices().get(0).landing().tubes().get(0).cathode())
                .isGreaterThan(advice.choices()
                        .get(advice.choices().size() - 1)
                        .landing()
                        .tubes()
                        .get(0)
                        .cathode());
    }

    @Test
    void onTargetItStays() {
        NextMove move = move(PAIR, "V1 24 V2 24 plate 462", "V1 44.2 V2 44.2 plate 442.7");
        assertThat(move.kind()).isEqualTo(NextMove.Kind.STAY);
        assertThat(move.says()).isEqualTo(new MoveFinding.SetAll());
    }

    /**
     * The last whole setting is on target; of the next one only a hotter current has been read, and the plates not
     * again.
     */
    @Test
    void aNewerReadingThatSpeaksAgainstItSilencesTheWordSet() {
        String[] set = {"V1 24 V2 24 plate 462", "V1 44.2 V2 44.2 plate 442.7"};
        assertThat(Amps.move(PAIR, Amps.readings(PAIR, set))).isPresent();
        assertThat(Amps.move(PAIR, Amps.readings(PAIR, set[0], set[1], "V1 55")))
                .isEmpty();
    }

    @Test
    void whileTheNextSettingIsHalfReadItSaysOfWhichItSpeaksAndWhatIsWanted() {
        assertThat(move(PAIR, "V1 24 V2 24 plate 462", "V1 35").notes().get(0))
                .isEqualTo(new MoveFinding.ToldFromBefore(List.of("V2", "plate")));
        assertThat(move(PAIR, "V1 24 V2 24 plate 462", "turn RANGE clockwise")
                        .notes()
                        .get(0))
                .isEqualTo(new MoveFinding.ToldFromBefore(List.of("V1", "V2", "plate")));
        assertThat(move(PAIR, "V1 24 V2 24 plate 462", "V1 35 V2 35 plate 451.5")
                        .notes())
                .noneMatch(MoveFinding.ToldFromBefore.class::isInstance);
        assertThat(move(PAIR, "V1 24 V2 24 plate 462", "V1 24.1").notes())
                .as("the same again is the same setting")
                .noneMatch(MoveFinding.ToldFromBefore.class::isInstance);
    }

    /** The stop is typed when both settings are in: it counts at once. */
    @Test
    void aStopReadLastCountsAtOnce() {
        assertThat(move(
                                PAIR,
                                "V1 24 V2 24 plate 462 bias -50.2",
                                "V1 35 V2 35 plate 451.5 bias -45.9",
                                "bias -45.2 stop")
                        .notes())
                .hasAtLeastOneElementOfType(MoveFinding.BeyondTheStop.class);
    }

    @Test
    void highMainsAreToldAndTheTargetIsMetAtTheReference() {
        NextMove move = move(PAIR, "mains 123.6", "V1 24 V2 24 plate 475", "V1 35 V2 35 plate 464.5");
        assertThat(move.notes())
                .anySatisfy(note -> assertThat(note)
                        .isInstanceOfSatisfying(
                                MoveFinding.ForMainsAsRead.class,
                                mains -> assertThat(mains.read()).isCloseTo(123.6, within(1e-9))));
        assertThat(move.landing().orElseThrow().tubes().get(0).ratio()).isCloseTo(0.62, within(0.001));
        assertThat(move.landing().orElseThrow().tubes().get(0).watts())
                .isCloseTo(18.6 * Math.pow(1.03, 2.5), within(0.05));
    }

    @Test
    void aTargetBeyondTheSupplyIsSaid() {
        AmpSheet weak = PAIR.with(SILICON);
        NextMove move = move(weak, "plate 300 unloaded", "V1 60 V2 60 plate 150");
        assertThat(move.kind()).isEqualTo(NextMove.Kind.OUT_OF_REACH);
        assertThat(move.says()).isInstanceOf(MoveFinding.SagsTooFar.class);
    }

    @Test
    void theRailsRatingIsHeldAgainstTheNewSetting() {
        Supply small = new Supply(
                Rectifier.SILICON,
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(0.020),
                OptionalDouble.of(0.001),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        assertThat(move(
                                PAIR.with(small).with(Fittings.UNKNOWN.withTransformer(OptionalDouble.of(0.100))),
                                "V1 24 V2 24 plate 462",
                                "V1 35 V2 35 plate 451.5")
                        .notes())
                .anySatisfy(note -> assertThat(note)
                        .isInstanceOfSatisfying(
                                MoveFinding.RailOver.class,
                                rail -> assertThat(rail.amps()).isCloseTo(0.1084, within(0.0001))))
                .anySatisfy(note -> assertThat(note)
                        .isInstanceOfSatisfying(
                                MoveFinding.ResistorOver.class,
                                over -> assertThat(over.point()).isEqualTo("V1")));
    }
}
