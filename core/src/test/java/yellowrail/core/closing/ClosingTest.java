package yellowrail.core.closing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Rectifier;
import yellowrail.core.amp.Supply;
import yellowrail.core.bias.Supplies;
import yellowrail.core.bias.wiring.BiasSupply;
import yellowrail.core.move.MoveFinder;
import yellowrail.core.reading.BadEntryException;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Safety;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationEvent;
import yellowrail.core.timeline.Log;
import yellowrail.core.timeline.Timeline;

class ClosingTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static RunProgress grey(boolean seen) {
        return new RunProgress(
                PAIR,
                seen
                        ? List.of(new StationEvent(
                                StationEvent.What.TICKED, Station.SOAK, Safety.PLATES_GREY, "", Instant.EPOCH))
                        : List.of());
    }

    private static Closing closing(Amps.Typed typed) {
        return closing(typed.timeline(), grey(false), List.of());
    }

    private static Closing closing(Timeline timeline, RunProgress progress, List<String> kept) {
        return new Closing(timeline, MoveFinder.of(timeline), progress, kept);
    }

    @Test
    void whatIsOpenIsToldAndNothingElse() {
        Amps.Typed typed = new Amps.Typed(PAIR).lines("on", "V1 36.4 plate 452");

        assertThat(closing(typed).open())
                .contains(
                        new ClosingFinding.NotJudged(List.of("V2")),
                        new ClosingFinding.SoakTooShort(1),
                        new ClosingFinding.MainsNotRead(),
                        new ClosingFinding.PlatesNotWatched(),
                        new ClosingFinding.StillOn());
        for (int i = 0; i < 40; i++) {
            typed.line("V1 44 V2 44.1 plate 452");
        }
        typed.lines("mains 120", "off");
        assertThat(closing(typed.timeline(), grey(true), List.of()).open()).isEmpty();
    }

    /** A kept supply whose worn wiper would run the tubes away is never called done. */
    @Test
    void aBiasSupplyThatIsNotFailSafeMustBeSeenTo() {
        BiasSupply bare = Supplies.tapped();
        assertThat(bias(bare)).singleElement().satisfies(item -> {
            assertThat(item.tier()).isEqualTo(Tier.MUST);
            assertThat(((ClosingFinding.BiasNotFailSafe) item.says().get()).grid())
                    .isCloseTo(0, within(0.1));
        });
        assertThat(bias(bare.with(bare.network().withWiperToCold(OptionalDouble.of(220_000)))))
                .isEmpty();
    }

    private static List<Item> bias(BiasSupply supply) {
        return closing(new Amps.Typed(PAIR.with(Optional.of(supply))).lines("on", "V1 36.4 plate 452"))
                .items(List.of())
                .stream()
                .filter(item -> item.says()
                        .filter(ClosingFinding.BiasNotFailSafe.class::isInstance)
                        .isPresent())
                .toList();
    }

    @Test
    void whatABiasSupplyGivesMustBeSeen() {
        AmpSheet sheet = PAIR.with(Optional.of(Supplies.tapped()));
        RunProgress soldered = new RunProgress(
                sheet,
                List.of(new StationEvent(
                        StationEvent.What.TICKED, Station.TUBES, Safety.BIAS_WORK, "", Instant.EPOCH)));
        Timeline timeline =
                new Amps.Typed(sheet).lines("on", "V1 36.4 plate 452").timeline();
        assertThat(closing(timeline, soldered, List.of()).open()).contains(new ClosingFinding.BiasNotMeasured());
    }

    @Test
    void aCreepIsOpenAndMustBeSeenTo() {
        Amps.Typed typed = new Amps.Typed(PAIR).lines("on", "plate 452");
        for (int i = 0; i < 25; i++) {
            typed.line("V1 %.1f V2 44.1".formatted(44 * (1 + 0.006 * i)));
        }

        assertThat(closing(typed).open()).contains(new ClosingFinding.StillCreeps(List.of("V1")));
        assertThat(closing(typed).items(typed.log().readings()).get(0)).satisfies(item -> {
            assertThat(item.tier()).isEqualTo(Tier.MUST);
            assertThat(item.says()).containsInstanceOf(ClosingFinding.TubeSuspect.class);
        });
    }

    /** 352 V x 1.04 x 1.414 is some 520 V, in capacitors for 450 V. */
    @Test
    void whatTheApplicationFoundIsTakenOver() {
        AmpSheet sheet = PAIR.with(new Supply(
                Rectifier.SILICON,
                true,
                OptionalDouble.of(352),
                OptionalDouble.of(450),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty()));
        Log log = new Amps.Typed(sheet)
                .lines("V1 44 V2 33 plate 452", "could 2 x knob", "must clean the sockets at V2")
                .log();

        List<Item> items = closing(log.timeline(), grey(false), List.of()).items(log.readings());

        assertThat(items).extracting(Item::tier).isSorted();
        assertThat(items)
                .anyMatch(item -> item.says()
                        .filter(ClosingFinding.CapacitorUnderrated.class::isInstance)
                        .isPresent());
        assertThat(items)
                .anyMatch(item -> item.says()
                        .filter(ClosingFinding.SidesApart.class::isInstance)
                        .isPresent());
        assertThat(items)
                .contains(
                        new Item(Tier.MUST, 1, "clean the sockets", "V2", Optional.empty()),
                        new Item(Tier.COULD, 2, "knob", "", Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource({
        "must 2 x coupling capacitor 22n 630V at V2, MUST, 2, coupling capacitor 22n 630V, V2",
        "should clean the pots, SHOULD, 1, clean the pots, ''",
        "Could 1x feet; all four, COULD, 1, feet; all four, ''"
    })
    void aFindingIsTypedInOneLine(String line, Tier tier, int quantity, String part, String place) {
        var entries = new EntryLine(PAIR).parse(line);

        assertThat(entries).hasSize(1);
        assertThat(ItemLine.of(entries.get(0))).hasValue(new Item(tier, quantity, part, place, Optional.empty()));
        assertThat(new EntryLine(PAIR).parse(EntryWriter.line(entries.get(0), PAIR)))
                .isEqualTo(entries);
    }

    @Test
    void aQuestionThatWasKeptIsTold() {
        assertThat(closing(new Amps.Typed(PAIR).timeline(), grey(true), List.of("V1 3.64V"))
                        .open())
                .contains(new ClosingFinding.QuestionsKept(List.of("V1 3.64V")));
    }

    @Test
    void aFindingSaysWhat() {
        assertThatThrownBy(() -> new EntryLine(PAIR).parse("must")).isInstanceOf(BadEntryException.class);
    }
}
