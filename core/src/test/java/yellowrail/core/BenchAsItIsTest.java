package yellowrail.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.Channel;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.MeterAccuracy;
import yellowrail.core.amp.PlateSense;
import yellowrail.core.amp.Pot;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Side;
import yellowrail.core.amp.Socket;
import yellowrail.core.amp.Topology;
import yellowrail.core.idle.IdleFinding;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.mistake.Mistakes;
import yellowrail.core.mistake.Situation;
import yellowrail.core.move.MoveFinding;
import yellowrail.core.move.NextMove;
import yellowrail.core.quantity.Unit;
import yellowrail.core.reading.Entry;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.supply.SupplyLine;
import yellowrail.core.timeline.Freshness;

/** The bench as it really is, example by example. */
class BenchAsItIsTest {

    private static final PlateSense TO_CATHODE =
            new PlateSense(PlateSense.Point.PLATE, PlateSense.Reference.CATHODE, OptionalDouble.empty());

    private static AmpSheet amp(String type, int tubes, BiasKind bias) {
        return new AmpDefaults(Topology.PUSH_PULL, bias, Amps.type(type), tubes, false)
                .sheet()
                .with(TO_CATHODE);
    }

    /** Two resistors of 130 ohm, a pair on each: 11.3 V / 130 ohm / 2 = 43.5 mA, less 10 %, by 340 V: 13.3 W of 12. */
    @Test
    void aQuadOverItsRatingIsSwitchedOffToChangeBothResistors() {
        List<Socket> sockets = IntStream.range(0, 4)
                .mapToObj(i ->
                        new Socket("V" + (i + 1), i < 2 ? Side.PUSH : Side.PULL, Channel.MONO, i % 2 == 0 ? "L" : "R"))
                .toList();
        AmpSheet quad = Amps.with(
                Amps.with(
                        amp("EL84", 4, BiasKind.CATHODE_SHARED),
                        CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 130, 0.05, Unit.VOLT)),
                sockets);
        Amps.Typed typed = new Amps.Typed(quad).lines("on 20", "L 11.3 R 11.3 plate 340");
        TubeIdle tube = typed.summary().worst();
        assertThat(tube.figures().orElseThrow().cathode().value()).isCloseTo(0.0435, within(0.00005));
        assertThat(tube.figures().orElseThrow().dissipation().value()).isCloseTo(13.3, within(0.05));
        assertThat(tube.judgement().ratio()).isCloseTo(1.11, within(0.005));
        assertThat(typed.summary().sentence()).isInstanceOf(IdleFinding.StageOverRating.class);
        NextMove move = typed.move().orElseThrow();
        assertThat(move.kind()).isEqualTo(NextMove.Kind.OFF);
        assertThat(((MoveFinding.OffFirst) move.says()).then())
                .isInstanceOfSatisfying(MoveFinding.ChangeEachCathodeResistor.class, each -> {
                    assertThat(each.points()).containsExactly("L", "R");
                    assertThat(each.from()).isCloseTo(130, within(0.1));
                    assertThat(each.to()).isBetween(160.0, 200.0);
                });
    }

    @Test
    void noResistorBringsAWeakPairThere() {
        AmpSheet pair = Amps.with(
                amp("6V6GT", 2, BiasKind.CATHODE_SHARED),
                CurrentSense.across(CurrentMethod.CATHODE_RESISTOR, 470, 0.05, Unit.VOLT));
        Amps.Typed typed = new Amps.Typed(pair).lines("on 20", "TP 6.0 plate 300");
        assertThat(typed.summary().worst().judgement().verdict()).isEqualTo(Verdict.COLD);
        assertThat(typed.move().orElseThrow().says()).isInstanceOf(MoveFinding.NoResistorBringsThem.class);
    }

    @Test
    void anotherTubeInASocketIsJudgedByItsOwnLimits() {
        Amps.Typed typed = new Amps.Typed(amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE))
                .lines("on 20", "V1 24 V2 24 plate 440", "off", "tube V1 6V6GT new", "on 15");
        TubeIdle gone = typed.summary().tubes().get(0);
        assertThat(gone.judgement().verdict()).isEqualTo(Verdict.NOT_JUDGED);
        assertThat(gone.freshness().kind()).isEqualTo(Freshness.Kind.OTHER_HARDWARE);
        assertThat(typed.summary().tubes().get(1).freshness().kind())
                .as("its own tube stayed, the plates moved")
                .isEqualTo(Freshness.Kind.STALE);
        typed.line("V1 18 V2 24 plate 430");
        TubeIdle six = typed.summary().tubes().get(0);
        assertThat(six.occupant().rating().orElseThrow().plateWatts()).isEqualTo(12);
        assertThat(six.judgement().ratio())
                .isCloseTo(0.018 * (1 - Amps.type("6V6GT").screenShare()) * 430 / 12, within(0.005));
        assertThat(six.judgement().limits().findings())
                .contains(new IdleFinding.PlateOverLimit(
                        six.figures().orElseThrow().plateVolts().value(), 315));
        assertThat(typed.move().map(NextMove::kind)).contains(NextMove.Kind.NOTHING);
    }

    @Test
    void farOverItsRatingThereIsNoMoveButTheSwitch() {
        AmpSheet pair = amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE);
        Amps.Typed typed = new Amps.Typed(pair).lines("on 20", "plate 452");
        Entry entry = new EntryLine(pair).parse("V1 145").get(0);
        assertThat(Mistakes.question(entry, new Situation(typed.log(), typed.now(), List.of()))
                        .orElseThrow()
                        .ifReal())
                .isPresent();
        typed.line("V1 145");
        assertThat(typed.summary().sentence()).isInstanceOfSatisfying(IdleFinding.SwitchOffNow.class, off -> {
            assertThat(off.watts()).isCloseTo(62, within(0.5));
            assertThat(off.ratio()).isCloseTo(2.07, within(0.01));
        });
        assertThat(typed.move()).isEmpty();
        assertThat(typed.lines("turn RANGE anticlockwise").move())
                .as("nobody has seen it come down")
                .isEmpty();
        assertThat(typed.lines("off").summary().sentence()).isInstanceOf(IdleFinding.TookTooMuch.class);
        assertThat(typed.move()).isEmpty();
        assertThat(typed.lines("on").summary().sentence()).isInstanceOf(IdleFinding.SwitchOffNow.class);
    }

    @Test
    void withAPotForEachTubeOneIsTurnedAtATime() {
        AmpSheet quad = amp("6L6GC", 4, BiasKind.FIXED_ADJUSTABLE);
        AmpSheet four = quad.withPots(IntStream.range(1, 5)
                .mapToObj(i -> new Pot("P" + i, Pot.Action.ONE, "V" + i, Pot.Turn.CLOCKWISE, true))
                .toList());
        Amps.Typed typed = new Amps.Typed(four).lines("on 20", "V1 42.6 V2 44.5 V3 30 V4 41 plate 445");
        NextMove move = typed.move().orElseThrow();
        NextMove.Step first = move.steps().get(0);
        assertThat(first.pot().orElseThrow().name())
                .as(move.steps() + " " + move.landing())
                .isEqualTo("P3");
        assertThat(((MoveFinding.Turn) move.says()).turns()).hasSize(1);
        assertThat(first.others())
                .as("the others drop meanwhile")
                .allSatisfy(mark -> assertThat(mark.to()).isLessThan(mark.from()));
        Entry asked = new EntryLine(four)
                .parse("V3 %.1f".formatted(1e3 * first.mark().to()))
                .get(0);
        assertThat(Mistakes.question(
                        asked,
                        new Situation(
                                typed.log(),
                                typed.now(),
                                move.steps().stream().map(NextMove.Step::mark).toList())))
                .isEmpty();
        typed.lines("turn P3 clockwise", "V3 %.1f".formatted(1e3 * first.mark().to()));
        assertThat(typed.move().orElseThrow().steps().get(0).pot().orElseThrow().name())
                .as("done, now another")
                .isNotEqualTo("P3");
    }

    @Test
    void anotherRectifierBeginsAnotherSupplyLine() {
        AmpSheet pair = amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE);
        AmpSheet tube = pair.with(pair.supply().with(Rectifier.TUBE));
        Amps.Typed typed = new Amps.Typed(tube).lines("on 20", "V1 50 V2 50 plate 390");
        SupplyLine before = typed.finder().line().orElseThrow();
        typed.lines("off")
                .sheet(tube.with(tube.supply().with(Rectifier.SILICON)))
                .lines("on 20", "V1 45.5 V2 45.5 plate 430");
        SupplyLine after = typed.finder().line().orElseThrow();
        assertThat(before.used()).hasSize(1);
        assertThat(after.used())
                .singleElement()
                .satisfies(point -> assertThat(point.volts()).isCloseTo(430, within(0.01)));
    }

    @Test
    void oneAdapterThatGoesFromSocketToSocketMakesOneSetting() {
        AmpSheet pair = Amps.with(
                amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE), CurrentSense.direct(CurrentMethod.SOCKET_ADAPTER));
        Amps.Typed typed = new Amps.Typed(pair).lines("on 15", "V1 35 plate 451");
        NextMove half = typed.move().orElseThrow();
        assertThat(half.notes())
                .contains(
                        new MoveFinding.TakenAsAlike(List.of("V1"), List.of("V2")),
                        new MoveFinding.ProbeNext("V2"),
                        new MoveFinding.AdapterMovesWhileOff());
        typed.lines("off", "on 12", "V2 34");
        assertThat(typed.move().orElseThrow().notes()).noneMatch(MoveFinding.TakenAsAlike.class::isInstance);
        assertThat(typed.timeline().settings()).hasSize(1);
        assertThat(typed.summary().tubes()).allMatch(TubeIdle::isFresh);
    }

    @Test
    void aPlacingIsNoBalancePot() {
        AmpSheet pair = amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE);
        Amps.Typed typed = new Amps.Typed(pair)
                .lines(
                        "on 20",
                        "plate 460",
                        "V1 25 V2 30",
                        "off",
                        "tube V1 6L6GC A2",
                        "tube V2 6L6GC A1",
                        "on 15",
                        "V1 30");
        Entry entry = new EntryLine(pair).parse("V2 25").get(0);
        assertThat(Mistakes.question(entry, new Situation(typed.log(), typed.now(), List.of())))
                .isEmpty();
    }

    /** 1.50 V across 12.4 ohm: two digits of 0.01 V are 1.3 %, of 0.1 V they would be 13 %. */
    @Test
    void theLastDigitIsWhatWasTyped() {
        AmpSheet pair = Amps.with(
                amp("EL34", 2, BiasKind.FIXED_ADJUSTABLE),
                CurrentSense.across(CurrentMethod.SENSE_SHARED, 12.4, 0.01, Unit.VOLT));
        AmpSheet shared = Amps.with(
                pair,
                pair.sockets().stream()
                        .map(socket -> new Socket(socket.label(), socket.side(), socket.channel(), "L"))
                        .toList());
        AmpSheet coarse = shared.with(new MeterAccuracy(0.005, 2, 0.1, 0.1));
        double typed = Amps.idle(coarse, "L 1.50 plate 438")
                .get(0)
                .figures()
                .orElseThrow()
                .cathode()
                .plusMinus();
        double blunt = Amps.idle(coarse, "L 1.5 plate 438")
                .get(0)
                .figures()
                .orElseThrow()
                .cathode()
                .plusMinus();
        assertThat(typed / blunt).isLessThan(0.25);
    }

    @Test
    void aPotTurnedMakesWhatItReachesStale() {
        AmpSheet pair = amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE);
        Amps.Typed typed = new Amps.Typed(pair).lines("on 20", "V1 43 V2 43 plate 445");
        assertThat(typed.summary().sentence()).isInstanceOf(IdleFinding.AllInWindow.class);
        StageSummary turned = typed.lines("turn RANGE clockwise").summary();
        assertThat(turned.sentence()).isInstanceOf(IdleFinding.WasSo.class);
        assertThat(turned.tubes()).noneMatch(TubeIdle::isFresh);
        assertThat(typed.lines("V1 46 V2 46 plate 441").summary().tubes()).allMatch(TubeIdle::isFresh);
    }

    /** 24.0/24.6, then 25.6/25.5 mA: that is noise, not two tubes that part. */
    @Test
    void aMatchedPairStaysMatched() {
        AmpSheet pair = amp("6L6GC", 2, BiasKind.FIXED_ADJUSTABLE);
        NextMove move = new Amps.Typed(pair)
                .lines("on 20", "mains 120", "V1 24.0 V2 24.6 plate 462", "V1 25.6 V2 25.5 plate 460.5")
                .move()
                .orElseThrow();
        assertThat(move.landing().orElseThrow().tubes()).allSatisfy(tube -> {
            assertThat(tube.cathode()).as(move.landing().toString()).isCloseTo(0.044, within(0.0016));
            assertThat(tube.plusMinus()).isPositive();
        });
        assertThat(move.notes()).noneMatch(MoveFinding.DrawsMore.class::isInstance);
    }
}
