package yellowrail.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yellowrail.core.Amps;
import yellowrail.core.amp.AmpDefaults;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.amp.CurrentSense;
import yellowrail.core.amp.Topology;

class OccupantsTest {

    private static final AmpSheet PAIR = Amps.pair();

    private static Occupants of(AmpSheet sheet) {
        return Occupants.of(Amps.CATALOGUE, sheet);
    }

    private static Occupants exchanged(String words) {
        return of(PAIR).exchanged(PAIR.sockets().get(0), words, 7);
    }

    @Test
    void theSheetsTypeSitsInEverySocketUntilTheLogSaysOtherwise() {
        assertThat(of(PAIR).all()).hasSize(2).allSatisfy(each -> {
            assertThat(each.name()).isEqualTo("6L6GC");
            assertThat(each.logged()).isFalse();
            assertThat(each.isNew()).isFalse();
            assertThat(each.rating().orElseThrow().plateWatts()).isEqualTo(30);
        });
    }

    @ParameterizedTest
    @CsvSource({
        "EL34,EL34,false,25",
        "EL34 new,EL34,true,25",
        "el34 NEW,EL34,true,25",
        "EL34 A12,EL34,false,25",
        "EL34 A12 new,EL34,true,25",
        "6CA7 newer,EL34,false,25"
    })
    void whatIsLoggedIsATypeAndPerhapsNew(String words, String name, boolean isNew, double watts) {
        Occupant in = exchanged(words).all().get(0);
        assertThat(in.type().orElseThrow().name()).isEqualTo(name);
        assertThat(in.isNew()).isEqualTo(isNew);
        assertThat(in.logged()).isTrue();
        assertThat(in.rating().orElseThrow().plateWatts()).isEqualTo(watts);
        assertThat(exchanged(words).all().get(1).logged()).isFalse();
    }

    @Test
    void aTypeNobodyKnowsHasNoLimits() {
        Occupant in = exchanged("QX99 new").all().get(0);
        assertThat(in.name()).isEqualTo("QX99");
        assertThat(in.type()).isEmpty();
        assertThat(in.rating()).isEmpty();
        assertThat(in.isNew()).isTrue();
    }

    @Test
    void underAnotherSheetWhatWasLoggedStays() {
        AmpSheet other = PAIR.at(230, 20);
        Occupants after = exchanged("EL34 new").under(other, false);
        assertThat(after.sheet()).isEqualTo(other);
        assertThat(after.all()).extracting(Occupant::name).containsExactly("EL34", "6L6GC");
        assertThat(after.all()).extracting(Occupant::isNew).containsExactly(true, false);
        assertThat(after.all()).extracting(Occupant::logged).containsExactly(true, false);
    }

    @Test
    void aSheetOfOtherTubesEmptiesTheSockets() {
        AmpSheet other =
                new AmpDefaults(Topology.PUSH_PULL, BiasKind.FIXED_ADJUSTABLE, Amps.type("KT88"), 4, false).sheet();
        Occupants after = exchanged("EL34 new").under(other, true);
        assertThat(after.all()).hasSize(4).allSatisfy(each -> {
            assertThat(each.name()).isEqualTo("KT88");
            assertThat(each.logged()).isFalse();
        });
        assertThat(exchanged("EL34").under(other, false).all())
                .extracting(Occupant::name)
                .containsExactly("EL34", "KT88", "KT88", "KT88");
    }

    /** A new tube is new until another is put in: a resistor that is changed beside it makes it no older. */
    @Test
    void aNewTubeStaysNewWhileTheHardwareAroundItChanges() {
        Amps.Typed typed = new Amps.Typed(PAIR).lines("V1 30 V2 30 plate 450", "off", "tube V1 EL34 new");
        AmpSheet changed = Amps.with(
                PAIR,
                CurrentSense.across(
                        CurrentMethod.SENSE_EACH, 10, 0.01, PAIR.current().shows()));
        Timeline timeline = typed.sheet(changed).lines("on").timeline();
        assertThat(timeline.present().occupants()).extracting(Occupant::isNew).containsExactly(true, false);
    }

    @Test
    void twoThatAreExchangedKeepWhoTheyAre() {
        Occupants swapped = of(PAIR).exchanged(PAIR.sockets().get(0), "6L6GC of V2", 7)
                .exchanged(PAIR.sockets().get(1), "6L6GC of V1", 8);
        assertThat(swapped.all()).extracting(Occupant::tube).containsExactly("V2", "V1");
        Occupants back = swapped.exchanged(PAIR.sockets().get(0), "6L6GC of V2", 9)
                .exchanged(PAIR.sockets().get(1), "6L6GC of V1", 10);
        assertThat(back.all()).extracting(Occupant::tube).containsExactly("V1", "V2");
    }

    @Test
    void aTubeIsWhatIsWrittenOnItOrOneOfItsOwn() {
        assertThat(exchanged("6L6GC B7 new").all().get(0).tube()).isEqualTo("B7");
        assertThat(exchanged("6L6GC new").all().get(0).tube()).isEqualTo("V1#7");
        assertThat(of(PAIR).all().get(0).tube()).isEqualTo("V1");
    }
}
